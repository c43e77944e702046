<script setup lang="ts">
import ProblemLine from '../app/ProblemLine.vue';
import { NAlert, NButton, NCard, NForm, NFormItem, NInput, NRadio, NRadioGroup } from 'naive-ui';
import { MAX_TOKEN_DAYS, nameSchema, required, type TokenView } from '@tasche/contract';
import { dayPlus } from '@tasche/core';
import { computed, reactive, ref } from 'vue';
import { today } from '../app/day';
import { useRead } from '../api/read';
import { post } from '../api/request';
import { useAttempt } from '../api/use-attempt';
import CopyButton from '../app/CopyButton.vue';
import DataTable from '../app/DataTable.vue';
import type { DataColumn } from '../app/data-table';
import DateField from '../fields/DateField.vue';
import { vOpened } from '../fields/opened';
import { useForm } from '../fields/use-form';
import { dayAndTime, fromNow } from './moment-words';
import Hint from '../app/Hint.vue';

/** Tokens for scripts: each may do no more than its owner, for a limited time. */
const USUAL_DAYS = 90;
const standing = useRead<readonly TokenView[]>(() => '/tokens');
const tokens = computed(() => standing.found.value ?? []);
const made = ref('');
const { problem: refused, attempt } = useAttempt();
const problem = computed(() => refused.value || standing.problem.value);
const adding = ref(false);
const draft = reactive({ name: '', writes: false, endsOn: dayPlus(today(), USUAL_DAYS) });
const { rules, submit } = useForm(draft, { name: { label: 'What for', schema: required(nameSchema) } });

const add = () =>
  attempt(async () => {
    const answer = await post<{ token: string; tokens: readonly TokenView[] }>('/tokens', {
      name: draft.name.trim(),
      scopes: draft.writes ? ['read', 'write'] : ['read'],
      endsOn: draft.endsOn,
    });
    standing.put(answer.tokens);
    made.value = answer.token;
    adding.value = false;
    draft.name = '';
  });
const revoke = (id: string) =>
  attempt(async () => {
    standing.put(await post<TokenView[]>(`/tokens/${id}/revoke`, {}));
  });
const stateOf = ({ revokedAt, expiresAt, usedAt }: TokenView) => {
  if (revokedAt) return 'ended';
  if (Date.parse(expiresAt) <= Date.now()) return 'run out';
  return `${usedAt ? `used ${fromNow(usedAt)}` : 'never used'}, ends ${fromNow(expiresAt)}`;
};
const mayWords = ({ scopes }: TokenView) => (scopes.includes('write') ? 'reads and writes' : 'reads');
const COLUMNS: readonly DataColumn<TokenView>[] = [
  { id: 'name', head: 'What for', isLong: true, value: ({ name }) => name },
  { id: 'state', head: 'Used, and ends', value: ({ expiresAt }) => expiresAt },
  { id: 'end', head: 'End', isActions: true },
];
</script>

<template>
  <section>
    <h2>Tokens for scripts</h2>
    <p class="quiet small">
      Sent as <code>Authorization: Bearer …</code>; every route is listed in
      <RouterLink to="/scripts">Scripts</RouterLink>. A token can do no more than you can here, and cannot
      manage people.
    </p>
    <NAlert v-if="made" type="warning" title="The token: shown once" :bordered="false">
      <p>
        <code class="token">{{ made }}</code>
      </p>
      <CopyButton :text="made" />
      <NButton size="small" @click="made = ''">I have it</NButton>
    </NAlert>
    <DataTable
      v-if="tokens.length"
      caption="Tokens for scripts"
      :columns="COLUMNS"
      :rows="tokens"
      :row-key="({ id }) => id"
    >
      <template #name="{ row }"
        >{{ row.name }} <span class="quiet small">{{ mayWords(row) }}</span></template
      >
      <template #state="{ row }"
        ><Hint :says="`made ${dayAndTime(row.madeAt)}`">{{ stateOf(row) }}</Hint></template
      >
      <template #end="{ row }"
        ><NButton
          v-if="!row.revokedAt"
          size="tiny"
          :aria-label="`End the token ${row.name}`"
          @click="revoke(row.id)"
          >End</NButton
        ></template
      >
    </DataTable>
    <NCard v-if="adding" v-opened="{ leave: () => (adding = false) }" class="new">
      <NForm ref="form" :model="draft" :rules="rules" size="small" @submit.prevent="submit(add)">
        <NFormItem label="What for" path="name">
          <NInput
            v-model:value="draft.name"
            :input-props="{ 'aria-label': 'What for' }"
            placeholder="the spreadsheet"
            autofocus
          />
        </NFormItem>
        <NFormItem :label="`Ends on (within ${MAX_TOKEN_DAYS} days)`">
          <DateField v-model:value="draft.endsOn" label="Ends on" ahead />
        </NFormItem>
        <NRadioGroup v-model:value="draft.writes">
          <NRadio :value="false">reads</NRadio>
          <NRadio :value="true">reads and writes</NRadio>
        </NRadioGroup>
        <p>
          <NButton type="primary" size="small" attr-type="submit">Make the token</NButton>
          <NButton size="small" @click="adding = false">Cancel</NButton>
        </p>
      </NForm>
    </NCard>
    <NButton v-else size="small" @click="adding = true">Make a token</NButton>
    <ProblemLine :text="problem" />
  </section>
</template>

<style scoped>
.new p > * + * {
  margin-left: 8px;
}
.new {
  padding: 12px 16px;
  max-width: 420px;
}
.token {
  overflow-wrap: anywhere;
}
section > * {
  margin-bottom: 8px;
}
</style>
