import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  GENERIC_SLEEVE,
  InvalidInputError,
  bendChoices,
  bendRangeOf,
  loftChoicesOf,
  readSleeve,
  sleeveOf,
  turnWords,
  bendRangeWords,
  type ClubKind,
  type Spec,
} from '../../src/index.js';

const on = (values: Record<string, number | string>, takenOn = '2026-03-01'): Spec =>
  Object.fromEntries(Object.entries(values).map(([key, value]) => [key, { value, takenOn }]));

describe('how far a head may be bent', () => {
  it('goes by the material, and the maker’s note before it', () => {
    const range = (values: Record<string, number | string>) =>
      bendRangeOf({ kind: 'iron', spec: on({ loftStampedDeg: 34, ...values }) });
    expect(range({ headMaterial: 'soft carbon steel' })).toMatchObject({ weakerDeg: 2, strongerDeg: 2 });
    expect(range({ headMaterial: 'cast stainless' })).toMatchObject({ weakerDeg: 1, strongerDeg: 1 });
    expect(range({ headMaterial: 'hollow' })).toMatchObject({ weakerDeg: 0, strongerDeg: 0 });
    expect(range({ headMaterial: 'hollow', bendMaxDeg: 1.5 })).toMatchObject({
      weakerDeg: 1.5,
      strongerDeg: 1.5,
    });
    expect(range({})).toMatchObject({ weakerDeg: 1, strongerDeg: 1, from: 'material not known' });
  });

  it('counts from the stamp: what was bent before is used up', () => {
    const spec = on({ loftStampedDeg: 34, loftSetDeg: 35.5, headMaterial: 'soft carbon steel' });
    expect(bendRangeOf({ kind: 'iron', spec })).toMatchObject({ weakerDeg: 0.5, strongerDeg: 3.5 });
    const over = on({ loftStampedDeg: 34, loftSetDeg: 37, headMaterial: 'soft carbon steel' });
    expect(bendRangeOf({ kind: 'iron', spec: over })).toMatchObject({ weakerDeg: 0, strongerDeg: 5 });
  });

  it('bends no wood, no putter, and no club without a loft', () => {
    expect(bendRangeOf({ kind: 'fairway', spec: on({ loftStampedDeg: 15 }) }).weakerDeg).toBe(0);
    expect(bendRangeOf({ kind: 'iron', spec: {} })).toMatchObject({ weakerDeg: 0, strongerDeg: 0 });
  });

  it('says who or what allows it', () => {
    const said = (spec: Spec, kind: ClubKind = 'iron') => bendRangeWords(bendRangeOf({ kind, spec }));
    const stamped = { loftStampedDeg: 46 };
    expect([
      said(on({ ...stamped, bendMaxDeg: 2 })),
      said(on(stamped)),
      said(on({ ...stamped, headMaterial: 'cast stainless' })),
      said(on({ ...stamped, headMaterial: 'hollow' })),
      said({}),
      said(on(stamped), 'fairway'),
    ]).toEqual([
      'maker allows 2°',
      'material not known: 1° at most',
      'cast stainless: 1° at most',
      'hollow: not bent',
      'no loft recorded',
      'not bent',
    ]);
  });

  it('keeps a wedge’s bounce inside the window, or no farther out than it is', () => {
    const range = { weakerDeg: 2, strongerDeg: 2 };
    const wedge = (bounceDeg: number) =>
      bendChoices({ kind: 'wedge', loftDeg: 56, bounceDeg }, range, { minDeg: 6, maxDeg: 12 });
    expect(wedge(11.5)).toEqual([-2, -1.5, -1, -0.5, 0, 0.5]);
    expect(Math.min(...wedge(14))).toBe(-2);
    expect(Math.max(...wedge(14))).toBe(0);
    expect(bendChoices({ kind: 'iron', loftDeg: 30, bounceDeg: 2 }, range)).toHaveLength(9);
  });

  it('always leaves the club as it is among the choices', () => {
    fc.assert(
      fc.property(
        fc.record({
          weakerDeg: fc.double({ min: 0, max: 4, noNaN: true }),
          strongerDeg: fc.double({ min: 0, max: 4, noNaN: true }),
        }),
        fc.double({ min: -5, max: 30, noNaN: true }),
        (range, bounceDeg) => {
          const choices = bendChoices({ kind: 'wedge', loftDeg: 56, bounceDeg }, range);
          expect(choices).toContain(0);
          for (const deg of choices) {
            expect(deg).toBeLessThanOrEqual(range.weakerDeg + 1e-9);
            expect(-deg).toBeLessThanOrEqual(range.strongerDeg + 1e-9);
          }
        },
      ),
    );
  });
});

describe('a sleeve', () => {
  it('is read as people write it', () => {
    expect(readSleeve('A1 0, B1 +1; C2 -0.75 lie +0.5 face -1')).toEqual([
      { name: 'A1', loftDeg: 0, lieDeg: 0, faceShutDeg: 0 },
      { name: 'B1', loftDeg: 1, lieDeg: 0, faceShutDeg: 1 },
      { name: 'C2', loftDeg: -0.75, lieDeg: 0.5, faceShutDeg: -1 },
    ]);
    expect(readSleeve('std: 0, up = +1,5°')[1]).toMatchObject({ name: 'up', loftDeg: 1.5 });
  });

  it.each(['A1', 'A1 +9', 'up and away', 'A1 0, B1 x'])('refuses "%s" by its name', (text) => {
    expect(() => readSleeve(text)).toThrow(InvalidInputError);
  });

  it('is generic where only a setting is written, and none where nothing is', () => {
    expect(sleeveOf({})).toBeUndefined();
    expect(sleeveOf(on({ setting: 'N' }))).toMatchObject({ positions: GENERIC_SLEEVE, generic: true });
    const own = on({ setting: 'b1', sleevePositions: 'A1 0, B1 +1' });
    expect(sleeveOf(own)).toMatchObject({ generic: false, now: { name: 'B1' } });
    // Its own table, and a setting that is not in it: nobody knows where it stands.
    expect(sleeveOf(on({ setting: 'Z', sleevePositions: 'A1 0, B1 +1' }))?.now).toBeUndefined();
  });

  it('says which way a turn goes', () => {
    const [standard, up] = readSleeve('A 0, B +1 lie +0.5');
    expect(turnWords(standard!, up!)).toBe('loft up 1.0°, face shut 1.0°, lie 0.5° up');
    expect(turnWords(up!, standard!)).toBe('loft down 1.0°, face open 1.0°, lie 0.5° down');
    expect(turnWords(up!, up!)).toBe('nothing moves');
  });

  it('gives a wood its turns and an iron its bends', () => {
    const wood = { id: 'a', name: '3 wood', kind: 'fairway' as const };
    expect(loftChoicesOf({ ...wood, spec: on({ loftStampedDeg: 15 }) })).toEqual([]);
    const turns = loftChoicesOf({
      ...wood,
      spec: on({ loftStampedDeg: 15, setting: 'B', sleevePositions: 'A 0, B +1, C -1' }),
    });
    expect(turns).toEqual([
      { byDeg: -1, effort: 1 },
      { byDeg: 0, effort: 0 },
      { byDeg: -2, effort: 1 },
    ]);
    const iron = { id: 'b', name: '7', kind: 'iron' as const, spec: on({ loftStampedDeg: 34 }) };
    expect(loftChoicesOf(iron).map(({ byDeg, effort }) => [byDeg, effort])).toEqual([
      [-1, 2],
      [-0.5, 1],
      [0, 0],
      [0.5, 1],
      [1, 2],
    ]);
  });
});
