<script setup lang="ts">
import ProblemLine from '../app/ProblemLine.vue';
import { NButton, NForm, NInput } from 'naive-ui';
import type { AccountView } from '@tasche/contract';
import { ref } from 'vue';
import { post } from '../api/request';
import { useAttempt } from '../api/use-attempt';
import { dayAndTime } from './moment-words';
import { addPasskey, hasPasskeys } from './passkeys';

/** Keys on one's devices, in place of password and code. */
defineProps<{ passkeys: AccountView['passkeys'] }>();
const emit = defineEmits<{ changed: [] }>();
const name = ref('');
const { problem, attempt } = useAttempt();
async function change(work: () => Promise<unknown>): Promise<void> {
  if (await attempt(work)) emit('changed');
}
const add = () =>
  change(async () => {
    await addPasskey(name.value.trim() || 'This device');
    name.value = '';
  });
</script>

<template>
  <section>
    <h2>Passkeys</h2>
    <p class="quiet small">
      A key on your phone or laptop, unlocked as you unlock the device. It needs neither password nor code.
    </p>
    <ul v-if="passkeys.length" class="keys">
      <li v-for="one in passkeys" :key="one.id">
        <span
          >{{ one.name }} <span class="quiet small">since {{ dayAndTime(one.madeAt) }}</span></span
        >
        <NButton
          size="tiny"
          :aria-label="`Remove ${one.name}`"
          @click="change(() => post('/account/passkeys/remove', { id: one.id }))"
          >Remove</NButton
        >
      </li>
    </ul>
    <NForm v-if="hasPasskeys()" class="add" @submit.prevent="add">
      <NInput
        v-model:value="name"
        size="small"
        maxlength="80"
        :input-props="{ 'aria-label': 'Name of the passkey' }"
        placeholder="name of this device"
      />
      <NButton size="small" attr-type="submit">Add a passkey</NButton>
    </NForm>
    <p v-else class="quiet small">
      Not available in this browser or at this address: a passkey belongs to a host name.
    </p>
    <ProblemLine :text="problem" />
  </section>
</template>

<style scoped>
.keys {
  list-style: none;
  padding: 0;
}
.keys li {
  display: flex;
  justify-content: space-between;
  gap: 10px;
  padding: 4px 0;
  border-top: 1px solid var(--line-soft);
}
.add {
  display: flex;
  gap: 8px;
}
</style>
