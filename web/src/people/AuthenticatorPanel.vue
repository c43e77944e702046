<script setup lang="ts">
import CopyButton from '../app/CopyButton.vue';
import ProblemLine from '../app/ProblemLine.vue';
import { NAlert, NButton, NForm, NInput } from 'naive-ui';
import type { AccountView } from '@tasche/contract';
import { ref } from 'vue';
import { post } from '../api/request';
import { useAttempt } from '../api/use-attempt';
import QrCode from '../bench/QrCode.vue';

/** A second factor: six digits from an authenticator, and recovery codes for when it is lost. */
defineProps<{ account: AccountView }>();
const emit = defineEmits<{ changed: [] }>();
const password = ref('');
const code = ref('');
const asks = ref<'add' | 'remove' | null>(null);
const started = ref<{ secret: string; uri: string } | null>(null);
const recoveryCodes = ref<readonly string[] | null>(null);
const { problem, attempt } = useAttempt();

const go = () =>
  attempt(async () => {
    if (asks.value === 'add') started.value = await post('/account/code/start', { password: password.value });
    else {
      await post('/account/code/remove', { password: password.value });
      emit('changed');
    }
    password.value = '';
    asks.value = null;
  });
const confirm = () =>
  attempt(async () => {
    const answer = await post<{ recoveryCodes: readonly string[] }>('/account/code/confirm', {
      code: code.value,
    });
    recoveryCodes.value = answer.recoveryCodes;
    started.value = null;
    code.value = '';
    emit('changed');
  });
</script>

<template>
  <section>
    <h2>Second factor</h2>
    <p class="quiet small">
      <template v-if="account.code"
        >An authenticator’s code is asked for at every sign-in. {{ account.recoveryCodes }} recovery codes are
        left.</template
      ><template v-else>None: the password alone is enough to sign in.</template>
    </p>
    <NAlert v-if="recoveryCodes" type="warning" title="Recovery codes: shown once" :bordered="false">
      <p>Each signs you in once without the authenticator. Keep them somewhere other than on the phone.</p>
      <ul class="codes">
        <li v-for="one in recoveryCodes" :key="one">{{ one }}</li>
      </ul>
      <CopyButton :text="recoveryCodes.join('\n')" />
      <NButton size="small" @click="recoveryCodes = null">I have them</NButton>
    </NAlert>
    <div v-else-if="started" class="start">
      <QrCode :text="started.uri" label="Code for an authenticator" :px="148" />
      <NForm @submit.prevent="confirm">
        <p class="small">
          Read it with an authenticator, or type <code>{{ started.secret }}</code> into it. Then type the six
          digits it shows:
        </p>
        <NInput
          v-model:value="code"
          :input-props="{ 'aria-label': 'Code', autocomplete: 'one-time-code', inputmode: 'numeric' }"
          placeholder="123456"
          autofocus
        />
        <NButton type="primary" size="small" attr-type="submit">Turn it on</NButton>
        <NButton size="small" @click="started = null">Cancel</NButton>
      </NForm>
    </div>
    <NForm v-else-if="asks" class="ask" @submit.prevent="go">
      <NInput
        v-model:value="password"
        type="password"
        size="small"
        :input-props="{ 'aria-label': 'Your password', autocomplete: 'current-password' }"
        placeholder="your password"
        autofocus
      />
      <NButton size="small" type="primary" attr-type="submit">{{
        asks === 'add' ? 'Go on' : 'Remove it'
      }}</NButton>
      <NButton size="small" @click="asks = null">Cancel</NButton>
    </NForm>
    <NButton v-else size="small" @click="asks = account.code ? 'remove' : 'add'">{{
      account.code ? 'Remove the authenticator' : 'Add an authenticator'
    }}</NButton>
    <ProblemLine :text="problem" />
  </section>
</template>

<style scoped>
.start {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 16px;
}
.start :deep(form) > * {
  margin: 0 6px 8px 0;
}
.start p {
  margin-top: 0;
}
.ask {
  display: flex;
  gap: 8px;
}
code {
  overflow-wrap: anywhere;
}
.codes {
  columns: 2;
  list-style: none;
  padding: 0;
  font-variant-numeric: tabular-nums;
  font-family: ui-monospace, monospace;
}
@media (max-width: 500px) {
  .start {
    grid-template-columns: 1fr;
  }
}
</style>
