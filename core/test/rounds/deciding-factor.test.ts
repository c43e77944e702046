import { describe, expect, it } from 'vitest';
import {
  BASELINE,
  MEDIUM_FAIRWAY,
  bagWhy,
  chooseBag,
  choosingOfRound,
  decidingFactors,
  factorSentence,
  usualRules,
  usualRoundChoosing,
} from '../../src/index.js';
import type { LadderClub, Shot } from '../../src/index.js';
import { decidingFactor, type DecidingFactor } from '../../src/rounds/deciding-factor.js';
import { club, strongSetWedge } from '../bag-of-clubs.js';

const FROM = { conditions: BASELINE, surface: MEDIUM_FAIRWAY };
const ROUGHLY: Partial<Shot> = {
  source: 'measured',
  sampleSize: 200,
  spreadM: 7,
  sideSpreadM: 6,
  apexM: 28,
  descentDeg: 48,
};
/** The club with another full shot, under another name. */
const twin = (of: LadderClub, shot: Partial<Shot>, more: Partial<LadderClub> = {}): LadderClub => ({
  ...of,
  id: `other ${of.id}`,
  name: `other ${of.name}`,
  ...more,
  shots: { full: { ...of.shots.full!, ...shot } },
});

/** What decides when `other` takes the place of a club of the bag, on a usual round. */
function decides(clubs: readonly LadderClub[], outId: string, other: LadderClub, windMps = 0) {
  const there = { ...FROM, conditions: { ...BASELINE, windMps } };
  const round = usualRoundChoosing({ clubs: [...clubs, other], from: FROM, in: there, handicap: 8 })!;
  return decidingFactor(
    round,
    'match',
    clubs.map(({ id }) => id),
    outId,
    other.id,
  );
}

describe('what decides between two clubs', () => {
  const bag = strongSetWedge().map((one) =>
    one.shots.full ? { ...one, shots: { full: { ...one.shots.full, ...ROUGHLY } } } : one,
  );
  const named = (name: string) => bag.find((one) => one.name === name)!;

  it('a carry that is not where the bag needs one', () => {
    const { carryM } = named('7 iron').shots.full!;
    expect(decides(bag, '7 iron', twin(named('7 iron'), { carryM: carryM + 12 }))).toMatchObject({
      code: 'distance',
    });
  });

  it('balls that go farther to the sides', () => {
    expect(decides(bag, '7 iron', twin(named('7 iron'), { sideSpreadM: 16 }))).toMatchObject({
      code: 'direction',
    });
  });

  it('carries that spread more', () => {
    expect(decides(bag, '7 iron', twin(named('7 iron'), { spreadM: 16 }))).toMatchObject({
      code: 'length control',
    });
  });

  it('a sole that does not suit the ground, with its degrees', () => {
    const low = bag.map((one) => (one.name === '60' ? { ...one, bounceDeg: 10 } : one));
    const factor = decides(low, '60', twin(named('60'), {}, { bounceDeg: 20 }));
    expect(factor).toMatchObject({ code: 'bounce', bounceDeg: 20 });
    expect(factor!.wantedDeg).toBeGreaterThan(8);
    expect(factor!.wantedDeg).toBeLessThan(13);
  });

  it('a long iron in the place of a hybrid of the same carry: what rough takes from it', () => {
    const iron = twin(named('Hybrid'), {}, { kind: 'iron' });
    expect(['lie', 'direction', 'stopping', undefined]).toContain(decides(bag, 'Hybrid', iron)?.code);
  });

  it('nothing, between two that are the same', () => {
    expect(decides(bag, '7 iron', twin(named('7 iron'), {}))).toBeUndefined();
    expect(decides(bag, '7 iron', { ...named('7 iron'), id: 'gone', shots: {}, loftDeg: 32 })?.code).not.toBe(
      'bounce',
    );
  });

  it('stands behind the reason of each club whose runner-up costs something', () => {
    const clubs = [...bag, twin(named('7 iron'), { sideSpreadM: 18 })];
    const round = usualRoundChoosing({ clubs, from: FROM, handicap: 8 })!;
    const question = { bagIds: bag.map(({ id }) => id), options: {}, limit: 14 };
    const rules = usualRules(question);
    const answer = chooseBag(choosingOfRound(round, rules), 0)!;
    const nameOf = (id: string) => id;
    const factors = decidingFactors(round, answer, 'match');
    const why = Object.fromEntries(bagWhy(answer, factors, nameOf, 'm'));
    expect(why['7 iron']).toMatch(/The other 7 iron in its place costs .* It misses farther to the sides\.$/);
    const withoutFactors = Object.fromEntries(bagWhy(answer, new Map(), nameOf, 'm'));
    expect(withoutFactors['7 iron']).not.toMatch(/misses/);
    expect(Object.keys(why)).toHaveLength(clubs.length);
  });
});

describe('what decided, in words', () => {
  const said = (code: DecidingFactor['code']) => factorSentence({ code, strokes: 0.1 });

  it('each is a sentence of its own', () => {
    const codes: DecidingFactor['code'][] = [
      'distance',
      'stopping',
      'direction',
      'length control',
      'wind',
      'lie',
      'off the ground',
      'effort',
      'bounce',
      'loft',
    ];
    const sentences = codes.map(said);
    expect(new Set(sentences).size).toBe(codes.length);
    for (const sentence of sentences) expect(sentence).toMatch(/^[A-Z].*\.$/);
  });

  it('a sole is named with its bounce and the ground’s', () => {
    expect(factorSentence({ code: 'bounce', strokes: 0.1, bounceDeg: 12.4, wantedDeg: 6 })).toBe(
      'Its sole plays with 12° of bounce, and this ground asks for about 6°.',
    );
  });
});

describe('a club that is left out', () => {
  it('is named with the one it would take the place of', () => {
    const clubs = [...strongSetWedge(), club('4 iron', 'iron', 22, 190)];
    const round = usualRoundChoosing({ clubs, from: FROM })!;
    const question = { bagIds: clubs.slice(0, 14).map(({ id }) => id), options: {}, limit: 14 };
    const answer = chooseBag(choosingOfRound(round, usualRules(question)), 0)!;
    const why = Object.fromEntries(bagWhy(answer, new Map(), (id) => id));
    for (const { id } of answer.leftOut) expect(why[id]).toMatch(/would (cost|make no difference)/);
  });
});
