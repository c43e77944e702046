<script setup lang="ts">
import { shotOptions } from '../clubs/shot-options';
import type { ClubMatch, StrikeImportReport } from '@tasche/contract';
import { counted, digits, distanceNumber, isFullSwing, type DistanceUnit, type ShotKind } from '@tasche/core';
import { NTable } from 'naive-ui';
import { computed } from 'vue';
import { shortDay } from '../app/day';
import ChoiceField from '../fields/ChoiceField.vue';
import { useSheet } from '../sheet/sheet-store';
import RefusedRows from './RefusedRows.vue';
import { carriesBeside, unitDoubt } from './import-carries';
import { importCount } from './import-count';
import { refusedRows } from './refused-rows';

/** The preview of an import: its clubs and what each carries beside the sheet, and what cannot be imported. */
const props = defineProps<{
  report: StrikeImportReport;
  unit: DistanceUnit;
  /** No column names the club: the whole file is of one. */
  isOfOneClub: boolean;
  /** What a label is said to be. */
  clubOf: (label: string) => ClubMatch;
}>();
const emit = defineEmits<{ match: [label: string, match: ClubMatch]; saveRefusals: [] }>();
const store = useSheet();
const clubOptions = computed(() => [
  { value: '', label: 'left out' },
  ...store.clubs.filter(({ kind }) => isFullSwing(kind)).map(({ id, name }) => ({ value: id, label: name })),
]);
const rows = computed(() =>
  props.report.labels.map((one) => {
    const match = props.clubOf(one.label);
    return { ...one, match, beside: carriesBeside(one, match, store.clubsById) };
  }),
);
const refused = computed(() => refusedRows(props.report));
const doubt = computed(() => unitDoubt(rows.value.map(({ beside }) => beside)));
const count = computed(() => importCount(props.report, props.clubOf));
const isClubless = computed(() => rows.value.length > 0 && rows.value.every(({ match }) => !match));
const days = computed(() => {
  const { days: all } = props.report;
  if (all.length === 0) return '';
  const first = shortDay(all[0]!.day);
  return all.length === 1 ? ` (${first})` : ` (${first} to ${shortDay(all.at(-1)!.day)})`;
});
const carry = (metres: number | null) => (metres === null ? '–' : distanceNumber(metres, props.unit));

function setClub(label: string, match: ClubMatch, clubId: string): void {
  emit('match', label, clubId === '' ? null : { clubId, shot: match?.shot ?? 'full' });
}
function setShot(label: string, match: ClubMatch, shot: ShotKind): void {
  if (match) emit('match', label, { ...match, shot });
}
</script>

<template>
  <h2>Preview</h2>
  <p>
    <b>{{ digits(report.rows) }}</b> {{ report.rows === 1 ? 'row' : 'rows'
    }}<template v-if="report.days.length > 0"> on {{ counted(report.days.length, 'day') }}{{ days }}</template
    >: <template v-if="count.isAtMost">at most </template><b>{{ digits(count.shots) }}</b> to import<template
      v-if="count.known"
      >, {{ digits(count.known) }} known already or twice in the file</template
    ><template v-if="refused.summaryRows"
      >, {{ counted(refused.summaryRows, 'line') }} of averages and the like left out</template
    ><template v-if="report.otherPlayers">, {{ digits(report.otherPlayers) }} of other players</template
    ><template v-if="refused.refused"
      >, <span class="verdict error">■ {{ digits(refused.refused) }} that cannot be imported</span></template
    >.
  </p>
  <p v-if="isClubless" class="verdict warning" role="status">
    ◆ Say which {{ isOfOneClub || rows.length === 1 ? 'club it is' : 'clubs they are' }} below; shots of a
    club that is left out are not imported.
  </p>
  <p v-if="doubt" class="verdict warning" role="status">◆ {{ doubt }}</p>
  <div class="two">
    <NTable class="file-table" size="small" :bordered="false" :bottom-bordered="false">
      <caption>
        {{
          isOfOneClub ? 'No column names the club; all of it is one' : 'Clubs'
        }}
      </caption>
      <thead>
        <tr>
          <th scope="col">In the file</th>
          <th scope="col">Rows</th>
          <th scope="col">Is</th>
          <th scope="col">Shot</th>
          <th scope="col" class="number">Carry, {{ unit }}</th>
          <th scope="col" class="number">on the sheet</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="{ label, rows: n, match, beside } in rows" :key="label">
          <th scope="row">{{ label || (isOfOneClub ? 'every row' : 'no club named') }}</th>
          <td>{{ digits(n) }}</td>
          <td>
            <ChoiceField
              :value="match?.clubId ?? ''"
              :label="`Club ${label} is`"
              :options="clubOptions"
              @update:value="setClub(label, match, $event)"
            />
          </td>
          <td>
            <ChoiceField
              v-if="match"
              :value="match.shot"
              :label="`Shot of ${label}`"
              :options="shotOptions(store.clubsById.get(match.clubId)?.spec)"
              @update:value="setShot(label, match, $event)"
            />
          </td>
          <td class="number">{{ carry(beside.fileM) }}</td>
          <td class="number quiet">{{ carry(beside.sheetM) }}</td>
        </tr>
      </tbody>
    </NTable>
    <RefusedRows v-if="refused.refused > 0" :report="refused" @save="emit('saveRefusals')" />
  </div>
</template>

<style scoped>
h2 {
  margin: 16px 0 4px;
}
.two {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 20px 40px;
  align-items: start;
  max-height: 60vh;
  overflow: auto;
}
caption {
  text-align: left;
  font-weight: 600;
  padding-bottom: 4px;
}
.number {
  text-align: right;
}
@media (max-width: 700px) {
  .two {
    grid-template-columns: 1fr;
  }
}
</style>
