<script setup lang="ts">
import { NButton, NCard, NForm, NFormItem } from 'naive-ui';
import { required, roundPlayedDetails, type RoundPlayedDetails } from '@tasche/contract';
import { computed, reactive } from 'vue';
import { today } from '../app/day';
import { useSchedule } from '../courses/schedule-store';
import ChoiceField from '../fields/ChoiceField.vue';
import DateField from '../fields/DateField.vue';
import TextField from '../fields/TextField.vue';
import KeptNote from '../fields/KeptNote.vue';
import { useKeptDraft, wholeDraft } from '../fields/kept-draft';
import { vOpened } from '../fields/opened';
import { useForm } from '../fields/use-form';
import { useSheet } from '../sheet/sheet-store';

/** A round outside any event: when, where, with which bag. */
const props = defineProps<{ round?: RoundPlayedDetails & { id: string } }>();
const emit = defineEmits<{ save: [round: Omit<RoundPlayedDetails, 'after'>]; leave: [] }>();
const store = useSheet();
const schedule = useSchedule();

/** The choices' value for none. */
const NONE = '';
const draft = reactive({
  playedOn: props.round?.playedOn ?? today(),
  courseId: props.round?.courseId ?? NONE,
  bagId: props.round ? (props.round.bagId ?? NONE) : (store.gamer?.id ?? NONE),
  name: props.round?.name ?? '',
});
const { wasKept, isWritten, startOver, end } = useKeptDraft(
  `round/${store.sheet!.player.id}/${props.round?.id ?? 'new'}`,
  wholeDraft(draft),
);
const { rules, submit } = useForm(draft, {
  playedOn: { label: 'Day', schema: required(roundPlayedDetails.playedOn) },
  name: { label: 'Name of the round', schema: roundPlayedDetails.name },
});
const courses = computed(() => [
  { value: NONE, label: 'another course' },
  ...schedule.courses.map(({ id, name }) => ({ value: id, label: name })),
]);
const bags = computed(() => [
  { value: NONE, label: 'not known' },
  ...store.sheet!.bags.map(({ id, name, gamer }) => ({
    value: id,
    label: gamer ? `${name}, the gamer` : name,
  })),
]);
const save = () => {
  end();
  const { playedOn, courseId, bagId, name } = draft;
  emit('save', { playedOn, name: name.trim(), courseId: courseId || null, bagId: bagId || null });
};
const leave = () => {
  end();
  emit('leave');
};
</script>

<template>
  <NCard v-opened="{ leave, isWritten }" class="form">
    <KeptNote :kept="wasKept" @start-over="startOver" />
    <NForm ref="form" :model="draft" :rules="rules" size="small" @submit.prevent="submit(save)">
      <NFormItem label="Day" path="playedOn">
        <DateField v-model:value="draft.playedOn" label="Day" :max="today()" />
      </NFormItem>
      <NFormItem label="Course" path="courseId">
        <ChoiceField v-model:value="draft.courseId" label="Course" :options="courses" />
      </NFormItem>
      <NFormItem label="Bag carried" path="bagId">
        <ChoiceField v-model:value="draft.bagId" label="Bag carried" :options="bags" />
      </NFormItem>
      <NFormItem label="Name of the round" path="name">
        <TextField
          v-model:value="draft.name"
          aria-label="Name of the round"
          placeholder="club medal"
          maxlength="80"
        />
      </NFormItem>
      <p class="bar">
        <NButton type="primary" attr-type="submit">{{ round ? 'Save the round' : 'Save' }}</NButton>
        <NButton @click="leave">Cancel</NButton>
      </p>
    </NForm>
  </NCard>
</template>

<style scoped>
.form {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 14px;
  align-items: end;
  padding: 12px 14px;
  margin: 8px 0;
}
</style>
