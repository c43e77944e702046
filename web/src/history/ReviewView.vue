<script setup lang="ts">
import AwayLine from '../app/AwayLine.vue';
import ProblemLine from '../app/ProblemLine.vue';
import { NButton, NEmpty } from 'naive-ui';
import { MAX_STRIKES_ANSWERED, roundsPlayed } from '@tasche/contract';
import {
  PREDICTION_BASES,
  calibrationOf,
  calibrationWords,
  counted,
  dayPlus,
  decimals,
  digits,
} from '@tasche/core';
import { computed, onMounted } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import DataTable from '../app/DataTable.vue';
import { FIGURES, type DataColumn } from '../app/data-table';
import { today } from '../app/day';
import Breadcrumb from '../app/Breadcrumb.vue';
import { pagesAbove } from '../app/breadcrumb';
import PageHead from '../app/PageHead.vue';
import WorkProgress from '../app/WorkProgress.vue';
import { useSettings } from '../app/settings';
import { useSchedule } from '../courses/schedule-store';
import ChoiceField from '../fields/ChoiceField.vue';
import { MARKS } from '../ladder/marks';
import { useSheet } from '../sheet/sheet-store';
import PredictionsTable from './PredictionsTable.vue';
import SwapsMade from './SwapsMade.vue';
import { BASIS_WORDS } from './review';
import { useReview } from './use-review';
import { gamerQuestion } from '../bag/gamer-question';
import { useSwapGains } from './use-swap-gains';

/**
 * A season looked back on: which carries came as they were expected, which swaps were made, and what is known
 * of them since.
 */
const props = defineProps<{ playerId: string }>();
const store = useSheet();
const schedule = useSchedule();
const settings = useSettings();
const route = useRoute();
const router = useRouter();
onMounted(() => void schedule.load());

const SPANS = [
  { value: '91', label: 'the last 3 months' },
  { value: '182', label: 'the last 6 months' },
  { value: '365', label: 'the last 12 months' },
  { value: '1095', label: 'the last 3 years' },
] as const;
type Days = (typeof SPANS)[number]['value'];
const days = computed<Days>(() => SPANS.find(({ value }) => value === route.query.days)?.value ?? '365');
const setDays = (value: Days) => void router.replace({ query: { ...route.query, days: value } });
const span = computed(() => ({ from: dayPlus(today(), -Number(days.value)), to: today() }));
const { review, predictions, share, problem, rangeState, hasMoreShots, stop, load } = useReview(
  () => props.playerId,
  () => span.value,
);

const unit = computed(() => settings.unitFor(store.sheet!.player.distanceUnit));
const gains = useSwapGains(
  computed(() => review.value?.swaps ?? []),
  () => gamerQuestion(store, true),
);
const verdict = computed(() =>
  predictions.value.length > 0 ? calibrationWords(calibrationOf(predictions.value)) : null,
);
const byBasis = computed(() =>
  PREDICTION_BASES.flatMap((basis) => {
    const some = predictions.value.filter((one) => one.basis === basis);
    return some.length === 0 ? [] : [{ basis, some, calibration: calibrationOf(some) }];
  }),
);
type OfBasis = (typeof byBasis.value)[number];
const BASIS_COLUMNS: readonly DataColumn<OfBasis>[] = [
  { id: 'basis', head: 'The carry was', isRowHead: true, value: ({ basis }) => BASIS_WORDS[basis] },
  { id: 'expected', head: 'Expected', ...FIGURES, value: ({ some }) => some.length },
  { id: 'within', head: 'Within range', ...FIGURES, value: ({ calibration }) => calibration.within95 },
  { id: 'against', head: 'Against expected', ...FIGURES },
];
const rounds = computed(() => roundsPlayed(store.sheet!, schedule.events, schedule.courses));
</script>

<template>
  <div class="page review">
    <PageHead :of="store.sheet!.player.name">
      Season review
      <template #breadcrumb><Breadcrumb :pages="pagesAbove(store.sheet!.player, 'history')" /></template>
      <template #says>
        <p class="quiet small">What was expected, and what happened.</p>
      </template>
      <template #actions>
        <ChoiceField :value="days" label="Period" :options="SPANS" @update:value="setDays" />
      </template>
    </PageHead>
    <p v-if="share !== null" class="bar small" role="status">
      <WorkProgress :share="share" /> Reviewing {{ counted(review?.days.length ?? 0, 'day') }} with shots…
      <NButton size="small" @click="stop">Cancel</NButton>
    </p>
    <AwayLine :state="rangeState" />
    <ProblemLine :text="problem"> <NButton size="small" @click="load">Try again</NButton></ProblemLine>

    <section aria-label="Did it hold?">
      <h2>Did it hold?</h2>
      <p v-if="verdict" class="verdict says" :class="verdict.severity" role="status">
        {{ MARKS[verdict.severity] }} {{ verdict.text }}
      </p>
      <NEmpty
        v-else-if="share === null && review"
        description="In this time no club with an expected carry was hit. Hit a session on the Range, or look back further."
      />
      <p v-if="review?.more" class="verdict warning small">
        ◆ Only the newest {{ review.days.length }} days with shots are reviewed.
      </p>
      <p v-if="hasMoreShots" class="verdict warning small">
        ◆ Only the newest {{ digits(MAX_STRIKES_ANSWERED) }} shots are reviewed.
      </p>
      <DataTable
        v-if="byBasis.length > 1"
        class="basis"
        caption="How carries came, by what was known of them"
        :columns="BASIS_COLUMNS"
        :rows="byBasis"
        :row-key="({ basis }) => basis"
        :orders="false"
        is-whole
      >
        <template #against="{ row: { calibration } }">
          <template v-if="calibration.bias"
            >{{ calibration.bias.mean > 0 ? '+' : '' }}{{ decimals(calibration.bias.mean * 100, 1) }} %{{
              ' '
            }}
            <span class="quiet">± {{ (calibration.bias.plusMinus * 100).toFixed(1) }}</span></template
          >
          <span v-else class="quiet">one alone</span>
        </template>
      </DataTable>
      <PredictionsTable v-if="predictions.length" :predictions="predictions" :unit="unit" />
      <p v-if="predictions.length" class="quiet small foot">
        Expected: what the sheet or the player’s curve said the evening before, with the range that should
        hold 95 of 100 such means. Actual: the mean of that day’s full shots, in the air the carries are known
        in. Clubs of one day share its ball and its monitor.
      </p>
    </section>

    <section v-if="review" aria-label="Swaps made">
      <h2>Swaps made</h2>
      <p v-if="review.swaps.length === 0" class="quiet">The gamer was not changed in this time.</p>
      <SwapsMade
        v-else
        :swaps="review.swaps"
        :gains="gains"
        :predictions="predictions"
        :rounds="rounds"
        :unit="unit"
      />
    </section>
  </div>
</template>

<style scoped>
h2 {
  margin: 22px 0 10px;
}
.says {
  max-width: 760px;
  margin-bottom: 14px;
}
.basis {
  max-width: 620px;
  margin-bottom: 18px;
}
.foot {
  max-width: 760px;
  margin-top: 10px;
}
@media (max-width: 700px) {
  section {
    overflow-x: auto;
  }
}
</style>
