import {
  emptyRound,
  preferencesOf,
  type ChangeRequest,
  type EventRound,
  type PlanView,
} from '@tasche/contract';
import type { ShotDemand } from '@tasche/core';
import { beforeEach, expect, it, vi } from 'vitest';
import { effectScope } from 'vue';
import { useOutbox } from '../../src/changes/outbox';
import { useRoundEdits } from '../../src/plan/use-round-edits';
import { freshPinia } from '../pinia';
import { clubView, sheetOf, showSheet } from '../sheet';

const sent = () => useOutbox().waiting.flatMap((one) => (one as { request: ChangeRequest }).request.commands);
const need = { name: 'second at the 4th' } as unknown as ShotDemand;

function edits(more: Partial<PlanView> = {}) {
  const plan = { id: 'p', version: 3, name: 'Coast week', choosing: null, ...more } as unknown as PlanView;
  const round = { id: 'r', day: '2026-12-05' } as EventRound;
  const scope = effectScope();
  return scope.run(() => useRoundEdits(() => ({ plan, round })))!;
}

beforeEach(() => {
  localStorage.clear();
  freshPinia();
  vi.stubGlobal('fetch', () => new Promise(() => {}));
  showSheet(sheetOf([clubView('7')], ['7']));
});

it('what the plan says goes before what the player wants; one wish leaves the others and the needs be', () => {
  const wanted = preferencesOf(null, null);
  const own = edits({ choosing: { ...wanted, limit: 12, needs: [need] } });
  expect(own.preferences.value.limit).toBe(12);
  own.setPreferences({ always: ['7'] });
  expect(sent()).toMatchObject([
    {
      do: 'editPlan',
      planId: 'p',
      version: 3,
      set: { choosing: { limit: 12, always: ['7'], needs: [need] } },
    },
  ]);
});

it('of a plan that says nothing, what the player wants is taken, and the first wish makes the rest the plan’s', () => {
  const own = edits();
  own.setPreferences({ never: ['7'] });
  expect(sent()).toMatchObject([
    { set: { choosing: { never: ['7'], limit: own.preferences.value.limit, needs: [] } } },
  ]);
});

it('kept wishes are the player’s, the rest is the round’s', () => {
  const own = edits();
  own.keepPreferences(preferencesOf(null, null));
  own.editRound({ notes: emptyRound('r').notes });
  expect(sent()).toMatchObject([
    { do: 'editPlayer', set: { preferences: { limit: 14 } } },
    { do: 'editRound', planId: 'p', version: 3, roundId: 'r', set: { notes: [] } },
  ]);
});
