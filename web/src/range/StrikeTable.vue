<script setup lang="ts">
import TextField from '../fields/TextField.vue';
import ChoiceField from '../fields/ChoiceField.vue';
import { NButton, NTable } from 'naive-ui';
import type { StrikeView } from '@tasche/contract';
import { SHOT_KINDS, isFullSwing, type DistanceUnit, type ShotKind } from '@tasche/core';
import { computed, ref } from 'vue';
import { useSheet } from '../sheet/sheet-store';
import type { StrikeRow } from './range-worker';
import { clubColumns, strikeColumns } from './strike-units';

/** The balls of a session one by one, as they were given; what was worked out is in italics. */
const props = defineProps<{
  strikes: readonly StrikeView[];
  rows: ReadonlyMap<string, StrikeRow>;
  unit: DistanceUnit;
}>();
const emit = defineEmits<{
  leaveOut: [ids: readonly string[], reason: string];
  count: [ids: readonly string[]];
  give: [id: string, set: { clubId?: string; shot?: ShotKind }];
}>();
const store = useSheet();
const columns = computed(() => [...strikeColumns(props.unit), ...clubColumns(props.strikes)]);
const clubs = computed(() => store.clubs.filter((club) => isFullSwing(club.kind)));
/** So many at first, the newest, and as many more with each press: thousands of rows at once would hold the page up. */
const PAGE = 25;
const count = ref(PAGE);
const shown = computed(() => props.strikes.slice(-count.value));
const earlier = computed(() => props.strikes.length - shown.value.length);

/** The strike somebody is giving a reason for. */
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
  <div class="scroll">
    <p v-if="earlier > 0" class="small quiet">
      The last {{ shown.length.toLocaleString('en') }} of {{ strikes.length.toLocaleString('en') }}.
      <NButton size="small" @click="count += PAGE">Show {{ Math.min(PAGE, earlier) }} earlier ones</NButton>
    </p>
    <NTable size="small" :bordered="false" :bottom-bordered="false">
      <caption class="unseen">
        Shots one by one
      </caption>
      <thead>
        <tr>
          <th scope="col">No.</th>
          <th scope="col">Club</th>
          <th scope="col">Shot</th>
          <th v-for="column in columns" :key="column.head" scope="col">{{ column.head }}</th>
          <th scope="col">Counts</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(strike, i) in shown" :key="strike.id" :class="{ out: strike.leftOut !== null }">
          <td class="quiet">{{ earlier + i + 1 }}</td>
          <td class="left">
            <ChoiceField
              class="quiet-field"
              :value="strike.clubId ?? ''"
              @update:value="emit('give', strike.id, { clubId: $event })"
              :label="`Club of shot ${earlier + i + 1}`"
              :options="[
                ...(!strike.clubId ? [{ value: '', label: 'no club' }] : []),
                ...clubs.map((club) => ({ value: club.id, label: club.name })),
              ]"
            />
          </td>
          <td class="left">
            <ChoiceField
              class="quiet-field"
              :value="strike.shot"
              @update:value="emit('give', strike.id, { shot: $event })"
              :label="`Shot meant with shot ${earlier + i + 1}`"
              :options="SHOT_KINDS"
            />
          </td>
          <template v-if="rows.get(strike.id)?.whole">
            <td
              v-for="column in columns"
              :key="column.head"
              :class="{ modelled: strike.given[column.part] === undefined }"
              :title="
                strike.given[column.part] === undefined ? 'worked out by the flight model' : 'as it was given'
              "
            >
              {{ column.show(rows.get(strike.id)!.whole!, strike.given) }}
            </td>
          </template>
          <td v-else :colspan="columns.length" class="left brick">
            {{ rows.get(strike.id)?.refused || '…' }}
          </td>
          <td class="left counts">
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
              <NButton @click="emit('count', [strike.id])" size="small"> Count it </NButton></template
            >
            <template v-else
              ><span
                v-if="rows.get(strike.id)?.outlier"
                class="verdict look"
                :title="rows.get(strike.id)!.outlier"
                >◆ outlier</span
              >
              <NButton
                :aria-label="`Leave out shot ${earlier + i + 1}`"
                @click="asking = strike.id"
                size="small"
              >
                Leave out
              </NButton></template
            >
          </td>
        </tr>
      </tbody>
    </NTable>
  </div>
</template>

<style scoped>
.scroll {
  overflow-x: auto;
}
table {
  border-collapse: collapse;
  font-size: 13.5px;
  margin-top: 4px;
}
th {
  text-align: right;
  font-weight: 400;
  color: var(--quiet);
  font-size: 12.5px;
}
td,
th {
  padding: 2px 14px 2px 0;
  border-top: 1px solid var(--line-soft);
  white-space: nowrap;
  text-align: right;
  height: 34px;
}
.left,
th:nth-child(2),
th:nth-child(3),
th:last-child {
  text-align: left;
}
.out td:not(.counts) {
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
tr:not(:hover) .counts > .n-button:last-child:not(:focus-visible) {
  --n-border: 1px solid transparent;
  --n-color: transparent;
  --n-text-color: var(--quiet);
}
</style>
