import {
  BASELINE,
  DEFAULT_PREFERENCES,
  MEDIUM_FAIRWAY,
  choose,
  choosingOfRound,
  clubsOfIds,
  costOfBag,
  remedies,
  roundChoosing,
  usualRoundChoosing,
} from '@tasche/core';
import { dayOn, lockerOf } from '../../server/test/demo-week.js';
import { percentile, report } from './figure.js';

const TIMES = 9;
const FROM = { conditions: BASELINE, surface: MEDIUM_FAIRWAY };

/**
 * From a course and a locker to a bag, and from a bag to its remedies, each as a page asks for it the first
 * time.
 */
export function benchRounds(): void {
  const { clubs, gamerIds } = lockerOf('Davor Kolar');
  const rules = { preferences: DEFAULT_PREFERENCES, school: 'even-carries', gamerIds } as const;

  const round = timed(() => {
    const worked = roundChoosing({
      day: dayOn('Skarvoy Links', 'spring'),
      clubs,
      from: FROM,
      preferences: DEFAULT_PREFERENCES,
    });
    choose(choosingOfRound(worked, rules).model);
  });
  report(
    `a round cold to its bag: eighteen holes played, ${clubs.length} clubs costed, chosen`,
    `median ${round.toFixed(0)} ms`,
    'under 1,000 ms',
    round < 1000,
  );

  const usual = usualRoundChoosing({ clubs, from: FROM })!;
  const found = timed(() => {
    remedies({
      bag: clubsOfIds(usual.clubs, gamerIds),
      leftOut: usual.clubs.filter(({ id }) => !gamerIds.includes(id)),
      costOf: costOfBag(usual, { ...rules, preferences: { ...DEFAULT_PREFERENCES, changeStrokes: 0 } }),
      limit: 14,
    });
  });
  report(
    'remedies of a bag, its usual round known',
    `median ${found.toFixed(0)} ms`,
    'under 100 ms',
    found < 100,
  );
  const first = timed(() => usualRoundChoosing({ clubs, from: FROM }));
  report(
    'a usual round worked out for a locker, before the first remedy',
    `median ${first.toFixed(0)} ms`,
    'under 300 ms',
    first < 300,
  );
}

function timed(work: () => void): number {
  const times = Array.from({ length: TIMES }, () => {
    const start = performance.now();
    work();
    return performance.now() - start;
  });
  return percentile(times, 0.5);
}
