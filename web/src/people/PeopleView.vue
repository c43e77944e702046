<script setup lang="ts">
import ProblemLine from '../app/ProblemLine.vue';
import { NAlert, NButton, NPopconfirm, NTable, NTag } from 'naive-ui';
import {
  HAND_OVER_WORDS,
  ROLE_WORDS,
  hasRight,
  type InvitationView,
  type MadeLinkView,
  type MemberView,
  type Page,
  type PeopleView,
  type RosterEntry,
} from '@tasche/contract';
import { computed, ref } from 'vue';
import PageHead from '../app/PageHead.vue';
import { useRead } from '../api/read';
import { post } from '../api/request';
import { useAttempt } from '../api/use-attempt';
import AuditList from './AuditList.vue';
import { useIdentity } from './identity';
import MemberForm, { type Membership } from './MemberForm.vue';
import { dayAndTime, fromNow } from './moment-words';

/** Who is in the workspace, as what; for its owners. */
const identity = useIdentity();
const made = ref<(MadeLinkView & { for: string }) | null>(null);
const inviting = ref(false);
const changing = ref<string | null>(null);
const audit = ref(0);
const isOwner = computed(() => identity.view !== null && hasRight(identity.view.role, 'people'));
const ownId = computed(() => identity.view?.personId);
const {
  found: people,
  problem: unread,
  put,
  again,
} = useRead<PeopleView>(() => (isOwner.value ? '/people' : null));
const roster = useRead<Page<RosterEntry>>(() => (isOwner.value ? '/players?limit=200' : null));
const players = computed(() =>
  (roster.found.value?.rows ?? []).map(({ player: { id, name } }) => ({ id, name })),
);
const { problem: refused, attempt } = useAttempt();
const problem = computed(() => refused.value || unread.value || roster.problem.value);

/** What was done is among what was noted. */
async function change(work: () => Promise<unknown>): Promise<void> {
  if (await attempt(work)) audit.value += 1;
}
const invite = (name: string, email: string, membership: Membership) =>
  change(async () => {
    const link = await post<MadeLinkView>('/people/invite', { name, email, ...membership });
    made.value = { ...link, for: name };
    inviting.value = false;
    await again();
  });
const changeMember = (personId: string, membership: Membership) =>
  change(async () => {
    put(await post<PeopleView>('/people/change', { personId, ...membership }));
    changing.value = null;
  });
const remove = ({ personId }: MemberView) =>
  change(async () => {
    put(await post<PeopleView>('/people/remove', { personId }));
  });
const reset = ({ personId, name }: MemberView) =>
  change(async () => {
    made.value = { ...(await post<MadeLinkView>('/people/reset', { personId })), for: name };
    await again();
  });
const withdraw = (id: string) =>
  change(async () => {
    put(await post<PeopleView>('/people/withdraw', { id }));
  });
const copy = () => void navigator.clipboard.writeText(made.value?.url ?? '');
const linkWords = ({ purpose, role }: InvitationView) => {
  if (role) return ROLE_WORDS[role].name;
  return purpose === 'copy' || purpose === 'move'
    ? `a player, ${HAND_OVER_WORDS[purpose]}`
    : 'a new password';
};
const seenBy = ({ playerIds }: { playerIds: readonly string[] | null }) =>
  playerIds === null
    ? 'everybody'
    : playerIds.map((id) => players.value.find((one) => one.id === id)?.name ?? 'a player').join(', ');
</script>

<template>
  <div class="page">
    <PageHead :of="identity.view?.workspace.name">
      People
      <template v-if="isOwner" #actions>
        <NButton type="primary" @click="inviting = true">Invite somebody</NButton>
      </template>
    </PageHead>
    <p v-if="!isOwner" class="quiet">Who gets in is for the owner of the workspace to say.</p>
    <ProblemLine :text="problem" />
    <NAlert
      v-if="made"
      type="success"
      :title="`A link for ${made.for}: shown once`"
      :bordered="false"
      class="made"
    >
      <p>
        <code>{{ made.url }}</code>
      </p>
      <p class="small">
        <template v-if="made.mailed">A letter with it was sent. Should it not arrive: it</template>
        <template v-else-if="made.mailed === false"
          >The letter with it could not be sent. Send it yourself; it</template
        >
        <template v-else>Send it yourself; it</template>
        works once, until {{ dayAndTime(made.expiresAt) }}.
      </p>
      <NButton size="small" @click="copy">Copy</NButton>
      <NButton size="small" @click="made = null">Done</NButton>
    </NAlert>
    <MemberForm v-if="inviting" :players="players" invites @invite="invite" @leave="inviting = false" />
    <template v-if="people">
      <p v-if="people.members.length === 0" class="quiet">
        Nobody has an account here yet. Invite the first; an owner lets the others in.
      </p>
      <NTable v-else size="small" :bordered="false" class="members">
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
          <template v-for="member in people.members" :key="member.personId">
            <tr>
              <td>
                <b>{{ member.name }}</b>
                <NTag v-if="member.personId === ownId" size="small" :bordered="false">you</NTag>
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
                  <NButton size="tiny" :aria-label="`New password for ${member.name}`" @click="reset(member)"
                    >New password</NButton
                  >
                  <NPopconfirm
                    positive-text="Take out"
                    negative-text="Leave"
                    @positive-click="remove(member)"
                  >
                    <template #trigger>
                      <NButton size="tiny" :aria-label="`Take ${member.name} out`">Take out</NButton>
                    </template>
                    {{ member.name }} sees nothing of this workspace any more, at once.
                  </NPopconfirm>
                </template>
              </td>
            </tr>
            <tr v-if="changing === member.personId">
              <td colspan="5">
                <MemberForm
                  :players="players"
                  :member="member"
                  @change="changeMember(member.personId, $event)"
                  @leave="changing = null"
                />
              </td>
            </tr>
          </template>
        </tbody>
      </NTable>
      <template v-if="people.invitations.length">
        <h2>Links that were not used yet</h2>
        <NTable size="small" :bordered="false" class="members">
          <tbody>
            <tr v-for="one in people.invitations" :key="one.id">
              <td>
                <b>{{ one.name }}</b>
                <div class="quiet small">{{ one.email }}</div>
              </td>
              <td>{{ linkWords(one) }}</td>
              <td>{{ one.role ? seenBy(one) : '' }}</td>
              <td>by {{ one.madeBy }}, ends {{ fromNow(one.expiresAt) }}</td>
              <td class="acts">
                <NButton
                  size="tiny"
                  :aria-label="`Withdraw the link for ${one.name}`"
                  @click="withdraw(one.id)"
                  >Withdraw</NButton
                >
              </td>
            </tr>
          </tbody>
        </NTable>
      </template>
      <AuditList :key="audit" />
    </template>
  </div>
</template>

<style scoped>
.members {
  max-width: 1060px;
}
h2 {
  margin-top: 22px;
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
.made {
  max-width: 760px;
  margin-bottom: 14px;
}
.made code {
  overflow-wrap: anywhere;
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
