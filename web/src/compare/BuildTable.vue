<script setup lang="ts">
import { NButton, NTable } from 'naive-ui';
import { distanceNumber, type BuildSummary, type DistanceUnit } from '@tasche/core';
import type { ComparisonAnswer } from '../range/range-worker';
import { heightUnit, plusMinusWords, speedNumber, speedUnit } from '../range/strike-units';

/** The builds side by side, the one the others are held against first. */
const props = defineProps<{
  summaries: readonly BuildSummary[];
  answer: Pick<ComparisonAnswer, 'points' | 'strokes'>;
  names: ReadonlyMap<string, string>;
  unit: DistanceUnit;
}>();
const emit = defineEmits<{ first: [id: string] }>();

const outliers = (id: string) => props.answer.points.find((one) => one.id === id)?.outliers ?? 0;
const strokes = (id: string) => props.answer.strokes.find((one) => one.id === id)?.strokes;
/** What a build stops in on a firm green, where that was measured. */
const holdsWords = ({ measured: { firmGreenRunM: run } }: BuildSummary) =>
  run ? distanceNumber(run.mean, props.unit) : '–';
const missWords = ({ measured: { missM: miss } }: BuildSummary) =>
  miss ? distanceNumber(miss.mean, props.unit, 1) : '–';
const strokesWords = (id: string) => {
  const [own, base] = [strokes(id), strokes(props.summaries[0]!.id)];
  if (own === undefined || base === undefined) return '';
  return id === props.summaries[0]!.id
    ? own.toFixed(2)
    : `${own.toFixed(2)} (${own - base < 0 ? '−' : '+'}${Math.abs(own - base).toFixed(2)})`;
};
</script>

<template>
  <div class="scroll">
    <NTable class="figures" size="small" :bordered="false" :bottom-bordered="false">
      <caption class="unseen">
        The builds side by side
      </caption>
      <thead>
        <tr>
          <th scope="col">Build</th>
          <th scope="col">Shots</th>
          <th scope="col">Carry</th>
          <th scope="col" title="Average and spread of carry and run">Total</th>
          <th scope="col" title="How far balls pitch from the middle of their build">Miss</th>
          <th scope="col">Mis-hit end</th>
          <th scope="col">Ball {{ speedUnit(unit) }}</th>
          <th scope="col">Launch</th>
          <th scope="col">Spin</th>
          <th scope="col">Apex</th>
          <th scope="col" title="Descent, and run on a firm green; a run only where launches were measured">
            Descent, run
          </th>
          <th
            scope="col"
            title="Strokes to hole out: drives on a usual par four of 390 m, anything else at a usual green of 13 m radius; Broadie’s table, from memory"
          >
            Strokes
          </th>
          <th class="no-print" />
        </tr>
      </thead>
      <tbody>
        <tr v-for="summary in summaries" :key="summary.id">
          <th scope="row">{{ names.get(summary.id) }}</th>
          <td>
            {{ summary.n
            }}<span
              v-if="outliers(summary.id)"
              class="verdict warning"
              title="Far from the rest; they count until they are left out on the range"
            >
              ◆{{ outliers(summary.id) }}</span
            >
          </td>
          <td>
            <b>{{ distanceNumber(summary.carryM.mean, unit, 1) }}</b>
            <span class="quiet">{{ plusMinusWords(summary.carryM.plusMinus, unit) }}</span>
          </td>
          <td>
            {{ distanceNumber(summary.totalM.mean, unit) }}
            <span class="quiet">spread {{ distanceNumber(summary.totalM.spread, unit, 1) }}</span>
          </td>
          <td>{{ missWords(summary) }}</td>
          <td>{{ distanceNumber(summary.lowEndM, unit) }}</td>
          <td>{{ speedNumber(summary.ballSpeedMps.mean, unit) }}</td>
          <td>{{ summary.launchDeg.mean.toFixed(1) }}°</td>
          <td>{{ summary.spinRpm.mean.toFixed(0) }}</td>
          <td>
            {{ distanceNumber(summary.apexM.mean, heightUnit(unit)) }}
            <span class="quiet">{{ heightUnit(unit) }}</span>
          </td>
          <td>{{ summary.descentDeg.mean.toFixed(0) }}°, {{ holdsWords(summary) }}</td>
          <td>{{ strokesWords(summary.id) }}</td>
          <td class="no-print">
            <NButton v-if="summary.id !== summaries[0]!.id" @click="emit('first', summary.id)" size="small">
              make first
            </NButton>
          </td>
        </tr>
      </tbody>
    </NTable>
  </div>
</template>

<style scoped>
.scroll {
  margin: 10px 0;
}
</style>
