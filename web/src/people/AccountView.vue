<script setup lang="ts">
import ProblemLine from '../app/ProblemLine.vue';
import { NButton, NCard } from 'naive-ui';
import type { AccountView } from '@tasche/contract';
import { computed } from 'vue';
import { counted } from '@tasche/core';
import PageHead from '../app/PageHead.vue';
import { useRead } from '../api/read';
import { post } from '../api/request';
import { useAttempt } from '../api/use-attempt';
import { useIdentity } from './identity';
import AuthenticatorPanel from './AuthenticatorPanel.vue';
import PasskeyPanel from './PasskeyPanel.vue';
import PasswordPanel from './PasswordPanel.vue';
import SessionList from './SessionList.vue';
import TokenPanel from './TokenPanel.vue';
import WorkspacePanel from './WorkspacePanel.vue';

/** The user's own account: how they sign in, where they are signed in, what scripts may do. */
const identity = useIdentity();
const {
  found: account,
  problem: unread,
  put,
  again: read,
} = useRead<AccountView>(() => (identity.view?.personId ? '/account' : null));
const { problem: refused, attempt } = useAttempt();
const problem = computed(() => refused.value || unread.value);
const endSession = (id: string) =>
  attempt(async () => {
    put(await post<AccountView>('/account/sessions/end', { id }));
  });
</script>

<template>
  <div class="page">
    <PageHead>
      Account
      <template v-if="account" #says>
        <p class="quiet small">{{ account.name }}, {{ account.email }}</p>
      </template>
      <template v-if="account" #actions>
        <NButton @click="identity.signOut()">Sign out</NButton>
      </template>
    </PageHead>
    <ProblemLine :text="problem" />
    <NCard class="note" v-if="identity.view?.means === 'machine'">
      This is the demo: everybody at this machine is signed in as <b>{{ identity.view.who }}</b>, without an
      account. People you invite get accounts of their own.
    </NCard>
    <div v-if="account" class="columns">
      <div>
        <PasswordPanel @changed="read" />
        <AuthenticatorPanel :account="account" @changed="read" />
        <PasskeyPanel :passkeys="account.passkeys" @changed="read" />
      </div>
      <div>
        <section>
          <h2>Where you are signed in</h2>
          <p class="quiet small">
            {{ counted(account.sessions.length, 'session') }}. If you do not know one, end it and change your
            password.
          </p>
          <SessionList :sessions="account.sessions" @end="endSession" />
        </section>
        <TokenPanel />
        <WorkspacePanel />
      </div>
    </div>
  </div>
</template>

<style scoped>
.columns {
  display: grid;
  grid-template-columns: minmax(280px, 420px) minmax(380px, 1fr);
  gap: 12px 44px;
  max-width: 1120px;
}
.columns :deep(section) {
  margin-bottom: 26px;
}
.columns :deep(h2) {
  margin-bottom: 4px;
}
.note {
  padding: 12px 16px;
  max-width: 640px;
}
@media (max-width: 980px) {
  .columns {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
