<script setup lang="ts">
import { baselineOf } from '@tasche/contract';
import { counted, QUESTION_WORDS } from '@tasche/core';
import { NCard, NEmpty } from 'naive-ui';
import { computed, defineAsyncComponent } from 'vue';
import AwayLine from '../app/AwayLine.vue';
import LoadingRows from '../app/LoadingRows.vue';
import PageHead from '../app/PageHead.vue';
import { useSettings } from '../app/settings';
import UnitButton from '../app/UnitButton.vue';
import ChoiceField from '../fields/ChoiceField.vue';
import { chartInk } from '../flight/flight-charts';
import { HELD_SHARE, landingView } from '../range/range-charts';
import { useRangeOf } from '../range/range-store';
import { useSheet } from '../sheet/sheet-store';
import AskBar from './AskBar.vue';
import BuildPicker from './BuildPicker.vue';
import BuildTable from './BuildTable.vue';
import CrossingGrid from './CrossingGrid.vue';
import PairCard from './PairCard.vue';
import TestPlan from './TestPlan.vue';
import { useComparison } from './use-comparison';
import { useComparisonAsked } from './use-comparison-asked';

const FlightChart = defineAsyncComponent(() => import('../flight/FlightChart.vue'));

/**
 * Two to six builds on the same task: is one longer, does one match the old one, and how many more shots to
 * know.
 */
const props = defineProps<{ playerId: string }>();
const store = useSheet();
const range = useRangeOf(
  () => props.playerId,
  () => 'all',
);
const settings = useSettings();
const unit = computed(() => settings.unitFor(store.sheet!.player.distanceUnit));
const baseline = computed(() => baselineOf(store.sheet!.player));

const asked = useComparisonAsked(range);
const { shot, swings, all, chosen, question, margins, choose, makeFirst, set } = asked;
const answer = useComparison(range, { builds: chosen, question, margins, from: baseline });

const names = computed(() => new Map(chosen.value.map(({ id, name }) => [id, name])));
const nameOf = (id: string) => names.value.get(id) ?? '';
const first = computed(() => chosen.value[0]);
const summaries = computed(() => answer.value?.comparison?.summaries ?? []);
const ink = computed(() => chartInk(settings.dark));
const above = computed(() =>
  landingView(
    (answer.value?.points ?? []).map(({ id, xs, ys }) => ({ name: nameOf(id), xs, ys })),
    unit.value,
    ink.value,
  ),
);
</script>

<template>
  <div class="page">
    <PageHead :of="store.sheet!.player.name">
      Compare<template v-if="first">, against the {{ first.name }}</template>
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
    <AwayLine v-else-if="range.state === 'away'" :state="range.state" />
    <NCard v-else-if="all.length === 0" class="empty">
      <NEmpty :description="`No shots yet with a ${shot} swing.`">
        <template #extra
          ><RouterLink :to="{ name: 'range', params: { playerId } }">To the range</RouterLink></template
        >
      </NEmpty>
    </NCard>
    <div v-else class="split">
      <aside class="no-print">
        <BuildPicker :builds="all" :chosen="chosen" @choose="choose" />
        <label class="small quiet"
          >Swing <ChoiceField v-model:value="shot" label="Swing compared" :options="swings"
        /></label>
      </aside>
      <div class="main">
        <AskBar :question="question" :margins="margins" :unit="unit" @set="set" />
        <NCard v-if="chosen.length < 2" class="empty">
          <NEmpty
            description="Choose two or more builds. The first one chosen is what the others are compared with."
          />
        </NCard>
        <p v-else-if="answer?.refused" class="verdict warning">◆ {{ answer.refused }}</p>
        <template v-else-if="answer?.comparison">
          <PairCard
            v-for="pair in answer.comparison.pairs"
            :key="pair.id"
            :pair="pair"
            :name="nameOf(pair.id)"
            :first-name="first!.name"
            :margins="margins"
            :unit="unit"
          />
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
              Where they came down in the player’s own air; a dashed ellipse should hold
              {{ HELD_SHARE * 10 }} of the next ten
            </figcaption>
            <FlightChart
              v-if="answer.points.some(({ xs }) => xs.length > 0)"
              :option="above"
              :height="280"
              :label="`Landing points of ${counted(chosen.length, 'build')}; the table sums them up`"
            />
            <p v-else class="small quiet">The side of these shots is not known.</p>
          </figure>
        </template>
        <TestPlan
          v-if="chosen.length >= 2"
          :builds="chosen"
          :shots-each="asked.number('each', 15)"
          :shots-a-turn="asked.number('turn', 5)"
          :seed="asked.number('seed', 1)"
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
