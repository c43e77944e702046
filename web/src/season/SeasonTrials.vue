<script setup lang="ts">
import { NButton, NCard, NForm, NFormItem } from 'naive-ui';
import {
  clubName,
  theClub,
  TRIAL_OUTCOMES,
  TRIAL_SHOTS,
  finite,
  idSchema,
  required,
  type ClubView,
  type PlayerSeason,
  type Trial,
} from '@tasche/contract';
import { dayPlus, shotIn } from '@tasche/core';
import { v4 as newId } from 'uuid';
import { computed, reactive, ref } from 'vue';
import { shortDay, today } from '../app/day';
import ChoiceField from '../fields/ChoiceField.vue';
import DateField from '../fields/DateField.vue';
import NumberField from '../fields/NumberField.vue';
import TextField from '../fields/TextField.vue';
import KeptNote from '../fields/KeptNote.vue';
import { isDraftKept, useKeptDraft, wholeDraft } from '../fields/kept-draft';
import { vOpened } from '../fields/opened';
import { useForm } from '../fields/use-form';
import { OUTCOME_WORDS } from './season-words';

/** What is on trial in the off-season: against what, with how many shots, by when, and what becomes of it. */
const props = defineProps<{
  playerId: string;
  season: PlayerSeason;
  clubs: readonly ClubView[];
  readOnly: boolean;
}>();
const emit = defineEmits<{ set: [season: PlayerSeason] }>();

const FORM = `trial/${props.playerId}`;
const adding = ref(isDraftKept(FORM));
const NONE = '';
const draft = reactive({
  clubId: NONE,
  againstId: NONE,
  shots: 30 as number | null,
  by: dayPlus(today(), 14),
});
const { wasKept, isWritten, startOver } = useKeptDraft(FORM, wholeDraft(draft));
const { rules, submit } = useForm(draft, {
  clubId: { label: 'On trial', schema: required(idSchema) },
  shots: { label: 'Shots', schema: required(finite(...TRIAL_SHOTS)) },
});
const choices = computed(() => props.clubs.map(({ id, name }) => ({ value: id, label: name })));
const nameOf = (id: string | null) => (id === null ? null : clubName(props.clubs, id));
/** Shots measured with it, of whatever kind. */
const shotsOf = (id: string) => {
  const club = props.clubs.find((one) => one.id === id);
  const shot = club && shotIn(club.spec, 'shot.full');
  return shot?.source === 'measured' ? (shot.sampleSize ?? 0) : 0;
};
function save(): void {
  const { clubId, againstId, shots, by } = draft;
  const trial: Trial = {
    id: newId(),
    clubId,
    againstId: againstId === NONE ? null : againstId,
    shots: shots!,
    by,
    outcome: 'open',
    notes: '',
  };
  emit('set', { ...props.season, trials: [...props.season.trials, trial] });
  leave();
}
function leave(): void {
  adding.value = false;
  startOver();
}
const change = (id: string, set: Partial<Trial>) => {
  emit('set', {
    ...props.season,
    trials: props.season.trials.map((trial) => (trial.id === id ? { ...trial, ...set } : trial)),
  });
};
const remove = (id: string) => {
  emit('set', { ...props.season, trials: props.season.trials.filter((trial) => trial.id !== id) });
};
</script>

<template>
  <section aria-label="On trial">
    <h2>
      On trial
      <NButton v-if="!readOnly && clubs.length > 0" size="small" :disabled="adding" @click="adding = true"
        >Add…</NButton
      >
    </h2>
    <NCard v-if="adding" v-opened="{ leave, isWritten }" class="form">
      <KeptNote :kept="wasKept" @start-over="startOver" />
      <NForm ref="form" :model="draft" :rules="rules" size="small" @submit.prevent="submit(save)">
        <NFormItem label="On trial" path="clubId">
          <ChoiceField v-model:value="draft.clubId" label="On trial" :options="choices" />
        </NFormItem>
        <NFormItem label="Against" path="againstId">
          <ChoiceField
            v-model:value="draft.againstId"
            label="Against"
            :options="[{ value: NONE, label: 'nothing' }, ...choices]"
          />
        </NFormItem>
        <NFormItem label="Shots" path="shots">
          <NumberField v-model:value="draft.shots" label="Shots" :bounds="TRIAL_SHOTS" whole />
        </NFormItem>
        <NFormItem label="By" path="by"><DateField v-model:value="draft.by" label="By" ahead /></NFormItem>
        <p class="bar">
          <NButton type="primary" attr-type="submit">Add</NButton>
          <NButton @click="leave">Cancel</NButton>
        </p>
      </NForm>
    </NCard>
    <ul class="rows">
      <li v-for="trial in season.trials" :key="trial.id">
        <span>
          <b>{{ nameOf(trial.clubId) }}</b>
          <template v-if="trial.againstId"> against {{ nameOf(trial.againstId) }}</template>
          {{ ' '
          }}<span class="quiet small">
            {{ Math.min(shotsOf(trial.clubId), trial.shots) }} of {{ trial.shots }} shots, by
            {{ shortDay(trial.by) }}
            <span v-if="trial.outcome === 'open' && trial.by < today()" class="verdict warning"
              >◆ over: decide</span
            >
          </span>
          <RouterLink
            v-if="trial.againstId && trial.outcome === 'open'"
            class="small"
            :to="{
              name: 'compare',
              params: { playerId },
              query: { builds: `${trial.againstId},${trial.clubId}` },
            }"
            >Compare</RouterLink
          >
          <TextField
            v-if="trial.outcome !== 'open' || trial.notes"
            :value="trial.notes"
            :aria-label="`Notes on ${theClub(clubName(clubs, trial.clubId))}`"
            placeholder="notes on the outcome"
            :readonly="readOnly"
            @write="$event !== trial.notes && change(trial.id, { notes: $event })"
          />
        </span>
        <ChoiceField
          :value="trial.outcome"
          :label="`Outcome of ${theClub(clubName(clubs, trial.clubId))}`"
          :disabled="readOnly"
          :options="TRIAL_OUTCOMES.map((one) => ({ value: one, label: OUTCOME_WORDS[one] }))"
          @update:value="change(trial.id, { outcome: $event })"
        />
        <NButton
          v-if="!readOnly"
          size="small"
          quaternary
          :aria-label="`Delete the trial of ${theClub(clubName(clubs, trial.clubId))}`"
          @click="remove(trial.id)"
          >Delete</NButton
        >
      </li>
    </ul>
    <p v-if="season.trials.length === 0 && !adding" class="quiet small">
      Try new heads and shafts against what is played: how many shots, and by which day.
    </p>
  </section>
</template>

<style scoped>
h2 {
  display: flex;
  gap: 10px;
  align-items: center;
  margin: 18px 0 6px;
}
.form {
  padding: 10px 14px;
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
  gap: 0 12px;
  margin-bottom: 8px;
}
.rows {
  list-style: none;
  margin: 0;
  padding: 0;
}
.rows li {
  display: grid;
  grid-template-columns: 1fr auto auto;
  gap: 8px;
  padding: 6px 0;
  border-top: 1px solid var(--line-soft);
  align-items: start;
}
</style>
