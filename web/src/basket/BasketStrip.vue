<script setup lang="ts">
import { NButton, NCard } from 'naive-ui';
import { beginning, theClub, type BasketLine, type SessionEntry, type StrikeView } from '@tasche/contract';
import { counted, distanceNumber, shotName, type DistanceUnit } from '@tasche/core';
import { computed } from 'vue';
import type { WorkedShots } from '../range/worked-shots';
import { useSheet } from '../sheet/sheet-store';
import { basketProgress, nextLine } from './basket-progress';

/**
 * The basket of a session, taken along ball by ball: what is in hand, what is known well enough, what comes
 * next.
 */
const props = defineProps<{
  session: SessionEntry;
  strikes: readonly StrikeView[];
  rows: WorkedShots;
  unit: DistanceUnit;
}>();
const emit = defineEmits<{ aim: [aim: { clubId: string; shot: BasketLine['shot'] }] }>();
const store = useSheet();

const progress = computed(() => basketProgress(props.session.basket ?? [], props.strikes, props.rows));
const coming = computed(() => nextLine(progress.value, props.session.aim));
const isInHand = ({ clubId, shot }: BasketLine) =>
  props.session.aim?.clubId === clubId && props.session.aim.shot === shot;
const nameOf = ({ clubId, shot }: BasketLine) => shotName(shot, store.nameOf(clubId));
/** In a sentence. */
const theShot = ({ clubId, shot }: BasketLine) => shotName(shot, theClub(store.nameOf(clubId)));
const inHand = computed(() => progress.value.find(({ line }) => isInHand(line)));
const saved = computed(() =>
  progress.value
    .filter(({ isEnough }) => isEnough)
    .reduce((sum, { line, shots }) => sum + Math.max(0, line.balls - shots), 0),
);
const within = (metres: number) => `±${distanceNumber(metres, props.unit)} ${props.unit}`;
const sentence = computed(() => {
  if (!coming.value) {
    const rest = saved.value > 0 ? ` with ${counted(saved.value, 'ball')} to spare` : '';
    return `This basket is done: its shots are known well enough${rest}. Take the averages below into the sheet.`;
  }
  if (!inHand.value) return `First ${theShot(coming.value)}.`;
  const { line, shots, halfM, isEnough } = inHand.value;
  return isEnough
    ? `${beginning(theShot(line))} is known well enough after ${counted(shots, 'ball')} (${within(halfM)}). ` +
        `Next ${theShot(coming.value)}.`
    : `${beginning(theShot(line))}: ${shots} of ${line.balls}, known to ${within(halfM)}; ${within(line.thenM)} will do.`;
});

function next(): void {
  if (coming.value && !isInHand(coming.value))
    emit('aim', { clubId: coming.value.clubId, shot: coming.value.shot });
}
defineExpose({ next });
</script>

<template>
  <NCard tag="section" class="strip" aria-label="Basket">
    <p class="bar sentence" role="status">
      {{ sentence }}
      <NButton v-if="coming && !isInHand(coming)" class="no-print" type="primary" size="small" @click="next">
        Take {{ theShot(coming) }} <kbd>Alt X</kbd>
      </NButton>
    </p>
    <ol class="lines">
      <li v-for="{ line, shots, isEnough } in progress" :key="`${line.clubId} ${line.shot}`">
        <NButton
          size="small"
          :aria-pressed="isInHand(line)"
          :type="isInHand(line) ? 'primary' : 'default'"
          secondary
          @click="emit('aim', { clubId: line.clubId, shot: line.shot })"
        >
          {{ isEnough ? '✓ ' : '' }}{{ nameOf(line) }} <span class="count">{{ shots }}/{{ line.balls }}</span>
        </NButton>
      </li>
    </ol>
  </NCard>
</template>

<style scoped>
.strip {
  padding: 10px 16px 12px;
  margin-bottom: 12px;
}
.sentence {
  margin: 0 0 8px;
  font-size: 16px;
}
.lines {
  list-style: none;
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  margin: 0;
  padding: 0;
}
.count {
  margin-left: 6px;
  opacity: 0.75;
  font-variant-numeric: tabular-nums;
}
.n-button--primary-type kbd {
  background: transparent;
  color: inherit;
  border-color: currentColor;
  opacity: 0.75;
}
</style>
