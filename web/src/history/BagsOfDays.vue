<script setup lang="ts">
import { NTable } from 'naive-ui';
import type { DayView } from '@tasche/contract';
import { distanceNumber, type DistanceUnit } from '@tasche/core';
import { computed } from 'vue';
import { shortDay } from '../app/day';
import { bagsOfDays } from './bags-of-days';

/** The gamers of two days side by side, with the lofts and carries known then; what differs stands out. */
const props = defineProps<{ then: DayView; after: DayView; unit: DistanceUnit }>();
const rows = computed(() =>
  bagsOfDays(props.then, props.after).map(({ id, then, after }) => {
    const sides = [then, after].map((club) => ({
      name: club?.name ?? '',
      loft: club?.loftDeg == null ? '' : `${club.loftDeg.toFixed(1)}°`,
      carry: club?.carryM == null ? '' : String(distanceNumber(club.carryM, props.unit)),
    }));
    const [was, is] = sides as [(typeof sides)[number], (typeof sides)[number]];
    return { id, was, is, isOut: after === null, isIn: then === null };
  }),
);
const balls = computed(() => [props.then.ball, props.after.ball].map((ball) => ball ?? 'not recorded'));
const isOtherBall = computed(() => props.then.ball !== props.after.ball);
</script>

<template>
  <NTable size="small" :bordered="false" :bottom-bordered="false" class="bags">
    <thead>
      <tr>
        <th scope="col" colspan="3">{{ shortDay(then.day) }}: {{ then.gamer?.name ?? 'no gamer yet' }}</th>
        <th scope="col" colspan="3" class="after">
          {{ shortDay(after.day) }}: {{ after.gamer?.name ?? 'no gamer yet' }}
        </th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="{ id, was, is, isOut, isIn } in rows" :key="id">
        <td>
          <del v-if="isOut">{{ was.name }}</del><template v-else>{{ was.name }}</template>
        </td>
        <td class="n">{{ was.loft }}</td>
        <td class="n">{{ was.carry }}</td>
        <td class="after">
          <ins v-if="isIn">{{ is.name }}</ins><template v-else>{{ is.name }}</template>
        </td>
        <td class="n">
          <ins v-if="!isIn && !isOut && was.loft !== is.loft">{{ is.loft || '–' }}</ins><template v-else>{{
            is.loft
          }}</template>
        </td>
        <td class="n">
          <ins v-if="!isIn && !isOut && was.carry !== is.carry">{{ is.carry || '–' }}</ins><template v-else>{{
            is.carry
          }}</template>
        </td>
      </tr>
      <tr class="ball">
        <td colspan="3">Ball: {{ balls[0] }}</td>
        <td colspan="3" class="after">
          Ball: <ins v-if="isOtherBall">{{ balls[1] }}</ins><template v-else>{{ balls[1] }}</template>
        </td>
      </tr>
    </tbody>
  </NTable>
</template>

<style scoped>
.bags {
  margin: 8px 0;
  font-size: 13.5px;
}
th {
  text-align: left;
  font-weight: 400;
  color: var(--quiet);
}
td,
th {
  padding: 3px 8px 3px 0;
}
.n {
  text-align: right;
  font-variant-numeric: tabular-nums;
}
.after {
  padding-left: 16px;
  border-left: 1px solid var(--line-soft);
}
.ball td {
  color: var(--quiet);
}
del {
  color: var(--brick);
}
ins {
  color: var(--petrol);
  text-decoration: none;
  font-weight: 600;
}
</style>
