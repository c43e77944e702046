import { describe, expect, it } from 'vitest';
import { calcGaps, ladderClubsSchema, readingSchema, shotKindSchema } from '../src/index.js';

const shot = (carryM: number, more: object = {}) => ({ carryM, source: 'stated', ...more });
const reading = (key: string, value: unknown = shot(140)) => ({ key, value, takenOn: '2026-10-01' });
const refusal = (document: unknown): string => {
  try {
    readingSchema.validateSync(document, { strict: true });
    return '';
  } catch (error) {
    return (error as Error).message;
  }
};

describe('shots of a player’s own at the border', () => {
  it('are readings by their names, with where they start and how they curve', () => {
    expect(refusal(reading('shot.choked: into the wind', shot(140, { startDeg: -2, curveM: 5 })))).toBe('');
    expect(refusal(reading('shot.full: cut', null))).toBe('');
  });

  it('are refused by the field that is wrong', () => {
    for (const key of ['shot.cut', 'shot.full:cut', 'shot.full: a, b', 'shot.', 'shot', 'shot.full: '])
      expect(refusal(reading(key)), key).toBe('key is not a quantity this sheet keeps');
    expect(refusal(reading('shot.full: cut', shot(140, { startDeg: 40 })))).toContain('startDeg');
    expect(refusal(reading('shot.full: cut', shot(140, { curveM: 200 })))).toContain('curveM');
    expect(refusal(reading('shot.full: cut', shot(900)))).toContain('carryM must be between');
  });

  it.each([0, null, ['shot.full'], {}])('a key that is %o is refused as one', (key) => {
    expect(refusal({ ...reading('shot.full'), key })).toMatch(/^key /);
  });

  it('a shot kind says what it may be', () => {
    expect(shotKindSchema.isValidSync('full: cut')).toBe(true);
    expect(() => shotKindSchema.validateSync('cut')).toThrow('with a name of up to 24 characters');
  });

  const club = (own: readonly string[]) => ({
    id: '7',
    name: '7 iron',
    kind: 'iron',
    loftDeg: 33,
    shots: Object.fromEntries(['full', ...own].map((kind, i) => [kind, shot(150 - i)])),
  });
  const check = (own: readonly string[]) => () =>
    ladderClubsSchema.validateSync([club(own)], { strict: true });

  it('come in a document of calc, six of a club at most', () => {
    const six = Array.from({ length: 6 }, (_one, i) => `half: number ${i}`);
    expect(check(six)).not.toThrow();
    expect(check([...six, 'half: one more'])).toThrow('more than 6 shots');
    expect(check(['cut'])).toThrow('unknown field: cut');
    expect(check(['choked', 'choked: low'])).not.toThrow();
  });

  it('divide a step in calc gaps, by their names', () => {
    const clubs = (own: object) => [
      { id: 'a', name: '9 iron', kind: 'iron', loftDeg: 42, shots: { full: shot(128) } },
      {
        id: 'b',
        name: 'PW',
        kind: 'wedge',
        loftDeg: 46,
        shots: { full: shot(117), ...own },
      },
      { id: 'c', name: '56', kind: 'wedge', loftDeg: 56, shots: { full: shot(84) } },
      { id: 'd', name: '60', kind: 'wedge', loftDeg: 60, shots: { full: shot(73) } },
    ];
    const measured = { carryM: 100, source: 'measured', sampleSize: 30, spreadM: 3 };
    expect(JSON.stringify(calcGaps({ clubs: clubs({ 'soft: flighted': measured }) }))).toContain(
      'soft: flighted',
    );
    expect(JSON.stringify(calcGaps({ clubs: clubs({}) }))).not.toContain('flighted');
  });
});
