import { STRIKE_PARTS, type PlayingConditions, type Strike } from '@tasche/core';
import type { SessionStrikes } from './range-worker';

/** What many balls have in common: the club as it was built, the shot, and why they do not count. */
type Sort = Pick<SessionStrikes['strikes'][number], 'club'> &
  Pick<SessionStrikes['strikes'][number]['strike'], 'clubId' | 'shot' | 'leftOut'>;

/** The balls of a session on their way to the worker: columns, as thousands of objects would block the page. */
export interface PackedStrikes {
  setting: PlayingConditions;
  ids: readonly string[];
  sorts: readonly Sort[];
  /** Of each ball in turn its place among the sorts. */
  sortOf: Uint32Array;
  /** Of each ball in turn its parts as they were given; NaN where one was not. */
  given: Float64Array;
}
const WIDTH = STRIKE_PARTS.length;

export function packStrikes({ setting, strikes }: SessionStrikes): PackedStrikes {
  const sorts: Sort[] = [];
  const places = new Map<string, number>();
  const sortOf = new Uint32Array(strikes.length);
  const given = new Float64Array(strikes.length * WIDTH);
  strikes.forEach(({ strike, club }, i) => {
    const { clubId, shot, leftOut } = strike;
    const key = `${clubId} ${shot} ${club?.kind} ${club?.loftDeg} ${leftOut ?? ''}`;
    let place = places.get(key);
    if (place === undefined) {
      place = sorts.push({ club, clubId, shot, leftOut }) - 1;
      places.set(key, place);
    }
    sortOf[i] = place;
    STRIKE_PARTS.forEach((part, k) => {
      given[i * WIDTH + k] = strike.given[part] ?? NaN;
    });
  });
  return { setting, ids: strikes.map(({ strike }) => strike.id), sorts, sortOf, given };
}

export function unpackStrikes({ setting, ids, sorts, sortOf, given }: PackedStrikes): SessionStrikes {
  return {
    setting,
    strikes: ids.map((id, i) => {
      const { club, ...rest } = sorts[sortOf[i]!]!;
      const parts = STRIKE_PARTS.flatMap((part, k): [string, number][] => {
        const value = given[i * WIDTH + k]!;
        return Number.isNaN(value) ? [] : [[part, value]];
      });
      return { strike: { id, ...rest, given: Object.fromEntries(parts) as Strike }, club };
    }),
  };
}
