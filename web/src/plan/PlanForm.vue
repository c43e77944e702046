<script setup lang="ts">
import DateField from '../fields/DateField.vue';
import TextField from '../fields/TextField.vue';
import { NButton } from 'naive-ui';
import type { PlanDetails } from '@tasche/contract';
import { addDays, format } from 'date-fns';
import { reactive } from 'vue';

/** The week in words: name, course, days, ground and weather. */
const props = defineProps<{ plan?: PlanDetails; action: string }>();
const emit = defineEmits<{ save: [details: PlanDetails]; leave: [] }>();

const draft = reactive<PlanDetails>({
  name: props.plan?.name ?? '',
  course: props.plan?.course ?? '',
  startsOn: props.plan?.startsOn ?? format(addDays(new Date(), 7), 'yyyy-MM-dd'),
  endsOn: props.plan?.endsOn ?? format(addDays(new Date(), 10), 'yyyy-MM-dd'),
  ground: props.plan?.ground ?? '',
  weather: props.plan?.weather ?? '',
});
</script>

<template>
  <form class="card form" @submit.prevent="emit('save', { ...draft, name: draft.name.trim() })">
    <label
      >Name of the week
      <TextField
        aria-label="Name of the week"
        v-model:value="draft.name"
        required
        maxlength="80"
        autofocus
        placeholder="Skarvoy week"
    /></label>
    <label
      >Course
      <TextField aria-label="Course" v-model:value="draft.course" maxlength="200" placeholder="Which course?"
    /></label>
    <label>First day <DateField v-model:value="draft.startsOn" label="First day" /></label>
    <label>Last day <DateField v-model:value="draft.endsOn" :min="draft.startsOn" label="Last day" /></label>
    <label class="wide"
      >Ground
      <TextField
        aria-label="Ground"
        v-model:value="draft.ground"
        maxlength="500"
        placeholder="firm, tight turf, heavy sand…"
    /></label>
    <label class="wide"
      >Weather
      <TextField
        aria-label="Weather"
        v-model:value="draft.weather"
        maxlength="500"
        placeholder="cool, wind off the sea…"
    /></label>
    <div class="bar">
      <NButton type="primary" attr-type="submit">{{ action }}</NButton><NButton @click="emit('leave')">
        Cancel
      </NButton>
    </div>
  </form>
</template>

<style scoped>
.form {
  display: grid;
  grid-template-columns: repeat(4, minmax(130px, 1fr));
  gap: 10px 14px;
  padding: 14px 18px;
  margin-bottom: 14px;
  max-width: 900px;
  align-items: end;
}
label {
  display: grid;
  gap: 3px;
  font-size: 12.5px;
  color: var(--quiet);
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
