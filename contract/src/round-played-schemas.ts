import { afterSchema, type RoundAfter } from './plan-choosing.js';
import { dateSchema, idSchema, textSchema } from './schemas.js';

/** A round played outside any event: when, where, with which bag, and what was seen of it. */
export interface RoundPlayedDetails {
  /** YYYY-MM-DD. */
  playedOn: string;
  /** May be empty: "club medal", "with the juniors". */
  name: string;
  /** Null where it is on none of the courses written down. */
  courseId: string | null;
  /** What was carried; null where not given. */
  bagId: string | null;
  after: RoundAfter;
}

export interface RoundPlayedView extends RoundPlayedDetails {
  id: string;
  playerId: string;
  version: number;
  removed: boolean;
}

export const roundPlayedDetails = {
  playedOn: dateSchema,
  name: textSchema(80),
  courseId: idSchema.nullable(),
  bagId: idSchema.nullable(),
  after: afterSchema,
};
