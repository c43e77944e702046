<script setup lang="ts">
import { shotOptions } from '../clubs/shot-options';
import { NButton } from 'naive-ui';
import type { StrikeView } from '@tasche/contract';
import {
  isFullSwing,
  type DistanceUnit,
  type ShotKind,
  type Strike,
  shotKindWords,
  outlierWords,
} from '@tasche/core';
import { computed, ref } from 'vue';
import DataTable from '../app/DataTable.vue';
import type { DataColumn } from '../app/data-table';
import QuietChoice from '../fields/QuietChoice.vue';
import TextField from '../fields/TextField.vue';
import { useSheet } from '../sheet/sheet-store';
import type { WorkedShots } from './worked-shots';
import { clubColumns, strikeColumns } from './strike-units';
import Hint from '../app/Hint.vue';

/**
 * The balls of a session one by one, the newest first, as they were given; what was worked out is in italics.
 */
const props = defineProps<{
  strikes: readonly StrikeView[];
  rows: WorkedShots;
  /** They are being worked out. */
  coming: boolean;
  unit: DistanceUnit;
}>();
const emit = defineEmits<{
  leaveOut: [ids: readonly string[], reason: string];
  count: [ids: readonly string[]];
  give: [id: string, set: { clubId?: string; shot?: ShotKind }];
}>();
const store = useSheet();
/** Thousands of rows at once would block the page. */
const PAGE = 25;

/** A ball with its number in the session. */
interface Ball {
  strike: StrikeView;
  number: number;
}
const balls = computed(() =>
  props.coming ? [] : props.strikes.map((strike, i): Ball => ({ strike, number: i + 1 })).toReversed(),
);
/** What it came to. */
const workedOf = ({ id }: StrikeView) => props.rows.get(id);
const parts = computed(() => [...strikeColumns(props.unit), ...clubColumns(props.strikes)]);
const nameOf = ({ clubId }: StrikeView) => (clubId === null ? 'no club' : store.nameOf(clubId));
const columns = computed((): DataColumn<Ball>[] => [
  { id: 'number', head: 'No.', align: 'right', value: ({ number }) => number },
  { id: 'club', head: 'Club', value: ({ strike }) => nameOf(strike) },
  { id: 'shot', head: 'Shot', value: ({ strike }) => strike.shot },
  ...parts.value.map(({ head, part }): DataColumn<Ball> => ({
    id: part,
    head,
    align: 'right',
    value: ({ strike }) => strike.given[part] ?? (workedOf(strike)?.whole as Partial<Strike> | null)?.[part],
  })),
  { id: 'counts', head: 'Counts' },
]);
const clubs = computed(() =>
  store.clubs.filter((club) => isFullSwing(club.kind)).map(({ id, name }) => ({ value: id, label: name })),
);
const clubsFor = ({ clubId }: StrikeView) =>
  clubId === null ? [{ value: '', label: 'no club' }, ...clubs.value] : clubs.value;

/** The strike a reason is being entered for. */
const asking = ref<string | null>(null);
const reason = ref('');
const REASONS = ['mis-hit', 'wrong club', 'device misread', 'interrupted'];

function leaveOut(id: string, why: string): void {
  if (why.trim() === '') return;
  emit('leaveOut', [id], why.trim());
  asking.value = null;
  reason.value = '';
}
</script>

<template>
  <DataTable
    caption="Shots one by one"
    :columns="columns"
    :rows="balls"
    :row-key="({ strike }) => strike.id"
    :row-class="({ strike }) => (strike.leftOut === null ? '' : 'out')"
    :page="PAGE"
    :coming="coming"
    class="shots"
  >
    <template #club="{ row: { strike, number } }">
      <QuietChoice
        v-if="store.may('editStrikes')"
        :value="strike.clubId ?? ''"
        :words="nameOf(strike)"
        :label="`Club of shot ${number}`"
        :options="clubsFor(strike)"
        @update:value="emit('give', strike.id, { clubId: $event })"
      />
      <template v-else>{{ nameOf(strike) }}</template>
    </template>
    <template #shot="{ row: { strike, number } }">
      <QuietChoice
        v-if="store.may('editStrikes')"
        :value="strike.shot"
        :words="shotKindWords(strike.shot)"
        :label="`Shot meant with shot ${number}`"
        :options="shotOptions(store.clubsById.get(strike.clubId ?? '')?.spec)"
        @update:value="emit('give', strike.id, { shot: $event })"
      />
      <template v-else>{{ shotKindWords(strike.shot) }}</template>
    </template>
    <template v-for="(column, i) in parts" :key="column.part" #[column.part]="{ row: { strike } }">
      <span
        v-if="workedOf(strike)?.whole"
        :class="{ modelled: strike.given[column.part] === undefined }"
        :title="
          strike.given[column.part] === undefined ? 'worked out by the flight model' : 'as it was given'
        "
        >{{ column.show(workedOf(strike)!.whole!, strike.given) }}</span
      >
      <span v-else-if="i === 0" class="brick">{{ workedOf(strike)?.refused || '…' }}</span>
    </template>
    <template #counts="{ row: { strike, number } }">
      <span class="counts">
        <template v-if="asking === strike.id">
          <NButton v-for="one in REASONS" :key="one" @click="leaveOut(strike.id, one)" size="small">
            {{ one }}
          </NButton>
          <TextField
            v-model:value="reason"
            aria-label="Why it does not count"
            placeholder="another reason, Enter"
            @keydown.enter="leaveOut(strike.id, reason)"
            @keydown.esc="asking = null"
          />
        </template>
        <template v-else-if="strike.leftOut !== null"
          ><span class="quiet">left out: {{ strike.leftOut }}</span>
          <NButton v-if="store.may('editStrikes')" @click="emit('count', [strike.id])" size="small">
            Count it
          </NButton></template
        >
        <template v-else
          ><Hint
            v-if="workedOf(strike)?.outlier"
            class="verdict warning"
            :says="outlierWords(workedOf(strike)!.outlier!)"
            >◆ {{ workedOf(strike)!.outlier!.by === 'short' ? 'mis-hit' : 'outlier' }}</Hint
          >
          <NButton
            v-if="store.may('editStrikes')"
            :aria-label="`Leave out shot ${number}`"
            quaternary
            @click="asking = strike.id"
            size="small"
          >
            Leave out
          </NButton></template
        >
      </span>
    </template>
  </DataTable>
</template>

<style scoped>
.shots {
  font-size: 13.5px;
  margin-top: 4px;
}
.shots :deep(.out td:not(:last-child)) {
  color: var(--quiet);
  text-decoration: line-through;
}
.modelled {
  font-style: italic;
  color: var(--quiet);
}
.brick {
  color: var(--brick-ink);
}
.counts .n-button {
  margin-right: 4px;
}
</style>
