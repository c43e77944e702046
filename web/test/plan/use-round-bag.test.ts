import type { PlanView } from '@tasche/contract';
import type { BagAnswer, LadderClub } from '@tasche/core';
import { expect, it } from 'vitest';
import { effectScope, ref, shallowRef } from 'vue';
import type { RoundAnswer } from '../../src/plan/round-worker';
import { useRoundBag } from '../../src/plan/use-round-bag';
import type { AskedRound } from '../../src/plan/use-round';

const iron = (id: string, carryM: number): LadderClub => ({
  id,
  name: `${id} iron`,
  kind: 'iron',
  loftDeg: 60 - carryM / 6,
  shots: { full: { carryM, source: 'measured', sampleSize: 20, spreadM: 4 } },
});
const CLUBS = [iron('7', 150), iron('8', 140), iron('9', 120)];
const asked = { request: { clubs: CLUBS }, rules: { settings: {} } } as unknown as AskedRound;
const answered = (...ids: string[]) =>
  ({ answer: { best: { ids }, reasons: [], leftOut: [] } as unknown as BagAnswer, why: {} }) as RoundAnswer;

it('says the steps of the best bag, what is carried, and whether the settled bag is the best one', () => {
  const scope = effectScope();
  const chosen = shallowRef<RoundAnswer | null>(null);
  const settled = ref<{ clubIds: string[] } | undefined>();
  const bag = scope.run(() =>
    useRoundBag(shallowRef(asked), chosen, () => ({
      plan: { baseClubIds: ['7', '9'] } as unknown as PlanView,
      settled: settled.value,
      school: 'even-carries',
    })),
  )!;
  expect([bag.report.value, bag.isSettledBest.value, bag.swaps.value]).toEqual([null, false, []]);
  chosen.value = answered('7', '8');
  expect(bag.report.value!.steps.map(({ upperId, lowerId }) => [upperId, lowerId])).toEqual([['7', '8']]);
  expect(bag.swaps.value).toHaveLength(1);
  expect(bag.isSettledBest.value).toBe(false);
  settled.value = { clubIds: ['8', '7'] };
  expect(bag.isSettledBest.value).toBe(true);
  expect(bag.carried.value.map(({ id }) => id).sort()).toEqual(['7', '8']);
  settled.value = { clubIds: ['7', '8', '9'] };
  expect(bag.isSettledBest.value).toBe(false);
  scope.stop();
});
