<script setup lang="ts">
import { isSamePerson, nameSchema, required, type ChangeResult } from '@tasche/contract';
import type { DistanceUnit } from '@tasche/core';
import { NButton, NCard, NForm, NFormItem } from 'naive-ui';
import { v4 as newId } from 'uuid';
import { computed, reactive, ref } from 'vue';
import { useRouter } from 'vue-router';
import { post } from '../api/request';
import ProblemLine from '../app/ProblemLine.vue';
import ChoiceField from '../fields/ChoiceField.vue';
import TextField from '../fields/TextField.vue';
import { vOpened } from '../fields/opened';
import { useForm } from '../fields/use-form';
import { newPlayerCommands } from './new-player';

/** Adds a new player, and goes to their bag. */
const props = defineProps<{ players: readonly { id: string; name: string }[] }>();
const emit = defineEmits<{ leave: [] }>();
const router = useRouter();
const problem = ref('');
const draft = reactive({ name: '', unit: 'yd' as DistanceUnit, hand: 'right' as 'right' | 'left' });
const { rules, submit } = useForm(draft, {
  name: { label: 'Name', schema: required(nameSchema) },
});

/** Somebody on the roster who has that name already: two may, but more often one is added twice. */
const namesake = computed(() => props.players.find(({ name }) => isSamePerson(name, draft.name)));

/** A new player starts with an empty gamer bag, ready to be typed into. */
async function add(): Promise<void> {
  const playerId = newId();
  try {
    const player = { name: draft.name.trim(), hand: draft.hand, distanceUnit: draft.unit };
    await post<ChangeResult>('/changes', { id: newId(), commands: newPlayerCommands(player, playerId) });
    await router.push({ name: 'bag', params: { playerId } });
  } catch (error) {
    problem.value = (error as Error).message;
  }
}
</script>

<template>
  <NCard v-opened="{ leave: () => emit('leave') }" class="add">
    <NForm ref="form" :model="draft" :rules="rules" size="small" @submit.prevent="submit(add)">
      <NFormItem label="Name" path="name">
        <TextField aria-label="Name" v-model:value="draft.name" autofocus placeholder="Name of the player" />
      </NFormItem>
      <NFormItem label="Carries in" path="unit">
        <ChoiceField
          v-model:value="draft.unit"
          label="Carries in"
          :options="[
            { value: 'yd', label: 'yards' },
            { value: 'm', label: 'metres' },
          ]"
        />
      </NFormItem>
      <NFormItem label="Hand" path="hand">
        <ChoiceField v-model:value="draft.hand" label="Hand" :options="['right', 'left']" />
      </NFormItem>
      <NButton type="primary" attr-type="submit">Add and enter the bag</NButton>
      <NButton v-if="players.length > 0" class="cancel" @click="emit('leave')">Cancel</NButton>
      <p v-if="namesake" class="namesake verdict warning small" role="status">
        ◆ {{ namesake.name }} is on the roster already.
        <RouterLink :to="{ name: 'bag', params: { playerId: namesake.id } }">To their bag</RouterLink>
      </p>
      <ProblemLine :text="problem" />
    </NForm>
  </NCard>
</template>

<style scoped>
.add {
  display: flex;
  flex-wrap: wrap;
  gap: 14px;
  align-items: end;
  padding: 14px 18px;
  margin-bottom: 14px;
}
.add .n-button {
  /* Beside the fields, above the line their messages stand on. */
  margin-bottom: 24px;
}
.namesake {
  width: 100%;
}
</style>
