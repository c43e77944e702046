<script setup lang="ts">
import type { ClubView } from '@tasche/contract';
import { distanceNumber, formatDegrees, playingLoft, shotIn, type DistanceUnit } from '@tasche/core';
import { NButton, NTable } from 'naive-ui';
import NameTag from '../app/NameTag.vue';
import type { Moved } from '../conditions/use-conditions';

/** The bag of a week, club by club; the arrow keys go up and down it. */
const props = defineProps<{
  clubs: readonly ClubView[];
  /** What came in. */
  fresh: ReadonlySet<string>;
  /** As each plays in the week's air, where that is another. */
  moved: ReadonlyMap<string, Moved> | null | undefined;
  unit: DistanceUnit;
  canEdit: boolean;
  rowPx: number;
  headPx: number;
}>();
/** The club the cursor is on. */
const active = defineModel<string | null>('active', { required: true });
defineEmits<{ out: [clubId: string] }>();
const full = ({ spec }: ClubView) => shotIn(spec, 'shot.full');
const carryOf = (club: ClubView) => {
  const shot = full(club);
  return shot ? distanceNumber(shot.carryM, props.unit) : '';
};
const carryHere = ({ id }: ClubView) => {
  const there = props.moved?.get(id);
  return there ? distanceNumber(there.carryM, props.unit) : '';
};
const loftOf = ({ spec }: Pick<ClubView, 'spec'>) => {
  const loft = playingLoft(spec);
  return loft ? formatDegrees(loft.deg) : '';
};

function step(event: KeyboardEvent, by: 1 | -1): void {
  const at = props.clubs.findIndex(({ id }) => id === active.value);
  const next = props.clubs[Math.max(0, Math.min(props.clubs.length - 1, at + by))];
  if (!next) return;
  active.value = next.id;
  (event.currentTarget as HTMLElement).querySelector<HTMLElement>(`[data-club="${next.id}"]`)?.focus();
}
</script>

<template>
  <NTable
    size="small"
    :bordered="false"
    :bottom-bordered="false"
    class="planned"
    @keydown.down.prevent="step($event, 1)"
    @keydown.up.prevent="step($event, -1)"
  >
    <thead>
      <tr :style="{ height: `${headPx}px` }">
        <th>bag of the week</th>
        <th>loft</th>
        <th>carry</th>
        <th v-if="moved">here</th>
        <th class="no-print" />
      </tr>
    </thead>
    <tbody>
      <tr
        v-for="club in clubs"
        :key="club.id"
        :data-club="club.id"
        :data-name="club.name"
        :style="{ height: `${rowPx}px` }"
        tabindex="0"
        :class="{ on: active === club.id }"
        @focus="active = club.id"
        @click="active = club.id"
      >
        <td class="name">{{ club.name }}<NameTag v-if="fresh.has(club.id)">in</NameTag></td>
        <td>{{ loftOf(club) }}</td>
        <td :class="full(club)?.source">
          <b>{{ carryOf(club) }}</b>
        </td>
        <td v-if="moved" class="here">{{ carryHere(club) }}</td>
        <td class="no-print">
          <NButton
            v-if="canEdit"
            :aria-label="`Take ${club.name} out`"
            title="Alt O"
            size="small"
            @click.stop="$emit('out', club.id)"
          >
            Out
          </NButton>
        </td>
      </tr>
    </tbody>
  </NTable>
</template>

<style scoped>
.planned {
  border-collapse: collapse;
  align-self: start;
}
th {
  font-weight: 400;
  font-size: 12.5px;
  color: var(--quiet);
  text-align: left;
  vertical-align: bottom;
  padding: 0 10px 6px 2px;
}
td {
  border-top: 1px solid var(--line);
  padding: 0 10px 0 2px;
}
th:nth-child(2),
th:nth-child(3),
td:nth-child(2),
td:nth-child(3) {
  text-align: right;
  padding-left: 14px;
}
.name {
  font-weight: 600;
  min-width: 120px;
}
.here {
  color: var(--brass-ink);
}
tr {
  outline: none;
}
tr.on td {
  background: var(--paper);
}
tr:focus-visible td {
  box-shadow:
    inset 0 2px var(--petrol),
    inset 0 -2px var(--petrol);
}
/* Nearly every carry is measured: only the others stand out here. */
.planned td.measured {
  color: inherit;
}
</style>
