<script setup lang="ts">
import { NCard } from 'naive-ui';
import { counted, type SmallestTravelSet } from '@tasche/core';
import { computed } from 'vue';

/** What a travel set loses against the whole locker, how sure that is, and what smaller ones would lose. */
const props = defineProps<{
  found: Pick<SmallestTravelSet, 'set'> & Partial<SmallestTravelSet>;
  /** A better one is still looked for. */
  isWorking: boolean;
}>();
const sizes = computed(() => props.found.sizes ?? []);
const lost = computed(() => Math.max(0, props.found.set.strokes - props.found.set.wholeLocker));
const leftWords = computed(() => {
  const { strokes, bound } = props.found.set;
  return `no set of that size can save more than another ${(strokes - bound).toFixed(3)} strokes.`;
});
</script>

<template>
  <NCard class="sentence" aria-live="polite">
    <b>{{ counted(found.set.ids.length, 'club') }}</b> {{ found.set.ids.length === 1 ? 'loses' : 'lose' }}
    <b>{{ lost < 0.005 ? 'nothing' : `${lost.toFixed(2)} strokes a round` }}</b> against the whole locker.
    {{
      found.set.proved
        ? 'Proved the best set of that size.'
        : `${isWorking ? 'The best so far' : 'Not proved the best'}: ${leftWords}`
    }}
    <template v-if="sizes.length">{{
      !found.smallest
        ? 'Whether fewer would do is not proved.'
        : sizes.length === 1
          ? 'The largest bag of the week is enough.'
          : 'Proved that fewer will not do.'
    }}</template>
  </NCard>
  <dl v-if="sizes.length > 1" class="sizes small">
    <template v-for="one in sizes" :key="one.size"
      ><dt>{{ counted(one.size, 'club') }} {{ one.size === 1 ? 'loses' : 'lose' }}</dt>
      <dd>
        <b>{{ one.loses.toFixed(2) }}</b><span v-if="one.loses - one.losesAtLeast > 0.005" class="quiet">
          (at least {{ one.losesAtLeast.toFixed(2) }})</span
        >
      </dd></template
    >
  </dl>
</template>

<style scoped>
.sentence {
  padding: 10px 14px;
  font-size: 15px;
}
.sizes {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 6px;
  margin: 0;
}
.sizes dt {
  color: var(--quiet);
}
.sizes dd {
  margin: 0 16px 0 0;
}
</style>
