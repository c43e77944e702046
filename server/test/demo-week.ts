import { planImport, readClubText } from '@tasche/contract';
import {
  BASELINE,
  MEDIUM_FAIRWAY,
  DEFAULT_PREFERENCES,
  chooseBag,
  choosingOfRound,
  ladderClub,
  roundChoosing,
  type Fact,
  type LadderClub,
  type RoundDay,
  type Spec,
  type BagPreferences,
} from '@tasche/core';
import { DEMO_COURSES } from '../src/demo/meridian-courses.js';
import { demoSheet } from '../src/demo/demo-sheet.js';
import { DEMO_PLAYERS } from '../src/demo/meridian-swing.js';

export const FROM = { conditions: BASELINE, surface: MEDIUM_FAIRWAY };

export function lockerOf(name: string): { clubs: LadderClub[]; gamerIds: readonly string[] } {
  const player = DEMO_PLAYERS.find((one) => one.name === name)!;
  const { adds } = planImport(
    readClubText(demoSheet(player.file), {
      distanceUnit: player.distanceUnit,
      takenOn: '2026-09-26',
    }),
    [],
  );
  const clubs = adds.flatMap(({ name: id, kind, readings }) => {
    const spec: Spec = Object.fromEntries(
      readings.map(({ key, value, takenOn }) => [key, { value, takenOn } as Fact]),
    );
    return spec.state?.value === 'retired' || spec.state?.value === 'on loan'
      ? []
      : [ladderClub({ id, name: id, kind, spec })];
  });
  return { clubs, gamerIds: player.bags[0]!.clubs };
}
export function dayOn(name: string, season: string): RoundDay {
  const course = DEMO_COURSES.find((one) => one.name === name)!;
  const { air, ground } = course.seasons.find((one) => one.name === season)!;
  return { course, tee: 0, air, ground };
}
type Week = ReturnType<typeof chosenWeek>;
const weeks = new Map<string, Week>();
/** A round of the demo with its choice, which takes a second or two: the same one is worked out once. */
export function week(
  player: string,
  course: string,
  season: string,
  preferences: Partial<BagPreferences> = {},
): Week {
  const key = JSON.stringify([player, course, season, preferences]);
  const known = weeks.get(key) ?? chosenWeek(player, course, season, preferences);
  weeks.set(key, known);
  return known;
}
function chosenWeek(player: string, course: string, season: string, preferences: Partial<BagPreferences>) {
  const { clubs, gamerIds } = lockerOf(player);
  const wanted = { ...DEFAULT_PREFERENCES, ...preferences };
  const order = { day: dayOn(course, season), clubs, from: FROM, preferences: wanted };
  const round = roundChoosing(order);
  const rules = { preferences: wanted, school: 'even-carries' as const, gamerIds };
  const choosing = choosingOfRound(round, rules);
  return { order, round, rules, choosing, answer: chooseBag(choosing, 1)!, clubs };
}
