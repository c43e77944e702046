import { describe, expect, it } from 'vitest';
import {
  BASELINE,
  InvalidInputError,
  MEDIUM_FAIRWAY,
  USUAL_GROUND,
  caddieAnswer,
  caddieLine,
  toMetres,
  type CaddieQuestion,
} from '../../src/index.js';
import { club, strongSetWedge } from '../bag-of-clubs.js';

const from = { conditions: BASELINE, surface: MEDIUM_FAIRWAY };
const day = { still: BASELINE, ground: USUAL_GROUND };
const bag = strongSetWedge();
const ask = (yd: number, more: Partial<CaddieQuestion> = {}, clubs = bag) =>
  caddieAnswer(
    {
      distanceM: toMetres(yd, 'yd'),
      windMps: 0,
      windFromDeg: 0,
      lie: 'fairway',
      elevationChangeM: 0,
      mustHold: true,
      ...more,
    },
    clubs,
    from,
    day,
    4,
  );
const carryOf = (id: string) => bag.find((one) => one.id === id)!.shots.full!.carryM;

describe('a caddie’s question', () => {
  it('in still air is answered with the club whose carry it is, and its neighbour', () => {
    for (const { id, name, kind, shots } of bag.filter((one) => one.kind === 'iron')) {
      const { options } = ask(shots.full!.carryM / 0.9144 + 1);
      expect(options[0]!.name, kind).toBe(name);
      expect(options[0]!.clubId).toBe(id);
      expect(options[1]!.clubId).not.toBe(id);
      expect(options[1]!.strokes).toBeGreaterThanOrEqual(options[0]!.strokes);
    }
  });

  it('a wind in the face or a green above takes more club, one behind less', () => {
    const carry = (more: Partial<CaddieQuestion>) => carryOf(ask(150, more).options[0]!.clubId);
    const still = carry({});
    expect(carry({ windMps: 8, windFromDeg: 0 })).toBeGreaterThan(still);
    expect(carry({ elevationChangeM: 15 })).toBeGreaterThan(still);
    expect(carry({ windMps: 8, windFromDeg: 180 })).toBeLessThan(still);
    expect(ask(150, { windMps: 8 }).playsLikeM!).toBeGreaterThan(toMetres(155, 'yd'));
  });

  it('says it in one line, in the player’s unit', () => {
    const answer = ask(150);
    const line = caddieLine(answer, 'yd');
    expect(line).toMatch(/^The .+: pitches \d+, stops .+\. Or the .+: pitches \d+, stops .+\.$/);
    expect(line).toContain(answer.options[0]!.name);
    expect(line).toContain(answer.options[1]!.name);
    const pitch = Number(/pitches (\d+)/.exec(line)![1]);
    const inMetres = Number(/pitches (\d+)/.exec(caddieLine(answer, 'm'))![1]);
    expect(Math.abs(pitch * 0.9144 - inMetres)).toBeLessThan(1);
  });

  it('says so when nothing reaches, plays short ones by feel, and of an empty bag says nothing of clubs', () => {
    expect(caddieLine(ask(400), 'yd')).toMatch(/^Out of reach: the .+ stops \d+ yd short\.$/);
    expect(caddieLine(ask(20), 'yd')).toContain('by feel');
    expect(caddieLine(ask(150, {}, []), 'yd')).toBe('No club of this bag has a carry yet.');
    const lone = ask(150, {}, [club('7', 'iron', 32, 150)]);
    expect(lone.options).toHaveLength(1);
    expect(caddieLine(lone, 'yd')).toMatch(/^The 7: pitches 1\d\d, stops [^.]+\.$/);
  });

  it('names the field of a question that cannot be', () => {
    const bad = (more: Partial<CaddieQuestion>) => {
      try {
        ask(150, more);
      } catch (error) {
        return error instanceof InvalidInputError ? error.field : error;
      }
      return undefined;
    };
    expect(bad({ distanceM: 0 })).toBe('distanceM');
    expect(bad({ distanceM: NaN })).toBe('distanceM');
    expect(bad({ windMps: 80 })).toBe('windMps');
    expect(bad({ elevationChangeM: 500 })).toBe('elevationChangeM');
    expect(bad({ lie: 'bog' as CaddieQuestion['lie'] })).toBe('lie');
  });
});
