<script setup lang="ts">
import { stepSentence, type DistanceUnit, type GapReport } from '@tasche/core';
import { NButton } from 'naive-ui';
import { computed } from 'vue';

/** Steps at fault of the bag with the fewest strokes, and what a bag without them would cost. */
const props = defineProps<{
  report: GapReport | null;
  best: readonly string[];
  /**
   * The best bag without a fault and its price in strokes; null where there is none, undefined while it is
   * looked for.
   */
  faultless: { ids: readonly string[]; price: number } | null | undefined;
  nameOf: (id: string) => string;
  unit: DistanceUnit;
  readOnly: boolean;
}>();
defineEmits<{ avoid: [] }>();
const faults = computed(() => props.report?.steps.filter(({ severity }) => severity === 'error') ?? []);
/** An even bag is not worth so many strokes a round: it is not offered. Our choice. */
const DEAR_STROKES = 1;
const isDear = computed(() => !!props.faultless && props.faultless.price > DEAR_STROKES);
/** What goes in and out of the best bag to be rid of them. */
const change = computed(() => {
  const sound = props.faultless?.ids ?? [];
  const named = (ids: readonly string[]) => ids.map(props.nameOf).join(', ');
  const ins = sound.filter((id) => !props.best.includes(id));
  const outs = props.best.filter((id) => !sound.includes(id));
  return [ins.length ? `${named(ins)} in` : '', outs.length ? `${named(outs)} out` : '']
    .filter(Boolean)
    .join(', ');
});
</script>

<template>
  <p v-if="faults.length > 0" class="at-fault small" role="note">
    <span class="verdict error">■</span>
    {{
      faults.length === 1
        ? 'One step of this bag is at fault'
        : `${faults.length} steps of this bag are at fault`
    }}: {{ stepSentence(faults[0]!, report!, unit) }}
    <span v-if="isDear" class="quiet"
      >Avoiding it would cost {{ faultless!.price.toFixed(1) }} strokes a round.</span
    >
    <template v-else-if="faultless">
      A bag without it costs {{ faultless.price.toFixed(2) }} strokes a round more: {{ change }}.
      <NButton v-if="!readOnly" size="small" @click="$emit('avoid')">Avoid it</NButton>
    </template>
    <span v-else-if="faultless === null" class="quiet">No bag from this locker avoids it.</span>
  </p>
</template>

<style scoped>
.at-fault {
  margin: -4px 0 12px;
  color: var(--brick-ink);
}
</style>
