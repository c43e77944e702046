<script setup lang="ts">
import ProblemLine from '../app/ProblemLine.vue';
import { checkEveryDays, type GaugedLoft } from '@tasche/contract';
import {
  counted,
  CHECK_EVERY_DAYS,
  GAUGE_DEG,
  checkProgress,
  isGauged,
  nextCheckDue,
  type Gauged,
} from '@tasche/core';
import { NButton, NEmpty } from 'naive-ui';
import { useShortcuts } from '../keys/use-shortcuts';
import { computed, ref, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { useRead } from '../api/read';
import { shortDay, today } from '../app/day';
import WorkProgress from '../app/WorkProgress.vue';
import ChoiceField from '../fields/ChoiceField.vue';
import DateField from '../fields/DateField.vue';
import { useSheet } from '../sheet/sheet-store';
import BenchHead from './BenchHead.vue';
import GaugeTable from './GaugeTable.vue';
import MakeTickets from './MakeTickets.vue';
import { angleMeasured, backTicket, checkedClub, inCheckOrder, isOff, movingLoftWords } from './bag-check';
import { addTickets, type TicketOccasion } from './new-tickets';
import { useCheckGauge } from './use-check-gauge';

/**
 * A loft-and-lie round of a bag: every club on the gauge, typed or sent by a digital one, each saved as it is
 * read. What was measured since the check began is done, so it can be gone on with tomorrow, on any machine.
 */
const props = defineProps<{ playerId: string }>();
const store = useSheet();
const route = useRoute();
const router = useRouter();

const bag = computed(
  () => store.sheet!.bags.find(({ id }) => id === route.query.bag) ?? store.gamer ?? store.sheet!.bags[0],
);
const clubs = computed(() =>
  inCheckOrder(
    (bag.value?.clubIds ?? [])
      .flatMap((id) => store.clubsById.get(id) ?? [])
      .filter(({ kind }) => isGauged(kind)),
  ),
);
/** The first day of this check; with its first angle part of the address, so that tomorrow it is the same check. */
const since = computed({
  get: () => (/^\d{4}-\d\d-\d\d$/.test(String(route.query.since)) ? String(route.query.since) : today()),
  set: (day: string) => void router.replace({ query: { ...route.query, since: day } }),
});
const progress = computed(() => checkProgress(clubs.value, since.value));
const every = ref<keyof typeof CHECK_EVERY_DAYS>(
  checkEveryDays(store.sheet!.player) === CHECK_EVERY_DAYS.tour ? 'tour' : 'home',
);
const EVERY = [
  { value: 'tour', label: 'weekly, as on tour' },
  { value: 'home', label: 'three times a year, at home' },
] as const;
const due = computed(() => nextCheckDue(clubs.value, CHECK_EVERY_DAYS[every.value]));

const rows = computed(() => clubs.value.map((club) => checkedClub(club, since.value)));

function write(clubId: string, gauged: Gauged, value: number): void {
  const club = store.clubsById.get(clubId);
  if (!club) return;
  if (route.query.since === undefined) since.value = today();
  store.change(
    [angleMeasured(club, gauged, value, { since: since.value, takenOn: today() })],
    'loft-and-lie check',
  );
}

const table = ref<InstanceType<typeof GaugeTable> | null>(null);
const here = ref<{ clubId: string; gauged: Gauged } | null>(null);
function focusNext(): void {
  const id = progress.value.nextId;
  if (id !== undefined && store.may('editClub')) void table.value?.focus(id, 'loft');
}
watch(table, focusNext);
watch(
  () => progress.value.nextId,
  (_id, before) => {
    if (before === undefined) focusNext();
  },
);

const { gauge, isHere, problem, lay } = useCheckGauge({
  since,
  /** Where the cursor is, or the next club that was not measured. */
  clubId: () => here.value?.clubId ?? progress.value.nextId,
  lies: (clubId) => (here.value = { clubId, gauged: 'loft' }),
  reads(clubId, reading) {
    if (reading.loftDeg !== undefined) write(clubId, 'loft', reading.loftDeg);
    if (reading.lieDeg !== undefined) write(clubId, 'lie', reading.lieDeg);
    if (here.value === null || here.value.clubId === clubId) void table.value?.next(clubId, 'lie');
  },
});
useShortcuts('Roster and bench', {
  'Alt M': () => {
    if (!gauge.value.simulated) return false;
    void lay();
    return true;
  },
});

/** How lofts have moved since each club was last set. */
const { found: lofts } = useRead<readonly GaugedLoft[]>(() => `/players/${props.playerId}/gauged-lofts`);
const moving = computed(() => clubs.value.flatMap((club) => movingLoftWords(club, lofts.value ?? []) ?? []));

const off = computed(() => rows.value.filter(({ angles }) => angles.some(isOff)));
function makeTickets(occasion: Omit<TicketOccasion, 'why'>): void {
  const tickets = off.value.map((one) => backTicket(one, since.value, occasion));
  store.change(addTickets(props.playerId, tickets), `check of ${bag.value!.name}`);
}
</script>

<template>
  <div class="page">
    <BenchHead :player-id="playerId">
      Check
      <template #says>
        <p class="quiet">
          Loft and lie of every club against what it was set to. A gauge repeats to about {{ GAUGE_DEG }}°;
          nearer to the limit than that, measure again.
        </p>
      </template>
    </BenchHead>
    <div class="bar options no-print">
      <label
        >Bag
        <ChoiceField
          :value="bag?.id ?? ''"
          label="Bag"
          :options="store.sheet!.bags.map(({ id, name }) => ({ value: id, label: name }))"
          @update:value="router.replace({ query: { ...route.query, bag: $event } })"
      /></label>
      <label>Check begun <DateField v-model:value="since" label="Check begun" :max="today()" /></label>
      <label>Checked <ChoiceField v-model:value="every" label="How often" :options="EVERY" /></label>
      <span v-if="isHere" class="verdict fine">● {{ gauge.device }}</span>
      <NButton v-if="isHere && gauge.simulated && store.may('editClub')" size="small" @click="lay">
        Lay the next club in it <kbd>Alt M</kbd>
      </NButton>
    </div>
    <ProblemLine :text="problem" />
    <NEmpty v-if="clubs.length === 0" description="This bag holds no club that goes on a gauge." />
    <template v-else>
      <p class="bar progress" role="status">
        <WorkProgress :share="progress.of === 0 ? 0 : progress.done / progress.of" label="Clubs measured" />
        {{ progress.done }} of {{ counted(progress.of, 'club') }} measured.
        <span class="quiet">{{
          due === undefined ? 'Some were never measured: a check is due.' : `Next check due ${shortDay(due)}.`
        }}</span>
        <span v-if="due !== undefined && due < today()" class="verdict warning">◆ overdue</span>
      </p>
      <GaugeTable
        ref="table"
        :rows="rows"
        :read-only="!store.may('editClub')"
        @write="write"
        @here="(clubId, gauged) => (here = { clubId, gauged })"
      />
      <p v-for="text in moving" :key="text" class="verdict warning">◆ {{ text }}</p>
      <MakeTickets
        v-if="off.length > 0 && store.may('addTicket')"
        :player-id="playerId"
        :count="off.length"
        :about="off.map(({ club }) => club.id).join()"
        words="to bend back"
        @make="makeTickets"
      />
    </template>
  </div>
</template>

<style scoped>
.options {
  margin-bottom: 12px;
  gap: 8px 20px;
}
.options label {
  display: inline-flex;
  align-items: center;
  gap: 6px;
}
.progress {
  margin-bottom: 8px;
}
</style>
