<script setup lang="ts">
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
      <input v-model="draft.name" required maxlength="80" autofocus placeholder="Skarvoy week"
    /></label>
    <label>Course <input v-model="draft.course" maxlength="200" placeholder="Which course?" /></label>
    <label>First day <input v-model="draft.startsOn" type="date" required /></label>
    <label>Last day <input v-model="draft.endsOn" type="date" required :min="draft.startsOn" /></label>
    <label class="wide"
      >Ground <input v-model="draft.ground" maxlength="500" placeholder="firm, tight turf, heavy sand…"
    /></label>
    <label class="wide"
      >Weather <input v-model="draft.weather" maxlength="500" placeholder="cool, wind off the sea…"
    /></label>
    <div class="bar">
      <button class="plain-button main">{{ action }}</button><button
        type="button"
        class="plain-button"
        @click="emit('leave')"
      >
        Cancel
      </button>
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
input {
  font: inherit;
  font-size: 14px;
  min-height: 36px;
  padding: 4px 8px;
  border: 1px solid var(--line);
  border-radius: 4px;
  background: var(--linen);
  color: var(--ink);
  min-width: 0;
}
@media (max-width: 700px) {
  .form {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
