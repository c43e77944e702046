import {
  AREAS,
  CONDITION_BOUNDS,
  FIRMNESSES,
  GRASSES,
  MEDIUM_FAIRWAY,
  type Conditions,
  type Firmness,
  type Surface,
} from '@tasche/core';
import * as yup from './yup.js';
import { finite } from './schemas.js';

const unknown = '${path} has an unknown field: ${unknown}';
const within = (field: keyof Conditions) => finite(...CONDITION_BOUNDS[field]);
const required = (field: keyof Conditions) => within(field).required('${path} is missing');

/** Air as a document gives it: the altitude may be left out where the pressure is given. */
export const conditionsSchema = yup
  .object({
    temperatureC: required('temperatureC'),
    altitudeM: within('altitudeM').when('pressureHpa', ([pressureHpa], schema: yup.NumberSchema) =>
      pressureHpa === undefined ? schema.required('${path} is missing (or give pressureHpa)') : schema,
    ),
    pressureHpa: within('pressureHpa'),
    humidityPct: required('humidityPct'),
    windMps: required('windMps'),
    windFromDeg: required('windFromDeg'),
    targetElevationM: required('targetElevationM'),
  })
  .strict()
  .noUnknown(unknown);

/** Air as it is kept: with its altitude, always. */
export const keptConditionsSchema = conditionsSchema.shape({ altitudeM: required('altitudeM') });

/** The conditions of a checked document. */
export function conditionsOf(document: yup.InferType<typeof conditionsSchema>): Conditions {
  const { pressureHpa, altitudeM, ...rest } = document;
  return { ...rest, altitudeM: altitudeM ?? 0, ...(pressureHpa !== undefined && { pressureHpa }) };
}

/** A surface: the firmness alone, meaning a fairway of bent grass, or its parts. */
export type SurfaceDocument = Firmness | (Partial<Surface> & { firmness: Firmness });

const surfaceParts = yup
  .object({
    area: yup.string().strict().oneOf(AREAS),
    firmness: yup.string().strict().oneOf(FIRMNESSES).required('${path} is missing'),
    grass: yup.string().strict().oneOf(GRASSES),
  })
  .strict()
  .noUnknown(unknown);

export const surfaceSchema = yup.lazy((value: unknown) =>
  typeof value === 'object' && value !== null
    ? surfaceParts
    : yup
        .string()
        .strict()
        .oneOf(
          FIRMNESSES,
          `\${path} must be one of ${FIRMNESSES.join(', ')}, or an object with firmness, area and grass`,
        ),
);

/** A surface as it is kept: all of it. */
export const keptSurfaceSchema = yup
  .object({
    area: yup.string().strict().oneOf(AREAS).required('${path} is missing'),
    firmness: yup.string().strict().oneOf(FIRMNESSES).required('${path} is missing'),
    grass: yup.string().strict().oneOf(GRASSES).required('${path} is missing'),
  })
  .strict()
  .noUnknown(unknown);

export function surfaceOf(document: SurfaceDocument | undefined): Surface {
  if (document === undefined) return MEDIUM_FAIRWAY;
  return typeof document === 'string'
    ? { ...MEDIUM_FAIRWAY, firmness: document }
    : { ...MEDIUM_FAIRWAY, ...document };
}
