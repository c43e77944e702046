import type { BagView } from '@tasche/contract';
import { GAPPING_STRATEGIES } from '@tasche/core';
import type { ComputedRef, Ref } from 'vue';
import { useShortcuts } from '../keys/use-shortcuts';
import { COLUMN_SETS } from '../sheet/sheet-columns';
import type { useBagClubs } from './use-bag-clubs';
import type { useBagLadder } from './use-bag-ladder';
import type { useBagLook } from './use-bag-look';
import type { useBagTrial } from './use-bag-trial';
import { useTrialKeys } from './use-trial-keys';

interface BagParts {
  bag: ComputedRef<BagView | undefined>;
  ladder: ReturnType<typeof useBagLadder>;
  look: ReturnType<typeof useBagLook>;
  clubs: ReturnType<typeof useBagClubs>;
  tried: ReturnType<typeof useBagTrial>;
  /** The club the cursor is on. */
  activeClub: Readonly<Ref<string | null>>;
}

/** The keys of the bag's page. @param openAir opens the air and ground, with the cursor in it */
export function useBagKeys(parts: BagParts, openAir: () => void): void {
  const { bag, ladder, look, clubs, tried, activeClub } = parts;
  const { school, trial } = ladder;
  const { picking, canEdit } = clubs;

  function nextStyle(): void {
    const at = GAPPING_STRATEGIES.findIndex(({ id }) => id === school.value);
    school.value = GAPPING_STRATEGIES[(at + 1) % GAPPING_STRATEGIES.length]!.id;
  }

  useTrialKeys({ trial, picking, keep: tried.keep, leave: tried.leave });
  useShortcuts('The bag', {
    'Alt O': () => {
      clubs.takeOut(activeClub.value);
    },
    'Alt I': () => {
      if (canEdit.value && bag.value) picking.value = !picking.value;
    },
    'Alt M': () => {
      ladder.mark();
    },
    'Alt A': openAir,
    'Alt T': () => {
      look.asTable.value = !look.asTable.value;
    },
    'Alt Y': () => {
      void tried.trySwap();
    },
    'Alt S': nextStyle,
    'Alt 1 to 5': (_event, digit) => {
      const set = COLUMN_SETS[digit - 1];
      if (set) look.columnSet.value = set;
      return set !== undefined;
    },
  });
}
