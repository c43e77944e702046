import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  BASELINE,
  MEDIUM_FAIRWAY,
  SHOT_KINDS,
  USUAL_GROUND,
  caddieAnswer,
  distanceCard,
  isShotKind,
  ladderClub,
  ownShotLines,
  ownShotName,
  gaps,
  shapeWords,
  shotKindWords,
  shotKindsIn,
  shotName,
  usualShotOf,
  type Shot,
  type ShotKind,
} from '../../src/index.js';
import { club, yards } from '../bag-of-clubs.js';

const from = { conditions: BASELINE, surface: MEDIUM_FAIRWAY };
const stated = (carryYd: number, more: Partial<Shot> = {}): Shot => ({
  carryM: yards(carryYd),
  source: 'stated',
  ...more,
});

describe('a shot of a player’s own', () => {
  it('is a usual one with a name after it', () => {
    for (const kind of ['choked: into the wind', 'full: cut', 'half: 9 o’clock', 'hard: x'])
      expect(isShotKind(kind)).toBe(true);
    expect(usualShotOf('choked: into the wind')).toBe('choked');
    expect(ownShotName('choked: into the wind')).toBe('into the wind');
    expect(ownShotName('choked')).toBeUndefined();
  });

  it.each([
    'cut',
    'full:cut',
    'full: ',
    'full:  cut',
    'full: cut ',
    'full: low, cut',
    'full: a:b',
    'full: a;b',
    'full: a~b',
    'Full: cut',
    'full: a\u0000b',
    'full: a\nb',
    'full: a\ud800b',
    'full: \u200bcut',
    'full: a name that is longer than it may be',
  ])('"%s" is none', (kind) => {
    expect(isShotKind(kind)).toBe(false);
  });

  it('a name is up to 24 characters, whatever they are', () => {
    const names = fc.stringMatching(/^[A-Za-z0-9'’ ()/+-]{1,30}$/);
    fc.assert(
      fc.property(names, (name) => {
        expect(isShotKind(`full: ${name}`)).toBe(name.trim() === name && name.length <= 24);
      }),
    );
  });

  it('stands after the usual one it belongs to, by its name', () => {
    const shots = Object.fromEntries(
      ['half', 'full: cut', 'choked: low', 'full', 'choked: into the wind', 'choked'].map((kind) => [
        kind,
        true,
      ]),
    ) as Partial<Record<ShotKind, boolean>>;
    expect(shotKindsIn(shots)).toEqual([
      'full',
      'full: cut',
      'choked',
      'choked: into the wind',
      'choked: low',
      'half',
    ]);
    expect(shotKindsIn({ full: true, soft: undefined })).toEqual(['full']);
    expect(SHOT_KINDS.every((kind) => isShotKind(kind))).toBe(true);
  });

  it('has words a player says', () => {
    expect(shotKindWords('choked: into the wind')).toBe('choked, into the wind');
    expect(shotKindWords('full: cut')).toBe('cut');
    expect(shotKindWords('soft')).toBe('soft');
    expect(shotName('choked: into the wind', '7 iron')).toBe('7 iron, choked, into the wind');
    expect(shotName('full: cut', '5 wood')).toBe('5 wood, cut');
    expect(shotName('soft', 'PW')).toBe('soft PW');
  });

  it('is read off a club’s sheet with its carry, beside the usual ones', () => {
    const takenOn = '2026-10-01';
    const { shots } = ladderClub({
      id: 'a',
      name: '7 iron',
      kind: 'iron',
      spec: {
        'shot.choked: into the wind': { value: stated(150, { startDeg: -2 }), takenOn },
        'shot.full': { value: stated(165), takenOn },
      },
    });
    expect(Object.keys(shots)).toEqual(['full', 'choked: into the wind']);
    expect(shots['choked: into the wind']!.startDeg).toBe(-2);
  });
});

describe('a bag with shots of the player’s own', () => {
  const wedges = (partials: Partial<Record<ShotKind, Shot>> = {}) => [
    club('9 iron', 'iron', 42, 140),
    club('PW', 'wedge', 46, 128, { partials }),
    club('56', 'wedge', 56, 92),
    club('60', 'wedge', 60, 80),
  ];

  const known = stated(110, { source: 'measured', sampleSize: 30, spreadM: 2 });

  it('covers a step with one, and says so by its name', () => {
    const words = (clubs: ReturnType<typeof wedges>) => JSON.stringify(gaps(clubs));
    expect(words(wedges())).not.toContain('flighted');
    expect(words(wedges({ 'three-quarter: flighted': known }))).toContain('three-quarter: flighted');
  });

  it('answers a caddie’s question with one where it fits best, and none is worse for being known', () => {
    const ask = (clubs: ReturnType<typeof wedges>) =>
      caddieAnswer(
        {
          distanceM: yards(110),
          windMps: 0,
          windFromDeg: 0,
          lie: 'fairway',
          elevationChangeM: 0,
          mustHold: true,
        },
        clubs,
        from,
        { still: BASELINE, ground: USUAL_GROUND },
        4,
      ).options[0]!;
    const without = ask(wedges());
    const withIt = ask(wedges({ 'three-quarter: flighted': known }));
    expect(withIt.shot).toBe('three-quarter: flighted');
    expect(withIt.strokes).toBeLessThan(without.strokes);
    // One that is never wanted changes nothing.
    expect(ask(wedges({ 'half: bump': stated(35) })).strokes).toBeCloseTo(without.strokes, 9);
  });

  it('has them on its card, each with where it starts and how it curves', () => {
    const card = distanceCard({
      clubs: [
        club('7 iron', 'iron', 33, 160, {
          partials: { 'choked: into the wind': stated(145, { startDeg: -2, curveM: yards(6) }) },
        }),
      ],
      from,
      bagIds: ['7 iron'],
      day: { still: BASELINE, ground: USUAL_GROUND },
      steps: { windMps: 5, elevationChangeM: 10, temperatureC: 10 },
    });
    expect(ownShotLines(card, 'yd')).toEqual([
      '7 iron, choked, into the wind: 145, starts 2° left, curves 6 yd right',
    ]);
    expect(ownShotLines({ ...card, clubs: [] }, 'yd')).toEqual([]);
  });

  it.each([
    [{ startDeg: 1.5, curveM: -4 }, 'starts 1.5° right, curves 4 m left'],
    [{ startDeg: 0, curveM: 0.2 }, ''],
    [{ curveM: 10 }, 'curves 10 m right'],
    [{}, ''],
  ])('%o is told as "%s"', (shape, words) => {
    expect(shapeWords(shape, 'm')).toBe(words);
  });
});
