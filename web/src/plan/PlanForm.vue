<script setup lang="ts">
import { vOpened } from '../fields/opened';
import { useForm } from '../fields/use-form';
import DateField from '../fields/DateField.vue';
import TextField from '../fields/TextField.vue';
import KeptNote from '../fields/KeptNote.vue';
import { useKeptDraft, wholeDraft } from '../fields/kept-draft';
import { NButton, NCard, NForm, NFormItem } from 'naive-ui';
import { datesInOrder, planDetails, required, type PlanDetails } from '@tasche/contract';
import { addDays, format } from 'date-fns';
import { reactive } from 'vue';

/** The week in words: name, course, days, ground and weather. */
const props = defineProps<{ playerId: string; plan?: PlanDetails & { id: string }; action: string }>();
const emit = defineEmits<{ save: [details: PlanDetails]; leave: [] }>();

const draft = reactive<PlanDetails>({
  name: props.plan?.name ?? '',
  course: props.plan?.course ?? '',
  startsOn: props.plan?.startsOn ?? format(addDays(new Date(), 7), 'yyyy-MM-dd'),
  endsOn: props.plan?.endsOn ?? format(addDays(new Date(), 10), 'yyyy-MM-dd'),
  ground: props.plan?.ground ?? '',
  weather: props.plan?.weather ?? '',
});
const { wasKept, isWritten, startOver, end } = useKeptDraft(
  `week/${props.playerId}/${props.plan?.id ?? 'new'}`,
  wholeDraft(draft),
);
const { rules, submit } = useForm(draft, {
  name: { label: 'Name of the week', schema: required(planDetails.name) },
  course: { label: 'Course', schema: planDetails.course },
  startsOn: { label: 'First day', schema: required(planDetails.startsOn) },
  endsOn: {
    label: 'Last day',
    schema: required(planDetails.endsOn),
    also: (plan) => (datesInOrder(plan) ? null : 'Last day: the week ends before it starts'),
  },
  ground: { label: 'Ground', schema: planDetails.ground },
  weather: { label: 'Weather', schema: planDetails.weather },
});
function save(): void {
  end();
  emit('save', { ...draft, name: draft.name.trim() });
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
      <NFormItem label="Name of the week" path="name">
        <TextField
          aria-label="Name of the week"
          v-model:value="draft.name"
          autofocus
          placeholder="Skarvoy week"
        />
      </NFormItem>
      <NFormItem label="Course" path="course">
        <TextField aria-label="Course" v-model:value="draft.course" placeholder="Which course?" />
      </NFormItem>
      <NFormItem label="First day" path="startsOn">
        <DateField v-model:value="draft.startsOn" label="First day" ahead />
      </NFormItem>
      <NFormItem label="Last day" path="endsOn">
        <DateField v-model:value="draft.endsOn" :min="draft.startsOn" label="Last day" />
      </NFormItem>
      <NFormItem label="Ground" path="ground" class="wide">
        <TextField
          aria-label="Ground"
          v-model:value="draft.ground"
          placeholder="firm, tight turf, heavy sand…"
        />
      </NFormItem>
      <NFormItem label="Weather" path="weather" class="wide">
        <TextField aria-label="Weather" v-model:value="draft.weather" placeholder="cool, wind off the sea…" />
      </NFormItem>
      <div class="bar">
        <NButton type="primary" attr-type="submit">{{ action }}</NButton><NButton @click="leave">
          Cancel
        </NButton>
      </div>
    </NForm>
  </NCard>
</template>

<style scoped>
.form {
  display: grid;
  grid-template-columns: repeat(4, minmax(130px, 1fr));
  gap: 0 14px;
  padding: 14px 18px;
  margin-bottom: 14px;
  max-width: 900px;
  align-items: end;
}
.wide {
  grid-column: span 2;
}
.bar {
  grid-column: 1 / -1;
}

@media (max-width: 700px) {
  .form {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
