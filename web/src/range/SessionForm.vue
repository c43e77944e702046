<script setup lang="ts">
import { vOpened } from '../fields/opened';
import { useForm } from '../fields/use-form';
import DateField from '../fields/DateField.vue';
import TextField from '../fields/TextField.vue';
import ChoiceField from '../fields/ChoiceField.vue';
import KeptNote from '../fields/KeptNote.vue';
import { useKeptDraft, wholeDraft } from '../fields/kept-draft';
import { NButton, NCard, NForm, NFormItem } from 'naive-ui';
import { HIT_OFF, ballOn, required, sessionDetails, type SessionDetails } from '@tasche/contract';
import { MEDIUM_FAIRWAY, type PlayingConditions } from '@tasche/core';
import { reactive } from 'vue';
import { today } from '../app/day';
import { useSheet } from '../sheet/sheet-store';

/** Where a session is held and what is hit off; its air is set beside it once it is open. */
const props = defineProps<{
  session?: SessionDetails & { id: string };
  baseline: PlayingConditions;
  action: string;
}>();
const emit = defineEmits<{ save: [details: SessionDetails]; leave: [] }>();

const store = useSheet();
const draft = reactive<SessionDetails>({
  name: props.session?.name ?? '',
  heldOn: props.session?.heldOn ?? today(),
  hitOff: props.session?.hitOff ?? 'grass',
  ball: props.session?.ball ?? ballOn(store.sheet?.player.balls ?? [], today()) ?? '',
  notes: props.session?.notes ?? '',
  conditions: props.session?.conditions ?? props.baseline.conditions,
  surface: props.session?.surface ?? MEDIUM_FAIRWAY,
});
const { wasKept, isWritten, startOver, end } = useKeptDraft(
  `session/${store.sheet!.player.id}/${props.session?.id ?? 'new'}`,
  wholeDraft(draft),
);
const { rules, submit } = useForm(draft, {
  name: { label: 'Where', schema: required(sessionDetails.name) },
  heldOn: { label: 'Day', schema: required(sessionDetails.heldOn) },
  ball: { label: 'Ball', schema: sessionDetails.ball },
  notes: { label: 'Notes', schema: sessionDetails.notes },
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
      <NFormItem label="Where" path="name">
        <TextField aria-label="Where" v-model:value="draft.name" autofocus placeholder="Home range" />
      </NFormItem>
      <NFormItem label="Day" path="heldOn">
        <DateField v-model:value="draft.heldOn" label="Day" />
      </NFormItem>
      <NFormItem label="Off" path="hitOff">
        <ChoiceField v-model:value="draft.hitOff" label="Off" :options="HIT_OFF" />
      </NFormItem>
      <NFormItem label="Ball" path="ball">
        <TextField aria-label="Ball" v-model:value="draft.ball" placeholder="which ball?" />
      </NFormItem>
      <NFormItem label="Notes" path="notes" class="wide">
        <TextField aria-label="Notes" v-model:value="draft.notes" placeholder="what for, how it felt…" />
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
  grid-template-columns: 2fr 1fr 1fr 1.5fr;
  gap: 0 14px;
  padding: 14px 18px;
  margin-bottom: 14px;
  max-width: 900px;
  align-items: end;
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
