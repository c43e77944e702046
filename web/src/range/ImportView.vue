<script setup lang="ts">
import ProblemLine from '../app/ProblemLine.vue';
import PageHead from '../app/PageHead.vue';
import FileField from '../fields/FileField.vue';
import WorkProgress from '../app/WorkProgress.vue';
import DateField from '../fields/DateField.vue';
import TextField from '../fields/TextField.vue';
import ChoiceField from '../fields/ChoiceField.vue';
import LinkButton from '../app/LinkButton.vue';
import { NButton, NCheckbox, NTable } from 'naive-ui';
import {
  ballOn,
  MAX_FILE_BYTES,
  STRIKE_FIELDS,
  headsKey,
  labelKey,
  strikeField,
  strikeRowReader,
  type ClubMatch,
  type ColumnMapping,
  type FileMapping,
  type KnownMapping,
  type SessionDetails,
  type StrikeField,
  type StrikeImportOrder,
  type StrikeImportReport,
  type StrikeUnit,
} from '@tasche/contract';
import { MEDIUM_FAIRWAY, type PlayingConditions } from '@tasche/core';
import Papa from 'papaparse';
import { v4 as newId } from 'uuid';
import { computed, reactive, ref, shallowRef } from 'vue';
import { request } from '../api/request';
import { today } from '../app/day';
import { useSettings } from '../app/settings';
import ConditionsBar from '../conditions/ConditionsBar.vue';
import { guarded, baselineOf } from '@tasche/contract';
import { useSheet } from '../sheet/sheet-store';
import { lookAtFile, type FileLook } from './read-file';
import { sendFile, type Sending } from '../api/send-file';
import ImportPreview from './ImportPreview.vue';

/** A launch monitor's file in: what its columns are, what its clubs are, what would come of it; then it is taken. */
const props = defineProps<{ playerId: string }>();
const store = useSheet();
const settings = useSettings();
const unit = computed(() => settings.unitFor(store.sheet!.player.distanceUnit));
const baseline = computed(() => baselineOf(store.sheet!.player));

const file = shallowRef<File | null>(null);
const look = shallowRef<FileLook | null>(null);
const mapping = reactive<{ columns: ColumnMapping[] } & Omit<FileMapping, 'columns'>>({
  columns: [],
  decimal: '.',
  dates: 'day first',
  unitRows: 0,
  leftIsPositive: false,
});
const remembered = ref(false);
const session = reactive<SessionDetails>({
  name: 'Range',
  heldOn: today(),
  conditions: baseline.value.conditions,
  surface: MEDIUM_FAIRWAY,
  hitOff: 'grass',
  ball: ballOn(store.sheet!.player.balls, today()) ?? '',
  notes: '',
});
const clubs = reactive<Record<string, ClubMatch>>({});
const report = shallowRef<StrikeImportReport | null>(null);
const done = shallowRef<StrikeImportReport | null>(null);
const problem = ref('');
const share = ref(0);
const sending = shallowRef<Sending<StrikeImportReport> | null>(null);

async function choose(chosen: File): Promise<void> {
  look.value = null;
  report.value = null;
  done.value = null;
  problem.value = '';
  if (chosen.size > MAX_FILE_BYTES) {
    problem.value = `${chosen.name} is ${(chosen.size / 1e6).toFixed(0)} MB; ${MAX_FILE_BYTES / 1e6} MB is the limit. Split it, or export fewer sessions at once.`;
    return;
  }
  try {
    const seen = await lookAtFile(chosen, unit.value);
    file.value = chosen;
    const known = await request<KnownMapping | null>(
      `/file-mapping?heads=${encodeURIComponent(headsKey(seen.heads))}`,
    ).catch(() => null);
    remembered.value = known !== null;
    const { columns, decimal, dates, unitRows, leftIsPositive } = known?.mapping ?? seen.guess;
    Object.assign(mapping, { columns: [...columns], decimal, dates, unitRows, leftIsPositive });
    for (const key of Object.keys(clubs)) delete clubs[key];
    // What the clubs of this source were the last time, as far as the locker still has them.
    for (const [label, match] of Object.entries(known?.clubs ?? {}))
      if (match === null || store.clubsById.has(match.clubId)) clubs[label] = match;
    look.value = seen;
    if (ready.value) await send('none');
  } catch (error) {
    problem.value = `${chosen.name}: ${(error as Error).message}`;
  }
}

const columnOf = (column: number) => mapping.columns.find((one) => one.column === column);
function setField(column: number, field: StrikeField | ''): void {
  mapping.columns = mapping.columns.filter((one) => one.column !== column && one.field !== field);
  if (field)
    mapping.columns.push({
      column,
      field,
      ...(strikeField(field).units[0] && { unit: strikeField(field).units[0]! }),
    });
  report.value = null;
}
function setUnit(column: number, chosen: StrikeUnit): void {
  mapping.columns = mapping.columns.map((one) => (one.column === column ? { ...one, unit: chosen } : one));
  report.value = null;
}
const unsure = (column: number) => {
  const one = columnOf(column);
  return (
    !remembered.value &&
    one !== undefined &&
    look.value!.guess.unsure.includes(one.field) &&
    look.value!.guess.columns.some(({ column: at, unit: guessed }) => at === column && guessed === one.unit)
  );
};
const body = computed(() => look.value?.rows.slice(mapping.unitRows) ?? []);
/** How many cells of a column cannot be read as what it is said to be, of those looked at. */
function unread(column: number): number {
  const one = columnOf(column);
  if (!one || !look.value) return 0;
  const read = strikeRowReader({ ...mapping, columns: [one] }, look.value.heads);
  return body.value.filter((row) => {
    const answer = read(row);
    return !answer.ok && answer.refusal.column !== '';
  }).length;
}
const ready = computed(() =>
  mapping.columns.some(({ field }) => ['carryM', 'totalM', 'ballSpeedMps', 'clubSpeedMps'].includes(field)),
);
const samples = (column: number) =>
  body.value
    .slice(0, 3)
    .map((row) => row[column]?.trim() ?? '')
    .filter((cell) => cell !== '')
    .join(' · ')
    .slice(0, 60);

function order(): StrikeImportOrder {
  const { encoding, delimiter, heads, skipLines } = look.value!;
  return {
    source: file.value!.name.slice(0, 200),
    encoding,
    delimiter,
    heads,
    skipLines,
    mapping: { ...mapping, columns: mapping.columns.map((one) => ({ ...one })) },
    clubs: { ...clubs },
    session: { ...session, name: session.name.trim() || 'Range' },
    zoneMinutes: -new Date().getTimezoneOffset(),
  };
}

async function send(take: 'none' | 'good'): Promise<void> {
  problem.value = '';
  share.value = 0;
  const changeId = newId();
  sending.value = sendFile<StrikeImportReport>(
    `/players/${props.playerId}/strikes/import?take=${take}&changeId=${changeId}`,
    new Blob([`${JSON.stringify(order())}\n`, file.value!]),
    (now) => {
      share.value = now;
    },
  );
  try {
    const answer = await sending.value.answer;
    if (take === 'none') {
      report.value = answer;
      for (const { label, match } of answer.labels)
        if (!Object.hasOwn(clubs, labelKey(label))) clubs[labelKey(label)] = match;
    } else {
      done.value = answer;
      report.value = null;
      if (answer.changeId) store.done(answer.changeId);
    }
  } catch (error) {
    problem.value = (error as Error).message;
  } finally {
    sending.value = null;
  }
}

/** Every row left out, as a file to go through. */
function saveRefusals(refusals: StrikeImportReport['refusals']): void {
  const csv = Papa.unparse({
    fields: ['line', 'column', 'found', 'why'],
    data: refusals.map(({ line, column, text, reason }) => [line, guarded(column), guarded(text), reason]),
  });
  const link = document.createElement('a');
  link.href = URL.createObjectURL(new Blob([csv], { type: 'text/csv' }));
  link.download = `left out of ${file.value?.name ?? 'file'}.csv`;
  link.click();
  setTimeout(() => {
    URL.revokeObjectURL(link.href);
  }, 10_000);
}

const clubOf = (label: string) => clubs[labelKey(label)] ?? null;
function setMatch(label: string, match: ClubMatch): void {
  clubs[labelKey(label)] = match;
}
/** What would be taken with the clubs as they are said now. */
const wouldTake = computed(() =>
  report.value
    ? report.value.labels.reduce((sum, { label, rows }) => sum + (clubOf(label) ? rows : 0), 0)
    : 0,
);
const setAir = (setting: PlayingConditions | null) => Object.assign(session, setting ?? baseline.value);
const noClubColumn = computed(() => !mapping.columns.some(({ field }) => field === 'club'));
</script>

<template>
  <div class="page">
    <PageHead :of="store.sheet!.player.name">
      bring a file
      <template #says>
        <p class="quiet small">
          A CSV of any launch monitor. You say what its columns and clubs are, and see a preview, before
          anything is kept.
        </p>
      </template>
      <template #actions>
        <LinkButton :to="{ name: 'range', params: { playerId } }">To the range</LinkButton>
      </template>
    </PageHead>
    <FileField
      label="File of a launch monitor"
      accept=".csv,.txt,.tsv,text/csv,text/plain"
      :disabled="sending !== null"
      drop
      @file="choose"
    >
      <b>{{ file?.name ?? 'Choose a file' }}</b> <span class="quiet">or drop it here</span>
    </FileField>
    <ProblemLine :text="problem" />
    <p v-if="sending" class="bar progress" role="status">
      <WorkProgress :share="share" />
      <span>{{ share < 1 ? `${Math.round(share * 100)} % sent and read` : 'finishing…' }}</span>
      <NButton @click="sending.cancel()" size="small">Cancel</NButton>
    </p>
    <section v-if="done" class="card result" role="status">
      <p v-if="done.taken > 0" class="verdict fine">
        ● {{ done.taken.toLocaleString('en') }} shots taken, on {{ done.days.length }}
        {{ done.days.length === 1 ? 'day' : 'days' }}.
      </p>
      <p v-else class="verdict look">◆ Nothing new in it.</p>
      <p class="small">
        <template v-if="done.duplicates"
          >{{ done.duplicates.toLocaleString('en') }} were known already. </template
        ><template v-if="done.otherClubs"
          >{{ done.otherClubs.toLocaleString('en') }} of clubs left out. </template
        ><template v-if="done.refused">{{ done.refused.toLocaleString('en') }} could not be taken. </template
        >Ctrl Z takes it back.
      </p>
      <p v-if="done.refusals.length > 0">
        <NButton @click="saveRefusals(done.refusals)" size="small"> Save the list of rows left out </NButton>
      </p>
      <p class="bar">
        <RouterLink class="plain-button main" :to="{ name: 'range', params: { playerId } }"
          >To the range</RouterLink
        >
      </p>
    </section>
    <template v-if="look && !done">
      <h2>
        Columns <span v-if="remembered" class="small quiet">as this source was read the last time</span>
      </h2>
      <div class="scroll">
        <NTable size="small" :bordered="false" :bottom-bordered="false" class="columns">
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
                <span v-if="unsure(column)" class="verdict look">◆ unit guessed; look at the numbers</span>
                <span v-if="unread(column) > 0" class="verdict fault"
                  >■ {{ unread(column) }} of {{ body.length }} cells cannot be read; their rows are left out
                  unless the column is</span
                >
              </td>
            </tr>
          </tbody>
        </NTable>
      </div>
      <div class="bar choices small">
        <label
          >Decimal sign
          <ChoiceField
            v-model:value="mapping.decimal"
            @update:value="report = null"
            label="Decimal sign"
            :options="[
              { value: '.', label: 'point' },
              { value: ',', label: 'comma' },
            ]"
        /></label>
        <label
          >Dates
          <ChoiceField
            v-model:value="mapping.dates"
            @update:value="report = null"
            label="Dates"
            :options="['day first', 'month first']"
        /></label>
        <NCheckbox v-model:checked="mapping.leftIsPositive" @update:checked="report = null"
          >left is positive in this file</NCheckbox
        >
        <span v-if="!ready" class="verdict fault"
          >■ Say which column is the carry, the total, the ball speed or the club speed.</span
        >
      </div>
      <h2>Where and off what</h2>
      <div class="bar choices small">
        <label>Where <TextField aria-label="Where" v-model:value="session.name" maxlength="80" /></label>
        <label title="For rows that have no date"
          >Day <DateField v-model:value="session.heldOn" @update:value="report = null" label="Day"
        /></label>
        <label
          >Off <ChoiceField v-model:value="session.hitOff" label="Off" :options="['grass', 'mat']"
        /></label>
        <label
          >Ball
          <TextField aria-label="Ball" v-model:value="session.ball" maxlength="80" placeholder="which ball?"
        /></label>
      </div>
      <ConditionsBar
        :setting="{ conditions: session.conditions, surface: session.surface }"
        :baseline="baseline"
        :unit="unit"
        :complaints="[]"
        @set="setAir"
      />
      <p v-if="!report && !sending" class="bar">
        <NButton :disabled="!ready" @click="send('none')" type="primary">Preview the import</NButton>
      </p>
      <template v-if="report">
        <ImportPreview
          :report="report"
          :unit="unit"
          :is-of-one-club="noClubColumn"
          :club-of="clubOf"
          @match="setMatch"
          @save-refusals="saveRefusals(report.refusals)"
        />
        <p class="bar take">
          <NButton :disabled="sending !== null || wouldTake === 0" @click="send('good')" type="primary">
            Take {{ wouldTake.toLocaleString('en') }} {{ wouldTake === 1 ? 'shot' : 'shots' }}</NButton
          ><RouterLink class="plain-button" :to="{ name: 'range', params: { playerId } }">Cancel</RouterLink>
        </p>
      </template>
    </template>
  </div>
</template>

<style scoped>
h2 {
  margin: 16px 0 4px;
}
.progress {
  margin: 10px 0;
}
.result {
  padding: 14px 18px;
  max-width: 900px;
  display: grid;
  gap: 8px;
}
.scroll {
  overflow-x: auto;
}
table {
  border-collapse: collapse;
  font-size: 13.5px;
}
th {
  text-align: left;
  font-weight: 400;
  color: var(--quiet);
  font-size: 12.5px;
}
tbody th {
  color: var(--ink);
  font-weight: 500;
  font-size: 13.5px;
}
td,
th {
  padding: 3px 16px 3px 0;
  border-bottom: 1px solid var(--line-soft);
  vertical-align: middle;
}
.unused th,
.unused td {
  color: var(--quiet);
  font-weight: 400;
}

.choices {
  gap: 8px 18px;
  margin: 10px 0;
}
.choices label {
  display: inline-flex;
  gap: 6px;
  align-items: center;
  color: var(--quiet);
}
.take {
  margin-top: 14px;
}
</style>
