import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  SwapError,
  applySwaps,
  bagFindings,
  formatDistance,
  fromMetres,
  gaps,
  kindFromName,
  loftFromName,
  swapEffects,
  swapsBetween,
  swapsThatApply,
  toMetres,
  bagFindingSentence,
} from '../../src/index.js';
import { club, strongSetWedge } from '../bag-of-clubs.js';

describe('a bag against the rules', () => {
  it('counts to fourteen, Rule 4.1b', () => {
    expect(bagFindings(strongSetWedge())).toEqual([]);
    const over = [...strongSetWedge(), club('2i', 'iron', 18, 215), club('48', 'wedge', 48, 113)];
    expect(bagFindings(over)).toContainEqual({
      code: 'over-limit',
      severity: 'rule',
      clubIds: [],
      rule: '4.1b',
      value: 16,
      limit: 14,
    });
    expect(bagFindings(strongSetWedge(), { clubLimit: 10 })[0]).toMatchObject({ value: 14, limit: 10 });
  });

  // Equipment Rules, Part 2: at least 18 in, at most 48 in except putters; Model Local Rule: 46 in.
  it('measures lengths: 18 to 48 in, a putter longer, 46 by local rule', () => {
    const codes = (length: number, kind: 'driver' | 'putter' = 'driver', lengthMaxIn = 48) =>
      bagFindings([club('X', kind, 9, 250, { lengthIn: length }), club('P', 'putter', 3, undefined)], {
        lengthMaxIn,
      }).map((finding) => finding.code);
    expect(codes(48)).toEqual([]);
    expect(codes(48.25)).toEqual(['too-long']);
    expect(codes(50, 'putter')).not.toContain('too-long');
    expect(codes(46.5, 'driver', 46)).toEqual(['too-long']);
    expect(codes(17.5)).toEqual(['too-short']);
  });

  it('misses a putter, and sees one club written twice', () => {
    const codes = bagFindings([
      club('7 iron', 'iron', 32, 161),
      { ...club('7 Iron ', 'iron', 32.1, 160), id: 'other' },
    ]).map((finding) => finding.code);
    expect(codes).toEqual(['no-putter', 'duplicate']);
    expect(bagFindings([])).toEqual([]);
  });

  it('is said with the names and the numbers', () => {
    const clubs = [
      club('7 iron', 'iron', 32, 161, { lengthIn: 49 }),
      { ...club('7 iron', 'iron', 32, 160, { lengthIn: 17 }), id: 'other' },
    ];
    const nameOf = (id: string) => clubs.find((one) => one.id === id)!.name;
    expect(
      bagFindings(clubs, { clubLimit: 1 }).map((finding) => bagFindingSentence(finding, nameOf)),
    ).toEqual([
      '2 clubs, 1 allowed: 1 must go.',
      '7 iron is 49 in long, over 48 in.',
      '7 iron is 17 in long, under 18 in.',
      'No putter in the bag.',
      '7 iron is in the bag twice at 32°: by mistake?',
    ]);
  });
});

describe('swaps', () => {
  it('put the newcomer in the place of the one that goes', () => {
    expect(applySwaps(['a', 'b', 'c'], [{ outId: 'b', inId: 'x' }, { inId: 'y' }, { outId: 'a' }])).toEqual([
      'x',
      'c',
      'y',
    ]);
  });

  it('are refused by number when they cannot be made', () => {
    expect(() => applySwaps(['a'], [{ outId: 'z' }])).toThrow(
      new SwapError(0, 'swap 1 takes out a club that is not in the bag'),
    );
    expect(() => applySwaps(['a', 'b'], [{ outId: 'b' }, { inId: 'a' }])).toThrow(
      'swap 2 puts in a club that is in the bag already',
    );
    expect(() => applySwaps(['a'], [{}])).toThrow('swap 1 names no club');
  });

  it('say what each does to the ladder, given those before it', () => {
    const locker = [...strongSetWedge(), club('48', 'wedge', 48, 113)];
    const ids = strongSetWedge().map((one) => one.id);
    const [first, second] = swapEffects(
      ids,
      [
        { outId: '5 wood', inId: '48' },
        { outId: '48', inId: '5 wood' },
      ],
      locker,
      {},
    );
    expect(first!.closed.map((step) => `${step.upperId}>${step.lowerId}`)).toEqual([
      '3 wood>5 wood',
      '5 wood>Hybrid',
      'PW>52',
    ]);
    expect(first!.opened.map((step) => `${step.upperId}>${step.lowerId}`)).toEqual([
      '3 wood>Hybrid',
      'PW>48',
      '48>52',
    ]);
    expect(second!.after.evenness).toEqual(first!.before.evenness);
    expect(second!.before).toEqual(first!.after);
  });

  it('are kept as far as they can be made of another bag', () => {
    const swaps = [{ outId: 'b', inId: 'x', why: 'wind' }, { outId: 'c', inId: 'y' }, { outId: 'x' }];
    expect(swapsThatApply(['a', 'b', 'c'], swaps)).toEqual(swaps);
    expect(swapsThatApply(['a', 'c', 'x'], swaps)).toEqual(swaps.slice(1));
    expect(swapsThatApply(['a', 'b', 'y'], swaps)).toEqual([swaps[0], swaps[2]]);
  });

  it('between two bags make the one of the other, and keep the reasons there are (property)', () => {
    expect(
      swapsBetween(['a', 'b', 'c'], ['a', 'x', 'c', 'y'], [{ outId: 'q', inId: 'x', why: 'wind' }]),
    ).toEqual([{ outId: 'b', inId: 'x', why: 'wind' }, { inId: 'y' }]);
    const bags = fc.uniqueArray(fc.constantFrom(...'abcdefgh'), { maxLength: 8 });
    fc.assert(
      fc.property(bags, bags, (from, to) => {
        const swaps = swapsBetween(from, to);
        expect(applySwaps(from, swaps).sort()).toEqual([...to].sort());
        expect(swapsThatApply(from, swaps)).toEqual(swaps);
      }),
    );
  });

  it('never lose or double a club (property)', () => {
    const ids = ['a', 'b', 'c', 'd', 'e', 'f'];
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            outId: fc.option(fc.constantFrom(...ids), { nil: undefined }),
            inId: fc.option(fc.constantFrom(...ids), { nil: undefined }),
          }),
          { maxLength: 8 },
        ),
        (raw) => {
          const swaps = raw.map((swap) => ({
            ...(swap.outId && { outId: swap.outId }),
            ...(swap.inId && { inId: swap.inId }),
          }));
          try {
            const after = applySwaps(ids.slice(0, 3), swaps);
            expect(new Set(after).size).toBe(after.length);
            expect(after.length).toBe(
              3 + swaps.filter((swap) => swap.inId).length - swaps.filter((swap) => swap.outId).length,
            );
          } catch (error) {
            expect(error).toBeInstanceOf(SwapError);
          }
        },
      ),
    );
  });

  it('are a pure function: the bag handed in is not touched', () => {
    const bag = Object.freeze(strongSetWedge());
    gaps(bag);
    expect(bag).toEqual(strongSetWedge());
  });
});

describe('distances', () => {
  it('1 yd is 0.9144 m exactly (international yard and pound agreement, 1959)', () => {
    expect(toMetres(1, 'yd')).toBe(0.9144);
    expect(fromMetres(91.44, 'yd')).toBeCloseTo(100, 12);
    expect(formatDistance(137.16, 'yd')).toBe('150 yd');
    expect(formatDistance(-0.1, 'm')).toBe('0 m');
  });
});

describe('what a name says of a club', () => {
  it.each([
    ['Driver', 'driver'],
    ['3w', 'fairway'],
    ['5 wood', 'fairway'],
    ['Hybrid 3', 'hybrid'],
    ['4h', 'hybrid'],
    ['Driving iron', 'driving iron'],
    ['7 iron', 'iron'],
    ['7i', 'iron'],
    ['PW', 'wedge'],
    ['56', 'wedge'],
    ['58.5°', 'wedge'],
    ['Lob wedge', 'wedge'],
    ['Putter', 'putter'],
    ['Chipper', 'chipper'],
    ['60V', 'wedge'],
    ['60° V', 'wedge'],
    ['Degree 56', 'wedge'],
    ['56 degree', 'wedge'],
    ['60*', 'wedge'],
    ['W50', 'wedge'],
    ['54/10', 'wedge'],
    ['50.08 F', 'wedge'],
    ['Lob', 'wedge'],
    ['Sand', 'wedge'],
    ['7', 'iron'],
    ['#7', 'iron'],
    ['UT3', 'driving iron'],
    ['W5', 'fairway'],
    ['Mini', 'driver'],
    ['Mallet', 'putter'],
    ['Eisen 7', 'iron'],
    ['7er', 'iron'],
    ['Fer 7', 'iron'],
    ['Hierro 4', 'iron'],
    ['7 Järn', 'iron'],
    ['järnsjua', 'iron'],
    ['Träfemma', 'fairway'],
    ['Bois 3', 'fairway'],
    ['Híbrido 22º', 'hybrid'],
    ['Trekølle 3', 'fairway'],
    ['Żelazo 7', 'iron'],
    ['3er Holz', 'fairway'],
    ['SW 56', 'wedge'],
    ['LW60°', 'wedge'],
    ['P/W', 'wedge'],
    ['G', 'wedge'],
    ['Lob 60', 'wedge'],
    ['52 (08)', 'wedge'],
    ['old PW', 'wedge'],
    ['5 fwy', 'fairway'],
    ['3FW', 'fairway'],
    ['3w old', 'fairway'],
    ['backup 4h', 'hybrid'],
    ['7i (bent)', 'iron'],
    ['Utility iron 3', 'driving iron'],
  ])('%s is a %s', (name, kind) => expect(kindFromName(name)).toBe(kind));
  it.each(['', 'Bertha', '99', '12', '70V', 'Blade runner', '56 and a half', 'A', 'E7', '3U'])(
    '"%s" says nothing',
    (name) => expect(kindFromName(name)).toBeUndefined(),
  );
});

describe('the loft a wedge is called by', () => {
  it.each([
    ['56', 56],
    ['SW 56', 56],
    ['LW60', 60],
    ['60V', 60],
    ['60°', 60],
    ['W50', 50],
    ['54/10', 54],
    ['52 (08)', 52],
    ['50.08 F', 50],
    ['54.5', 54.5],
    ['58 low', 58],
  ])('"%s" is %d°', (name, deg) => {
    expect(loftFromName(name, 'wedge')).toBe(deg);
  });
  it.each(['PW', 'sand wedge', 'wedge 2', '43', '65', '156', '560'])('"%s" says none', (name) => {
    expect(loftFromName(name, 'wedge')).toBeUndefined();
  });
  it('is only a wedge’s: a number in another name is something else', () => {
    expect(loftFromName('iron 56', 'iron')).toBeUndefined();
    expect(loftFromName('Driver 46', 'driver')).toBeUndefined();
  });
});
