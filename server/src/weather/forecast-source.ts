import { checkJsonLimits, fieldProblems, readWeather, type WeatherAnswer } from '@tasche/contract';
import * as yup from 'yup';
import { HttpError } from '../http/http-error.js';

/** Where a forecast is for. */
export interface ForecastPlace {
  name: string;
  latitudeDeg: number;
  longitudeDeg: number;
  altitudeM: number;
}

/** Says what the air may be on some days at a place, as an ensemble. */
export interface ForecastSource {
  /** @throws HttpError 504 when it does not answer in time, 502 when what it answers is no forecast */
  forecast(place: ForecastPlace, from: string, days: number, signal?: AbortSignal): Promise<WeatherAnswer>;
}

/** The longest wait; then the numbers are typed by hand. */
const FORECAST_MS = 6000;

/** A service that speaks as docs/formats/weather.md says, at an address its owner named. */
export function weatherAt(address: string, waitMs = FORECAST_MS): ForecastSource {
  return {
    async forecast({ name, latitudeDeg, longitudeDeg, altitudeM }, from, days, signal) {
      const asked = new URL('/forecast', address);
      asked.search = new URLSearchParams({
        name,
        latitude: String(latitudeDeg),
        longitude: String(longitudeDeg),
        altitude: String(altitudeM),
        from,
        days: String(days),
      }).toString();
      const body = parsed(
        await answerOf(
          asked,
          AbortSignal.any([AbortSignal.timeout(waitMs), ...(signal ? [signal] : [])]),
          waitMs,
        ),
      );
      try {
        return readWeather(body);
      } catch (error) {
        if (!(error instanceof yup.ValidationError)) throw error;
        throw new HttpError(502, {
          error: 'weather',
          message: `The weather service did not answer with a forecast: ${fieldProblems(error)[0]!.message}. Enter the air by hand.`,
        });
      }
    },
  };
}

/** A forecast of sixteen days with fifty members is a tenth of it. */
const MAX_ANSWER_BYTES = 2_000_000;

/** The whole answer as text, from the address that was named and no other, within its size and time. */
async function answerOf(asked: URL, signal: AbortSignal, waitMs: number): Promise<string> {
  try {
    const response = await fetch(asked, { signal, redirect: 'manual' });
    if (!response.ok || !response.body) throw badAnswer(`The weather service answered ${response.status}.`);
    const chunks: Uint8Array[] = [];
    let bytes = 0;
    for await (const chunk of response.body as unknown as AsyncIterable<Uint8Array>) {
      bytes += chunk.length;
      if (bytes > MAX_ANSWER_BYTES)
        throw badAnswer(`The weather service answered more than ${MAX_ANSWER_BYTES / 1e6} MB.`);
      chunks.push(chunk);
    }
    return Buffer.concat(chunks).toString('utf8');
  } catch (error) {
    if (error instanceof HttpError) throw error;
    throw new HttpError(504, {
      error: 'weather',
      message: `The forecast did not arrive within ${waitMs / 1000} s. Enter the air by hand; ask again later.`,
    });
  }
}

function parsed(text: string): unknown {
  try {
    const body: unknown = JSON.parse(text);
    checkJsonLimits(body);
    return body;
  } catch {
    throw badAnswer('The weather service did not answer with valid JSON.');
  }
}

function badAnswer(what: string): HttpError {
  return new HttpError(502, {
    error: 'weather',
    message: `${what} Enter the air by hand; ask again later.`,
  });
}
