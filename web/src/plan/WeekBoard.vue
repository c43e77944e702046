<script setup lang="ts">
import { NCard } from 'naive-ui';
import type { ClubView } from '@tasche/contract';
import {
  bagHeadline,
  stepBetween,
  stepSentence,
  type DistanceUnit,
  type GapReport,
  type LadderClub,
  type StepReport,
} from '@tasche/core';
import { computed, ref } from 'vue';
import type { Moved } from '../conditions/use-conditions';
import LadderRail from '../ladder/LadderRail.vue';
import LadderRibs from '../ladder/LadderRibs.vue';
import PlannedBag from './PlannedBag.vue';

/** The bag of a week beside its ladder, and one sentence: on the step that is pointed at, else on the whole. */
const props = defineProps<{
  rows: readonly ClubView[];
  inBag: readonly LadderClub[];
  report: GapReport;
  gone: readonly LadderClub[];
  fresh: ReadonlySet<string>;
  moved: ReadonlyMap<string, Moved> | undefined;
  unit: DistanceUnit;
  canEdit: boolean;
}>();
const active = defineModel<string | null>('active', { required: true });
defineEmits<{ out: [clubId: string] }>();

const ROW_PX = 36;
const HEAD_PX = 46;
const pointed = ref<StepReport | null>(null);
/** The step that is pointed at, as it stands now: after a swap it may be gone. */
const step = computed(() => pointed.value && stepBetween(props.report, pointed.value));
const headline = computed(() => bagHeadline(props.report, props.unit));
</script>

<template>
  <div class="board">
    <PlannedBag
      v-model:active="active"
      :clubs="rows"
      :fresh="fresh"
      :moved="moved"
      :unit="unit"
      :can-edit="canEdit"
      :row-px="ROW_PX"
      :head-px="HEAD_PX"
      @out="$emit('out', $event)"
    />
    <LadderRibs
      :report="report"
      :row-ids="rows.map(({ id }) => id)"
      :row-px="ROW_PX"
      :head-px="HEAD_PX"
      :unit="unit"
      @point="pointed = $event"
    />
    <LadderRail
      class="rail"
      :clubs="inBag"
      :report="report"
      :height="Math.max(420, HEAD_PX + rows.length * ROW_PX)"
      :unit="unit"
      :gone="gone"
      :fresh="fresh"
      :pointed="pointed"
      :moved="moved"
    />
  </div>
  <NCard class="sentence" aria-live="polite">
    <template v-if="step">{{ stepSentence(step, report, unit) }}</template><template v-else
      ><b class="verdict" :class="headline.severity">{{ headline.title }}</b> {{ headline.text }}</template
    >
  </NCard>
</template>

<style scoped>
.board {
  display: grid;
  grid-template-columns: max-content minmax(220px, 1fr) minmax(260px, 330px);
  gap: 0 16px;
  margin-top: 10px;
}
.sentence {
  padding: 10px 14px;
  margin-top: 12px;
}
@media (max-width: 980px) {
  .board {
    grid-template-columns: max-content minmax(78px, 1fr);
    gap: 0 8px;
  }
  .rail {
    grid-column: 1 / -1;
    max-width: 480px;
  }
}
/* A page at 400 %: the ladder below has the steps too. */
@media (max-width: 359px) {
  .board {
    grid-template-columns: minmax(0, 1fr);
  }
  .ribs {
    display: none;
  }
}
@media print {
  .board {
    grid-template-columns: max-content 1fr;
  }
  .rail {
    display: none;
  }
  .sentence {
    border: 0;
    padding: 0;
  }
}
</style>
