import { describe, expect, it } from 'vitest';
import {
  BASELINE,
  MEDIUM_FAIRWAY,
  usualRules,
  usualRemedies,
  usualRoundChoosing,
  type BagPreferences,
  type LadderClub,
} from '../../src/index.js';
import { club, strongSetWedge } from '../bag-of-clubs.js';

/** A bag with a hole below its set wedge, and the club for the hole in the locker. */
const bag = strongSetWedge().filter(({ name }) => name !== '52');
const locker: readonly LadderClub[] = [...bag, club('50', 'wedge', 50, 106)];
const bagIds = bag.map(({ id }) => id);

function remediesWith(preferences?: Partial<BagPreferences>) {
  const round = usualRoundChoosing({
    clubs: locker,
    from: { conditions: BASELINE, surface: MEDIUM_FAIRWAY },
  })!;
  const question = { bagIds, options: {}, limit: bag.length, ...(preferences && { preferences }) };
  return usualRemedies(round, question);
}
const swaps = (preferences?: Partial<BagPreferences>) =>
  remediesWith(preferences).filter(({ kind }) => kind === 'swap');

describe('what may be done to a bag, by what the player wants', () => {
  it('puts the club for the hole in, where it is not given', () => {
    expect(swaps()[0]).toMatchObject({ inId: '50' });
  });

  it('never sells what is in the locker, by whatever name', () => {
    expect(remediesWith().filter(({ kind }) => kind === 'buy')).toEqual([]);
  });

  it('never offers a club the player does not want', () => {
    expect(swaps({ never: ['50'] })).toEqual([]);
  });

  it('never takes out what is always to be in', () => {
    const out = swaps()[0]!.outId!;
    expect(swaps({ always: [out] })[0]?.outId).not.toBe(out);
    expect(swaps({ always: bagIds })).toEqual([]);
  });

  it('puts no second driver in, and no club past what there may be of its kind, unless that is allowed', () => {
    const mini = club('Mini driver', 'driver', 13, 240);
    const room = { bagIds, options: {}, limit: 14 };
    const round = usualRoundChoosing({
      clubs: [...locker, mini],
      from: { conditions: BASELINE, surface: MEDIUM_FAIRWAY },
    })!;
    const ins = (preferences: Partial<BagPreferences>) =>
      usualRemedies(round, { ...room, preferences }).map(({ inId }) => inId);
    expect(ins({})).toContain('50');
    expect(ins({})).not.toContain('Mini driver');
    expect(ins({ kinds: [{ kind: 'wedge', most: 2 }] })).not.toContain('50');
    expect(ins({ oneOf: [['50', '56']] })).not.toContain('50');
    expect(ins({ mustCover: [{ distanceM: 400, withinM: 5 }] })).toContain('50');
  });

  it('a club that is not trusted must gain more', () => {
    const [plain] = swaps();
    const [liked] = swaps({ comfort: { '50': 0.3 } });
    expect(liked!.gain).toBeCloseTo(plain!.gain + 0.3, 6);
    expect(swaps({ comfort: { '50': -5 } })).toEqual([]);
  });

  it('carries no more clubs than the player does, and no more than there may be', () => {
    const limit = (preferences: Partial<BagPreferences> | undefined, allowed: number) =>
      usualRules({ bagIds, options: {}, limit: allowed, ...(preferences && { preferences }) }).preferences
        .limit;
    expect(limit({ limit: 11 }, 14)).toBe(11);
    expect(limit({ limit: 14 }, 10)).toBe(10);
    expect(limit(undefined, 14)).toBe(14);
  });
});
