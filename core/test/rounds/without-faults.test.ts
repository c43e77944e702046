import { describe, expect, it } from 'vitest';
import {
  BASELINE,
  DEFAULT_PREFERENCES,
  MEDIUM_FAIRWAY,
  chooseBag,
  choosingOfRound,
  clubsOfIds,
  gaps,
  usualRoundChoosing,
  withoutFaults,
  type LadderClub,
} from '../../src/index.js';
import { club, strongSetWedge } from '../bag-of-clubs.js';

const FROM = { conditions: BASELINE, surface: MEDIUM_FAIRWAY };
const preferences = (clubs: readonly LadderClub[], unevenStrokes: number) => ({
  preferences: { ...DEFAULT_PREFERENCES, unevenStrokes },
  school: 'even-carries' as const,
  gamerIds: clubs.map(({ id }) => id),
});
const roundOf = (clubs: readonly LadderClub[]) => usualRoundChoosing({ clubs, from: FROM })!;

describe('the price of a bag without a fault', () => {
  // Two clubs at the top do one job, there is a gap under the set wedge, and the 48 that closes it is left at
  // home: a change must gain much.
  const gamer = strongSetWedge()
    .map((one) => (one.name === '6 iron' ? club('4 hybrid', 'hybrid', 20, 204) : one))
    .map((one) => (one.name === '5 iron' ? club('5.5', 'iron', 26, 179) : one));
  const round = roundOf([...gamer, club('48', 'wedge', 48, 113)]);
  const asked = preferences(gamer, 0);
  const slow = { ...asked, preferences: { ...asked.preferences, changeStrokes: 0.5 } };

  it('is what the sound bag costs more than the best, and it has no fault', () => {
    const best = chooseBag(choosingOfRound(round, slow), 0)!.best;
    expect(gaps(clubsOfIds(round.clubs, best.ids)).faults).toBeGreaterThan(0);
    const sound = withoutFaults(round, slow, 5)!;
    expect(sound.ids).toContain('48');
    expect(gaps(clubsOfIds(round.clubs, sound.ids)).faults).toBe(0);
    expect(sound.price).toBeGreaterThan(0);
    const again = { ...slow, preferences: { ...slow.preferences, unevenStrokes: sound.unevenStrokes } };
    expect(chooseBag(choosingOfRound(round, again), 0)!.best.ids).toEqual(sound.ids);
  });

  it('is not given where there is no fault, or nothing in the locker fixes one', () => {
    const even = [300, 282, 264, 246, 228, 210, 192, 174, 156, 138].map((yd, i) =>
      club(String(i), i === 0 ? 'driver' : 'iron', 10 + i * 4, yd * 0.9144),
    );
    expect(withoutFaults(roundOf(even), preferences(even, 0.04), 5)).toBeNull();
    const gapped = even.filter((_one, i) => i !== 5);
    expect(withoutFaults(roundOf(gapped), preferences(gapped, 0.04), 5)).toBeNull();
  });
});
