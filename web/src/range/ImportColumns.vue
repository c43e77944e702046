<script setup lang="ts">
import {
  STRIKE_FIELDS,
  isSummaryRow,
  strikeField,
  strikeRowReader,
  type StrikeField,
  type StrikeUnit,
} from '@tasche/contract';
import { NCheckbox, NTable } from 'naive-ui';
import { computed } from 'vue';
import ChoiceField from '../fields/ChoiceField.vue';
import type { OpenMapping } from './open-mapping';
import type { FileLook } from './read-file';

/** What each column of a file is and in which unit, guessed first, and how its numbers and days are written. */
const props = defineProps<{
  look: FileLook;
  /** Whether this source was read before, and this is how. */
  remembered: boolean;
  isReady: boolean;
}>();
const mapping = defineModel<OpenMapping>('mapping', { required: true });
const set = (part: Partial<OpenMapping>) => {
  mapping.value = { ...mapping.value, ...part };
};

const columnOf = (column: number) => mapping.value.columns.find((one) => one.column === column);
function setField(column: number, field: StrikeField | ''): void {
  const others = mapping.value.columns.filter((one) => one.column !== column && one.field !== field);
  const [unit] = field ? strikeField(field).units : [];
  set({ columns: field ? [...others, { column, field, ...(unit && { unit }) }] : others });
}
function setUnit(column: number, unit: StrikeUnit): void {
  set({ columns: mapping.value.columns.map((one) => (one.column === column ? { ...one, unit } : one)) });
}
const isUnsure = (column: number) => {
  const one = columnOf(column);
  return (
    !props.remembered &&
    one !== undefined &&
    props.look.guess.unsure.includes(one.field) &&
    props.look.guess.columns.some(({ column: at, unit: guessed }) => at === column && guessed === one.unit)
  );
};
const body = computed(() => {
  const read = strikeRowReader(mapping.value, props.look.heads);
  return props.look.rows
    .slice(mapping.value.unitRows)
    .filter((row) => read(row) !== null && !isSummaryRow(row));
});
/** How many cells of a column cannot be read as what it is said to be, of those looked at. */
function unread(column: number): number {
  const one = columnOf(column);
  if (!one) return 0;
  const read = strikeRowReader({ ...mapping.value, columns: [one] }, props.look.heads);
  return body.value.filter((row) => {
    const answer = read(row);
    return answer !== null && !answer.ok && answer.refusal.column !== '';
  }).length;
}
const samples = (column: number) =>
  body.value
    .slice(0, 3)
    .map((row) => row[column]?.trim() ?? '')
    .filter((cell) => cell !== '')
    .join(' · ')
    .slice(0, 60);
</script>

<template>
  <div class="scroll">
    <NTable size="small" :bordered="false" :bottom-bordered="false" class="file-table">
      <thead>
        <tr>
          <th scope="col">In the file</th>
          <th scope="col">Looks like</th>
          <th scope="col">Is</th>
          <th scope="col">In</th>
          <th scope="col" />
        </tr>
      </thead>
      <tbody>
        <tr v-for="(head, column) in look.heads" :key="column" :class="{ unused: !columnOf(column) }">
          <th scope="row">{{ head || `column ${column + 1}` }}</th>
          <td class="quiet">{{ samples(column) }}</td>
          <td>
            <ChoiceField
              :value="columnOf(column)?.field ?? ''"
              @update:value="setField(column, $event)"
              :label="`What ${head} is`"
              :options="[
                { value: '', label: 'left out' },
                ...STRIKE_FIELDS.map((one) => ({ value: one.field, label: one.label })),
              ]"
            />
          </td>
          <td>
            <ChoiceField
              v-if="columnOf(column) && strikeField(columnOf(column)!.field).units.length > 0"
              :value="columnOf(column)!.unit"
              @update:value="setUnit(column, $event)"
              :label="`Unit of ${head}`"
              :options="strikeField(columnOf(column)!.field).units"
            />
          </td>
          <td class="small">
            <span v-if="isUnsure(column)" class="verdict warning">◆ unit guessed; check the numbers</span>
            <span v-if="unread(column) > 0" class="verdict error"
              >■ {{ unread(column) }} of {{ body.length }} cells cannot be read; their rows are left out
              unless you leave the column out</span
            >
          </td>
        </tr>
      </tbody>
    </NTable>
  </div>
  <div class="bar file-choices small">
    <label
      >Decimal sign
      <ChoiceField
        :value="mapping.decimal"
        @update:value="set({ decimal: $event })"
        label="Decimal sign"
        :options="[
          { value: '.', label: 'point' },
          { value: ',', label: 'comma' },
        ]"
    /></label>
    <label
      >Dates
      <ChoiceField
        :value="mapping.dates"
        @update:value="set({ dates: $event })"
        label="Dates"
        :options="['day first', 'month first']"
    /></label>
    <span v-if="!remembered && look.guess.areDatesUnsure" class="verdict warning"
      >◆ day or month first? check the days in the preview</span
    >
    <NCheckbox :checked="mapping.leftIsPositive" @update:checked="set({ leftIsPositive: $event })"
      >left is positive in this file</NCheckbox
    >
    <NCheckbox
      v-if="look.guess.clubLines"
      :checked="mapping.clubLines ?? false"
      @update:checked="set({ clubLines: $event })"
      >lines over the rows name their club</NCheckbox
    >
    <span v-if="!isReady" class="verdict error"
      >■ Say which column is the carry, the total, the ball speed or the club speed.</span
    >
  </div>
</template>

<style scoped>
.unused th,
.unused td {
  color: var(--quiet);
  font-weight: 400;
}
</style>
