<script setup lang="ts">
import { gainWords } from './gain-words';
import { NButton, NCard } from 'naive-ui';
import {
  bagEvennessWords,
  formatDegrees,
  distanceNumber,
  gappingStrategyOf,
  bagHeadline,
  noRemediesFor,
  noRemediesWords,
  stepBetween,
  remedyWords,
  stepSentence,
  type DistanceUnit,
  type GapReport,
  type Remedy,
  type StepReport,
} from '@tasche/core';
import { computed } from 'vue';
import { MARKS, SEVERITY_WORDS } from '../ladder/marks';
import type { Trial } from './trial';
import Hint from '../app/Hint.vue';

/** The one sentence that matters, or the step that is pointed at; and what came of it since "before". */
const props = defineProps<{
  report: GapReport;
  before: GapReport;
  opened: readonly StepReport[];
  closed: readonly StepReport[];
  pointed: StepReport | null;
  /** Null while they are looked for. */
  remedies: readonly Remedy[] | null;
  trial: Trial | null;
  /**
   * The name of any club of the locker: a remedy may be about clubs that are not in the bag, or not any more.
   */
  nameOf: (clubId: string) => string;
  unit: DistanceUnit;
  readOnly: boolean;
}>();
const emit = defineEmits<{ try: [remedy: Remedy]; wish: [remedy: Remedy]; keep: []; leave: []; mark: [] }>();

const evenness = computed(() => bagEvennessWords(props.report, props.unit));
const evennessBefore = computed(() => bagEvennessWords(props.before, props.unit));
const changed = computed(
  () => props.opened.length > 0 || props.closed.length > 0 || evenness.value !== evennessBefore.value,
);
const headline = computed(() => bagHeadline(props.report, props.unit));
/** The step pointed at, as it is now: a change may have removed it. */
const shownStep = computed(() => props.pointed && stepBetween(props.report, props.pointed));
const school = computed(() => gappingStrategyOf(props.report.school));

/** A wide step worth a look. */
const atFault = computed(() =>
  props.report.steps.some(
    ({ word, severity }) => word === 'wide' && (severity === 'error' || severity === 'warning'),
  ),
);
const noRemedies = computed(() => noRemediesFor(props.report));
function evennessChange({ after }: Remedy): string {
  const then = bagEvennessWords(after, props.unit);
  return then ? `${school.value.name}: ${then} after it, ${evenness.value ?? 'nothing to measure'} now.` : '';
}

function stepWords(step: StepReport): string {
  const loft = step.loftDeg === undefined ? '' : `, ${formatDegrees(step.loftDeg)}`;
  return `${props.nameOf(step.upperId)} to ${props.nameOf(step.lowerId)} ${distanceNumber(step.carryM, props.unit)}${loft}`;
}
</script>

<template>
  <NCard tag="section" class="verdict-card" aria-live="polite">
    <p v-if="trial" class="trial">
      <strong>Trying: {{ trial.words }}</strong>
      <template v-if="trial.commands">
        <NButton @click="emit('keep')" size="small" type="primary"
          >{{ trial.keepWords ?? 'Keep it' }} <kbd>Enter</kbd></NButton
        >
      </template>
      <NButton @click="emit('leave')" size="small">Cancel <kbd>Esc</kbd></NButton>
      <span v-if="trial.caution" class="caution small">{{ trial.caution }}</span>
    </p>
    <div class="said">
      <p v-if="shownStep" class="sentence">
        <span class="verdict" :class="shownStep.severity"
          >{{ MARKS[shownStep.severity] }} {{ shownStep.word }}.</span
        >
        {{ stepSentence(shownStep, report, unit) }}
      </p>
      <p v-else class="sentence">
        <span class="verdict" :class="headline.severity" :title="SEVERITY_WORDS[headline.severity]"
          >{{ MARKS[headline.severity] }} {{ headline.title }}</span
        >
        {{ headline.text }}
      </p>
      <p class="figure small">
        <Hint :says="school.summary">{{ school.name }}</Hint>: <b v-if="evenness">{{ evenness }}</b><template
          v-else
          >nothing to measure yet</template
        ><span v-if="changed && evennessBefore" class="quiet">, before {{ evennessBefore }}</span>
      </p>
    </div>
    <p v-if="!trial && remedies && remedies.length > 0 && !readOnly" class="remedies">
      <span v-for="remedy in remedies" :key="remedy.kind" class="remedy">
        {{ remedyWords(remedy, nameOf, unit) }}
        <Hint class="quiet small" :says="`By a usual round for this player. ${evennessChange(remedy)}`">{{
          gainWords(remedy)
        }}</Hint>
        <NButton v-if="remedy.kind !== 'buy'" @click="emit('try', remedy)" size="small"> Try it </NButton>
        <NButton v-else @click="emit('wish', remedy)" size="small"> Wish for it </NButton>
      </span>
    </p>
    <p v-else-if="!trial && noRemedies && !readOnly" class="quiet small">
      {{ noRemediesWords(noRemedies, report) }}
    </p>
    <p v-else-if="!trial && remedies && atFault && !readOnly" class="quiet small">
      Nothing in the locker or on the bench fixes this without costing more elsewhere.
    </p>
    <p v-if="changed" class="figures small">
      <span v-if="opened.length > 0"
        >new:
        <template v-for="(step, i) in opened" :key="i"
          ><i v-if="i"> · </i
          ><span class="verdict" :class="step.severity"
            >{{ MARKS[step.severity] }} {{ stepWords(step) }}</span
          ></template
        ></span
      >
      <span v-if="closed.length > 0" class="quiet"
        >gone:
        <template v-for="(step, i) in closed" :key="i"
          ><i v-if="i"> · </i>{{ stepWords(step) }}</template
        ></span
      >
      <NButton v-if="!trial" title="Alt M" @click="emit('mark')" size="small"> Compare from here on </NButton>
    </p>
  </NCard>
</template>

<style scoped>
.verdict-card {
  padding: 10px 16px;
  display: grid;
  gap: 7px;
}
.said {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 18px;
  justify-content: space-between;
  align-items: baseline;
}
.figure {
  white-space: nowrap;
}
.sentence {
  font-size: 15px;
}
.sentence .verdict {
  font-weight: 600;
}
.trial {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
  background: var(--petrol-soft);
  margin: -4px -8px 0;
  padding: 6px 8px;
  border-radius: 4px;
}
.caution {
  flex-basis: 100%;
  color: var(--brass-ink);
}
.remedies {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 22px;
}
.remedy {
  display: inline-flex;
  gap: 8px;
  align-items: center;
}
.figures {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  align-items: center;
}
i {
  font-style: normal;
  color: var(--quiet);
}
kbd {
  font-size: 10.5px;
  background: none;
  border-color: currentcolor;
  opacity: 0.75;
  color: inherit;
}
@media (max-width: 700px) {
  kbd {
    display: none;
  }
}
</style>
