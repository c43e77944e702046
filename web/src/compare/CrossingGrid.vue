<script setup lang="ts">
import { NTable } from 'naive-ui';
import {
  differenceWords,
  distanceNumber,
  type Crossing,
  type DistanceUnit,
  type Measure,
} from '@tasche/core';
import { computed } from 'vue';
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
const effects = computed(() =>
  props.crossing.effects.map(({ part, level, against, ...difference }) => ({
    key: `${part} ${level}`,
    words: `${part} ${level} against ${against}: ${differenceWords({ part: props.measure, ...difference }, props.unit)}`,
    told: difference.low > 0 || difference.high < 0,
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
      <NTable size="small" :single-line="false">
        <thead>
          <tr>
            <th scope="col">{{ crossing.rows.part }}</th>
            <th v-for="level in crossing.columns.levels" :key="level" scope="col">{{ level }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(level, row) in crossing.rows.levels" :key="level">
            <th scope="row">{{ level }}</th>
            <td v-for="(cell, column) in crossing.cells[row]" :key="column">
              <template v-if="cell">
                <b>{{ number(cell.mean) }}</b> <span class="quiet">{{ within(cell.plusMinus) }}</span>
                <span class="quiet small shots">{{ cell.n }} shots</span>
              </template>
              <span v-else class="quiet">not hit</span>
            </td>
          </tr>
        </tbody>
      </NTable>
    </div>
    <ul v-if="effects.length > 0" class="effects">
      <li v-for="effect in effects" :key="effect.key">
        <span class="verdict" :class="effect.told ? 'fine' : 'unknown'">{{ effect.told ? '●' : '○' }}</span>
        {{ effect.words }}{{ effect.told ? '' : ', not told apart' }}
      </li>
    </ul>
    <p v-else class="small quiet">
      What each part does by itself can be told once every field of the grid was hit.
    </p>
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
