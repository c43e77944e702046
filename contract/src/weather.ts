import type { RoundAir } from '@tasche/core';
import * as yup from './yup.js';
import { MAX_MEMBERS } from './event-schemas.js';
import { roundAirSchema } from './course-schemas.js';
import { dateSchema, textSchema, wholeDocument } from './schemas.js';

/**
 * What a weather service answers: docs/formats/weather.md. A day's members are as many ways it may turn out,
 * all as likely.
 */
export interface WeatherAnswer {
  source: string;
  days: readonly { day: string; members: readonly RoundAir[] }[];
}
/** What the browser is answered: the same, and when it was asked. */
export interface ForecastView extends WeatherAnswer {
  askedAt: string;
}

export const MAX_FORECAST_DAYS = 16;

const required = <S extends yup.Schema>(schema: S) => schema.required('${path} is missing');

/** Fields a service adds are passed over; what is asked of it must be there and within what air can be. */
const weatherSchema = wholeDocument(
  yup.object({
    source: required(textSchema(80)),
    days: yup
      .array(
        required(
          yup.object({
            day: required(dateSchema),
            members: yup
              .array(required(roundAirSchema))
              .min(1, '${path} is empty')
              .max(MAX_MEMBERS, `\${path} holds more than ${MAX_MEMBERS}`)
              .required('${path} is missing'),
          }),
        ),
      )
      .max(MAX_FORECAST_DAYS)
      .required('${path} is missing'),
  }),
);

/** @throws yup.ValidationError naming every bad field */
export function readWeather(body: unknown): WeatherAnswer {
  return weatherSchema.validateSync(body, { strict: true, abortEarly: false }) as WeatherAnswer;
}
