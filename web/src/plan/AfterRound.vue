<script setup lang="ts">
import type { PlanRound, RoundAfter } from '@tasche/contract';
import type { LadderClub } from '@tasche/core';
import { ref } from 'vue';
import FieldInput from '../app/FieldInput.vue';

/** After the round: what was carried, how often each club was hit, what the player says, what to keep. */
const props = defineProps<{ round: PlanRound; carried: readonly LadderClub[]; readOnly: boolean }>();
const emit = defineEmits<{ set: [after: RoundAfter]; toSheet: [hits: Readonly<Record<string, number>>] }>();
const problem = ref('');
const after = () => props.round.after ?? { hits: {}, says: '', keep: '' };
function hit(club: LadderClub, text: string): void {
  const value = Number(text.replace(',', '.'));
  if (text.trim() === '') {
    const { [club.id]: _gone, ...rest } = after().hits;
    emit('set', { ...after(), hits: rest });
    return;
  }
  if (!(value >= 0 && value <= 60)) {
    problem.value = `Times the ${club.name} was hit must be between 0 and 60, not “${text}”.`;
    return;
  }
  problem.value = '';
  emit('set', { ...after(), hits: { ...after().hits, [club.id]: value } });
}
</script>

<template>
  <details class="after card" :open="round.after !== null">
    <summary>
      After the round
      <span class="quiet small">what was carried and hit, what the player says, what to keep</span>
    </summary>
    <p class="small quiet">
      Carried: {{ carried.map(({ name }) => name).join(', ') || 'no bag was settled for this round' }}.
    </p>
    <div class="hits">
      <label v-for="club in carried.filter(({ kind }) => kind !== 'putter')" :key="club.id"
        >{{ club.name }}
        <FieldInput
          :value="String(after().hits[club.id] ?? '')"
          class="number"
          inputmode="decimal"
          placeholder="–"
          :readonly="readOnly"
          :aria-label="`Times the ${club.name} was hit`"
          @write="hit(club, $event)"
      /></label>
    </div>
    <p v-if="problem" class="verdict fault" role="alert">■ {{ problem }}</p>
    <div class="texts">
      <label
        >The player says
        <FieldInput
          :value="after().says"
          :rows="2"
          maxlength="2000"
          :readonly="readOnly"
          @write="emit('set', { ...after(), says: $event })"
      /></label>
      <label
        >Keep
        <FieldInput
          :value="after().keep"
          :rows="2"
          maxlength="2000"
          :readonly="readOnly"
          @write="emit('set', { ...after(), keep: $event })"
      /></label>
    </div>
    <button
      v-if="!readOnly && Object.keys(after().hits).length"
      class="plain-button slim no-print"
      @click="emit('toSheet', after().hits)"
    >
      Write the hits into the sheet
    </button>
  </details>
</template>

<style scoped>
.after {
  padding: 8px 14px;
  margin-top: 14px;
}
summary {
  cursor: pointer;
  font-weight: 600;
}
summary .small {
  font-weight: 400;
  margin-left: 8px;
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
textarea {
  font: inherit;
  font-size: 14px;
  padding: 6px 9px;
  border: 1px solid var(--line);
  border-radius: 4px;
  background: var(--linen);
  color: var(--ink);
  resize: vertical;
}
@media (max-width: 700px) {
  .texts {
    grid-template-columns: 1fr;
  }
}
</style>
