import { emptyRound, preferencesOf } from '@tasche/contract';
import { gaps, type BagAnswer, type LadderClub, type ShotDemand } from '@tasche/core';
import { mount } from '@vue/test-utils';
import { expect, it } from 'vitest';
import { nextTick } from 'vue';
import LockBoard from '../../src/plan/LockBoard.vue';
import NeedsRail from '../../src/plan/NeedsRail.vue';
import NeedsTable from '../../src/plan/NeedsTable.vue';
import RoundBoard from '../../src/plan/RoundBoard.vue';

const iron = (id: string, carryM: number, loftDeg: number): LadderClub => ({
  id,
  name: `${id} iron`,
  kind: 'iron',
  loftDeg,
  shots: { full: { carryM, source: 'measured', sampleSize: 20, spreadM: 4 } },
});
const CLUBS = [iron('7', 150, 32), iron('8', 140, 36), iron('9', 130, 40)];
const demand = (name: string, hole: number): ShotDemand => ({
  name,
  hole,
  distanceM: 148,
  weight: 1,
  to: 'green',
  lie: 'fairway',
  mustHold: false,
});
const NEEDS = [demand('second at the 4th', 4), demand('tee shot at the 3rd', 3)];
const answer = {
  best: { ids: ['7', '8'], strokes: 70, forNeeds: 69, forSteps: 1, price: 0 },
  runnersUp: [],
  reasons: [{ id: '7', worth: 0.5, need: 'second at the 4th', distanceM: 148, shot: 'full', needsMet: 2 }],
  leftOut: [{ id: '9', costs: 0.1, onTheCourse: 0.1, outId: '8' }],
} as unknown as BagAnswer;
const worked = {
  needs: NEEDS,
  takenAway: [],
  strokes: 42,
  rareStrokes: 0,
  still: CLUBS,
  modelled: [],
  refused: '',
};

const board = (chosen: InstanceType<typeof RoundBoard>['$props']['chosen']) =>
  mount(RoundBoard, {
    props: {
      worked,
      chosen,
      locker: CLUBS,
      report: gaps(CLUBS.slice(0, 2), { school: 'even-carries' }),
      preferences: preferencesOf(null, null),
      allowed: 14,
      gamer: ['7', '8', '9'],
      own: emptyRound('r'),
      played: [],
      unit: 'm' as const,
      readOnly: false,
    },
  });

it('what a club is there for opens among the shots and is marked on the rail; what the table points at too', async () => {
  const view = board({ answer, refused: '', why: {}, against: null });
  view.findComponent(LockBoard).vm.$emit('need', 'second at the 4th');
  await nextTick();
  expect(view.findComponent(NeedsTable).props('shown')?.name).toBe('second at the 4th');
  expect(view.findComponent(NeedsRail).props('pointed')?.name).toBe('second at the 4th');
  view.findComponent(NeedsTable).vm.$emit('point', NEEDS[1]!);
  await nextTick();
  expect(view.findComponent(NeedsRail).props('pointed')?.name).toBe('tee shot at the 3rd');
  view.findComponent(LockBoard).vm.$emit('need', 'a shot that is asked no more');
  await nextTick();
  expect(view.findComponent(NeedsTable).props('shown')).toBeNull();
});

it('locks are preferences, changed shots are the round’s', () => {
  const view = board({ answer, refused: '', why: {}, against: null });
  view.findComponent(LockBoard).vm.$emit('set', { always: ['7'] });
  view.findComponent(NeedsTable).vm.$emit('notes', [NEEDS[0]!]);
  expect(view.emitted()).toMatchObject({
    preferences: [[{ always: ['7'] }]],
    round: [[{ notes: [NEEDS[0]] }]],
  });
});

it('the shots stand before a bag is chosen', () => {
  const view = board(null);
  expect(view.findComponent(NeedsTable).exists()).toBe(true);
  expect(view.findComponent(LockBoard).exists()).toBe(false);
});
