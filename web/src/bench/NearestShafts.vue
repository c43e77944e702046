<script setup lang="ts">
import type { ClubView } from '@tasche/contract';
import { nearestShafts, textIn, shaftDifferenceWords } from '@tasche/core';
import { computed, ref } from 'vue';
import ChoiceField from '../fields/ChoiceField.vue';

/** The locker's shafts that come nearest to one that broke, with every difference said. */
const props = defineProps<{ clubs: readonly ClubView[] }>();
const withShaft = computed(() => props.clubs.filter(({ spec }) => spec.shaft || spec.shaftWeightG));
const clubId = ref<string | null>(null);
const broken = computed(() => withShaft.value.find(({ id }) => id === clubId.value));
const SHOWN = 5;
const found = computed(() => {
  if (!broken.value) return [];
  const others = withShaft.value.filter(({ id }) => id !== broken.value!.id);
  return nearestShafts(broken.value.spec, others)
    .slice(0, SHOWN)
    .map(({ clubId: id, differences, unknown }) => {
      const club = withShaft.value.find((one) => one.id === id)!;
      return {
        id,
        from: club.name,
        state: textIn(club.spec, 'state') ?? '',
        shaft: textIn(club.spec, 'shaft') ?? 'a shaft without a name',
        words:
          differences.length > 0
            ? differences.map(shaftDifferenceWords).join(', ')
            : 'the same in all that is known',
        unknown: unknown.join(', '),
      };
    });
});
</script>

<template>
  <section>
    <h2>A shaft broke</h2>
    <p class="bar">
      <ChoiceField
        v-model:value="clubId"
        label="Club whose shaft broke"
        placeholder="which club?"
        :options="withShaft.map(({ id, name }) => ({ value: id, label: name }))"
      />
      <span class="quiet small">The nearest in the locker, by weight, flex, torque, tip and stepping.</span>
    </p>
    <ol v-if="broken">
      <li v-for="one in found" :key="one.id">
        <b>{{ one.shaft }}</b> in the {{ one.from
        }}<span v-if="one.state" class="quiet"> ({{ one.state }})</span>: {{ one.words
        }}<span v-if="one.unknown" class="quiet">; not recorded: {{ one.unknown }}</span
        >.
      </li>
      <li v-if="found.length === 0" class="quiet">No other shaft is recorded.</li>
    </ol>
  </section>
</template>

<style scoped>
section {
  display: grid;
  gap: 8px;
  align-content: start;
}
ol {
  margin: 0;
  padding-left: 20px;
  display: grid;
  gap: 5px;
}
</style>
