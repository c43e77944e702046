<script setup lang="ts">
import { NButton, NCard, NForm, NFormItem } from 'naive-ui';
import {
  REPEATS,
  SEASON_ITEM_KINDS,
  nameSchema,
  required,
  type PlayerSeason,
  type SeasonItem,
} from '@tasche/contract';
import { v4 as newId } from 'uuid';
import { reactive, ref } from 'vue';
import { spanOfDays, today } from '../app/day';
import ChoiceField from '../fields/ChoiceField.vue';
import DateField from '../fields/DateField.vue';
import TextField from '../fields/TextField.vue';
import KeptNote from '../fields/KeptNote.vue';
import { isDraftKept, useKeptDraft, wholeDraft } from '../fields/kept-draft';
import { vOpened } from '../fields/opened';
import { useForm } from '../fields/use-form';
import { ENTRY_MARKS, ITEM_WORDS, REPEAT_WORDS } from './season-words';

/** Days a player keeps free of anything new, tests, trips and whatever is to be remembered. */
const props = defineProps<{ playerId: string; season: PlayerSeason; readOnly: boolean }>();
const emit = defineEmits<{ set: [season: PlayerSeason] }>();

const FORM = `own-days/${props.playerId}`;
const adding = ref(isDraftKept(FORM));
const ONCE = 'once';
const draft = reactive({
  kind: 'freeze' as SeasonItem['kind'],
  name: '',
  from: today(),
  to: today(),
  repeats: ONCE as SeasonItem['repeats'] | typeof ONCE,
});
const { wasKept, isWritten, startOver } = useKeptDraft(FORM, wholeDraft(draft));
const { rules, submit } = useForm(draft, {
  name: { label: 'Name', schema: required(nameSchema) },
});
function save(): void {
  const { kind, from, to, repeats } = draft;
  const item: SeasonItem = {
    id: newId(),
    kind,
    name: draft.name.trim(),
    from,
    to: to < from ? from : to,
    repeats: repeats === ONCE ? null : repeats,
  };
  emit('set', { ...props.season, items: [...props.season.items, item] });
  leave();
}
function leave(): void {
  adding.value = false;
  startOver();
}
const remove = (id: string) => {
  emit('set', { ...props.season, items: props.season.items.filter((item) => item.id !== id) });
};
</script>

<template>
  <section aria-label="Own days">
    <h2>
      Own days
      <NButton v-if="!readOnly" size="small" :disabled="adding" @click="adding = true">Add…</NButton>
    </h2>
    <NCard v-if="adding" v-opened="{ leave, isWritten }" class="form">
      <KeptNote :kept="wasKept" @start-over="startOver" />
      <NForm ref="form" :model="draft" :rules="rules" size="small" @submit.prevent="submit(save)">
        <NFormItem label="What" path="kind">
          <ChoiceField
            v-model:value="draft.kind"
            label="What"
            :options="SEASON_ITEM_KINDS.map((kind) => ({ value: kind, label: ITEM_WORDS[kind] }))"
          />
        </NFormItem>
        <NFormItem label="Name" path="name">
          <TextField
            v-model:value="draft.name"
            aria-label="Name"
            autofocus
            placeholder="January to the off-season"
          />
        </NFormItem>
        <NFormItem label="From" path="from"
          ><DateField v-model:value="draft.from" label="From" ahead
        /></NFormItem>
        <NFormItem label="To" path="to"
          ><DateField v-model:value="draft.to" :min="draft.from" label="To"
        /></NFormItem>
        <NFormItem label="Comes up" path="repeats">
          <ChoiceField
            v-model:value="draft.repeats"
            label="Comes up"
            :options="[
              { value: ONCE, label: 'once' },
              ...REPEATS.map((one) => ({ value: one, label: REPEAT_WORDS[one] })),
            ]"
          />
        </NFormItem>
        <p class="bar">
          <NButton type="primary" attr-type="submit">Add</NButton>
          <NButton @click="leave">Cancel</NButton>
        </p>
      </NForm>
    </NCard>
    <ul class="rows">
      <li v-for="item in season.items" :key="item.id">
        <span class="mark" aria-hidden="true">{{ ENTRY_MARKS[item.kind] }}</span>
        <span>
          <b>{{ item.name }}</b> <span class="quiet small">{{ ITEM_WORDS[item.kind] }}</span> <br /><span
            class="quiet small"
          >
            {{ spanOfDays(item.from, item.to)
            }}<template v-if="item.repeats">, {{ REPEAT_WORDS[item.repeats] }}</template>
          </span>
        </span>
        <NButton
          v-if="!readOnly"
          size="small"
          quaternary
          :aria-label="`Delete ${item.name}`"
          @click="remove(item.id)"
          >Delete</NButton
        >
      </li>
    </ul>
    <p v-if="season.items.length === 0 && !adding" class="quiet small">
      A freeze (“nothing new from January on”) asks for a reason whenever something new comes into the gamer.
    </p>
  </section>
</template>

<style scoped>
h2 {
  display: flex;
  gap: 10px;
  align-items: center;
  margin-bottom: 6px;
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
  grid-template-columns: 20px 1fr auto;
  gap: 6px;
  padding: 6px 0;
  border-top: 1px solid var(--line-soft);
  align-items: start;
}
.mark {
  color: var(--petrol);
}
</style>
