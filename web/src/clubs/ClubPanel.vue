<script setup lang="ts">
import DateField from '../fields/DateField.vue';
import TextField from '../fields/TextField.vue';
import ChoiceField from '../fields/ChoiceField.vue';
import {
  BENDING_CAUTION,
  CLUB_KINDS,
  QUANTITIES,
  SHOT_KINDS,
  quantityOf,
  shotIn,
  shotKindOf,
  shotKindWords,
  factSourceWords,
  sourceWords,
  distanceNumber,
  type CarryEstimate,
  type ClubKind,
  type Quantity,
  type Shot,
  type ShotKind,
} from '@tasche/core';
import {
  SHOT_PARTS,
  columnOf,
  showQuantity,
  unitLabel,
  type Column,
  type ReadingView,
  type ShotPart,
} from '@tasche/contract';
import { NButton, NDrawer, NDrawerContent, NTable } from 'naive-ui';
import { computed, ref } from 'vue';
import { usePages } from '../api/read';
import ProblemLine from '../app/ProblemLine.vue';
import { counted } from '../app/counted';
import LinkButton from '../app/LinkButton.vue';
import { isOpen } from '../bench/ticket-words';
import { shortDay, today } from '../app/day';
import { useSettings } from '../app/settings';
import { cellChange } from '../sheet/cell-change';
import { showCell } from '../sheet/sheet-columns';
import { useSheet } from '../sheet/sheet-store';
import OwnShots from './OwnShots.vue';
import WhatIf from './WhatIf.vue';

/** One club whole: build, readings, shots, and everything that was ever written down about it. */
const props = defineProps<{
  clubId: string;
  /** It hangs on the ladder behind the panel. */ tries?: boolean;
}>();
const emit = defineEmits<{ close: []; try: [loftDeg: number] }>();
const store = useSheet();
const settings = useSettings();

const club = computed(() => store.clubsById.get(props.clubId)!);
const openTickets = computed(
  () => store.sheet!.tickets.filter((ticket) => ticket.clubId === props.clubId && isOpen(ticket)).length,
);
const unit = computed(() => settings.unitFor(store.sheet!.player.distanceUnit));
const takenOn = ref(today());
const complaints = ref(new Map<string, { text: string; reason: string }>());
const {
  rows: readings,
  total: readingCount,
  hasMore: hasOlderReadings,
  more: olderReadings,
  problem: readingsProblem,
} = usePages<ReadingView>(
  (next) => `/clubs/${props.clubId}/readings?limit=${next === null ? 50 : `200&before=${next}`}`,
);

const GROUPS: readonly { name: string; group: Quantity['group']; caution?: string }[] = [
  { name: 'Lofts and lie', group: 'lofts', caution: BENDING_CAUTION },
  {
    name: 'Head and length',
    group: 'build',
    caution:
      'Cutting graphite: dust mask. Heat and solvents: fresh air. The maker and a qualified builder decide.',
  },
  { name: 'Shaft', group: 'shaft' },
  { name: 'Grip', group: 'grip' },
  { name: 'Sole', group: 'sole' },
  { name: 'Weights', group: 'weights', caution: 'Lead: wash your hands after.' },
  { name: 'Putter', group: 'putter' },
  { name: 'Record', group: 'record' },
];
const groups = computed(() =>
  GROUPS.filter(({ group }) => group !== 'putter' || club.value.kind === 'putter').map((one) => ({
    ...one,
    quantities: QUANTITIES.filter((quantity) => quantity.group === one.group),
  })),
);
const parts = SHOT_PARTS.filter((part) =>
  ['carryM', 'totalM', 'apexM', 'descentDeg', 'spreadM', 'teeGainM', 'sampleSize'].includes(part),
);
const PART_HEADS: Partial<Record<ShotPart, string>> = {
  carryM: 'carry',
  totalM: 'total',
  apexM: 'apex',
  descentDeg: 'land',
  spreadM: '±',
  teeGainM: '+ off a tee',
  sampleSize: 'shots',
};

function show(column: Column): string {
  const id = column.id;
  return (
    complaints.value.get(id)?.text ??
    showCell(
      club.value,
      { id, writes: () => column, head: '', align: 'left', px: 0 },
      unit.value,
    ).text.replace(/°$/, '')
  );
}

function write(column: Column, text: string): void {
  const change = cellChange(club.value, column, text, unit.value, takenOn.value);
  if (change.ok) {
    complaints.value.delete(column.id);
    store.change(change.commands);
  } else complaints.value.set(column.id, { text, reason: change.reason });
}

function setKind(kind: ClubKind): void {
  store.change([
    {
      do: 'editClub',
      clubId: club.value.id,
      version: club.value.version,
      set: { kind },
    },
  ]);
}

/** A modelled carry is written down as one; it never takes the place of one that was measured or stated. */
function useModel(estimate: CarryEstimate): void {
  if (shotIn(club.value.spec, 'shot.full')) return;
  const rounded = (value: number) => Math.round(value * 100) / 100;
  const shot: Shot = {
    carryM: rounded(estimate.carryM.value),
    plusMinusM: rounded(estimate.carryM.plusMinus),
    apexM: rounded(estimate.apexM.value),
    descentDeg: rounded(estimate.descentDeg.value),
    source: 'modelled',
  };
  store.change(
    [
      {
        do: 'editClub',
        clubId: club.value.id,
        version: club.value.version,
        readings: [{ key: 'shot.full', value: shot, takenOn: takenOn.value }],
      },
    ],
    'modelled from the other clubs',
  );
}

function remove(): void {
  store.change([{ do: 'removeClub', clubId: club.value.id, version: club.value.version }]);
  emit('close');
}

function shotColumn(kind: ShotKind, part: ShotPart): Column {
  return columnOf(`shot.${kind}.${part}`)!;
}

function readingText(reading: ReadingView): string {
  const quantity = quantityOf(reading.key);
  const kind = shotKindOf(reading.key);
  const label = quantity?.label ?? `${kind ? shotKindWords(kind) : reading.key} shot`;
  const { value } = reading;
  if (value === null) return `${label}: not known`;
  if (quantity) return `${label} ${showQuantity(quantity, value)}`;
  return typeof value === 'object'
    ? `${label} ${distanceNumber(value.carryM, unit.value)} ${unit.value}, ${sourceWords(value, unit.value)}`
    : label;
}
</script>

<template>
  <NDrawer :show="true" :width="'min(560px, 100vw)'" placement="right" @update:show="emit('close')">
    <NDrawerContent :title="club.name" closable :native-scrollbar="true">
      <div class="top">
        <label
          >Name
          <TextField
            aria-label="Name"
            :value="club.name"
            :disabled="store.readOnly"
            @write="write(columnOf('name')!, $event)"
        /></label>
        <label
          >Kind
          <ChoiceField
            :value="club.kind"
            :disabled="store.readOnly"
            @update:value="setKind"
            label="Kind"
            :options="CLUB_KINDS"
        /></label>
        <label
          >Taken on
          <DateField v-model:value="takenOn" :max="today()" :disabled="store.readOnly" label="Taken on"
        /></label>
      </div>
      <p class="bar">
        <LinkButton
          size="small"
          :to="{ name: 'build', params: { playerId: club.playerId, clubId: club.id } }"
          @click="emit('close')"
          >Build sheet</LinkButton
        >
        <LinkButton
          size="small"
          :to="{ name: 'club-life', params: { playerId: club.playerId, clubId: club.id } }"
          @click="emit('close')"
          >Its life</LinkButton
        >
        <span v-if="openTickets > 0" class="quiet small"
          >{{ counted(openTickets, 'ticket') }} open for it</span
        >
      </p>
      <section v-if="club.kind !== 'putter'">
        <h3>
          Shots <span class="quiet small">in {{ unit }}; apex in {{ unit === 'yd' ? 'ft' : 'm' }}</span>
        </h3>
        <NTable size="small" :bordered="false" :bottom-bordered="false" class="shots">
          <thead>
            <tr>
              <th />
              <th v-for="part in parts" :key="part">{{ PART_HEADS[part] }}</th>
              <th>source</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="kind in SHOT_KINDS" :key="kind">
              <th scope="row">{{ kind }}</th>
              <td v-for="part in parts" :key="part">
                <TextField
                  :value="show(shotColumn(kind, part))"
                  :aria-label="`${kind} ${PART_HEADS[part]}`"
                  :disabled="store.readOnly"
                  inputmode="decimal"
                  :bad="complaints.has(shotColumn(kind, part).id)"
                  :title="complaints.get(shotColumn(kind, part).id)?.reason"
                  @write="write(shotColumn(kind, part), $event)"
                />
              </td>
              <td class="small" :class="shotIn(club.spec, `shot.${kind}`)?.source">
                {{ factSourceWords(club.spec, `shot.${kind}`, unit) }}
              </td>
            </tr>
          </tbody>
        </NTable>
        <p
          v-for="[id, one] in [...complaints].filter(([key]) => key.startsWith('shot.'))"
          :key="id"
          class="verdict error small"
          role="alert"
        >
          ■ {{ one.reason }}
        </p>
        <OwnShots :club="club" :unit="unit" :read-only="store.readOnly" :taken-on="takenOn" />
      </section>
      <WhatIf
        :club="club"
        :unit="unit"
        :read-only="store.readOnly"
        :tries="tries"
        @model="useModel"
        @try="emit('try', $event)"
      />
      <section v-for="{ name, quantities, caution } in groups" :key="name">
        <h3>{{ name }}</h3>
        <p v-if="caution" class="caution small">{{ caution }}</p>
        <div class="fields">
          <label v-for="quantity in quantities" :key="quantity.key">
            <span
              >{{ quantity.label }} <i class="quiet">{{ unitLabel(columnOf(quantity.key)!, unit) }}</i></span
            >
            <ChoiceField
              v-if="quantity.type === 'choice'"
              :value="show(columnOf(quantity.key)!)"
              :disabled="store.readOnly"
              @update:value="write(columnOf(quantity.key)!, $event)"
              :label="`${quantity.label} ${unitLabel(columnOf(quantity.key)!, unit)}`"
              :options="[{ value: '', label: '' }, ...quantity.choices]"
            />
            <DateField
              v-else-if="quantity.type === 'date'"
              :value="show(columnOf(quantity.key)!)"
              :label="quantity.label"
              :disabled="store.readOnly"
              optional
              @update:value="write(columnOf(quantity.key)!, $event)"
            />
            <TextField
              :aria-label="`${quantity.label} ${unitLabel(columnOf(quantity.key)!, unit)}`"
              v-else
              :value="show(columnOf(quantity.key)!)"
              :disabled="store.readOnly"
              :bad="complaints.has(quantity.key)"
              @write="write(columnOf(quantity.key)!, $event)"
            />
            <span v-if="complaints.has(quantity.key)" class="verdict error small" role="alert">{{
              complaints.get(quantity.key)!.reason
            }}</span>
          </label>
        </div>
      </section>
      <section>
        <h3>Written down so far</h3>
        <ProblemLine :text="readingsProblem" />
        <ol v-if="readings" class="readings small">
          <li v-for="reading in readings" :key="reading.id" :class="{ undone: reading.undone }">
            <span class="quiet">{{ shortDay(reading.takenOn) }}</span> {{ readingText(reading) }}
            <span class="quiet"
              >{{ reading.who }}{{ reading.why ? `: ${reading.why}` : ''
              }}{{ reading.undone ? ' (undone)' : '' }}</span
            >
          </li>
        </ol>
        <NButton v-if="hasOlderReadings" @click="olderReadings" size="small">
          Older: {{ readings?.length ?? 0 }} of {{ readingCount }} shown
        </NButton>
      </section>
      <NButton v-if="!store.readOnly" @click="remove" size="small">Delete this club</NButton>
      <span v-if="!store.readOnly" class="quiet small">
        Ctrl Z brings it back. A club that is worn out is better set to “retired”.</span
      >
    </NDrawerContent>
  </NDrawer>
</template>

<style scoped>
section {
  margin: 16px 0;
}
h3 {
  font-size: 14px;
  font-weight: 600;
  margin-bottom: 6px;
}
h3 .quiet {
  font-weight: 400;
}
.top {
  display: grid;
  grid-template-columns: 1.4fr 1fr 1fr;
  gap: 10px;
}
.fields {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
  gap: 8px 12px;
}
label {
  display: grid;
  gap: 2px;
  font-size: 12.5px;
  color: var(--quiet);
}
i {
  font-style: normal;
}

.bad {
  border-color: var(--brick);
}
.shots {
  border-collapse: collapse;
  width: 100%;
}
.shots th {
  font-weight: 400;
  font-size: 12.5px;
  color: var(--quiet);
  text-align: left;
  padding: 2px 6px 2px 0;
  white-space: nowrap;
}
.shots td {
  padding: 2px 3px 2px 0;
  white-space: nowrap;
}

.measured {
  color: var(--petrol);
}
.stated {
  color: var(--brass-ink);
}
.modelled {
  font-style: italic;
}
.caution {
  color: var(--brass-ink);
  margin-bottom: 6px;
}
.readings {
  list-style: none;
  padding: 0;
  margin: 0;
  display: grid;
  gap: 3px;
}
.undone {
  text-decoration: line-through;
  opacity: 0.6;
}
</style>
