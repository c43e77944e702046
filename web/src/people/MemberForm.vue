<script lang="ts">
import type { Role } from '@tasche/contract';

/** What somebody is to be, and which players they see; null is all. */
export interface Membership {
  role: Role;
  playerIds: readonly string[] | null;
}
</script>

<script setup lang="ts">
import { NButton, NCard, NForm, NFormItem, NInput, NRadio, NRadioGroup, NSelect, NSpace } from 'naive-ui';
import {
  ROLES,
  ROLE_WORDS,
  emailSchema,
  isKeptToPlayers,
  nameSchema,
  required,
  type MemberView,
} from '@tasche/contract';
import { computed, reactive } from 'vue';
import { array } from 'yup';
import { vOpened } from '../fields/opened';
import { useForm } from '../fields/use-form';

/** A new member, or a member's changed role. */
const props = defineProps<{
  players: readonly { id: string; name: string }[];
  member?: MemberView;
  invites?: boolean;
}>();
const emit = defineEmits<{
  invite: [name: string, email: string, membership: Membership];
  change: [membership: Membership];
  leave: [];
}>();
const draft = reactive({
  name: '',
  email: '',
  role: props.member?.role ?? ('player' as Role),
  playerIds: [...(props.member?.playerIds ?? [])],
});
const keptTo = computed(() => isKeptToPlayers(draft.role));
const { rules, submit } = useForm(draft, {
  ...(props.invites && {
    name: { label: 'Name', schema: required(nameSchema) },
    email: { label: 'E-mail', schema: required(emailSchema) },
  }),
  playerIds: {
    label: 'Players',
    schema: array(),
    also: ({ role, playerIds }) =>
      role === 'player' && playerIds.length === 0 ? 'Say which player they are.' : null,
  },
});
function save(): void {
  const membership = {
    role: draft.role,
    playerIds: keptTo.value && draft.playerIds.length > 0 ? draft.playerIds : null,
  };
  if (props.invites) emit('invite', draft.name.trim(), draft.email.trim(), membership);
  else emit('change', membership);
}
</script>

<template>
  <NCard v-opened="{ leave: () => emit('leave') }" class="member-form">
    <NForm ref="form" :model="draft" :rules="rules" size="small" @submit.prevent="submit(save)">
      <template v-if="invites">
        <NFormItem label="Name" path="name">
          <NInput
            v-model:value="draft.name"
            :input-props="{ 'aria-label': 'Name' }"
            placeholder=""
            autofocus
          />
        </NFormItem>
        <NFormItem label="E-mail" path="email">
          <NInput
            v-model:value="draft.email"
            :input-props="{ 'aria-label': 'E-mail', type: 'email' }"
            placeholder="they sign in with it"
          />
        </NFormItem>
      </template>
      <NFormItem label="Is" class="all">
        <NRadioGroup v-model:value="draft.role" name="role">
          <NSpace vertical :size="2">
            <NRadio v-for="role in ROLES" :key="role" :value="role">
              <b>{{ ROLE_WORDS[role].name }}</b> <span class="quiet">{{ ROLE_WORDS[role].may }}</span>
            </NRadio>
          </NSpace>
        </NRadioGroup>
      </NFormItem>
      <NFormItem
        v-if="keptTo"
        :label="draft.role === 'player' ? 'Which player they are' : 'Players they see; none named is all'"
        path="playerIds"
        class="all"
      >
        <NSelect
          v-model:value="draft.playerIds"
          multiple
          filterable
          :options="players.map(({ id, name }) => ({ value: id, label: name }))"
          :input-props="{ 'aria-label': 'Players' }"
          aria-label="Players"
          placeholder="choose…"
        />
      </NFormItem>
      <div class="bar all">
        <NButton type="primary" attr-type="submit">{{ invites ? 'Make the link' : 'Save' }}</NButton>
        <NButton @click="emit('leave')">Cancel</NButton>
      </div>
    </NForm>
  </NCard>
</template>

<style scoped>
.member-form {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 0 14px;
  padding: 14px 18px;
  margin-bottom: 14px;
  max-width: 640px;
}
.all {
  grid-column: 1 / -1;
}
@media (max-width: 700px) {
  .member-form {
    grid-template-columns: 1fr;
  }
}
</style>
