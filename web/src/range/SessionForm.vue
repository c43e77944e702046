<script setup lang="ts">
import DateField from '../fields/DateField.vue';
import TextField from '../fields/TextField.vue';
import ChoiceField from '../fields/ChoiceField.vue';
import { NButton } from 'naive-ui';
import type { SessionDetails } from '@tasche/contract';
import { MEDIUM_FAIRWAY, type PlayingConditions } from '@tasche/core';
import { reactive } from 'vue';
import { today } from '../app/day';

/** Where and off what a session is held; its air is set beside it once it is open. */
const props = defineProps<{ session?: SessionDetails; baseline: PlayingConditions; action: string }>();
const emit = defineEmits<{ save: [details: SessionDetails]; leave: [] }>();

const draft = reactive<SessionDetails>({
  name: props.session?.name ?? '',
  heldOn: props.session?.heldOn ?? today(),
  hitOff: props.session?.hitOff ?? 'grass',
  ball: props.session?.ball ?? '',
  notes: props.session?.notes ?? '',
  conditions: props.session?.conditions ?? props.baseline.conditions,
  surface: props.session?.surface ?? MEDIUM_FAIRWAY,
});
</script>

<template>
  <form class="card form" @submit.prevent="emit('save', { ...draft, name: draft.name.trim() })">
    <label
      >Where
      <TextField
        aria-label="Where"
        v-model:value="draft.name"
        required
        maxlength="80"
        autofocus
        placeholder="Home range"
    /></label>
    <label>Day <DateField v-model:value="draft.heldOn" label="Day" /></label>
    <label>Off <ChoiceField v-model:value="draft.hitOff" label="Off" :options="['grass', 'mat']" /></label>
    <label
      >Ball <TextField aria-label="Ball" v-model:value="draft.ball" maxlength="80" placeholder="which ball?"
    /></label>
    <label class="wide"
      >Notes
      <TextField
        aria-label="Notes"
        v-model:value="draft.notes"
        maxlength="4000"
        placeholder="what for, how it felt…"
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
  grid-template-columns: 2fr 1fr 1fr 1.5fr;
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
  grid-column: span 4;
}
.bar {
  grid-column: 1 / -1;
}

@media (max-width: 700px) {
  .form {
    grid-template-columns: 1fr 1fr;
  }
  .wide {
    grid-column: span 2;
  }
}
</style>
