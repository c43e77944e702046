<script setup lang="ts">
import DataTable from '../app/DataTable.vue';
import type { DataColumn } from '../app/data-table';
import ProblemLine from '../app/ProblemLine.vue';
import ChoiceField from '../fields/ChoiceField.vue';
import FileField from '../fields/FileField.vue';
import { counted, type DistanceUnit, type Reading } from '@tasche/core';
import type { RejectedCell } from '@tasche/contract';
import { NButton } from 'naive-ui';
import PageWindow from '../app/PageWindow.vue';
import { computed, onMounted, useTemplateRef } from 'vue';
import { factWords, readingName } from '../history/fact-words';
import type { PastedTable } from '../sheet/pasted-table';
import { useImport } from './use-import';

/** Importing a file: what it would change is shown first. */
const props = defineProps<{
  unit: DistanceUnit;
  /** A file that was dropped on the page. */
  file?: File | undefined;
}>();
const emit = defineEmits<{ close: []; table: [table: PastedTable, from: string, unit: DistanceUnit] }>();
const { name, problem, busy, players, player, distanceUnit, table, plan, lineOf, choose, takeLocker } =
  useImport(() => props.unit);
const field = useTemplateRef<InstanceType<typeof FileField>>('field');
onMounted(() => {
  if (props.file) void field.value!.open(props.file);
});

interface Incoming {
  key: string;
  line: number;
  club: string;
  what: string;
  says: string;
}
const words = ({ key, value }: Pick<Reading, 'key' | 'value'>) => factWords(key, value, props.unit);
const incoming = computed((): Incoming[] => {
  if (!plan.value) return [];
  const added = plan.value.adds.map(({ row, name: club, kind, readings }) => ({
    key: `new ${row}`,
    line: lineOf(row),
    club,
    what: `new ${kind}`,
    says: readings.map((one) => `${readingName(one.key).toLowerCase()} ${words(one)}`).join(', '),
  }));
  const changed = plan.value.edits.map(({ row, club, readings }) => ({
    key: club.id,
    line: lineOf(row),
    club: club.name,
    what: 'changes',
    says: readings
      .map(
        (one) =>
          `${readingName(one.key).toLowerCase()} ${words({ key: one.key, value: one.before })} → ${words(one)}`,
      )
      .join(', '),
  }));
  return [...added, ...changed].sort((a, b) => a.line - b.line);
});
/** Names that would be given to several new clubs. */
const twice = computed(() => {
  const count = new Map<string, number>();
  for (const { name: club } of plan.value?.adds ?? []) count.set(club, (count.get(club) ?? 0) + 1);
  const said = [...count].filter(([, times]) => times > 1);
  return said.map(([club, times]) => `${club} is in ${times} rows`).join(', ');
});
const COLUMNS: readonly DataColumn<Incoming>[] = [
  { id: 'line', head: 'Row', value: ({ line }) => line },
  { id: 'club', head: 'Club', value: ({ club }) => club },
  { id: 'what', head: 'Would be', value: ({ what }) => what },
  { id: 'says', head: 'Says', value: ({ says }) => says, isLong: true },
];
const REFUSED: readonly DataColumn<RejectedCell>[] = [
  { id: 'line', head: 'Row', value: ({ row }) => lineOf(row) },
  { id: 'head', head: 'Column', value: ({ head }) => head },
  { id: 'text', head: 'Found', value: ({ text }) => text },
  { id: 'why', head: 'Why', value: ({ reason }) => reason, isLong: true },
];

async function take(): Promise<void> {
  if (table.value) emit('table', table.value, name.value, distanceUnit.value);
  else if (!(await takeLocker())) return;
  emit('close');
}
</script>

<template>
  <PageWindow title="Import a file" :px="820" @close="emit('close')">
    <p>
      One row per club under a header row, as a workbook (.xlsx), CSV or text; or a Tasche locker as JSON. You
      see what would change before it does.
    </p>
    <FileField
      ref="field"
      label="File"
      accept=".csv,.tsv,.json,.txt,text/csv,text/plain,application/json"
      :disabled="busy"
      drop
      @file="choose"
    >
      <b>{{ name || 'Choose a file' }}</b> <span class="quiet">or drop it here</span>
    </FileField>
    <p v-if="busy" role="status" class="quiet">Reading…</p>
    <ProblemLine :text="problem" />
    <div v-if="players.length > 1" class="bar asked">
      <span>The file has rows of {{ counted(players.length, 'player') }}. Import those of</span>
      <ChoiceField v-model:value="player" label="Whose rows" placeholder="whose?" :options="players" />
    </div>
    <template v-if="plan">
      <div v-if="table" class="bar asked">
        <span>A distance without a unit is in</span>
        <ChoiceField
          v-model:value="distanceUnit"
          label="Unit of distances without one"
          size="small"
          :options="[
            { value: 'yd', label: 'yards' },
            { value: 'm', label: 'metres' },
          ]"
        />
      </div>
      <p role="status">
        <b>{{ plan.adds.length }}</b> new, <b>{{ plan.edits.length }}</b> changed,
        <b>{{ plan.same.length }}</b> unchanged<template v-if="plan.rejected.length"
          >,
          <b class="verdict error"
            >{{ counted(plan.rejected.length, 'cell') }} that cannot be imported: they wait above the sheet to
            be fixed</b
          ></template
        >.
      </p>
      <p v-if="twice" class="verdict warning">
        ◆ {{ twice }}: a new club each. A file of single shots is imported on the Range.
      </p>
      <p v-if="plan.unknownColumns.length" class="verdict warning">
        ◆ No column is called {{ plan.unknownColumns.join(', ') }}: you can say what it is afterwards.
      </p>
      <div class="lists">
        <DataTable
          v-if="incoming.length > 0"
          caption="What would come in"
          :columns="COLUMNS"
          :rows="incoming"
          :row-key="({ key }) => key"
        />
        <DataTable
          v-if="plan.rejected.length > 0"
          caption="Not imported"
          :columns="REFUSED"
          :rows="plan.rejected"
          :row-key="({ row, column, reason }) => `${row} ${column} ${reason}`"
        />
      </div>
      <div class="bar">
        <NButton
          :disabled="busy || incoming.length + plan.rejected.length + plan.unknownColumns.length === 0"
          type="primary"
          @click="take"
        >
          {{ incoming.length > 0 ? `Import ${counted(incoming.length, 'club')}` : 'Import it' }}
        </NButton>
        <NButton @click="emit('close')">Cancel</NButton>
      </div>
    </template>
  </PageWindow>
</template>

<style scoped>
p,
.asked {
  margin-bottom: 10px;
}
.asked {
  margin-top: 10px;
}
.lists {
  max-height: 46vh;
  overflow: auto;
  display: grid;
  gap: 14px;
  margin-bottom: 14px;
}
</style>
