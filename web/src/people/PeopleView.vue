<script setup lang="ts">
import ProblemLine from '../app/ProblemLine.vue';
import { NButton } from 'naive-ui';
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
import DataTable from '../app/DataTable.vue';
import type { DataColumn } from '../app/data-table';
import AuditList from './AuditList.vue';
import MadeLink from './MadeLink.vue';
import { useIdentity } from './identity';
import MemberForm, { type Membership } from './MemberForm.vue';
import MemberTable from './MemberTable.vue';
import { dayAndTime, fromNow } from './moment-words';

/** Who is in the workspace, as what; for its owners. */
const identity = useIdentity();
const made = ref<(MadeLinkView & { for: string }) | null>(null);
const inviting = ref(false);
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
  });
const remove = (personId: string) =>
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
const LINK_COLUMNS: readonly DataColumn<InvitationView>[] = [
  { id: 'name', head: 'For', isLong: true, value: ({ name }) => name },
  { id: 'as', head: 'As', value: linkWords },
  { id: 'sees', head: 'Sees', isLong: true, value: (one) => (one.role ? seenBy(one) : '') },
  { id: 'by', head: 'Made by', value: ({ madeBy }) => madeBy },
  { id: 'ends', head: 'Ends', value: ({ expiresAt }) => expiresAt },
  { id: 'withdraw', head: 'Withdraw', isActions: true },
];
</script>

<template>
  <div class="page">
    <PageHead :of="identity.view?.workspace.name">
      People
      <template v-if="isOwner" #actions>
        <NButton type="primary" @click="inviting = true">Invite somebody</NButton>
      </template>
    </PageHead>
    <p v-if="!isOwner" class="quiet">Only an owner of the workspace can invite people.</p>
    <ProblemLine :text="problem" />
    <MadeLink v-if="made" :link="made" :title="`A link for ${made.for}: shown once`">
      <template v-if="made.mailed"
        >It was sent by e-mail. If it does not arrive, send the link yourself: it</template
      >
      <template v-else-if="made.mailed === false"
        >The e-mail could not be sent. Send the link yourself; it</template
      >
      <template v-else>Send it yourself; it</template>
      works once, until {{ dayAndTime(made.expiresAt) }}.
      <template #more><NButton size="small" @click="made = null">Done</NButton></template>
    </MadeLink>
    <MemberForm v-if="inviting" :players="players" invites @invite="invite" @leave="inviting = false" />
    <template v-if="people">
      <p v-if="people.members.length === 0" class="quiet">
        Nobody has an account here yet. Invite the first; an owner can then invite others.
      </p>
      <MemberTable
        v-else
        :members="people.members"
        :own-id="ownId"
        :players="players"
        :seen-by="seenBy"
        @change="changeMember"
        @reset="reset"
        @remove="remove"
      />
      <template v-if="people.invitations.length">
        <h2>Links not used yet</h2>
        <DataTable
          caption="Links not used yet"
          :columns="LINK_COLUMNS"
          :rows="people.invitations"
          :row-key="({ id }) => id"
        >
          <template #name="{ row }"
            ><b>{{ row.name }}</b>
            <div class="quiet small">{{ row.email }}</div></template
          >
          <template #ends="{ row }">{{ fromNow(row.expiresAt) }}</template>
          <template #withdraw="{ row }"
            ><NButton
              size="tiny"
              data-once
              :aria-label="`Withdraw the link for ${row.name}`"
              @click="withdraw(row.id)"
              >Withdraw</NButton
            ></template
          >
        </DataTable>
      </template>
      <AuditList :key="audit" />
    </template>
  </div>
</template>

<style scoped>
h2 {
  margin-top: 22px;
}
</style>
