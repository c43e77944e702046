<script setup lang="ts">
import ProblemLine from '../app/ProblemLine.vue';
import {
  checkEveryDays,
  type ClubView,
  type Command,
  type GaugedLoft,
  type TicketDetails,
} from '@tasche/contract';
import {
  CHECK_EVERY_DAYS,
  GAUGED,
  GAUGE_DEG,
  GAUGE_KEYS,
  checkProgress,
  formatDegrees,
  gaugeCheck,
  isGauged,
  loftDrift,
  nextCheckDue,
  playingLoft,
  sheetLie,
  type Gauged,
  type GaugeVerdict,
} from '@tasche/core';
import { NButton, NEmpty, NTable } from 'naive-ui';
import { useShortcuts } from '../keys/use-shortcuts';
import { computed, nextTick, ref, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { useRead } from '../api/read';
import { post } from '../api/request';
import { counted } from '../app/counted';
import { shortDay, today } from '../app/day';
import WorkProgress from '../app/WorkProgress.vue';
import ChoiceField from '../fields/ChoiceField.vue';
import DateField from '../fields/DateField.vue';
import QuantityField from '../fields/QuantityField.vue';
import { useSheet } from '../sheet/sheet-store';
import BenchHead from './BenchHead.vue';
import MakeTickets from './MakeTickets.vue';
import { addTickets, type TicketOccasion } from './new-tickets';
import { useGauge } from './use-gauge';

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
  (bag.value?.clubIds ?? [])
    .flatMap((id) => store.clubsById.get(id) ?? [])
    .filter(({ kind }) => isGauged(kind))
    .toSorted((a, b) => orderOf(a) - orderOf(b)),
);
/** By the loft that is wanted, so that no row moves while it is read. */
const orderOf = (club: ClubView) =>
  club.kind === 'putter'
    ? 99
    : (gaugeCheck(club.spec, 'loft').wantedDeg ?? playingLoft(club.spec)?.deg ?? 98);
/** The first day of this check; part of the address, so that tomorrow's link is the same check. */
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

const VERDICT_MARK = { right: '●', 'at the edge': '◆', off: '■' } as const;
const VERDICT_CLASS = { right: 'fine', 'at the edge': 'warning', off: 'error' } as const;
const rows = computed(() =>
  clubs.value.map((club) => ({
    club,
    done: (club.spec.loftMeasuredDeg?.takenOn ?? '') >= since.value,
    angles: GAUGED.map((gauged) => {
      const check = gaugeCheck(club.spec, gauged, since.value);
      const fresh = (check.takenOn ?? '') >= since.value;
      return {
        gauged,
        wanted: check.wantedDeg === undefined ? '–' : formatDegrees(check.wantedDeg),
        last: fresh
          ? ''
          : check.measuredDeg === undefined
            ? 'never'
            : `${formatDegrees(check.measuredDeg)} on ${shortDay(check.takenOn!)}`,
        value: fresh ? (check.measuredDeg ?? null) : null,
        verdict: fresh ? check.verdict : undefined,
        off: check.offDeg,
      };
    }),
  })),
);
/** Nobody finds a club this far off: it was mistyped, or the wrong club lay in the gauge. Ours. */
const MISTYPED_DEG = 4;
const isMistyped = (off: number | undefined) => Math.abs(off ?? 0) > MISTYPED_DEG;
const offWords = (off: number | undefined) =>
  off === undefined ? '' : `${formatDegrees(Math.abs(off))} ${off > 0 ? 'over' : 'under'}`;

function write(club: ClubView, gauged: Gauged, value: number | string | null): void {
  if (typeof value !== 'number') return;
  const { version, spec } = store.clubsById.get(club.id) ?? club;
  // The lie on the sheet is what is wanted; it is written down as set before the reading takes its place.
  const wanted = sheetLie(spec, gauged, since.value);
  store.change(
    [
      {
        do: 'editClub',
        clubId: club.id,
        version,
        readings: [
          ...(wanted ? [{ key: 'lieSetDeg' as const, ...wanted }] : []),
          { key: GAUGE_KEYS[gauged].measured, value, takenOn: today() },
        ],
      },
    ],
    'loft-and-lie check',
  );
}

function verdictWords(verdict: GaugeVerdict, off: number | undefined): string {
  if (verdict === 'right') return 'right';
  if (isMistyped(off)) return `${offWords(off)}: mistyped, or another club?`;
  return verdict === 'off' ? offWords(off) : `${offWords(off)}, measure again`;
}

/** Enter goes down the column and then to the next, as a gauge is read. */
const fields = new Map<string, { focus: () => void }>();
const fieldKey = (clubId: string, gauged: Gauged) => `${clubId} ${gauged}`;
const here = ref<{ clubId: string; gauged: Gauged } | null>(null);
async function next(clubId: string, gauged: Gauged): Promise<void> {
  await nextTick();
  const order = rows.value.flatMap(({ club }) => GAUGED.map((one) => ({ clubId: club.id, gauged: one })));
  const at = order.findIndex((one) => one.clubId === clubId && one.gauged === gauged);
  const following = order[at + 1];
  if (following) fields.get(fieldKey(following.clubId, following.gauged))?.focus();
}
watch(
  () => progress.value.nextId,
  async (id, before) => {
    if (before !== undefined || id === undefined || store.readOnly) return;
    await nextTick();
    fields.get(fieldKey(id, 'loft'))?.focus();
  },
  { immediate: true },
);

/** The club that was laid in a simulated gauge: its reading is its own, wherever the cursor is by then. */
let laidId: string | undefined;

/** What the gauge sends goes where the cursor is, or to the next club that was not measured. */
const { view: gauge, isHere } = useGauge((reading) => {
  const clubId = laidId ?? here.value?.clubId ?? progress.value.nextId;
  laidId = undefined;
  const club = clubId === undefined ? undefined : store.clubsById.get(clubId);
  if (!club || store.readOnly) return;
  if (reading.loftDeg !== undefined) write(club, 'loft', reading.loftDeg);
  if (reading.lieDeg !== undefined) write(store.clubsById.get(club.id)!, 'lie', reading.lieDeg);
  if (here.value === null || here.value.clubId === club.id) void next(club.id, 'lie');
});

/** A simulated gauge is told what lies in it: the club as it was last known. */
async function lay(): Promise<void> {
  const clubId = here.value?.clubId ?? progress.value.nextId;
  const club = clubId === undefined ? undefined : store.clubsById.get(clubId);
  if (!club) return;
  const [loft, lie] = GAUGED.map((gauged) => gaugeCheck(club.spec, gauged, since.value));
  const loftDeg = loft!.measuredDeg ?? loft!.wantedDeg;
  const lieDeg = lie!.measuredDeg ?? lie!.wantedDeg;
  here.value = { clubId: club.id, gauged: 'loft' };
  laidId = club.id;
  problem.value = '';
  await post('/gauge/measure', {
    ...(loftDeg !== undefined && { loftDeg }),
    ...(lieDeg !== undefined && { lieDeg }),
  }).catch((error: unknown) => (problem.value = (error as Error).message));
}
const problem = ref('');
useShortcuts('Roster and bench', {
  'Alt M': () => {
    if (!gauge.value.simulated) return false;
    void lay();
    return true;
  },
});

/** How lofts have moved since each club was last set. */
const { found: lofts } = useRead<readonly GaugedLoft[]>(() => `/players/${props.playerId}/gauged-lofts`);
const moving = computed(() =>
  clubs.value.flatMap((club) => {
    const setOn = club.spec.loftSetDeg?.takenOn ?? '';
    const drift = loftDrift(
      (lofts.value ?? []).filter(({ clubId, takenOn }) => clubId === club.id && takenOn >= setOn),
    );
    if (!drift?.moves) return [];
    const size = `${Math.abs(drift.perMonthDeg).toFixed(2)}° ${drift.perMonthDeg > 0 ? 'weaker' : 'stronger'} a month`;
    return [
      `The ${club.name} moves: ${size}, ±${drift.plusMinusDeg.toFixed(2)}°, over ${drift.readings} readings.`,
    ];
  }),
);

const off = computed(() =>
  rows.value.filter(({ angles }) =>
    angles.some(({ verdict, off: by }) => verdict === 'off' && !isMistyped(by)),
  ),
);
function makeTickets(occasion: Omit<TicketOccasion, 'why'>): void {
  const tickets = off.value.map(({ club, angles }): TicketDetails => {
    const wanted = angles.flatMap(({ gauged, verdict, off }) => {
      const { wantedDeg } = gaugeCheck(club.spec, gauged, since.value);
      if (verdict !== 'off' || isMistyped(off) || wantedDeg === undefined) return [];
      return [
        { key: gauged === 'loft' ? ('loftSetDeg' as const) : ('lieSetDeg' as const), value: wantedDeg },
      ];
    });
    return {
      job: 'bend',
      name: `Bend the ${club.name} back`,
      clubId: club.id,
      wanted,
      why: angles
        .filter(({ verdict }) => verdict === 'off')
        .map(({ gauged, off: by }) => `${gauged} ${offWords(by)}`)
        .join(', '),
      ...occasion,
    };
  });
  store.change(addTickets(props.playerId, tickets) as Command[], `check of ${bag.value!.name}`);
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
      <NButton v-if="isHere && gauge.simulated && !store.readOnly" size="small" @click="lay">
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
          due === undefined
            ? 'Not all were ever measured: a check is due.'
            : `Next check due ${shortDay(due)}.`
        }}</span>
        <span v-if="due !== undefined && due < today()" class="verdict warning">◆ overdue</span>
      </p>
      <NTable class="figures check" size="small" :bordered="false">
        <caption class="unseen">
          Loft and lie of each club: wanted, last measured, now
        </caption>
        <thead>
          <tr>
            <th scope="col">Club</th>
            <template v-for="gauged in GAUGED" :key="gauged">
              <th scope="col">{{ gauged }} wanted</th>
              <th scope="col">last</th>
              <th scope="col">now</th>
              <th scope="col"><span class="unseen">verdict</span></th>
            </template>
          </tr>
        </thead>
        <tbody>
          <tr v-for="{ club, angles, done } in rows" :key="club.id" :class="{ done }">
            <th scope="row">{{ club.name }}</th>
            <template v-for="angle in angles" :key="angle.gauged">
              <td>{{ angle.wanted }}</td>
              <td class="quiet">{{ angle.last }}</td>
              <td>
                <QuantityField
                  :ref="
                    (field: unknown) =>
                      fields.set(fieldKey(club.id, angle.gauged), field as { focus: () => void })
                  "
                  :quantity-key="GAUGE_KEYS[angle.gauged].measured"
                  :value="angle.value"
                  :label="`${club.name}, ${angle.gauged} now`"
                  :disabled="store.readOnly"
                  class="field"
                  @focusin="here = { clubId: club.id, gauged: angle.gauged }"
                  @update:value="write(club, angle.gauged, $event)"
                  @keyup.enter="next(club.id, angle.gauged)"
                />
              </td>
              <td class="left">
                <span v-if="angle.verdict" class="verdict" :class="VERDICT_CLASS[angle.verdict]">
                  {{ VERDICT_MARK[angle.verdict] }}
                  {{ verdictWords(angle.verdict, angle.off) }}
                </span>
              </td>
            </template>
          </tr>
        </tbody>
      </NTable>
      <p v-for="text in moving" :key="text" class="verdict warning">◆ {{ text }}</p>
      <MakeTickets
        v-if="off.length > 0 && !store.readOnly"
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
.check {
  max-width: 1160px;
}
.check .left {
  text-align: left;
  min-width: 120px;
}
.done th[scope='row'] {
  color: var(--petrol);
}
@media (max-width: 900px) {
  .check {
    display: block;
    overflow-x: auto;
  }
}
</style>
