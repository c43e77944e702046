<script setup lang="ts">
import ProblemLine from '../app/ProblemLine.vue';
import FileField from '../fields/FileField.vue';
import type { ChangeResult, ImportPlan } from '@tasche/contract';
import { counted, quantityOf, shotKindOf, type Reading } from '@tasche/core';
import { NButton, NModal, NTable } from 'naive-ui';
import { v4 as newId } from 'uuid';
import { computed, ref, shallowRef } from 'vue';
import { request } from '../api/request';
import { today } from '../app/day';
import { useSheet } from '../sheet/sheet-store';

/** A file in: what it would change is shown before it changes it. */
const emit = defineEmits<{ close: [] }>();
const store = useSheet();
const file = shallowRef<{ name: string; text: string; type: 'text/csv' | 'application/json' } | null>(null);
const plan = shallowRef<ImportPlan | null>(null);
const problem = ref('');
const busy = ref(false);
const done = ref('');
let changeId = newId();

const badRows = computed(() => new Set(plan.value?.rejected.map((cell) => cell.row)));
const goodAdds = computed(() => plan.value?.adds.filter((add) => !badRows.value.has(add.row)).length ?? 0);
const goodEdits = computed(
  () => plan.value?.edits.filter((edit) => !badRows.value.has(edit.row)).length ?? 0,
);

async function choose(chosen: File): Promise<void> {
  plan.value = null;
  problem.value = '';
  done.value = '';
  if (chosen.size > 2_000_000) {
    problem.value = `${chosen.name} is ${(chosen.size / 1e6).toFixed(1)} MB; 2 MB is the limit.`;
    return;
  }
  file.value = {
    name: chosen.name,
    text: await chosen.text(),
    type: /\.json$/i.test(chosen.name) ? 'application/json' : 'text/csv',
  };
  changeId = newId();
  await send('none');
}

async function send(take: 'none' | 'good' | 'all'): Promise<void> {
  if (!file.value || !store.sheet) return;
  busy.value = true;
  problem.value = '';
  try {
    const query = new URLSearchParams({ take, changeId, takenOn: today() });
    const answer = await request<{ plan: ImportPlan; result: ChangeResult | null }>(
      `/players/${store.sheet.player.id}/import?${query}`,
      {
        method: 'POST',
        headers: { 'content-type': file.value.type },
        body: file.value.text,
      },
    );
    plan.value = answer.plan;
    if (take !== 'none') {
      done.value = answer.result ? answer.result.change.summary : 'Nothing to change.';
      if (answer.result) store.done(answer.result.change.id);
      await store.load(store.sheet.player.id);
    }
  } catch (error) {
    problem.value = (error as Error).message;
  } finally {
    busy.value = false;
  }
}

function readingName(reading: Reading): string {
  return quantityOf(reading.key)?.label ?? `${shotKindOf(reading.key)} carry`;
}
function readingText(value: Reading['value']): string {
  if (value === null) return '–';
  return typeof value === 'object' ? `${value.carryM.toFixed(1)} m, ${value.source}` : String(value);
}
</script>

<template>
  <NModal
    :show="true"
    preset="card"
    title="Import a file"
    style="width: min(820px, 96vw)"
    @update:show="emit('close')"
  >
    <p>
      CSV (a row a club, heads in the first row) or a Tasche locker as JSON. You see what would change before
      it does.
    </p>
    <FileField
      label="File"
      accept=".csv,.json,.txt,text/csv,application/json"
      :disabled="busy"
      drop
      @file="choose"
    >
      <b>{{ file?.name ?? 'Choose a file' }}</b> <span class="quiet">or drop it here</span>
    </FileField>
    <p v-if="busy" role="status" class="quiet">Reading…</p>
    <ProblemLine :text="problem" />
    <p v-if="done" class="verdict fine" role="status">● Imported: {{ done }}</p>
    <template v-if="plan && !done">
      <p role="status">
        <b>{{ plan.adds.length }}</b> new clubs, <b>{{ plan.edits.length }}</b> changed,
        <b>{{ plan.same.length }}</b> as they were<template v-if="plan.rejected.length"
          >,
          <b class="verdict error"
            >{{ counted(plan.rejected.length, 'cell') }} that can't be taken</b
          ></template
        >.
      </p>
      <p v-if="plan.unknownColumns.length" class="verdict warning">
        ◆ Columns left out: {{ plan.unknownColumns.join(', ') }}
      </p>
      <div class="lists">
        <NTable size="small" :bordered="false" :bottom-bordered="false" v-if="plan.rejected.length">
          <caption>
            Can't be taken
          </caption>
          <thead>
            <tr>
              <th>Row</th>
              <th>Column</th>
              <th>Found</th>
              <th>Why</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="(cell, i) in plan.rejected.slice(0, 200)" :key="i">
              <td>{{ cell.row + 2 }}</td>
              <td>{{ cell.head }}</td>
              <td>{{ cell.text }}</td>
              <td>{{ cell.reason }}</td>
            </tr>
          </tbody>
        </NTable>
        <NTable size="small" :bordered="false" :bottom-bordered="false" v-if="plan.edits.length">
          <caption>
            Would change
          </caption>
          <thead>
            <tr>
              <th>Club</th>
              <th>What</th>
              <th>From</th>
              <th>To</th>
            </tr>
          </thead>
          <tbody>
            <template v-for="edit in plan.edits.slice(0, 200)" :key="edit.club.id">
              <tr v-for="(reading, i) in edit.readings" :key="reading.key + i">
                <td>{{ i === 0 ? edit.club.name : '' }}</td>
                <td>{{ readingName(reading) }}</td>
                <td>{{ readingText(reading.before) }}</td>
                <td>{{ readingText(reading.value) }}</td>
              </tr>
            </template>
          </tbody>
        </NTable>
        <NTable size="small" :bordered="false" :bottom-bordered="false" v-if="plan.adds.length">
          <caption>
            Would be new
          </caption>
          <thead>
            <tr>
              <th>Row</th>
              <th>Club</th>
              <th>Kind</th>
              <th>Readings</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="add in plan.adds.slice(0, 200)" :key="add.row">
              <td>{{ add.row + 2 }}</td>
              <td>{{ add.name }}</td>
              <td>{{ add.kind }}</td>
              <td>{{ add.readings.length }}</td>
            </tr>
          </tbody>
        </NTable>
      </div>
      <div class="bar">
        <NButton
          v-if="plan.rejected.length === 0"
          :disabled="busy || plan.adds.length + plan.edits.length === 0"
          @click="send('all')"
          type="primary"
        >
          Import
        </NButton>
        <NButton v-else :disabled="busy || goodAdds + goodEdits === 0" @click="send('good')" type="primary">
          Import the {{ goodAdds + goodEdits }} good rows only
        </NButton>
        <NButton @click="emit('close')">Cancel</NButton>
      </div>
    </template>
  </NModal>
</template>

<style scoped>
p {
  margin-bottom: 10px;
}
.lists {
  max-height: 46vh;
  overflow: auto;
  display: grid;
  gap: 14px;
  margin-bottom: 14px;
}
table {
  border-collapse: collapse;
  width: 100%;
  font-size: 13.5px;
}
caption {
  text-align: left;
  font-weight: 600;
  padding-bottom: 4px;
}
th {
  text-align: left;
  color: var(--quiet);
  font-weight: 400;
}
td,
th {
  padding: 4px 10px 4px 0;
  border-bottom: 1px solid var(--line-soft);
  vertical-align: top;
}
</style>
