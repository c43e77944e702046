<script setup lang="ts">
import {
  required,
  ticketDetails,
  type ClubView,
  type TicketDetails,
  type TicketView,
} from '@tasche/contract';
import { BENCH_JOBS, QUANTITIES, type BenchJob, type QuantityKey } from '@tasche/core';
import { NButton, NCard, NForm, NFormItem } from 'naive-ui';
import { computed, reactive, watch } from 'vue';
import ChoiceField from '../fields/ChoiceField.vue';
import QuantityField from '../fields/QuantityField.vue';
import TextField from '../fields/TextField.vue';
import KeptNote from '../fields/KeptNote.vue';
import { useKeptDraft } from '../fields/kept-draft';
import { vOpened } from '../fields/opened';
import { useForm } from '../fields/use-form';
import OccasionFields from './OccasionFields.vue';
import { JOB_KEYS, JOB_WORDS, nowOf, plainLabel, usualName } from './ticket-words';

/** A job for the bench: which club, what it is to be, why, and by when. */
const props = defineProps<{
  playerId: string;
  clubs: readonly ClubView[];
  ticket?: TicketView;
}>();
const emit = defineEmits<{ save: [details: TicketDetails]; leave: [] }>();

const draft = reactive({
  name: props.ticket?.name ?? '',
  job: props.ticket?.job ?? ('bend' as BenchJob),
  clubId:
    props.ticket?.clubId ?? (props.clubs.find(({ kind }) => kind === 'iron') ?? props.clubs[0])?.id ?? '',
  why: props.ticket?.why ?? '',
  eventId: props.ticket?.eventId ?? null,
  dueOn: props.ticket?.dueOn ?? null,
});
const wanted = reactive(
  new Map<QuantityKey, number | string | null>(props.ticket?.wanted.map(({ key, value }) => [key, value])),
);
/** Quantities whose field holds what cannot be read: nothing is saved past them. */
const bad = reactive(new Set<QuantityKey>());
const club = computed(() => props.clubs.find(({ id }) => id === draft.clubId));
/** The quantities the job is usually about, and whatever else was added. */
const keys = computed(() => [...new Set([...JOB_KEYS[draft.job], ...wanted.keys()])]);
const addable = computed(() =>
  QUANTITIES.filter(({ key }) => !keys.value.includes(key) && key !== 'state' && key !== 'price').map(
    ({ key, label }) => ({ value: key, label }),
  ),
);
const nowWords = (key: QuantityKey) => {
  const now = nowOf(club.value, key);
  return now === null ? 'not known now' : `now ${now}`;
};
/** The name follows job and club until another is entered. */
const suggested = computed(() => usualName(draft.job, club.value?.name ?? 'club'));
watch(
  suggested,
  (name, before) => {
    if (draft.name === '' || draft.name === before) draft.name = name;
  },
  { immediate: true },
);

const { wasKept, isWritten, startOver, end } = useKeptDraft(
  `ticket/${props.playerId}/${props.ticket?.id ?? 'new'}`,
  {
    read: () => ({ draft, wanted: [...wanted] }),
    write: (kept) => {
      Object.assign(draft, kept.draft);
      wanted.clear();
      for (const [key, value] of kept.wanted) wanted.set(key, value);
    },
  },
);
const { rules, submit } = useForm(draft, {
  name: { label: 'What', schema: required(ticketDetails.name) },
  why: { label: 'Why', schema: ticketDetails.why },
});
function leave(): void {
  end();
  emit('leave');
}
function save(): void {
  end();
  emit('save', {
    ...draft,
    name: draft.name.trim(),
    wanted: [...wanted].flatMap(([key, value]) => (value === null ? [] : [{ key, value }])),
  });
}
</script>

<template>
  <NCard v-opened="{ leave, isWritten }" class="ticket-form">
    <KeptNote :kept="wasKept" @start-over="startOver" />
    <NForm ref="form" :model="draft" :rules="rules" size="small" @submit.prevent="submit(save)">
      <NFormItem label="Club" path="clubId">
        <ChoiceField
          v-model:value="draft.clubId"
          label="Club"
          :options="clubs.map(({ id, name }) => ({ value: id, label: name }))"
          :disabled="ticket !== undefined"
        />
      </NFormItem>
      <NFormItem label="Job" path="job">
        <ChoiceField
          v-model:value="draft.job"
          label="Job"
          :options="BENCH_JOBS.map((value) => ({ value, label: JOB_WORDS[value] }))"
        />
      </NFormItem>
      <NFormItem label="What" path="name" class="two"
        ><TextField v-model:value="draft.name" aria-label="What"
      /></NFormItem>
      <div class="wanted all">
        <label v-for="key in keys" :key="key">
          <span class="small"
            >{{ plainLabel(key) }} wanted <span class="quiet">({{ nowWords(key) }})</span></span
          >
          <QuantityField
            :quantity-key="key"
            :value="wanted.get(key) ?? null"
            :label="`${plainLabel(key)} wanted`"
            @update:value="wanted.set(key, $event)"
            @bad="$event ? bad.add(key) : bad.delete(key)"
          />
        </label>
        <label v-if="addable.length > 0">
          <span class="small quiet">something else</span>
          <ChoiceField
            :value="null"
            label="Add a quantity"
            placeholder="add…"
            :options="addable"
            @update:value="wanted.set($event as QuantityKey, null)"
          />
        </label>
      </div>
      <NFormItem label="Why" path="why" class="two"
        ><TextField v-model:value="draft.why" aria-label="Why" placeholder="what it should fix"
      /></NFormItem>
      <OccasionFields v-model:event-id="draft.eventId" v-model:due-on="draft.dueOn" />
      <div class="bar all">
        <NButton type="primary" attr-type="submit" :disabled="!club || bad.size > 0">{{
          ticket ? 'Save' : 'Add ticket'
        }}</NButton>
        <NButton @click="leave">Cancel</NButton>
      </div>
    </NForm>
  </NCard>
</template>

<style scoped>
.ticket-form {
  display: grid;
  grid-template-columns: repeat(4, minmax(0, 1fr));
  gap: 0 14px;
  padding: 14px 18px;
  margin-bottom: 14px;
  max-width: 980px;
}
.two {
  grid-column: span 2;
}
.all {
  grid-column: 1 / -1;
}
.wanted {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 18px;
  padding-bottom: 14px;
}
.wanted label {
  display: grid;
  gap: 3px;
}
@media (max-width: 700px) {
  .ticket-form {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
