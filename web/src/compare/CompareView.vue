<script setup lang="ts">
import { shotOptions } from '../clubs/shot-options';
import LoadingRows from '../app/LoadingRows.vue';
import PageHead from '../app/PageHead.vue';
import NumberField from '../fields/NumberField.vue';
import ChoiceField from '../fields/ChoiceField.vue';
import UnitButton from '../app/UnitButton.vue';
import { NButton, NEmpty } from 'naive-ui';
import {
  FEWEST_STRIKES,
  MARGIN_BOUNDS,
  MAX_BUILDS,
  USUAL_MARGINS,
  fromMetres,
  mixedWarning,
  QUESTIONS,
  QUESTION_WORDS,
  pairSentence,
  toMetres,
  wishOf,
  type DistanceUnit,
  type MarginPart,
  type Margins,
  type Pair,
  type Question,
  type ShotKind,
  isShotKind,
} from '@tasche/core';
import { computed, defineAsyncComponent, shallowRef, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { useSettings } from '../app/settings';
import { baselineOf } from '@tasche/contract';
import { chartInk } from '../flight/flight-charts';
import { HELD_SHARE, landingView } from '../range/range-charts';
import { rangeWorker } from '../range/range-link';
import { useRangeOf } from '../range/range-store';
import type { ComparisonAnswer } from '../range/range-worker';
import { heightUnit } from '../range/strike-units';
import { useSheet } from '../sheet/sheet-store';
import CrossingGrid from './CrossingGrid.vue';
import BuildPicker from './BuildPicker.vue';
import BuildTable from './BuildTable.vue';
import IntervalBars from './IntervalBars.vue';
import TestPlan from './TestPlan.vue';
import { hitBuilds, type HitBuild } from './builds';

const FlightChart = defineAsyncComponent(() => import('../flight/FlightChart.vue'));

/** Two to six builds on the same task: is one longer, does one match the old one, and how many more shots to know. */
const props = defineProps<{ playerId: string }>();
const store = useSheet();
const range = useRangeOf(
  () => props.playerId,
  () => 'all',
);
const settings = useSettings();
const route = useRoute();
const router = useRouter();
const unit = computed(() => settings.unitFor(store.sheet!.player.distanceUnit));
const baseline = computed(() => baselineOf(store.sheet!.player));

const text = (key: string) => (typeof route.query[key] === 'string' ? route.query[key] : undefined);
const set = (query: Record<string, string | undefined>) =>
  void router.replace({ query: { ...route.query, ...query } });
const shot = computed<ShotKind>(() => {
  const asked = text('shot') ?? '';
  return isShotKind(asked) ? asked : 'full';
});
/** The usual swings, and every one of the player's own with any club. */
const swings = computed(() => {
  const specs = store.clubs.map(({ spec }) => spec);
  const options = specs.flatMap((spec) => shotOptions(spec));
  return [...new Map([...shotOptions(undefined), ...options].map((one) => [one.value, one])).values()];
});
const all = computed(() =>
  hitBuilds(
    range.sessions,
    range.bySession,
    store.clubsById,
    (strike) => {
      const then = range.specOf(strike);
      return then && Object.keys(then).length > 0 ? then : store.clubsById.get(strike.clubId!)!.spec;
    },
    shot.value,
  ),
);
const chosen = computed<HitBuild[]>(() =>
  (text('builds') ?? '')
    .split(',')
    .flatMap((id) => all.value.find((build) => build.id === id) ?? [])
    .slice(0, MAX_BUILDS),
);
function choose(id: string): void {
  const ids = chosen.value.map((build) => build.id);
  const next = ids.includes(id) ? ids.filter((one) => one !== id) : [...ids, id];
  set({ builds: next.length > 0 ? next.join(',') : undefined });
}
/** Against the first of them all are held. */
const makeFirst = (id: string) =>
  set({ builds: [id, ...chosen.value.map((build) => build.id).filter((one) => one !== id)].join(',') });
/** Drivers race; everything else is to match. Any task can be asked of anything. */
const question = computed<Question>(
  () =>
    QUESTIONS.find((one) => one === text('ask')) ??
    (chosen.value.some(({ kind }) => kind === 'driver') ? 'longer' : 'matches'),
);

const MARGINS: readonly { part: MarginPart; key: string; label: string }[] = [
  { part: 'carryM', key: 'carry', label: 'carry' },
  { part: 'apexM', key: 'apex', label: 'apex' },
  { part: 'spinRpm', key: 'spin', label: 'spin' },
];
/** Those the task is judged by. */
const askedMargins = computed(() =>
  MARGINS.filter(
    ({ part }) =>
      part === 'carryM' ||
      question.value === 'matches' ||
      (part === 'spinRpm' && question.value === 'more-spin'),
  ),
);
const shownUnit = (part: MarginPart): DistanceUnit | 'ft' | 'rpm' =>
  part === 'spinRpm' ? 'rpm' : part === 'apexM' ? heightUnit(unit.value) : unit.value;
const margins = computed<Margins>(
  () =>
    Object.fromEntries(
      MARGINS.map(({ part, key }) => {
        const value = Number(text(key) ?? NaN);
        const [min, max] = MARGIN_BOUNDS[part];
        return [part, value >= min && value <= max ? value : USUAL_MARGINS[part]];
      }),
    ) as unknown as Margins,
);
function writeMargin({ part, key }: (typeof MARGINS)[number], typed: number): void {
  const shown = shownUnit(part);
  const value = shown === 'rpm' ? typed : toMetres(typed, shown);
  const [min, max] = MARGIN_BOUNDS[part];
  set({ [key]: String(Math.round(Math.min(max, Math.max(min, value)) * 1000) / 1000) });
}
const marginBounds = ({ part }: (typeof MARGINS)[number]) =>
  MARGIN_BOUNDS[part].map((bound) => inUnit(bound, shownUnit(part))) as [number, number];
const inUnit = (value: number, shown: DistanceUnit | 'ft' | 'rpm') =>
  Number((shown === 'rpm' ? value : fromMetres(value, shown)).toFixed(1));

const answer = shallowRef<ComparisonAnswer | null>(null);
let lastRequestId = 0;
watch(
  [chosen, question, margins, baseline],
  async ([builds, ask, within, from]) => {
    const requestId = ++lastRequestId;
    if (builds.length < 2) {
      answer.value = null;
      return;
    }
    const input = builds.map(({ id, name, kind, parts, strikes }) => {
      const ids = new Set(strikes.map((strike) => strike.id));
      return {
        id,
        name,
        kind,
        parts: { ...parts },
        sessions: range.sessions
          .map((session) => range.strikesOf(session, (strike) => ids.has(strike.id)))
          .filter((session) => session.strikes.length > 0),
      };
    });
    const compared = await rangeWorker().compare(input, ask, within, from);
    if (requestId === lastRequestId) answer.value = compared;
  },
  { immediate: true },
);

const names = computed(() => new Map(chosen.value.map(({ id, name }) => [id, name])));
const nameOf = (id: string) => names.value.get(id) ?? '';
const first = computed(() => chosen.value[0]);
const summaries = computed(() => answer.value?.comparison?.summaries ?? []);
const SEVERITY = {
  met: ['fine', '●'],
  'not met': ['error', '■'],
  even: ['warning', '◆'],
  open: ['unknown', '○'],
} as const;
const severityOf = (pair: Pair) => SEVERITY[wishOf(pair)];
const ink = computed(() => chartInk(settings.dark));
const above = computed(() =>
  landingView(
    (answer.value?.points ?? []).map(({ id, xs, ys }) => ({ name: nameOf(id), xs, ys })),
    unit.value,
    ink.value,
  ),
);
const number = (key: string, usual: number) => {
  const value = Number(text(key) ?? NaN);
  return Number.isFinite(value) ? value : usual;
};
</script>

<template>
  <div class="page">
    <PageHead :of="store.sheet!.player.name">
      compare<template v-if="first">, against the {{ first.name }}</template>
      <template #says>
        <p class="quiet small">
          Two to six builds on the same task. A new driver must beat the old one; anything else is to match
          it, unless you ask for something else.
        </p>
      </template>
      <template #actions>
        <UnitButton :own="store.sheet!.player.distanceUnit" />
      </template>
    </PageHead>
    <LoadingRows v-if="range.state === 'loading'" />
    <NEmpty
      v-else-if="all.length === 0"
      class="card empty"
      :description="`Nothing was hit yet with a ${shot} swing.`"
    >
      <template #extra
        ><RouterLink :to="{ name: 'range', params: { playerId } }">To the range</RouterLink></template
      >
    </NEmpty>
    <div v-else class="split">
      <aside class="no-print">
        <BuildPicker :builds="all" :chosen="chosen" @choose="choose" />
        <label class="small quiet"
          >Swing
          <ChoiceField
            :value="shot"
            @update:value="set({ shot: $event, builds: undefined })"
            label="Swing compared"
            :options="swings"
        /></label>
      </aside>
      <div class="main">
        <div class="bar ask no-print">
          <span role="group" aria-label="Task" class="group">
            <NButton
              v-for="task in QUESTIONS"
              :key="task"
              size="small"
              :aria-pressed="question === task"
              @click="set({ ask: task })"
            >
              {{ QUESTION_WORDS[task] }}
            </NButton>
          </span>
          <label v-for="margin in askedMargins" :key="margin.part" class="small quiet"
            >within
            <NumberField
              :value="inUnit(margins[margin.part], shownUnit(margin.part))"
              :label="`Margin of ${margin.label}`"
              :unit="shownUnit(margin.part)"
              :bounds="marginBounds(margin)"
              :px="64"
              @write="writeMargin(margin, $event!)"
            />
            of {{ question === 'matches' || question === 'more-spin' ? margin.label : 'distance' }}</label
          >
        </div>
        <NEmpty
          v-if="chosen.length < 2"
          class="card empty"
          description="Choose two or more on the left; the first one chosen is what the others are held against."
        />
        <p v-else-if="answer?.refused" class="verdict warning">
          ◆ {{ answer.refused }} (at least {{ FEWEST_STRIKES }} that count)
        </p>
        <template v-else-if="answer?.comparison">
          <section
            v-for="pair in answer.comparison.pairs"
            :key="pair.id"
            class="card pair"
            aria-live="polite"
          >
            <p class="sentence">
              <span class="verdict" :class="severityOf(pair)[0]" :title="pair.word">{{
                severityOf(pair)[1]
              }}</span>
              {{ pairSentence(pair, nameOf(pair.id), first!.name, unit) }}
            </p>
            <p v-if="mixedWarning(pair, nameOf(pair.id))" class="verdict warning small">
              ◆ {{ mixedWarning(pair, nameOf(pair.id)) }}
            </p>
            <IntervalBars :differences="pair.differences" :margins="margins" :unit="unit" :open="pair.open" />
          </section>
          <p class="small quiet">
            Intervals at
            {{ (answer.comparison.confidenceEach * 100).toFixed(answer.comparison.pairs.length > 1 ? 1 : 0) }}
            % each{{
              question === 'matches'
                ? `, as two one-sided tests at ${((1 - answer.comparison.confidenceEach) * 50).toFixed(1)} % ask`
                : ''
            }}{{
              answer.comparison.pairs.length > 1
                ? ', shared out so that all of them together keep to one in twenty'
                : ''
            }}.
          </p>
          <BuildTable
            :summaries="summaries"
            :answer="answer"
            :names="names"
            :unit="unit"
            @first="makeFirst"
          />
          <CrossingGrid
            v-if="answer.crossing"
            :crossing="answer.crossing.grid"
            :measure="answer.crossing.measure"
            :label="QUESTION_WORDS[question]"
            :unit="unit"
          />
          <figure>
            <figcaption class="small quiet">
              Where they came down in the player’s own air; a dashed ellipse is to hold
              {{ HELD_SHARE * 10 }} of the next ten
            </figcaption>
            <FlightChart
              :option="above"
              :height="280"
              :label="`Landing points of ${chosen.length} builds; the table sums them up`"
            />
          </figure>
        </template>
        <TestPlan
          v-if="chosen.length >= 2"
          :builds="chosen"
          :shots-each="number('each', 15)"
          :shots-a-turn="number('turn', 5)"
          :seed="number('seed', 1)"
          @set="(key, value) => set({ [key]: String(value) })"
        />
      </div>
    </div>
  </div>
</template>

<style scoped>
.split {
  display: flex;
  gap: 24px;
  align-items: flex-start;
}
aside {
  flex: none;
  width: 212px;
  display: grid;
  gap: 10px;
  position: sticky;
  top: 14px;
}
.main {
  flex: 1;
  min-width: 0;
}
.ask {
  gap: 8px 18px;
  margin-bottom: 10px;
}
.group {
  display: flex;
}

.pair {
  padding: 12px 16px 8px;
  margin-bottom: 8px;
}
.sentence {
  font-size: 15.5px;
}
figure {
  margin: 8px 0 0;
}
.empty {
  padding: 24px;
}
@media (max-width: 700px) {
  .split {
    flex-direction: column;
  }
  aside {
    width: 100%;
    position: static;
  }
  .main {
    width: 100%;
  }
}
</style>
