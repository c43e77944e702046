import {
  BASELINE,
  shotKindsIn,
  isFullSwing,
  moveShot,
  playsLike,
  swingOf,
  type LadderClub,
  type MovedShot,
  type PlaysLike,
  type PlayingConditions,
  type ShotKind,
} from '@tasche/core';
import * as yup from './yup.js';
import { named } from './flight-document.js';
import { ladderClubsSchema } from './ladder-clubs.js';
import { clubKindSchema, finite, wholeDocument } from './schemas.js';
import {
  conditionsOf,
  conditionsSchema,
  surfaceOf,
  surfaceSchema,
  type SurfaceDocument,
} from './setting-schemas.js';

/** What `tasche calc conditions` writes: docs/formats/conditions-output.schema.json. */
interface ConditionsAnswer {
  shots: readonly ({ clubId: string; shot: ShotKind } & Omit<MovedShot, 'launch' | 'isSlow'>)[];
  playsLike: readonly PlaysLike[];
}

const unknown = '${path} has an unknown field: ${unknown}';
const settingSchema = yup
  .object({
    conditions: conditionsSchema.default(undefined).required('${path} is missing'),
    surface: surfaceSchema as unknown as yup.Schema<SurfaceDocument | undefined>,
  })
  .strict()
  .noUnknown(unknown);

export const conditionsDocument = wholeDocument(
  yup
    .object({
      clubs: ladderClubsSchema,
      from: settingSchema.default(undefined),
      to: settingSchema.default(undefined).required('${path} is missing'),
      playsLike: yup
        .array(
          yup
            .object({
              kind: clubKindSchema.required('${path} is missing'),
              loftDeg: finite(0, 80),
              distanceM: finite(5, 350).required('${path} is missing'),
            })
            .strict()
            .noUnknown(unknown),
        )
        .max(200),
    })
    .strict()
    .noUnknown('unknown field: ${unknown}'),
);

/**
 * Moves every shot of the clubs to other air and ground, and says what distances play like there.
 * @throws yup.ValidationError naming every bad field
 * @example
 * calcConditions({
 *   clubs: [
 *     { id: '7', name: '7', kind: 'iron', loftDeg: 32, shots: { full: { carryM: 147, source: 'stated' } } },
 *   ],
 *   to: {
 *     conditions: { temperatureC: 21, altitudeM: 1520, humidityPct: 50, windMps: 0, windFromDeg: 0, targetElevationM: 0 },
 *     surface: 'medium',
 *   },
 * }).shots[0].shiftCarryM.toFixed(1)
 * // '5.3'
 */
export function calcConditions(document: unknown): ConditionsAnswer {
  const {
    clubs,
    from,
    to,
    playsLike: distances = [],
  } = conditionsDocument.validateSync(document, { strict: true, abortEarly: false });
  const there: PlayingConditions = {
    conditions: conditionsOf(to.conditions),
    surface: surfaceOf(to.surface),
  };
  const here: PlayingConditions = from
    ? { conditions: conditionsOf(from.conditions), surface: surfaceOf(from.surface) }
    : { conditions: BASELINE, surface: surfaceOf(undefined) };
  const shots = (clubs as unknown as LadderClub[])
    .filter((club) => isFullSwing(club.kind))
    .flatMap((club, i) =>
      shotKindsIn(club.shots).flatMap((kind) => {
        const shot = club.shots[kind];
        if (!shot) return [];
        try {
          const { launch: _launch, isSlow: _isSlow, ...moved } = moveShot(swingOf(club, shot, here), there);
          return [{ clubId: club.id, shot: kind, ...moved }];
        } catch (error) {
          throw named(error, `clubs[${i}].shots.${kind}.`);
        }
      }),
    );
  return {
    shots,
    playsLike: distances.map(({ distanceM, kind, loftDeg }, i) => {
      try {
        return playsLike({ kind, loftDeg }, distanceM, there.conditions, here.conditions);
      } catch (error) {
        throw named(error, `playsLike[${i}].`);
      }
    }),
  };
}
