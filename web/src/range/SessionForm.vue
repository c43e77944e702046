<script setup lang="ts">
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
      >Where <input v-model="draft.name" required maxlength="80" autofocus placeholder="Home range"
    /></label>
    <label>Day <input v-model="draft.heldOn" type="date" required /></label>
    <label
      >Off
      <select v-model="draft.hitOff">
        <option>grass</option>
        <option>mat</option>
      </select></label
    >
    <label>Ball <input v-model="draft.ball" maxlength="80" placeholder="which ball?" /></label>
    <label class="wide"
      >Notes <input v-model="draft.notes" maxlength="4000" placeholder="what for, how it felt…"
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
input,
select {
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
  .wide {
    grid-column: span 2;
  }
}
</style>
