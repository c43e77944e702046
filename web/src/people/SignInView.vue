<script setup lang="ts">
import ProblemLine from '../app/ProblemLine.vue';
import { NButton, NCheckbox, NForm, NFormItem, NInput } from 'naive-ui';
import { signInSchema, type SignInForm, type SignedInView } from '@tasche/contract';
import { KeyRound } from 'lucide-vue-next';
import { nextTick, reactive, ref, useTemplateRef } from 'vue';
import { ApiError, requestSignedOut } from '../api/request';
import { useForm } from '../fields/use-form';
import { useIdentity } from './identity';
import SignInCard from './SignInCard.vue';
import { hasPasskeys, passkeyAnswer } from './passkeys';

/** The way in. What was open stays at its address, and is there once somebody is in. */
const emit = defineEmits<{ in: [] }>();
const identity = useIdentity();
const draft = reactive({ email: '', password: '', code: '', stay: false });
const asksCode = ref(false);
const problem = ref('');
const busy = ref(false);
const codeField = useTemplateRef<InstanceType<typeof NInput>>('code');
const { rules, submit } = useForm(draft, {
  email: { label: 'E-mail', schema: signInSchema.fields.email as never },
  password: { label: 'Password', schema: signInSchema.fields.password as never },
});

async function come(ask: () => Promise<SignedInView>): Promise<void> {
  problem.value = '';
  busy.value = true;
  try {
    identity.take(await ask());
    emit('in');
  } catch (error) {
    problem.value = (error as Error).message;
    if (error instanceof ApiError && error.problem.error === 'code-needed') {
      if (!asksCode.value) problem.value = '';
      asksCode.value = true;
      draft.code = '';
      await nextTick();
      codeField.value?.focus();
    }
  } finally {
    busy.value = false;
  }
}
const signIn = () =>
  come(() => {
    const { email, password, code, stay } = draft;
    const form: SignInForm = {
      email: email.trim(),
      password,
      stay,
      ...(code.trim() && { code: code.trim() }),
    };
    return requestSignedOut<SignedInView>('/sign-in', form);
  });
const byPasskey = () => come(() => passkeyAnswer(draft.stay));
</script>

<template>
  <SignInCard title="Sign in" says="Spec sheets, ladders and club swaps, for invited people.">
    <NForm ref="form" :model="draft" :rules="rules" @submit.prevent="submit(signIn)">
      <NFormItem label="E-mail" path="email">
        <NInput
          v-model:value="draft.email"
          :input-props="{
            type: 'email',
            autocomplete: 'username',
            'aria-label': 'E-mail',
            inputmode: 'email',
          }"
          placeholder=""
          autofocus
        />
      </NFormItem>
      <NFormItem label="Password" path="password">
        <NInput
          v-model:value="draft.password"
          type="password"
          show-password-on="click"
          :input-props="{ autocomplete: 'current-password', 'aria-label': 'Password' }"
          placeholder=""
        />
      </NFormItem>
      <NFormItem v-if="asksCode" label="Six digits of your authenticator, or a recovery code">
        <NInput
          ref="code"
          v-model:value="draft.code"
          :input-props="{ autocomplete: 'one-time-code', 'aria-label': 'Code' }"
          placeholder=""
        />
      </NFormItem>
      <NCheckbox v-model:checked="draft.stay">My own device: stay signed in for 30 days</NCheckbox>
      <ProblemLine :text="problem" />
      <div class="ways">
        <NButton type="primary" attr-type="submit" :loading="busy">Sign in</NButton>
        <NButton v-if="hasPasskeys()" :disabled="busy" @click="byPasskey">
          <template #icon><KeyRound :size="16" /></template>With a passkey
        </NButton>
      </div>
    </NForm>
    <p class="quiet small">
      No account, or a password forgotten? An owner of your workspace makes a link for you; the first owner’s
      stands in the terminal Tasche was started from.
    </p>
  </SignInCard>
</template>

<style scoped>
.ways {
  display: flex;
  gap: 10px;
  flex-wrap: wrap;
  margin: 16px 0 14px;
}
</style>
