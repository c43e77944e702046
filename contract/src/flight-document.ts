import { LAUNCH_BOUNDS, InvalidInputError, flight, runOut, type Launch } from '@tasche/core';
import * as yup from './yup.js';
import { finite, wholeDocument } from './schemas.js';
import {
  conditionsOf,
  conditionsSchema,
  surfaceOf,
  surfaceSchema,
  type SurfaceDocument,
} from './setting-schemas.js';

/**
 * What `tasche calc flight` writes: docs/formats/flight-output.schema.json. The lateral is at the end of the
 * carry, right of the line positive.
 */
export interface FlightAnswer {
  carryM: number;
  totalM: number;
  lateralM: number;
  apexM: number;
  descentDeg: number;
  landSpeedMps: number;
  flightS: number;
}

const within = (field: keyof Launch) => finite(...LAUNCH_BOUNDS[field]);
const required = (field: keyof Launch) => within(field).required('${path} is missing');

export const launchSchema = wholeDocument(
  yup
    .object({
      ballSpeedMps: required('ballSpeedMps'),
      launchDeg: required('launchDeg'),
      azimuthDeg: within('azimuthDeg'),
      spinRpm: required('spinRpm'),
      spinAxisDeg: within('spinAxisDeg'),
      conditions: conditionsSchema.default(undefined).required('${path} is missing'),
      surface: surfaceSchema as unknown as yup.Schema<SurfaceDocument | undefined>,
    })
    .strict()
    .noUnknown('unknown field: ${unknown}'),
);

const MAX_FLIGHTS = 10_000;

/**
 * Flies one launch, or each of a list, and lets it run out.
 * @throws yup.ValidationError naming every bad field, in a list with its place ("[3].spinRpm")
 * @example
 * calcFlight({
 *   ballSpeedMps: 53.6,
 *   launchDeg: 16.3,
 *   spinRpm: 7100,
 *   conditions: { temperatureC: 21, altitudeM: 0, humidityPct: 50, windMps: 0, windFromDeg: 0, targetElevationM: 0 },
 *   surface: 'medium',
 * }).carryM.toFixed(1)
 * // '154.9'
 */
export function calcFlight(document: unknown): FlightAnswer | FlightAnswer[] {
  if (!Array.isArray(document))
    return flown(launchSchema.validateSync(document, { strict: true, abortEarly: false }), '');
  const checked = yup
    .array(launchSchema)
    .max(MAX_FLIGHTS, `a list holds at most ${MAX_FLIGHTS} launches`)
    .validateSync(document, { strict: true, abortEarly: false }) as yup.InferType<typeof launchSchema>[];
  return checked.map((one, i) => flown(one, `[${i}].`));
}

function flown(document: yup.InferType<typeof launchSchema>, place: string): FlightAnswer {
  const { conditions, surface, ...launch } = document;
  try {
    const air = conditionsOf(conditions);
    const { carryM, lateralM, apexM, descentDeg, landSpeedMps, landAzimuthDeg, landSpinRpm, flightS } =
      flight(launch as Launch, air);
    const { runM } = runOut(
      { landSpeedMps, descentDeg, landSpinRpm: Math.max(0, landSpinRpm) },
      surfaceOf(surface),
    );
    return {
      carryM,
      totalM: carryM + runM * Math.cos((landAzimuthDeg * Math.PI) / 180),
      lateralM,
      apexM,
      descentDeg,
      landSpeedMps,
      flightS,
    };
  } catch (error) {
    throw named(error, place);
  }
}

/** The core's refusal as the border says it: with the field's place in the document. */
export function named(error: unknown, place: string): unknown {
  if (!(error instanceof InvalidInputError)) return error;
  const field = place + (error.field === 'targetElevationM' ? 'conditions.targetElevationM' : error.field);
  return new yup.ValidationError(`${field} ${error.reason}`, undefined, field);
}
