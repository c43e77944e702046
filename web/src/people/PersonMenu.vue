<script setup lang="ts">
import { NButton, NDropdown, type DropdownOption } from 'naive-ui';
import { ROLE_WORDS, hasRight } from '@tasche/contract';
import { CircleUser } from 'lucide-vue-next';
import { computed } from 'vue';
import { useRouter } from 'vue-router';
import { useIdentity } from './identity';

/** Who is signed in, and what they can do about it: go to another workspace, their account, the people, out. */
const identity = useIdentity();
const router = useRouter();
const view = computed(() => identity.view);
const ENTER = 'enter ';
const options = computed((): DropdownOption[] => {
  const signedIn = view.value;
  if (!signedIn) return [];
  const others = signedIn.workspaces.filter(({ id }) => id !== signedIn.workspace.id);
  return [
    { key: 'who', label: `${signedIn.who}, ${ROLE_WORDS[signedIn.role].name.toLowerCase()}`, disabled: true },
    { key: 'where', label: signedIn.workspace.name, disabled: true },
    { type: 'divider', key: 'line' },
    ...others.map(({ id, name, role }) => ({
      key: `${ENTER}${id}`,
      label: `To ${name} (${ROLE_WORDS[role].name.toLowerCase()})`,
    })),
    { key: 'account', label: 'Account' },
    ...(hasRight(signedIn.role, 'people') ? [{ key: 'people', label: 'People' }] : []),
    ...(signedIn.means === 'session' ? [{ key: 'out', label: 'Sign out' }] : []),
  ];
});
function run(key: string): void {
  if (key.startsWith(ENTER)) void identity.enter(key.slice(ENTER.length));
  else if (key === 'out') void identity.signOut();
  else void router.push(`/${key}`);
}
</script>

<template>
  <div v-if="view" class="person">
    <NDropdown trigger="click" :options="options" placement="right-end" @select="run">
      <NButton
        class="tool"
        quaternary
        size="small"
        aria-haspopup="menu"
        :title="`${view.who}, ${view.workspace.name}`"
        :aria-label="`Signed in as ${view.who}`"
      >
        <CircleUser :size="18" />
      </NButton>
    </NDropdown>
    <span
      v-if="view.means === 'machine'"
      class="small quiet demo"
      title="Everybody at this machine is signed in"
    >
      Demo, as {{ view.who }}
    </span>
  </div>
</template>

<style scoped>
.tool {
  color: var(--quiet);
}
.person {
  display: grid;
}
.demo {
  padding: 0 6px 6px;
  line-height: 1.25;
  text-align: center;
}
@media (max-width: 700px) {
  .person {
    display: flex;
    align-items: center;
  }
  .demo {
    white-space: nowrap;
    padding: 0 8px;
  }
}
</style>
