<script setup lang="ts">
import { NTable } from 'naive-ui';
import {
  distanceNumber,
  formatDegrees,
  signedDistance,
  stepSentence,
  type DistanceUnit,
  type GapReport,
} from '@tasche/core';
import type { Moved } from '../conditions/use-conditions';
import { MARKS } from './marks';

/** The ladder for people who would rather read it, or hear it. */
const props = defineProps<{
  report: GapReport;
  unit: DistanceUnit;
  /** What the air did to each club, while the ladder is read in other air. */
  moved?: ReadonlyMap<string, Moved> | undefined;
}>();

/** "239 −13", where anything was moved. */
const totalOf = (clubId: string): string => {
  const moved = props.moved?.get(clubId);
  return moved
    ? `${distanceNumber(moved.totalM, props.unit)} ${signedDistance(moved.shiftTotalM, props.unit)}`
    : '';
};
const shiftOf = (clubId: string): string => {
  const moved = props.moved?.get(clubId);
  return moved ? signedDistance(moved.shiftCarryM, props.unit) : '';
};
</script>

<template>
  <NTable size="small" :bordered="false" :bottom-bordered="false" class="ladder">
    <caption class="unseen">
      Ladder: each club with its loft and carry, and the step to the next club
    </caption>
    <thead>
      <tr>
        <th scope="col">Club</th>
        <th scope="col">Loft</th>
        <th scope="col">Carry</th>
        <th v-if="moved" scope="col">Against baseline</th>
        <th v-if="moved" scope="col">Total, against baseline</th>
        <th scope="col">Loft step</th>
        <th scope="col">Carry step</th>
        <th scope="col">Target</th>
        <th scope="col">Verdict</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="(rung, i) in report.rungs" :key="rung.clubId">
        <th scope="row">{{ rung.name }}</th>
        <td>{{ rung.loftDeg === undefined ? '' : formatDegrees(rung.loftDeg) }}</td>
        <td :class="{ modelled: rung.plusMinusM !== undefined }">
          {{ distanceNumber(rung.carryM, unit) }} {{ unit }}
          <span v-if="rung.plusMinusM !== undefined" class="small"
            >modelled ±{{ distanceNumber(rung.plusMinusM, unit) }}</span
          >
        </td>
        <td v-if="moved">{{ shiftOf(rung.clubId) }}</td>
        <td v-if="moved">{{ totalOf(rung.clubId) }}</td>
        <template v-if="report.steps[i]">
          <td>{{ report.steps[i].loftDeg === undefined ? '' : formatDegrees(report.steps[i].loftDeg) }}</td>
          <td>{{ distanceNumber(report.steps[i].carryM, unit) }}</td>
          <td>
            {{
              report.steps[i].targetM !== undefined
                ? distanceNumber(report.steps[i].targetM, unit, 1)
                : report.steps[i].targetDeg !== undefined
                  ? formatDegrees(report.steps[i].targetDeg)
                  : ''
            }}
          </td>
          <td>
            <span class="verdict" :class="report.steps[i].severity"
              >{{ MARKS[report.steps[i].severity] }} {{ report.steps[i].word }}</span
            >
            <div class="small quiet">{{ stepSentence(report.steps[i], report, unit) }}</div>
          </td>
        </template>
        <td v-else colspan="4" />
      </tr>
    </tbody>
  </NTable>
</template>

<style scoped>
.ladder {
  border-collapse: collapse;
  width: 100%;
  font-size: 13.5px;
}
th,
td {
  text-align: left;
  padding: 6px 10px 6px 0;
  border-bottom: 1px solid var(--line-soft);
  vertical-align: top;
}
thead th {
  color: var(--quiet);
  font-weight: 400;
  font-size: 12.5px;
}
td.modelled {
  font-style: italic;
  color: var(--quiet);
}
td:not(:last-child) {
  text-align: right;
  white-space: nowrap;
}
</style>
