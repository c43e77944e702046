<script setup lang="ts">
import ProblemLine from '../app/ProblemLine.vue';
import { NButton, NForm, NFormItem, NInput } from 'naive-ui';
import { ROLE_WORDS, nameSchema, required, type SignedInView } from '@tasche/contract';
import { reactive, ref } from 'vue';
import { leavePlace } from '../api/leave-place';
import { post } from '../api/request';
import { useAttempt } from '../api/use-attempt';
import { useForm } from '../fields/use-form';
import { useIdentity } from './identity';

/** The workspaces one belongs to, and another of one's own. */
const identity = useIdentity();
const draft = reactive({ name: '' });
const { problem, attempt } = useAttempt();
const adding = ref(false);
const { rules, submit } = useForm(draft, { name: { label: 'Name', schema: required(nameSchema) } });
const add = () =>
  attempt(async () => {
    await post<SignedInView>('/workspaces', { name: draft.name.trim() });
    await leavePlace({ to: '/roster', isOtherPerson: false });
  });
const goTo = (workspaceId: string) => attempt(() => identity.enter(workspaceId));
</script>

<template>
  <section v-if="identity.view">
    <h2>Workspaces</h2>
    <p class="quiet small">
      A workspace has players, courses and people of its own; nothing of it can be seen from another.
    </p>
    <ul class="places">
      <li v-for="one in identity.view.workspaces" :key="one.id">
        <span class="named">
          <b>{{ one.name }}</b>
          <span class="quiet small">{{ ROLE_WORDS[one.role].name.toLowerCase() }}</span>
        </span>
        <span v-if="one.id === identity.view.workspace.id" class="quiet small">you are here</span>
        <NButton v-else size="tiny" :aria-label="`Go to ${one.name}`" @click="goTo(one.id)">Go there</NButton>
      </li>
    </ul>
    <NForm v-if="adding" ref="form" :model="draft" :rules="rules" size="small" @submit.prevent="submit(add)">
      <NFormItem label="Name of the workspace" path="name">
        <NInput
          v-model:value="draft.name"
          :input-props="{ 'aria-label': 'Name of the workspace' }"
          placeholder="winter van"
          autofocus
        />
      </NFormItem>
      <NButton type="primary" size="small" attr-type="submit">Make it</NButton>
      <NButton size="small" class="cancel" @click="adding = false">Cancel</NButton>
    </NForm>
    <NButton v-else size="small" @click="adding = true">Make another workspace</NButton>
    <ProblemLine :text="problem" />
  </section>
</template>

<style scoped>
.places {
  list-style: none;
  padding: 0;
}
.places li {
  display: flex;
  justify-content: space-between;
  gap: 10px;
  padding: 4px 0;
  border-top: 1px solid var(--line-soft);
}
.named {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 0 8px;
}
.cancel {
  margin-left: 8px;
}
</style>
