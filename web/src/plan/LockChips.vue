<script setup lang="ts">
import { NButton } from 'naive-ui';
import type { BagPreferences, LadderClub } from '@tasche/core';
import { NEXT_LOCK, lockMark, lockOf, withLock } from './lock';
import Hint from '../app/Hint.vue';

/** Every club as a chip: a press locks it in, the next keeps it out, a third frees it. */
const props = defineProps<{
  clubs: readonly LadderClub[];
  locks: Pick<BagPreferences, 'always' | 'never'>;
  chosen: readonly string[];
  why: Readonly<Record<string, string>>;
  readOnly: boolean;
}>();
const emit = defineEmits<{ set: [locks: Pick<BagPreferences, 'always' | 'never'>] }>();
const isChosen = (id: string) => props.chosen.includes(id);
const turn = (id: string) => {
  emit('set', withLock(id, NEXT_LOCK[lockOf(id, props.locks)], props.locks));
};
</script>

<template>
  <div class="chips no-print" role="group" aria-label="Locks">
    <Hint v-for="{ id, name } in clubs" :key="id" :says="why[id]" control
      ><NButton
        :class="[lockOf(id, locks), { chosen: isChosen(id) }]"
        :disabled="readOnly"
        :aria-description="why[id]"
        :aria-label="`${name}: ${lockOf(id, locks)}${isChosen(id) ? ', chosen' : ''}`"
        size="small"
        @click="turn(id)"
        >{{ lockMark(lockOf(id, locks), isChosen(id)) }} {{ name }}</NButton
      ></Hint
    >
  </div>
  <p class="small quiet no-print">
    ● chosen, ○ left out; a press locks a club in (■), the next keeps it out (✕). Point at one, or go to it by
    key, to read why.
  </p>
</template>

<style scoped>
.chips {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
}
.chosen {
  color: var(--petrol);
  border-color: var(--petrol-mid);
  background: var(--petrol-soft);
}
.always {
  font-weight: 600;
  border-color: var(--petrol);
}
.never {
  text-decoration: line-through;
}
</style>
