<script setup lang="ts">
import { NButton, NForm, NFormItem, NInput } from 'naive-ui';
import { passwordChangeSchema, passwordSchema, required, type SignedInView } from '@tasche/contract';
import { reactive, ref } from 'vue';
import { post } from '../api/request';
import { useForm } from '../fields/use-form';
import { useIdentity } from './identity';

/** Changes the password: every other session is signed out. */
const emit = defineEmits<{ changed: [] }>();
const identity = useIdentity();
const draft = reactive({ current: '', next: '' });
const said = ref<{ text: string; bad: boolean } | null>(null);
const { rules, submit } = useForm(draft, {
  current: {
    label: 'Current password',
    schema: required(passwordChangeSchema.fields.current as never) as never,
  },
  next: { label: 'New password', schema: required(passwordSchema) },
});

async function change(): Promise<void> {
  try {
    identity.take(await post<SignedInView>('/account/password', draft));
    Object.assign(draft, { current: '', next: '' });
    said.value = { text: 'The password is changed; every other session has ended.', bad: false };
    emit('changed');
  } catch (error) {
    said.value = { text: (error as Error).message, bad: true };
  }
}
</script>

<template>
  <section>
    <h2>Password</h2>
    <NForm ref="form" :model="draft" :rules="rules" size="small" @submit.prevent="submit(change)">
      <NFormItem label="Current password" path="current">
        <NInput
          v-model:value="draft.current"
          type="password"
          :input-props="{ autocomplete: 'current-password', 'aria-label': 'Current password' }"
          placeholder=""
        />
      </NFormItem>
      <NFormItem label="New password" path="next">
        <NInput
          v-model:value="draft.next"
          type="password"
          show-password-on="click"
          :input-props="{ autocomplete: 'new-password', 'aria-label': 'New password' }"
          placeholder="12 characters or more"
        />
      </NFormItem>
      <NButton attr-type="submit" size="small">Change password</NButton>
      <p v-if="said" :class="said.bad ? 'verdict error' : 'quiet'" :role="said.bad ? 'alert' : 'status'">
        {{ said.bad ? '■ ' : '' }}{{ said.text }}
      </p>
    </NForm>
  </section>
</template>
