<script setup lang="ts">
import TextField from '../fields/TextField.vue';
import { NButton, NCard } from 'naive-ui';
import { clubName, type ClubView } from '@tasche/contract';
import {
  distanceNumber,
  evennessChangeWords,
  formatDegrees,
  type DistanceUnit,
  type StepReport,
  type Swap,
  type SwapEffect,
} from '@tasche/core';
import { computed } from 'vue';
import { MARKS } from '../ladder/marks';

/** One swap: what goes out, what comes in, why, and what it does to the ladder. */
const props = defineProps<{
  swap: Swap;
  number: number;
  effect: SwapEffect | undefined;
  clubs: ReadonlyMap<string, ClubView>;
  unit: DistanceUnit;
  readOnly: boolean;
}>();
const emit = defineEmits<{ why: [text: string]; remove: [] }>();

const evenness = computed(
  () => props.effect && evennessChangeWords(props.effect.before, props.effect.after, props.unit),
);
const name = (id: string | undefined) => (id === undefined ? undefined : clubName(props.clubs, id));
function stepWords(step: StepReport): string {
  const carry = `${distanceNumber(step.carryM, props.unit)} ${props.unit}`;
  const loft = step.loftDeg === undefined ? '' : `, ${formatDegrees(step.loftDeg)}`;
  return `${name(step.upperId)} to ${name(step.lowerId)} ${carry}${loft}`;
}
</script>

<template>
  <NCard tag="li" class="swap">
    <span class="number quiet">{{ number }}</span>
    <div class="clubs">
      <span v-if="swap.outId" class="out"><span class="quiet small">out</span> {{ name(swap.outId) }}</span>
      <span v-if="swap.inId" class="in"><span class="quiet small">in</span> {{ name(swap.inId) }}</span>
    </div>
    <label class="why"
      ><span class="unseen">Why</span>
      <TextField
        aria-label="Why"
        class="quiet-field"
        :value="swap.why ?? ''"
        maxlength="500"
        placeholder="Why?"
        :readonly="readOnly"
        @write="emit('why', $event)"
      />
    </label>
    <p v-if="effect" class="effect small">
      <span v-if="evenness"
        >{{ evenness.before }} → <b>{{ evenness.after }}</b></span
      >
      <span v-if="effect.opened.length"
        >opens
        <template v-for="(step, i) in effect.opened" :key="i"
          >{{ i ? ' · ' : ''
          }}<span class="verdict" :class="step.severity"
            >{{ MARKS[step.severity] }} {{ stepWords(step) }}</span
          ></template
        ></span
      >
      <span v-if="effect.closed.length" class="quiet"
        >closes
        <template v-for="(step, i) in effect.closed" :key="i"
          >{{ i ? ' · ' : '' }}{{ stepWords(step) }}</template
        ></span
      >
      <span v-if="!effect.opened.length && !effect.closed.length" class="quiet">no step changes</span>
    </p>
    <NButton
      v-if="!readOnly"
      class="no-print"
      :aria-label="`Take swap ${number} back`"
      @click="emit('remove')"
      size="small"
    >
      Take back
    </NButton>
  </NCard>
</template>

<style scoped>
.swap {
  display: grid;
  grid-template-columns: 18px minmax(190px, auto) minmax(200px, 1fr) auto;
  gap: 6px 16px;
  padding: 10px 14px;
  align-items: center;
}
.clubs {
  display: flex;
  gap: 18px;
  font-weight: 600;
  font-size: 15px;
}
.clubs .small {
  font-weight: 400;
  margin-right: 3px;
}
.out {
  text-decoration: line-through;
  text-decoration-color: var(--brick);
}
.out .small {
  display: inline-block;
}
.in {
  color: var(--petrol);
}

.swap .n-button {
  grid-column: -2 / -1;
  grid-row: 1;
}
.effect {
  grid-column: 2 / -1;
  display: flex;
  flex-wrap: wrap;
  gap: 2px 16px;
}
@media (max-width: 700px) {
  .swap {
    grid-template-columns: 18px 1fr auto;
  }
  .why {
    grid-column: 2 / -1;
    grid-row: 2;
  }
}
@media print {
  .swap {
    border: 0;
    border-top: 1px solid var(--line);
    border-radius: 0;
    break-inside: avoid;
  }
}
</style>
