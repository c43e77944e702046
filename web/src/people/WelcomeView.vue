<script setup lang="ts">
import ProblemLine from '../app/ProblemLine.vue';
import { NAlert, NButton, NForm, NFormItem, NInput } from 'naive-ui';
import {
  MIN_PASSWORD,
  ROLE_WORDS,
  emailSchema,
  hasRight,
  nameSchema,
  passwordSchema,
  type LinkView,
  type SignedInView,
} from '@tasche/contract';
import { computed, onMounted, reactive, ref } from 'vue';
import { useRouter } from 'vue-router';
import { string } from 'yup';
import { post, requestSignedOut } from '../api/request';
import { useAttempt } from '../api/use-attempt';
import { useForm } from '../fields/use-form';
import SignInCard from './SignInCard.vue';
import { useIdentity } from './identity';
import SignInView from './SignInView.vue';

/**
 * Where a one-time link leads: the first account, an invitation, another password, or a player who is handed
 * over.
 */
const identity = useIdentity();
const router = useRouter();
/** After the #: no server and no log has seen it. */
const key = window.location.hash.slice(1);
const here = `${window.location.pathname}#${key}`;
const link = ref<LinkView | null>(null);
const { problem, attempt } = useAttempt();
const busy = ref(false);
const signsIn = ref(false);
const draft = reactive({ name: '', email: '', password: '', again: '' });
const { rules, submit } = useForm(draft, {
  name: { label: 'Name', schema: nameSchema },
  email: { label: 'E-mail', schema: emailSchema.required('${path} is missing') },
  password: { label: 'Password', schema: passwordSchema },
  again: {
    label: 'Password again',
    schema: string(),
    also: ({ password, again }) => (password === again ? null : 'The two passwords are not the same.'),
  },
});

onMounted(async () => {
  if (key === '') problem.value = 'This address has no key. Open the full link you were sent.';
  else
    await attempt(async () => {
      link.value = await requestSignedOut<LinkView>('/links/look', { key });
      Object.assign(draft, { name: link.value.name, email: link.value.email });
    });
});

const title = computed(() => {
  switch (link.value?.purpose) {
    case 'first':
      return 'The owner’s account';
    case 'reset':
      return link.value.name ? `A new password for ${link.value.name}` : 'A new password';
    case 'copy':
    case 'move':
      return `${link.value.name}, from ${link.value.workspaceName}`;
    case 'invitation':
      return `Join ${link.value.workspaceName}`;
    default:
      return problem.value ? 'This link does not work' : 'One moment';
  }
});
const says = computed(() => {
  const { role, purpose } = link.value ?? {};
  if (purpose === 'first') return 'The first person owns the workspace, and invites the others.';
  if (purpose === 'reset') return 'Every session of this account ends, and a second factor is removed.';
  if (purpose === 'copy')
    return 'A copy of the player, with everything; each workspace goes on with its own.';
  if (purpose === 'move') return 'The player, with everything, for good: it is deleted where it was.';
  return role ? `As ${ROLE_WORDS[role].name.toLowerCase()}: ${ROLE_WORDS[role].may}.` : undefined;
});

async function busily(work: () => Promise<unknown>): Promise<void> {
  busy.value = true;
  await attempt(work);
  busy.value = false;
}
const come = (ask: () => Promise<SignedInView>) =>
  busily(async () => {
    identity.take(await ask());
    await router.replace('/roster');
  });
const use = () =>
  come(() => {
    const { name, email, password } = draft;
    const isReset = link.value?.purpose === 'reset';
    return requestSignedOut<SignedInView>('/links/use', {
      key,
      password,
      ...(!isReset && { name: name.trim(), email: email.trim() }),
    });
  });
/** Who is signed in here already, and is somebody else than the link is for, as far as can be told. */
const signedInAs = computed(() => {
  const { personId, who } = identity.view ?? {};
  return personId && !(link.value?.purpose === 'reset' && who === link.value.name) ? who : undefined;
});
const handsOver = computed(() => link.value?.purpose === 'copy' || link.value?.purpose === 'move');
const isOwner = computed(() => identity.view !== null && hasRight(identity.view.role, 'people'));
/** Other workspaces the player could be taken into. */
const alsoOwned = computed(() =>
  (identity.view?.workspaces ?? []).filter(
    ({ id, role }) => id !== identity.view!.workspace.id && hasRight(role, 'people'),
  ),
);
const take = () =>
  busily(async () => {
    const { playerId } = await post<{ playerId: string }>('/links/take', { key });
    await router.replace({ name: 'bag', params: { playerId } });
  });
const goTo = (workspaceId: string) => busily(() => identity.enter(workspaceId, here));
const join = () => come(() => post<SignedInView>('/links/join', { key }));
</script>

<template>
  <SignInView v-if="signsIn && identity.state !== 'in'" />
  <SignInCard v-else :title="title" :says="says">
    <ProblemLine :text="problem" />
    <template v-if="handsOver">
      <template v-if="identity.view && isOwner">
        <p>
          You are <b>{{ identity.view.who }}</b>, in <b>{{ identity.view.workspace.name }}</b>.
        </p>
        <NButton type="primary" :loading="busy" @click="take"
          >Take {{ link!.name }} into {{ identity.view.workspace.name }}</NButton
        >
      </template>
      <p v-else-if="identity.view">
        {{ identity.view.workspace.name }} is not yours, so you cannot add players to it; its owner opens this
        link.
      </p>
      <div v-if="alsoOwned.length" class="bar owned">
        <span class="quiet">To another workspace of yours:</span>
        <NButton v-for="one in alsoOwned" :key="one.id" size="small" @click="goTo(one.id)"
          >Go to {{ one.name }}</NButton
        >
      </div>
      <template v-if="!identity.view">
        <NAlert type="info" :bordered="false">Sign in as an owner of the workspace they go to.</NAlert>
        <p><NButton type="primary" @click="signsIn = true">Sign in</NButton></p>
      </template>
    </template>
    <template v-else-if="link?.known">
      <template v-if="identity.view?.personId">
        <p>
          The invitation was made for {{ link.email }}. You are signed in as <b>{{ identity.view.who }}</b>.
        </p>
        <NButton type="primary" :loading="busy" @click="join"
          >Join {{ link.workspaceName }} as {{ identity.view.who }}</NButton
        >
      </template>
      <template v-else>
        <NAlert type="info" :bordered="false">
          {{ link.email }} has an account already. Sign in, and join with it.
        </NAlert>
        <p><NButton type="primary" @click="signsIn = true">Sign in</NButton></p>
      </template>
    </template>
    <template v-else-if="link">
      <NAlert v-if="signedInAs" type="info" :bordered="false" class="another">
        You are signed in here as <b>{{ signedInAs }}</b>.
        {{ link.purpose === 'reset' ? 'Setting the password' : 'Making the account' }} signs you out in this
        browser.
        <p v-if="link.purpose === 'invitation'">
          <NButton size="small" :loading="busy" @click="join">Join as {{ signedInAs }} instead</NButton>
        </p>
      </NAlert>
      <NForm ref="form" :model="draft" :rules="rules" @submit.prevent="submit(use)">
        <template v-if="link.purpose !== 'reset'">
          <NFormItem label="Name" path="name">
            <NInput
              v-model:value="draft.name"
              :input-props="{ autocomplete: 'name', 'aria-label': 'Name' }"
              placeholder="shown beside your changes"
              autofocus
            />
          </NFormItem>
          <NFormItem label="E-mail" path="email">
            <NInput
              v-model:value="draft.email"
              :input-props="{ type: 'email', autocomplete: 'username', 'aria-label': 'E-mail' }"
              placeholder="you sign in with it"
            />
          </NFormItem>
        </template>
        <NFormItem label="Password" path="password">
          <NInput
            v-model:value="draft.password"
            type="password"
            show-password-on="click"
            :input-props="{ autocomplete: 'new-password', 'aria-label': 'Password' }"
            :placeholder="`${MIN_PASSWORD} characters or more; a few words work well`"
          />
        </NFormItem>
        <NFormItem label="Password again" path="again">
          <NInput
            v-model:value="draft.again"
            type="password"
            show-password-on="click"
            :input-props="{ autocomplete: 'new-password', 'aria-label': 'Password again' }"
            placeholder=""
          />
        </NFormItem>
        <NButton type="primary" attr-type="submit" :loading="busy">{{
          link.purpose === 'reset' ? 'Set it and sign in' : 'Make the account'
        }}</NButton>
      </NForm>
    </template>
  </SignInCard>
</template>

<style scoped>
p {
  margin: 0 0 10px;
}
.another {
  margin-bottom: 14px;
}
.another p {
  margin: 8px 0 0;
}
.owned {
  margin-top: 14px;
}
</style>
