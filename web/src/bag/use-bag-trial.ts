import type { BagView, Command } from '@tasche/contract';
import { remedyWords, type Remedy } from '@tasche/core';
import { until } from '@vueuse/core';
import type { ComputedRef, Ref } from 'vue';
import { useRouter } from 'vue-router';
import { useSettings } from '../app/settings';
import { useSheet } from '../sheet/sheet-store';
import { loftTrial, remedyTrial, wishOfRemedy } from './remedy-trial';
import type { useBagLadder } from './use-bag-ladder';

/** The swap is looked for beside the page; a key that asks for it waits so long at most. */
const PATIENT_MS = 3000;

/**
 * Something tried on the ladder: a remedy, a swap, a loft of one's own; kept, or left again.
 * @param done after either, and after a choice that needs no trial
 */
export function useBagTrial(
  playerId: () => string,
  bag: ComputedRef<BagView | undefined>,
  { trial, inBag, setting }: ReturnType<typeof useBagLadder>,
  remedies: Readonly<Ref<readonly Remedy[] | null>>,
  done: () => void,
) {
  const store = useSheet();
  const router = useRouter();
  const settings = useSettings();
  const wordsOf = (remedy: Remedy) =>
    remedyWords(remedy, store.nameOf, settings.unitFor(store.sheet!.player.distanceUnit));

  function tryRemedy(remedy: Remedy | undefined): void {
    if (remedy && bag.value)
      trial.value = remedyTrial(remedy, wordsOf(remedy), bag.value.id, playerId(), store.clubsById, {
        inAir: Boolean(setting.value),
      });
  }

  function tryLoft(clubId: string, loftDeg: number): void {
    const club = inBag.value.find(({ id }) => id === clubId);
    if (club) trial.value = loftTrial(club, loftDeg, inBag.value, playerId(), store.clubsById) ?? null;
  }

  /** The swap that fixes the bag, as soon as it has been found. */
  async function trySwap(): Promise<void> {
    const found = await until(remedies).toMatch((all) => all !== null, { timeout: PATIENT_MS });
    tryRemedy(found?.find(({ inId, outId }) => inId ?? outId));
  }

  function wishFor(remedy: Remedy): void {
    store.change(wishOfRemedy(remedy, wordsOf(remedy), playerId()));
    void router.push({ name: 'wishes', params: { playerId: playerId() } });
  }

  function keep(): void {
    const { commands, words = '' } = trial.value ?? {};
    leave();
    if (commands) store.change(commands, `tried on the ladder: ${words}`);
  }

  function choose(commands: readonly Command[]): void {
    leave();
    store.change(commands);
  }

  function leave(): void {
    trial.value = null;
    done();
  }

  return { tryRemedy, tryLoft, trySwap, wishFor, keep, choose, leave };
}
