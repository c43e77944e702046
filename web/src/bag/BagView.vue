<script setup lang="ts">
import PageHead from '../app/PageHead.vue';
import { counted } from '../app/counted';
import EmptyBag from './EmptyBag.vue';
import ChoiceField from '../fields/ChoiceField.vue';
import UnitButton from '../app/UnitButton.vue';
import {
  isFullSwing,
  shotIn,
  COMMITTEE_DECIDES,
  GAPPING_STRATEGIES,
  bagFindings,
  type Remedy,
  type StepReport,
} from '@tasche/core';
import type { Command } from '@tasche/contract';
import { until, useEventListener, useElementSize } from '@vueuse/core';
import { NButton, NEmpty } from 'naive-ui';
import { v4 as newId } from 'uuid';
import { computed, defineAsyncComponent, nextTick, onMounted, ref, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { shortDay, shortMoment, today } from '../app/day';
import ConditionsBar from '../conditions/ConditionsBar.vue';
import ConditionsEffect from '../conditions/ConditionsEffect.vue';
import { settingPart } from '../conditions/setting-query';
import { isTyping } from '../keys/is-typing';
import LadderRail from '../ladder/LadderRail.vue';
import LadderRibs from '../ladder/LadderRibs.vue';
import LadderTable from '../ladder/LadderTable.vue';
import { COLUMN_SETS } from '../sheet/sheet-columns';
import SheetGrid from '../sheet/SheetGrid.vue';
import { useSheet } from '../sheet/sheet-store';
import { useSheetEditing } from '../sheet/use-sheet-editing';
import BagMenu from './BagMenu.vue';
import LeftOut from './LeftOut.vue';
import SheetNotices from '../sheet/SheetNotices.vue';
import { loftTrial, remedyTrial, wishOfRemedy } from './remedy-trial';
import SwapPicker from './SwapPicker.vue';
import VerdictCard from './VerdictCard.vue';
import { useBagLadder } from './use-bag-ladder';
import { useUsualRound } from './use-usual-round';
import type { UsualQuestion } from './usual-round-worker';

const ClubPanel = defineAsyncComponent(() => import('../clubs/ClubPanel.vue'));

const props = defineProps<{ playerId: string; bagId?: string }>();
const store = useSheet();
const route = useRoute();
const router = useRouter();

const bag = computed(
  () =>
    store.sheet!.bags.find((one) => one.id === props.bagId) ??
    (props.bagId ? undefined : (store.gamer ?? store.sheet!.bags[0])),
);
const ladder = useBagLadder(bag);
const { unit, school, report, trial } = ladder;
const editing = useSheetEditing(bag);
const canEdit = computed(() => !store.readOnly && !trial.value);

const ROW_PX = 37;
const HEAD_PX = 42;
const grid = ref<InstanceType<typeof SheetGrid> | null>(null);
const activeClub = ref<string | null>(null);
const pointed = ref<StepReport | null>(null);
const picking = ref(false);
/** A row is being dragged: the left-outs come up to where it can be put down. */
const carrying = ref(false);
const airBar = ref<InstanceType<typeof ConditionsBar> | null>(null);
const airOpen = ref(false);
const asTable = computed({
  get: () => route.query.ladder === 'table',
  set: (on) => setQuery('ladder', on ? 'table' : undefined),
});
const columnSet = computed(
  () => COLUMN_SETS.find((set) => set.id === route.query.columns) ?? COLUMN_SETS[0]!,
);
const openClubId = computed({
  get: () => (typeof route.query.club === 'string' ? route.query.club : null),
  set: (id) => setQuery('club', id ?? undefined),
});
const board = ref<HTMLElement | null>(null);
const { width: boardWidth } = useElementSize(board);

function setQuery(key: string, value: string | undefined): void {
  void router.replace({ query: { ...route.query, [key]: value } });
}

const sheetHeight = computed(() => HEAD_PX + (ladder.rows.value.length + (canEdit.value ? 1 : 0)) * ROW_PX);
const railHeight = computed(() => Math.max(420, sheetHeight.value));
const { leftOutClubs } = ladder;
const { remedies, swapsFor } = useUsualRound(
  computed<UsualQuestion | null>(() =>
    !store.readOnly && bag.value
      ? {
          request: {
            clubs: [...ladder.inBag.value, ...leftOutClubs.value],
            from: ladder.playedIn.value,
            ...(store.sheet!.player.handicap !== null && { handicap: store.sheet!.player.handicap }),
          },
          bagIds: ladder.inBag.value.map(({ id }) => id),
          options: ladder.options.value,
          limit: ladder.limit.value,
          ...(store.sheet!.player.preferences && { preferences: store.sheet!.player.preferences }),
        }
      : null,
  ),
);
const findings = computed(() => bagFindings(ladder.shown.value, store.sheet!.player.gapSettings));
const locked = computed(() => Boolean(bag.value?.gamer || bag.value?.ready));
const full = computed(() => locked.value && ladder.inBag.value.length >= ladder.limit.value);
const badges = computed(
  () => new Map([...ladder.freshClubs.value].map((id) => [id, trial.value ? 'in' : 'new'])),
);
const bagOptions = computed(() =>
  store
    .sheet!.bags.filter((one) => !one.planId || one.gamer || one.id === props.bagId)
    .map((one) => ({
      value: one.id,
      label: one.gamer && one.name.toLowerCase() !== 'gamer' ? `${one.name} (gamer)` : one.name,
    })),
);
const lastChange = computed(() => store.sheet!.lastChange);

function takeOut(clubId: string | null): void {
  if (!clubId || !canEdit.value || !bag.value?.clubIds.includes(clubId)) return;
  store.change([{ do: 'takeOut', bagId: bag.value.id, clubId }]);
}

function putIn(clubId: string): void {
  if (!canEdit.value || !bag.value || bag.value.clubIds.includes(clubId)) return;
  if (full.value) {
    picking.value = true;
    return;
  }
  store.change([{ do: 'putIn', bagId: bag.value.id, clubId }]);
}

function tryRemedy(remedy: Remedy | undefined): void {
  if (!remedy || !bag.value) return;
  trial.value = remedyTrial(remedy, bag.value.id, props.playerId, store.clubsById);
}

function tryLoft(clubId: string, loftDeg: number): void {
  const { value: clubs } = ladder.inBag;
  const club = clubs.find(({ id }) => id === clubId);
  openClubId.value = null;
  if (club) trial.value = loftTrial(club, loftDeg, clubs, props.playerId, store.clubsById) ?? null;
}

function wishFor(remedy: Remedy): void {
  store.change(wishOfRemedy(remedy, props.playerId, store.clubsById));
  void router.push({ name: 'wishes', params: { playerId: props.playerId } });
}

/** The swap that mends the bag, as soon as it has been found. */
async function trySwap(): Promise<void> {
  const found = await until(remedies).toMatch((all) => all !== null, { timeout: PATIENT_MS });
  tryRemedy(found?.find(({ inId, outId }) => inId ?? outId));
}
const PATIENT_MS = 3000;

function keep(): void {
  const commands = trial.value?.commands;
  const words = trial.value?.words ?? '';
  picking.value = false;
  trial.value = null;
  if (commands) store.change(commands, `tried on the ladder: ${words}`);
  void grid.value?.focus();
}

function leave(): void {
  trial.value = null;
  picking.value = false;
  void grid.value?.focus();
}

function choose(commands: readonly Command[]): void {
  picking.value = false;
  trial.value = null;
  store.change(commands);
  void grid.value?.focus();
}

function markReady(): void {
  if (!bag.value) return;
  store.change([
    { do: 'editBag', bagId: bag.value.id, version: bag.value.version, set: { ready: !bag.value.ready } },
  ]);
}

function makeBag(copyOf?: readonly string[]): void {
  const id = newId();
  const bagName = copyOf ? `${bag.value?.name ?? 'Bag'} copy` : 'Gamer';
  store.change([
    { do: 'addBag', bag: { id, playerId: props.playerId, name: bagName }, clubIds: copyOf ?? [] },
  ]);
  void router.push({ name: 'bag', params: { playerId: props.playerId, bagId: id } });
}

/** Clubs one hits to a number, and those whose number nobody has told. */
const carryClubs = computed(() => ladder.rows.value.filter(({ kind }) => isFullSwing(kind)));
const unknownCarries = computed(() => carryClubs.value.filter(({ spec }) => !shotIn(spec, 'shot.full')));
function toNextUnknown(): void {
  const next = unknownCarries.value[0];
  if (next) void grid.value?.goTo(next.id, 'shot.full.carryM');
}

/** A usual bag goes in like a paste, and the cursor to the first carry that is not known. */
async function fill(rows: string): Promise<void> {
  paste(rows, 0, 0, 'begun with a usual bag');
  await nextTick();
  toNextUnknown();
}
/** An empty bag has the cursor where one types. */
function focusWhenEmpty(): void {
  if (canEdit.value && bag.value?.clubIds.length === 0) void grid.value?.focus();
}
onMounted(focusWhenEmpty);
watch(() => bag.value?.id, focusWhenEmpty, { flush: 'post' });

function paste(text: string, row: number, column: number, why?: string): void {
  try {
    editing.paste(text, row, column, ladder.rows.value, columnSet.value.columns, why);
  } catch (error) {
    editing.notice.value = `That could not be read as a table: ${(error as Error).message}`;
  }
}

useEventListener('keydown', (event: KeyboardEvent) => {
  if (event.key === 'Escape' && trial.value) return leave();
  if (
    event.key === 'Enter' &&
    trial.value?.commands &&
    !isTyping(event) &&
    !picking.value &&
    !(event.target instanceof HTMLButtonElement)
  ) {
    event.preventDefault();
    return keep();
  }
  if (!event.altKey || event.ctrlKey || event.metaKey) return;
  const key = event.key.toLowerCase();
  const set = COLUMN_SETS[Number(key) - 1];
  const actions: Record<string, () => void> = {
    o: () => takeOut(activeClub.value),
    i: () => {
      if (canEdit.value && bag.value) picking.value = !picking.value;
    },
    m: () => ladder.mark(),
    a: () => {
      airOpen.value = true;
      void nextTick(() => airBar.value?.focus());
    },
    t: () => {
      asTable.value = !asTable.value;
    },
    y: () => void trySwap(),
    s: () => {
      school.value =
        GAPPING_STRATEGIES[
          (GAPPING_STRATEGIES.findIndex((one) => one.id === school.value) + 1) % GAPPING_STRATEGIES.length
        ]!.id;
    },
    ...(set && { [key]: () => setQuery('columns', set.id === 'gaps' ? undefined : set.id) }),
  };
  const action = actions[key];
  if (action) {
    event.preventDefault();
    action();
  }
});
</script>

<template>
  <div class="page bag">
    <PageHead :of="store.sheet!.player.name">
      {{ bag?.name ?? 'no bag yet'
      }}<span v-if="bag?.gamer && bag.name.toLowerCase() !== 'gamer'" class="tag">gamer</span
      ><span v-if="bag?.ready" class="tag">ready</span>
      <template #says>
        <p class="quiet small meta">
          <span v-if="bag">{{ counted(ladder.inBag.value.length, 'club') }}</span>
          <NButton v-if="unknownCarries.length" text type="primary" class="unknown" @click="toNextUnknown"
            >{{ unknownCarries.length }} of {{ carryClubs.length }} carries not known yet</NButton
          >
          <span v-if="ladder.tooMany.value > 0" class="verdict look"
            >◆ {{ ladder.tooMany.value }} must go: {{ ladder.limit.value }} is the limit (Rule 4.1b)</span
          >
          <span>as of {{ shortDay(store.sheet!.asOf ?? today()) }}</span>
          <span v-if="lastChange && !store.readOnly" class="last"
            >last change by {{ lastChange.who }}, {{ shortMoment(lastChange.at) }}:
            {{ lastChange.summary }}</span
          >
          <RouterLink v-if="store.readOnly" :to="{ query: { ...route.query, asOf: undefined } }"
            >Back to today</RouterLink
          >
        </p>
      </template>
      <template #actions>
        <ChoiceField
          v-if="bagOptions.length > 1"
          :value="bag?.id"
          :options="bagOptions"
          label="Bag"
          size="medium"
          @update:value="
            (id) => router.push({ name: 'bag', params: { playerId, bagId: id }, query: route.query })
          "
        />
        <ChoiceField
          v-model:value="school"
          label="Gapping style"
          size="medium"
          :options="GAPPING_STRATEGIES.map((one) => ({ value: one.id, label: one.name }))"
        />
        <UnitButton :own="store.sheet!.player.distanceUnit" />
        <BagMenu
          :bag="bag"
          :unit="unit"
          @ready="markReady"
          @gamer="bag && store.change([{ do: 'makeGamer', bagId: bag.id }])"
          @copy="makeBag(bag?.clubIds ?? [])"
          @remove="bag && store.change([{ do: 'removeBag', bagId: bag.id, version: bag.version }])"
        />
      </template>
    </PageHead>

    <SheetNotices :editing="editing" />

    <NEmpty
      v-if="!bag"
      class="card empty"
      description="No bag yet. Make one, then type the clubs row by row, or paste them from a spreadsheet."
    >
      <template #extra><NButton type="primary" @click="makeBag()">Make the gamer bag</NButton></template>
    </NEmpty>
    <template v-else>
      <div class="sets no-print" role="group" aria-label="Columns and ladder">
        <NButton
          quaternary
          class="tab set"
          v-for="(set, i) in COLUMN_SETS"
          :key="set.id"
          :aria-pressed="set.id === columnSet.id"
          :title="`Alt ${i + 1}`"
          @click="setQuery('columns', set.id === 'gaps' ? undefined : set.id)"
          size="small"
        >
          {{ set.name }}
        </NButton>
        <span class="push" />
        <NButton
          quaternary
          class="tab"
          :aria-pressed="Boolean(ladder.setting.value)"
          :aria-expanded="airOpen || Boolean(ladder.setting.value)"
          title="Alt A"
          @click="airOpen = !airOpen"
          size="small"
        >
          {{ ladder.setting.value ? 'In this air' : 'Air and ground' }}
        </NButton>
        <RouterLink
          v-if="bag"
          class="flights"
          title="Alt F"
          :to="{ name: 'flight', params: { playerId, bagId: bag.id }, query: settingPart(route.query) }"
          >Flights</RouterLink
        >
        <NButton
          quaternary
          class="tab"
          :aria-pressed="asTable"
          title="Alt T"
          @click="asTable = !asTable"
          size="small"
        >
          {{ asTable ? 'Ladder as a picture' : 'Ladder as a table' }}
        </NButton>
        <NButton
          quaternary
          class="tab"
          v-if="!store.readOnly"
          title="Alt I"
          @click="picking = !picking"
          size="small"
          >Put a club in</NButton
        >
        <NButton
          quaternary
          class="tab"
          v-if="!store.readOnly"
          title="Alt O"
          :disabled="!activeClub"
          @click="takeOut(activeClub)"
          size="small"
        >
          Take out {{ activeClub ? store.clubsById.get(activeClub)?.name : '' }}
        </NButton>
      </div>
      <ConditionsBar
        v-if="airOpen || ladder.setting.value"
        ref="airBar"
        :setting="ladder.setting.value"
        :baseline="ladder.baseline.value"
        :unit="unit"
        :complaints="ladder.complaints.value"
        :problem="ladder.conditions.problem.value"
        @set="ladder.setting.value = $event"
      >
        <ConditionsEffect
          v-if="ladder.setting.value"
          :clubs="ladder.shown.value"
          :moved="ladder.moved.value"
          :turned="ladder.turned.value"
          :unit="unit"
        />
      </ConditionsBar>
      <EmptyBag v-if="canEdit && bag.clubIds.length === 0" :unit="unit" @rows="fill" />
      <div class="stage">
        <div ref="board" class="board" :class="{ table: asTable, wide: boardWidth > 1000 }">
          <SheetGrid
            ref="grid"
            class="sheet"
            :clubs="ladder.rows.value"
            :columns="columnSet.columns"
            :unit="unit"
            :read-only="!canEdit"
            :rejected="editing.rejected.value"
            :row-px="ROW_PX"
            :head-px="HEAD_PX"
            :label="`Spec sheet of ${store.sheet!.player.name}, ${bag.name}`"
            :badges="badges"
            drag-group="clubs"
            @write="editing.write"
            @add="editing.add"
            @paste="paste"
            @open="openClubId = $event"
            @active="activeClub = $event"
            @dropped="putIn"
            @dragging="carrying = $event"
          />
          <template v-if="!asTable">
            <LadderRibs
              class="ribs"
              :report="report"
              :rows="ladder.rows.value.length"
              :row-px="ROW_PX"
              :head-px="HEAD_PX"
              :unit="unit"
              :fresh="ladder.freshSteps.value"
              @point="pointed = $event"
            />
            <LadderRail
              class="rail"
              :clubs="ladder.shown.value"
              :report="report"
              :height="railHeight"
              :unit="unit"
              :gone="ladder.goneClubs.value"
              :fresh="ladder.freshClubs.value"
              :pointed="pointed"
              :moved="ladder.moved.value"
            />
          </template>
          <LadderTable v-else class="as-table" :report="report" :unit="unit" :moved="ladder.moved.value" />
          <SwapPicker
            v-if="picking && bag"
            class="picker"
            :bag="bag"
            :in-bag="ladder.inBag.value"
            :left-out="leftOutClubs"
            :options="ladder.options.value"
            :unit="unit"
            :full="full"
            :swaps-for="swapsFor"
            @trial="trial = $event"
            @choose="choose"
            @close="leave"
          />
        </div>
        <VerdictCard
          class="card-below"
          :class="{ away: carrying }"
          :report="report"
          :before="ladder.before.value"
          :opened="ladder.difference.value.opened"
          :closed="ladder.difference.value.closed"
          :pointed="pointed"
          :remedies="remedies"
          @wish="wishFor"
          :trial="trial"
          :unit="unit"
          :read-only="store.readOnly"
          @try="tryRemedy"
          @keep="keep"
          @leave="leave"
          @mark="ladder.mark()"
        />
      </div>
      <LeftOut
        v-if="!store.readOnly"
        :class="{ docked: carrying }"
        :clubs="ladder.leftOut.value"
        :unit="unit"
        @put-in="putIn"
        @dropped="takeOut"
        @open="openClubId = $event"
      />
      <ul
        v-if="
          findings.length ||
          report.flags.some((flag) => flag.severity === 'note' || flag.code === 'never-hit') ||
          report.unplaced.length
        "
        class="findings small"
      >
        <li
          v-for="(finding, i) in findings"
          :key="i"
          :class="finding.severity === 'rule' ? 'verdict look' : 'quiet'"
        >
          {{ finding.severity === 'rule' ? '◆' : '·' }} {{ finding.text
          }}<template v-if="finding.rule"> ({{ finding.rule }})</template>
        </li>
        <li
          v-for="flag in report.flags.filter((one) => one.severity === 'note' || one.code === 'never-hit')"
          :key="flag.reason"
          class="quiet"
        >
          · {{ flag.reason }}
        </li>
        <li v-for="club in report.unplaced" :key="club.clubId" class="quiet">
          · {{ club.name }}: {{ club.reason }}.
        </li>
        <li v-if="findings.some((finding) => finding.severity === 'rule')" class="quiet">
          {{ COMMITTEE_DECIDES }}
        </li>
      </ul>
    </template>
    <ClubPanel
      v-if="openClubId && store.clubsById.has(openClubId)"
      :club-id="openClubId"
      :tries="ladder.inBag.value.some(({ id }) => id === openClubId)"
      @close="openClubId = null"
      @try="tryLoft(openClubId, $event)"
    />
  </div>
</template>

<style scoped>
.tag {
  font-size: 12px;
  font-weight: 500;
  color: var(--petrol);
  border: 1px solid var(--petrol-mid);
  border-radius: 3px;
  padding: 1px 6px;
  margin-left: 8px;
  vertical-align: 4px;
  letter-spacing: 0;
}
.meta {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 16px;
  margin-top: 4px;
}
.last {
  max-width: 62ch;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.empty {
  padding: 28px;
  display: grid;
  gap: 10px;
  justify-items: start;
  max-width: 560px;
}
.sets {
  display: flex;
  flex-wrap: wrap;
  gap: 2px;
  border-bottom: 1px solid var(--line);
  margin-bottom: 4px;
}
.push {
  flex: 1;
}
.board {
  position: relative;
  display: grid;
  grid-template-columns: max-content minmax(230px, 1fr);
  align-items: start;
  gap: 0 14px;
}
.board.wide {
  grid-template-columns: max-content minmax(240px, 1fr) minmax(250px, 300px);
}
.board.table {
  grid-template-columns: max-content minmax(300px, 1fr);
}
.board:not(.wide) .rail {
  grid-column: 1 / -1;
  margin-top: 18px;
  max-width: 520px;
}
.stage {
  display: contents;
}
.as-table {
  padding-top: 14px;
}
.picker {
  position: absolute;
  right: 0;
  top: 8px;
  z-index: 6;
}
.card-below {
  margin-top: 10px;
  position: sticky;
  bottom: 8px;
  z-index: 4;
  box-shadow: 0 2px 14px rgb(30 25 15 / 12%);
}
.card-below.away {
  visibility: hidden;
}
.docked {
  position: fixed;
  left: 16px;
  right: 16px;
  bottom: 8px;
  z-index: 8;
  max-height: 45vh;
  overflow: auto;
  padding: 12px 16px 16px;
  background: var(--paper);
  border: 2px dashed var(--petrol);
  border-radius: 6px;
}
.findings {
  list-style: none;
  padding: 0;
  margin: 12px 0 0;
  display: flex;
  flex-wrap: wrap;
  gap: 2px 18px;
}
@media (max-width: 700px) {
  .stage {
    display: flex;
    flex-direction: column;
  }
  .card-below {
    position: static;
    order: -1;
    margin: 8px 0 4px;
  }
  .board,
  .board.table {
    grid-template-columns: minmax(0, max-content) minmax(84px, 1fr);
    gap: 0 6px;
  }
  .board.table {
    grid-template-columns: 1fr;
  }
  .picker {
    left: 0;
    right: 0;
    width: auto;
  }
  .last {
    white-space: normal;
  }
}
.flights {
  display: inline-flex;
  align-items: center;
  height: 28px;
  padding: 0 10px;
  border-bottom: 3px solid transparent;
  color: var(--quiet);
  font-size: 13px;
  text-decoration: none;
}
.flights:hover {
  color: var(--ink);
}
</style>
