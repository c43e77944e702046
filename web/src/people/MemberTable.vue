<script setup lang="ts">
import { ROLE_WORDS, type MemberView } from '@tasche/contract';
import { NButton, NPopconfirm, NTable } from 'naive-ui';
import NameTag from '../app/NameTag.vue';
import { ref } from 'vue';
import MemberForm, { type Membership } from './MemberForm.vue';
import { dayAndTime } from './moment-words';

/** Who is in the workspace, as what, and what an owner can do about it. */
defineProps<{
  members: readonly MemberView[];
  /** The reader: nobody removes themselves. */
  ownId: string | null | undefined;
  players: readonly { id: string; name: string }[];
  seenBy: (member: MemberView) => string;
}>();
const emit = defineEmits<{
  change: [personId: string, membership: Membership];
  reset: [member: MemberView];
  remove: [personId: string];
}>();
/** Whose place is being changed. */
const changing = ref<string | null>(null);
function change(personId: string, membership: Membership): void {
  changing.value = null;
  emit('change', personId, membership);
}
</script>

<template>
  <NTable size="small" :bordered="false" class="members">
    <thead>
      <tr>
        <th>Name</th>
        <th>Is</th>
        <th>Sees</th>
        <th>Since</th>
        <th aria-label="Actions" />
      </tr>
    </thead>
    <tbody>
      <template v-for="member in members" :key="member.personId">
        <tr>
          <td>
            <b>{{ member.name }}</b>
            <NameTag v-if="member.personId === ownId">you</NameTag>
            <div class="quiet small">{{ member.email }}</div>
          </td>
          <td>
            {{ ROLE_WORDS[member.role].name }}
            <div class="quiet small">{{ member.code ? 'second factor' : 'password only' }}</div>
          </td>
          <td>{{ seenBy(member) }}</td>
          <td>{{ dayAndTime(member.since) }}</td>
          <td class="acts">
            <NButton
              size="tiny"
              :aria-label="`Change ${member.name}`"
              @click="changing = changing === member.personId ? null : member.personId"
              >Change</NButton
            >
            <template v-if="member.personId !== ownId">
              <NButton
                size="tiny"
                :aria-label="`New password for ${member.name}`"
                @click="emit('reset', member)"
                >New password</NButton
              >
              <NPopconfirm
                positive-text="Remove"
                negative-text="Leave"
                @positive-click="emit('remove', member.personId)"
              >
                <template #trigger>
                  <NButton size="tiny" :aria-label="`Remove ${member.name}`">Remove</NButton>
                </template>
                {{ member.name }} loses access to this workspace at once.
              </NPopconfirm>
            </template>
          </td>
        </tr>
        <tr v-if="changing === member.personId">
          <td colspan="5">
            <MemberForm
              :players="players"
              :member="member"
              @change="change(member.personId, $event)"
              @leave="changing = null"
            />
          </td>
        </tr>
      </template>
    </tbody>
  </NTable>
</template>

<style scoped>
.members {
  max-width: 1060px;
}
.members td {
  vertical-align: top;
}
.acts {
  white-space: nowrap;
  text-align: right;
}
.acts > * + * {
  margin-left: 6px;
}
@media (max-width: 700px) {
  .members :deep(tr) {
    display: grid;
    padding: 6px 0;
    border-top: 1px solid var(--line-soft);
  }
  .members :deep(td) {
    border: 0;
    padding: 1px 0;
  }
  .members :deep(thead) {
    display: none;
  }
  .acts {
    text-align: left;
    white-space: normal;
  }
}
</style>
