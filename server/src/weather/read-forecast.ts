import type { ForecastView } from '@tasche/contract';
import { ruleBroken } from '../http/http-error.js';
import type { ForecastPlace, ForecastSource } from './forecast-source.js';

/**
 * What the weather service says of a course's days. @throws HttpError 422 where there is no service, 502 or
 * 504 where it fails
 */
export async function readForecast(
  source: ForecastSource | undefined,
  place: ForecastPlace,
  from: string,
  days: number,
  signal: AbortSignal,
): Promise<ForecastView> {
  if (!source)
    throw ruleBroken(
      'No weather service is set up; enter the air by hand. docs/running.md says how to name one.',
    );
  return { ...(await source.forecast(place, from, days, signal)), askedAt: new Date().toISOString() };
}
