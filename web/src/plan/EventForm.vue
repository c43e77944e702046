<script setup lang="ts">
import { LIMIT_BOUNDS, MAX_ROUNDS, eventDetails, finite, required, type EventView } from '@tasche/contract';
import { NButton, NCard, NForm, NFormItem } from 'naive-ui';
import { v4 as newId } from 'uuid';
import { computed, onMounted, reactive, ref } from 'vue';
import { useRouter } from 'vue-router';
import ProblemLine from '../app/ProblemLine.vue';
import { useOutbox } from '../changes/outbox';
import { useSchedule } from '../courses/schedule-store';
import ChoiceField from '../fields/ChoiceField.vue';
import NumberField from '../fields/NumberField.vue';
import TextField from '../fields/TextField.vue';
import ZoneField from '../fields/ZoneField.vue';
import KeptNote from '../fields/KeptNote.vue';
import { useKeptDraft } from '../fields/kept-draft';
import { ownZone } from '../fields/time-zones';
import { vOpened } from '../fields/opened';
import { useForm } from '../fields/use-form';
import { useSheet } from '../sheet/sheet-store';
import EventChoices from './EventChoices.vue';
import EventRounds from './EventRounds.vue';
import { draftRounds, eventOfDraft, nextRound } from './event-draft';
import { planOfEvent } from './plan-of-event';

/**
 * An event to plan a player for: one the workspace has, or one written down here; or, given one, its rounds
 * to be changed.
 */
const props = defineProps<{ playerId: string; event?: EventView }>();
const emit = defineEmits<{ leave: [] }>();
const schedule = useSchedule();
const store = useSheet();
const outbox = useOutbox();
const router = useRouter();
onMounted(() => void schedule.load());

const own = ref(Boolean(props.event));
const draft = reactive({
  name: props.event?.name ?? '',
  clubs: (props.event?.limits.clubs ?? LIMIT_BOUNDS.clubs[1]) as number | null,
  lengthIn: props.event?.limits.lengthIn ?? 48,
  zone: props.event ? (props.event.zone ?? '') : ownZone(),
  notes: props.event?.notes ?? '',
});
const { rules, submit } = useForm(draft, {
  name: { label: 'Name of the event', schema: required(eventDetails.name) },
  clubs: { label: 'Clubs allowed', schema: required(finite(...LIMIT_BOUNDS.clubs)) },
  notes: { label: 'Notes', schema: eventDetails.notes },
});
const rounds = ref(draftRounds(props.event));
const problem = ref('');
const { wasKept, isWritten, startOver, end } = useKeptDraft(
  `event/${props.playerId}/${props.event?.id ?? 'new'}`,
  {
    read: () => ({ draft, rounds: rounds.value }),
    write: (kept) => {
      Object.assign(draft, kept.draft);
      rounds.value = kept.rounds;
      // Begun again it asks again which event.
      own.value = kept.rounds.length > 0;
    },
  },
);

/** Courses a round can be worked out on. */
const playable = computed(() => schedule.courses.filter(({ holes }) => holes.length > 0));
const planned = computed(() => new Set(store.sheet!.plans.map(({ eventId }) => eventId)));

function more(): void {
  rounds.value = [...rounds.value, nextRound(rounds.value.at(-1), playable.value[0]?.id ?? '')];
}
function begin(): void {
  own.value = true;
  if (rounds.value.length === 0) more();
}

function save(): void {
  const details = eventOfDraft(draft, rounds.value, schedule.courses, props.event);
  if ('problem' in details) {
    problem.value = details.problem;
    return;
  }
  if (props.event) {
    schedule.change([
      { do: 'editEvent', eventId: props.event.id, version: props.event.version, set: details },
    ]);
    leave();
    return;
  }
  const id = newId();
  schedule.change([{ do: 'addEvent', event: { id, ...details } }]);
  plan({ id, version: 1, removed: false, ...details });
}

function plan(event: EventView): void {
  const ids = { plan: newId(), bag: newId() };
  // The event is in the outbox before the plan that is for it, and is sent before it.
  store.change([planOfEvent(event, props.playerId, schedule.courses, ids)]);
  void outbox.run();
  leave();
  void router.push({ name: 'plan', params: { playerId: props.playerId, planId: ids.plan } });
}
function leave(): void {
  end();
  emit('leave');
}
</script>

<template>
  <NCard v-opened="{ leave, isWritten }" class="form">
    <KeptNote :kept="wasKept" @start-over="startOver" />
    <NForm ref="form" :model="draft" :rules="rules" size="small" @submit.prevent="submit(save)">
      <EventChoices
        v-if="!own"
        :planned="planned"
        :can-write="playable.length > 0"
        @plan="plan"
        @write="begin"
        @leave="leave"
      />
      <template v-else>
        <div class="line">
          <NFormItem label="Name of the event" path="name">
            <TextField
              aria-label="Name of the event"
              v-model:value="draft.name"
              autofocus
              placeholder="Which event?"
            />
          </NFormItem>
          <NFormItem label="Clubs allowed" path="clubs">
            <NumberField v-model:value="draft.clubs" class="number" label="Clubs allowed" :bounds="[1, 14]" />
          </NFormItem>
          <NFormItem label="Longest club" path="lengthIn">
            <ChoiceField
              v-model:value="draft.lengthIn"
              label="Longest club"
              :options="[
                { value: 48, label: '48 in' },
                { value: 46, label: '46 in, local rule' },
              ]"
            />
          </NFormItem>
          <NFormItem label="Time zone" path="zone">
            <ZoneField v-model:value="draft.zone" label="Time zone" />
          </NFormItem>
          <NFormItem label="Notes" path="notes" class="notes">
            <TextField aria-label="Notes" v-model:value="draft.notes" placeholder="What the committee says" />
          </NFormItem>
        </div>
        <EventRounds v-model="rounds" :courses="playable" />
        <ProblemLine :text="problem" />
        <div class="bar">
          <NButton type="primary" attr-type="submit">
            {{ event ? 'Save the event' : 'Plan it from the gamer bag' }}
          </NButton>
          <NButton :disabled="rounds.length >= MAX_ROUNDS" @click="more"> Another round </NButton>
          <NButton @click="leave">Cancel</NButton>
        </div>
      </template>
    </NForm>
  </NCard>
</template>

<style scoped>
.form {
  padding: 14px 18px;
  margin-bottom: 14px;
  max-width: 900px;
  display: grid;
  gap: 4px;
}
.line {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
}

.number {
  width: 84px;
}
.notes {
  flex: 1 1 260px;
}
</style>
