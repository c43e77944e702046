<script setup lang="ts">
import type { DayView } from '@tasche/contract';
import { distanceNumber, type DistanceUnit } from '@tasche/core';
import { computed } from 'vue';
import DataTable from '../app/DataTable.vue';
import type { DataColumn } from '../app/data-table';
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
const right = { align: 'right' as const };
const titleOf = ({ day, gamer }: DayView) => `${shortDay(day)}: ${gamer?.name ?? 'no gamer yet'}`;
const columns = computed((): DataColumn<(typeof rows.value)[number]>[] => [
  { id: 'was', head: titleOf(props.then) },
  { id: 'was-loft', head: 'loft', ...right, value: ({ was }) => was.loft },
  { id: 'was-carry', head: 'carry', ...right, value: ({ was }) => was.carry },
  { id: 'is', head: titleOf(props.after), columnClass: 'after' },
  { id: 'is-loft', head: 'loft', ...right },
  { id: 'is-carry', head: 'carry', ...right },
]);
const balls = computed(() => [props.then.ball, props.after.ball].map((ball) => ball ?? 'not written down'));
const isOtherBall = computed(() => props.then.ball !== props.after.ball);
</script>

<template>
  <div class="bags">
    <DataTable
      caption="The gamers of two days"
      :columns="columns"
      :rows="rows"
      :row-key="({ id }) => id"
      :orders="false"
      is-at-once
    >
      <template #was="{ row: { was, isOut } }">
        <del v-if="isOut">{{ was.name }}</del><template v-else>{{ was.name }}</template>
      </template>
      <template #is="{ row: { is, isIn } }">
        <ins v-if="isIn">{{ is.name }}</ins><template v-else>{{ is.name }}</template>
      </template>
      <template v-for="what in ['loft', 'carry'] as const" :key="what" #[`is-${what}`]="{ row }">
        <ins v-if="!row.isIn && !row.isOut && row.was[what] !== row.is[what]">{{
          row.is[what] || '–'
        }}</ins><template v-else>{{ row.is[what] }}</template>
      </template>
    </DataTable>
    <p class="quiet ball">
      Ball: {{ balls[0]
      }}<template v-if="isOtherBall"
        >, then <ins>{{ balls[1] }}</ins></template
      >
    </p>
  </div>
</template>

<style scoped>
.bags {
  margin: 8px 0;
  font-size: 13.5px;
}
.bags :deep(.n-data-table-td),
.bags :deep(.n-data-table-th) {
  padding: 3px 8px 3px 0;
}
.bags :deep(.after) {
  padding-left: 16px;
  border-left: 1px solid var(--line-soft);
}
.ball {
  padding-top: 4px;
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
