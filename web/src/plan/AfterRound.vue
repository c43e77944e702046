<script setup lang="ts">
import NumberField from '../fields/NumberField.vue';
import Fold from '../app/Fold.vue';
import TextField from '../fields/TextField.vue';
import { NButton, NCard } from 'naive-ui';
import { hitsOfShots, type LabelledClub, type PlayedShot, type RoundAfter } from '@tasche/contract';
import type { DistanceUnit, LadderClub } from '@tasche/core';
import { computed } from 'vue';
import PlayedShots from './PlayedShots.vue';

/** After the round: what was carried, how often each club was hit, what the player says, what to keep. */
const props = defineProps<{
  after: RoundAfter | null;
  carried: readonly LadderClub[];
  /** Of the locker. */
  clubs: readonly LabelledClub[];
  unit: DistanceUnit;
  readOnly: boolean;
  /** The player and round it is of. */
  about: string;
}>();
const emit = defineEmits<{ set: [after: RoundAfter]; toSheet: [hits: Readonly<Record<string, number>>] }>();
const noted = computed(() => props.after ?? { hits: {}, says: '', keep: '' });
function hit(club: LadderClub, times: number | null): void {
  const { [club.id]: _before, ...others } = noted.value.hits;
  emit('set', { ...noted.value, hits: times === null ? others : { ...others, [club.id]: times } });
}
/** A label means a club that was carried, where a bag was settled. */
const meant = computed(() => {
  const carried = props.clubs.filter(({ id }) => props.carried.some((club) => club.id === id));
  return (carried.length > 0 ? carried : props.clubs).filter(({ kind }) => kind !== 'putter');
});
function write(shots: readonly PlayedShot[]): void {
  const { hits, ...rest } = noted.value;
  // Clubs without a recorded shot stay as they were counted.
  emit('set', { ...rest, shots, hits: { ...hits, ...hitsOfShots(shots) } });
}
const clear = () => {
  const { shots: _gone, ...rest } = noted.value;
  emit('set', rest);
};
</script>

<template>
  <NCard class="after">
    <Fold :starts-open="after !== null">
      <template #head>
        After the round
        <span class="quiet small">what was carried and hit, what the player says, what to keep</span>
      </template>
      <p class="small quiet">
        Carried: {{ carried.map(({ name }) => name).join(', ') || 'no bag was settled for this round' }}.
      </p>
      <div class="hits">
        <label v-for="club in carried.filter(({ kind }) => kind !== 'putter')" :key="club.id"
          >{{ club.name }}
          <NumberField
            :value="noted.hits[club.id] ?? null"
            :label="`Times the ${club.name} was hit`"
            :bounds="[0, 60]"
            placeholder="–"
            optional
            :readonly="readOnly"
            :px="58"
            @write="hit(club, $event)"
        /></label>
      </div>
      <PlayedShots
        :shots="after?.shots ?? []"
        :clubs="meant"
        :unit="unit"
        :about="about"
        :read-only="readOnly"
        @take="write([...(after?.shots ?? []), ...$event])"
        @clear="clear"
      />
      <div class="texts">
        <label
          >The player says
          <TextField
            aria-label="The player says"
            :value="noted.says"
            :rows="2"
            maxlength="2000"
            :readonly="readOnly"
            @write="emit('set', { ...noted, says: $event })"
        /></label>
        <label
          >Keep
          <TextField
            aria-label="Keep"
            :value="noted.keep"
            :rows="2"
            maxlength="2000"
            :readonly="readOnly"
            @write="emit('set', { ...noted, keep: $event })"
        /></label>
      </div>
      <NButton
        v-if="!readOnly && Object.keys(noted.hits).length"
        class="no-print"
        @click="emit('toSheet', noted.hits)"
        size="small"
      >
        Save the hits to the sheet
      </NButton>
    </Fold>
  </NCard>
</template>

<style scoped>
.after {
  padding: 8px 14px;
  margin-top: 14px;
}
.hits {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 14px;
  margin: 8px 0;
}
.hits label {
  display: flex;
  gap: 6px;
  align-items: center;
  font-size: 13px;
}
.number {
  font: inherit;
  width: 48px;
  min-height: 30px;
  padding: 2px 6px;
  border: 1px solid var(--line);
  border-radius: 4px;
  background: var(--linen);
  color: var(--ink);
}
.texts {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 10px 16px;
}
.texts label {
  display: grid;
  gap: 3px;
  font-size: 12.5px;
  color: var(--quiet);
}

@media (max-width: 700px) {
  .texts {
    grid-template-columns: 1fr;
  }
}
</style>
