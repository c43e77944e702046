<script setup lang="ts">
import {
  counted,
  differenceWords,
  distanceNumber,
  type Crossing,
  type DistanceUnit,
  type Measure,
} from '@tasche/core';
import { computed } from 'vue';
import DataTable from '../app/DataTable.vue';
import type { DataColumn } from '../app/data-table';
import { plusMinusWords } from '../range/strike-units';

/**
 * Every head with every shaft, or with every ball: what each cell shows, and what each part does where the
 * grid is full.
 */
const props = defineProps<{ crossing: Crossing; measure: Measure; label: string; unit: DistanceUnit }>();
const number = (value: number) =>
  props.measure === 'spinRpm' ? value.toFixed(0) : distanceNumber(value, props.unit, 1);
const within = (value: number | undefined) =>
  value === undefined
    ? ''
    : props.measure === 'spinRpm'
      ? `±${value.toFixed(0)}`
      : plusMinusWords(value, props.unit);
const rows = computed(() =>
  props.crossing.rows.levels.map((level, row) => ({ level, cells: props.crossing.cells[row]! })),
);
const columns = computed((): DataColumn<(typeof rows.value)[number]>[] => [
  { id: 'level', head: props.crossing.rows.part, isRowHead: true, value: ({ level }) => level },
  ...props.crossing.columns.levels.map((level, column) => ({ id: `level-${column}`, head: level })),
]);
const effects = computed(() =>
  props.crossing.effects.map(({ part, level, against, ...difference }) => ({
    key: `${part} ${level}`,
    words: `${part} ${level} against ${against}: ${differenceWords({ part: props.measure, ...difference }, props.unit)}`,
    isSignificant: difference.low > 0 || difference.high < 0,
  })),
);
</script>

<template>
  <section class="crossing">
    <h2>
      Every {{ crossing.rows.part }} with every {{ crossing.columns.part }}
      <span class="quiet small">{{ label }}, {{ measure === 'spinRpm' ? 'rpm' : unit }}</span>
    </h2>
    <div class="scroll">
      <DataTable
        :caption="`${label}, ${crossing.rows.part} by ${crossing.columns.part}`"
        :columns="columns"
        :rows="rows"
        :row-key="({ level }) => level"
        :orders="false"
        is-whole
      >
        <template
          v-for="(_level, column) in crossing.columns.levels"
          :key="column"
          #[`level-${column}`]="{ row }"
        >
          <template v-for="(cell, i) in [row.cells[column]]" :key="i">
            <template v-if="cell">
              <b>{{ number(cell.mean) }}</b> <span class="quiet">{{ within(cell.plusMinus) }}</span>
              <span class="quiet small shots">{{ counted(cell.n, 'shot') }}</span>
            </template>
            <span v-else class="quiet">not hit</span>
          </template>
        </template>
      </DataTable>
    </div>
    <ul v-if="effects.length > 0" class="effects">
      <li v-for="effect in effects" :key="effect.key">
        <span class="verdict" :class="effect.isSignificant ? 'fine' : 'unknown'">{{
          effect.isSignificant ? '●' : '○'
        }}</span>
        {{ effect.words }}{{ effect.isSignificant ? '' : ', no clear difference' }}
      </li>
    </ul>
    <p v-else class="small quiet">The effect of each part is known once every cell of the grid has shots.</p>
  </section>
</template>

<style scoped>
.crossing {
  margin-top: 14px;
}
.shots {
  display: block;
}
.effects {
  list-style: none;
  padding: 0;
  margin: 8px 0;
}
</style>
