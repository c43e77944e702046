import { kindFromName, loftFromName, type Reading } from '@tasche/core';
import type { ClubRow, ImportPlan } from './club-rows.js';
import { clubsOfSet } from './club-set.js';
import type { ClubView } from './views.js';

type Add = ImportPlan['adds'][number];

/** What all clubs of a set have in common. */
const SHARED: readonly Reading['key'][] = ['head', 'shaft', 'flex', 'swingWeight', 'grip', 'notes'];

/** "7i" and "7 iron" are one club. */
const keyOf = (name: string) =>
  /^([1-9])\s?-?(?:i|irons?)?$/i.exec(name.trim())?.[1] ?? name.trim().toLowerCase();

/** The clubs of a set that a locker does not have. */
export function missingOfSet(names: readonly string[], clubs: readonly Pick<ClubView, 'name'>[]): string[] {
  const there = new Set(clubs.map(({ name }) => keyOf(name)));
  return names.filter((name) => !there.has(keyOf(name)));
}

/** Why not all that a set's row says is taken, or undefined where it is. */
export function lostOfSet({ name, readings }: ClubRow, clubs: readonly ClubView[]): string | undefined {
  const all = clubsOfSet(name!)!;
  const missing = missingOfSet(all, clubs);
  const there = all.filter((one) => !missing.includes(one));
  if (readings.some(({ key }) => !SHARED.includes(key)))
    return `${name!} is ${all.length} clubs; give loft, length and carry club by club`;
  return there.length > 0 && readings.length > 0
    ? `${there.join(', ')}: in the locker already; give what is new of them club by club`
    : undefined;
}

/** A club of a set as it is added: a wedge that is called by its loft is stamped with it. */
function fresh(name: string, row: number, takenOn: string | undefined): Add {
  const kind = kindFromName(name)!;
  const deg = loftFromName(name, kind);
  const isStamped = deg !== undefined && takenOn !== undefined;
  return { row, name, kind, readings: isStamped ? [{ key: 'loftStampedDeg', value: deg, takenOn }] : [] };
}

/**
 * Clubs to be added with those of the sets among the rows: each club that is not there yet. One that has a row of
 * its own too is added once, with what both say.
 * @param sets rows that name a set: "4-PW", perhaps with its shaft
 */
export function withSets(
  adds: readonly Add[],
  sets: readonly ClubRow[],
  clubs: readonly ClubView[],
): readonly Add[] {
  const all = [...adds];
  for (const { row, name: set, readings, takenOn } of sets) {
    const shared = readings.filter(({ key }) => SHARED.includes(key));
    for (const name of missingOfSet(clubsOfSet(set!)!, clubs)) {
      const at = all.findIndex((add) => keyOf(add.name) === keyOf(name));
      const own = all[at] ?? fresh(name, row, takenOn);
      const more = shared.filter(({ key }) => own.readings.every((reading) => reading.key !== key));
      all.splice(at < 0 ? all.length : at, at < 0 ? 0 : 1, { ...own, readings: [...own.readings, ...more] });
    }
  }
  return all;
}
