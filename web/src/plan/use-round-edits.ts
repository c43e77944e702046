import {
  preferencesOf,
  type Command,
  type EventRound,
  type PlanView,
  type RoundAfter,
} from '@tasche/contract';
import type { BagPreferences } from '@tasche/core';
import { steady } from '../app/steady';
import { useSheet } from '../sheet/sheet-store';
import { hitReadings } from './hit-readings';

/** What the page of a round writes: what the player wants, what is asked otherwise, what was hit. */
export function useRoundEdits(of: () => { plan: PlanView; round: EventRound }) {
  const store = useSheet();
  const preferences = steady(() => preferencesOf(of().plan.choosing, store.sheet!.player.preferences));

  function setPreferences(part: Partial<BagPreferences>): void {
    const { id: planId, version, choosing } = of().plan;
    const set = { choosing: { ...preferences.value, needs: choosing?.needs ?? [], ...part } };
    store.change([{ do: 'editPlan', planId, version, set }]);
  }
  /** What is wanted here is wanted in every plan, on the bag's page and of the next basket. */
  function keepPreferences(kept: BagPreferences | null): void {
    const { id: playerId, version } = store.sheet!.player;
    store.change([{ do: 'editPlayer', playerId, version, set: { preferences: kept } }]);
  }
  function editRound(set: Extract<Command, { do: 'editRound' }>['set']): void {
    const { plan, round } = of();
    store.change([{ do: 'editRound', planId: plan.id, version: plan.version, roundId: round.id, set }]);
  }
  /** Hits of the round become readings of the clubs, of its day. */
  function writeHits(hits: RoundAfter['hits']): void {
    const { plan, round } = of();
    store.change(hitReadings(hits, round.day, store.clubsById), `hit at ${plan.name}`);
  }
  return { preferences, setPreferences, keepPreferences, editRound, writeHits };
}
