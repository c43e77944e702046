import { readWeather, type WeatherAnswer } from '@tasche/contract';
import * as yup from 'yup';
import { Refusal } from '../http/refusal.js';

/** Where a forecast is for. */
export interface ForecastPlace { name: string; latitudeDeg: number; longitudeDeg: number; altitudeM: number }

/** Says what the air may be on some days at a place, as an ensemble. */
export interface ForecastSource {
  /** @throws Refusal 504 when it does not answer in time, 502 when what it answers is no forecast */
  forecast(place: ForecastPlace, from: string, days: number, signal?: AbortSignal): Promise<WeatherAnswer>;
}

/** Past this nobody waits: the numbers are typed by hand. */
export const FORECAST_MS = 6000;

/** A service that speaks as docs/formats/weather.md says, at an address its owner named. */
export function weatherAt(address: string, waitMs = FORECAST_MS): ForecastSource {
  return {
    async forecast({ name, latitudeDeg, longitudeDeg, altitudeM }, from, days, signal) {
      const asked = new URL('/forecast', address);
      asked.search = new URLSearchParams({ name, latitude: String(latitudeDeg), longitude: String(longitudeDeg), altitude: String(altitudeM), from, days: String(days) }).toString();
      let body: unknown;
      try {
        const response = await fetch(asked, { signal: AbortSignal.any([AbortSignal.timeout(waitMs), ...(signal ? [signal] : [])]) });
        if (!response.ok) throw new Refusal(502, { error: 'weather', message: `The weather service answered ${response.status}. Write the air down by hand; ask again later.` });
        body = await response.json();
      } catch (error) {
        if (error instanceof Refusal) throw error;
        if (error instanceof SyntaxError) throw new Refusal(502, { error: 'weather', message: 'What the weather service answered is no JSON. Write the air down by hand.' });
        throw new Refusal(504, { error: 'weather', message: `The forecast did not come within ${waitMs / 1000} s. Write the air down by hand; ask again later.` });
      }
      try {
        return readWeather(body);
      } catch (error) {
        if (!(error instanceof yup.ValidationError)) throw error;
        throw new Refusal(502, { error: 'weather', message: `What the weather service answered is no forecast: ${error.errors[0]!}. Write the air down by hand.` });
      }
    },
  };
}
