import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  bagLossVerdict,
  bagWhy,
  chooseBag,
  costOf,
  type BagChoosing,
  type DistanceUnit,
} from '../../src/index.js';
import { rulesBroken } from '../../src/choosing/choosing-model.js';
import type { ClubReason, LeftOut } from '../../src/choosing/why-chosen.js';
import { club } from '../bag-of-clubs.js';
import { randomModel } from './random-model.js';

const named: Record<string, string> = { a: '4 iron', b: '58 low' };
const nameOf = (id: string) => named[id] ?? id;
const reason = (part: Partial<ClubReason>): ClubReason => ({
  id: 'x',
  worth: 1.532,
  need: 'tee shot at the 6th',
  distanceM: 203,
  shot: 'full',
  needsMet: 5,
  runnerUp: { id: 'a', costs: 0.811, onTheCourse: 0.841 },
  ...part,
});

type NameOf = (id: string) => string;
const saidOf = (
  answer: Parameters<typeof bagWhy>[0],
  id: string,
  name: string,
  names: NameOf,
  unit?: DistanceUnit,
) => bagWhy(answer, new Map(), (one) => (one === id ? name : names(one)), unit)[0]![1];
const reasonSentence = (one: ClubReason, name: string, names: NameOf, unit?: DistanceUnit) =>
  saidOf({ reasons: [one], leftOut: [] }, one.id, name, names, unit);
const leftOutSentence = (one: LeftOut, name: string, names: NameOf) =>
  saidOf({ reasons: [], leftOut: [one] }, one.id, name, names);

describe('why a club is in the bag', () => {
  it('is said with its numbers: what asks for it, what it is worth, what the runner-up would cost', () => {
    expect(reasonSentence(reason({}), '5 iron', nameOf, 'm')).toBe(
      '5 iron: best for 5 shots, most of all the tee shot at the 6th, 203 m. Without it the round costs 1.53 strokes more. The 4 iron in its place costs 0.84 strokes.',
    );
    expect(
      reasonSentence(reason({ shot: 'three-quarter', runnerUp: undefined }), '5 iron', nameOf, 'yd'),
    ).toBe(
      '5 iron: best for 5 shots, most of all the tee shot at the 6th, 222 yd, as a three-quarter shot. Without it the round costs 1.53 strokes more.',
    );
    expect(
      reasonSentence(
        reason({
          need: '155 yd, to hold',
          distanceM: undefined,
          needsMet: 1,
          runnerUp: { id: 'a', costs: 0.17, onTheCourse: 0.2, mostly: 'off the tee' },
        }),
        '7 iron',
        nameOf,
        'yd',
      ),
    ).toBe(
      '7 iron: best for 1 shot, most of all 155 yd, to hold. Without it the round costs 1.53 strokes more. The 4 iron in its place costs 0.20 strokes, most of it off the tee.',
    );
    expect(
      reasonSentence(
        reason({ worth: 1, runnerUp: { id: 'b', costs: 0.001, onTheCourse: 0.001 } }),
        '58',
        nameOf,
      ),
    ).toMatch(/costs 1\.00 stroke more\. The 58 low in its place would make no difference\.$/);
  });

  it('a change that has to be worth something is no difference on the course, and a trusted club may play worse', () => {
    const change = reason({ runnerUp: { id: 'a', costs: 0.001, onTheCourse: 0.031 } });
    expect(reasonSentence(change, '5 iron', nameOf)).toMatch(
      /The 4 iron in its place costs 0\.03 strokes\.$/,
    );
    const trusted = reason({ runnerUp: { id: 'a', costs: 0.05, onTheCourse: -0.02 } });
    expect(reasonSentence(trusted, '5 iron', nameOf)).toMatch(
      /The 4 iron in its place would play 0\.02 strokes better, but trust, money or the change counts for more\.$/,
    );
    expect(leftOutSentence({ id: 'b', costs: 0.05, onTheCourse: -0.02, outId: 'a' }, '58 low', nameOf)).toBe(
      '58 low for the 4 iron would play 0.02 strokes a round better, but trust, money or the change counts for more.',
    );
  });

  it.each([
    [0, 0, true, 'The gamer is the best possible.'],
    [
      0.02,
      0.02,
      true,
      'The gamer and the best possible bag are a tie: 0.02 strokes a round is less than chance.',
    ],
    [
      0.01,
      0.04,
      true,
      'The gamer costs 0.04 strokes a round more than the best possible bag: too little for the change.',
    ],
    [0.1, 0.16, false, 'The gamer costs 0.16 strokes a round more than the best possible bag.'],
    [
      0.2,
      -0.1,
      false,
      'The gamer plays 0.10 strokes a round better, but trust, money or the change counts for more.',
    ],
    [
      -0.1,
      -0.1,
      false,
      'The gamer breaks a limit or a lock that is set here; of the bags that keep them, this is the best.',
    ],
  ])('a bag that costs %s, and %s on the course', (costs, onTheCourse, isFine, text) => {
    expect(bagLossVerdict('The gamer', { costs, onTheCourse })).toEqual({ isFine, text });
  });

  it('a club nothing asks for is there for even steps, or by a rule', () => {
    expect(reasonSentence(reason({ need: undefined, worth: 0.04 }), '50', nameOf)).toBe(
      '50: not the first choice for any shot; it is in for even steps, worth 0.04 strokes a round. The 4 iron in its place costs 0.84 strokes.',
    );
    expect(reasonSentence(reason({ need: undefined, worth: 0, runnerUp: undefined }), 'Putter', nameOf)).toBe(
      'Putter: in because a rule requires it, or for less than a hundredth of a stroke.',
    );
    expect(leftOutSentence({ id: 'b', costs: 0.111, onTheCourse: 0.081, outId: 'a' }, '58 low', nameOf)).toBe(
      '58 low for the 4 iron would cost 0.08 strokes a round.',
    );
    expect(
      leftOutSentence(
        {
          id: 'b',
          costs: 0.111,
          onTheCourse: 0.081,
          outId: 'a',
          keptOutBy: { rule: 'at most 1 driver', gains: 0.2, outId: 'c' },
        },
        'Mini driver',
        nameOf,
      ),
    ).toBe(
      'Mini driver for the 4 iron would cost 0.08 strokes a round. Without “at most 1 driver”, Mini driver for the c would gain 0.20 strokes.',
    );
    expect(
      leftOutSentence({ id: 'b', costs: 0.032, onTheCourse: 0.002, outId: undefined }, '58 low', nameOf),
    ).toBe('58 low beside the rest would make no difference.');
  });

  it('the runner-up is the left-out club whose bag costs least of all bags with that club out, within the rules; a left-out club’s place is where it costs least', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 2 ** 30 }),
        fc.integer({ min: 3, max: 9 }),
        fc.integer({ min: 1, max: 5 }),
        fc.integer({ min: 0, max: 2 }),
        (seed, clubs, limit, rules) => {
          const model = randomModel(seed, { clubs, needs: 8, limit, rules });
          const choosing: BagChoosing = {
            model,
            clubs: model.clubs.map(({ id }) => club(id, 'iron', 30, 150)),
            needs: model.needs.map((_row, i) => ({
              name: `need ${i}`,
              distanceM: 100,
              to: 'green',
              lie: 'fairway',
              mustHold: false,
              weight: 1,
            })),
            shots: model.needs.map((row) => row.map(() => 'full')),
          };
          let answer;
          try {
            answer = chooseBag(choosing, 0);
          } catch {
            return;
          }
          if (!answer) return;
          const inside = answer.best.ids;
          const outside = model.clubs.map(({ id }) => id).filter((id) => !inside.includes(id));
          const costs = (ids: readonly string[]): number => {
            const chosen = ids.map(Number).sort((a, b) => a - b);
            return rulesBroken(model, chosen).length > 0
              ? Infinity
              : costOf(model, chosen).total - answer.best.strokes;
          };
          /** What it costs to have a club: nothing else is left out of what is played. */
          const price = (one: string | undefined) =>
            model.clubs.find((other) => other.id === one)?.price ?? 0;
          for (const { id, runnerUp } of answer.reasons) {
            const ways = outside.map((other) => costs([...inside.filter((one) => one !== id), other]));
            const min = Math.min(Infinity, ...ways);
            expect(runnerUp?.costs ?? Infinity).toBeCloseTo(min, 9);
            if (runnerUp) {
              expect(ways[outside.indexOf(runnerUp.id)]).toBeCloseTo(min, 9);
              expect(runnerUp.onTheCourse).toBeCloseTo(min - price(runnerUp.id) + price(id), 9);
            }
            // The best is the best: nobody else in its place is better.
            expect(min).toBeGreaterThanOrEqual(-1e-9);
          }
          for (const { id, costs: told, onTheCourse, outId, keptOutBy } of answer.leftOut) {
            expect(onTheCourse).toBeCloseTo(told - price(id) + price(outId), 9);
            if (keptOutBy) {
              const swapped = [...inside.filter((one) => one !== keptOutBy.outId), id]
                .map(Number)
                .sort((a, b) => a - b);
              expect(rulesBroken(model, swapped).map(({ name }) => name)).toEqual([keptOutBy.rule]);
              expect(answer.best.strokes - costOf(model, swapped).total).toBeCloseTo(keptOutBy.gains, 9);
            }
            const ways = [
              costs([...inside, id]),
              ...inside.map((out) => costs([...inside.filter((one) => one !== out), id])),
            ];
            expect(told).toBeCloseTo(Math.min(...ways), 9);
            expect(costs([...inside.filter((one) => one !== outId), id])).toBeCloseTo(told, 9);
          }
          expect(answer.leftOut.map((one) => one.costs)).toEqual(
            [...answer.leftOut.map((one) => one.costs)].sort((a, b) => a - b),
          );
        },
      ),
      { numRuns: 120 },
    );
  });
});
