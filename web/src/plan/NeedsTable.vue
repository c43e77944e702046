<script setup lang="ts">
import ProblemLine from '../app/ProblemLine.vue';
import NumberField from '../fields/NumberField.vue';
import TextField from '../fields/TextField.vue';
import ChoiceField from '../fields/ChoiceField.vue';
import { NButton, NCheckbox, NForm, NTable } from 'naive-ui';
import {
  demandKey,
  LIE_NAMES,
  DEMAND_BOUNDS,
  distanceNumber,
  type DistanceUnit,
  type ShotDemand,
  type DemandChanges,
} from '@tasche/core';
import { storedMetres } from '@tasche/contract';
import { computed, nextTick, ref, useTemplateRef, watch } from 'vue';
import { windWords } from '../conditions/air-units';
import { readNeeds } from './read-needs';

/** The shots of a round, hole by hole: what was derived, what was changed of it, and what practice rounds showed. */
const props = defineProps<{
  needs: readonly ShotDemand[];
  takenAway: readonly ShotDemand[];
  /** A need somebody asked to see: its hole opens. */ shown: ShotDemand | null;
  changes: DemandChanges;
  notes: readonly ShotDemand[];
  /** What earlier rounds on this course asked for, as far as shots were written down. */
  played: readonly ShotDemand[];
  strokes: number;
  rareStrokes: number;
  unit: DistanceUnit;
  readOnly: boolean;
}>();
const emit = defineEmits<{
  changes: [changes: DemandChanges];
  notes: [notes: readonly ShotDemand[]];
  point: [demand: ShotDemand | null];
}>();

const problem = ref('');
const typed = ref('');
const open = ref<ReadonlySet<number>>(new Set());
const noted = computed(() => new Set(props.notes.map(({ name }) => name)));
const playedFresh = computed(() => props.played.filter(({ name }) => !noted.value.has(name)));
const byWidestGap = computed(() => {
  const holes = new Map<number, ShotDemand[]>();
  for (const demand of props.needs)
    if (demand.hole !== undefined && !noted.value.has(demand.name))
      holes.set(demand.hole, [...(holes.get(demand.hole) ?? []), demand]);
  return [...holes.entries()]
    .sort((a, b) => a[0] - b[0])
    .map(([hole, needs]) => ({
      hole,
      needs,
      main: needs.filter(({ weight }) => weight >= 0.35).slice(0, 3),
    }));
});
const number = (m: number) => distanceNumber(m, props.unit);
const what = ({ name, stroke }: ShotDemand) => stroke ?? name;
/** From where to where it is hit, when it was gathered from many. */
const hitFrom = ({ hitFromM }: ShotDemand) =>
  hitFromM && hitFromM.length > 1
    ? `Hit from ${number(hitFromM[0]!)} to ${number(hitFromM.at(-1)!)} ${props.unit} from the hole; the middle is written`
    : '';
const wind = ({ windMps, windFromDeg }: ShotDemand) =>
  windMps && windFromDeg !== undefined ? `wind ${windWords(windFromDeg)}` : 'calm';

function turn(hole: number): void {
  const next = new Set(open.value);
  if (!next.delete(hole)) next.add(hole);
  open.value = next;
}
const table = useTemplateRef<HTMLElement>('table');
watch(
  () => props.shown,
  async (demand) => {
    if (demand?.hole === undefined) return;
    open.value = new Set([...open.value, demand.hole]);
    await nextTick();
    const fold = table.value?.querySelector<HTMLElement>(`[data-hole="${demand.hole}"]`);
    fold?.scrollIntoView({ block: 'nearest' });
    fold?.focus({ preventScroll: true });
  },
);
const change = (demand: ShotDemand, part: NonNullable<DemandChanges[string]>) =>
  emit('changes', {
    ...props.changes,
    [demandKey(demand)]: { ...props.changes[demandKey(demand)], ...part },
  });
const takeAway = (demand: ShotDemand) => emit('changes', { ...props.changes, [demandKey(demand)]: null });
function bringBack(key: string): void {
  const { [key]: _gone, ...rest } = props.changes;
  emit('changes', rest);
}
/** Bounds are shown rounded, so that the last of them may lie a little outside. */
function writeDistance(demand: ShotDemand, shown: number): void {
  const [min, max] = DEMAND_BOUNDS.distanceM;
  change(demand, { distanceM: Math.min(max, Math.max(min, storedMetres(shown, props.unit))) });
}
/** The bounds of a distance as the reader sees them. */
const distanceBounds = computed(
  () => DEMAND_BOUNDS.distanceM.map((m) => Number(number(m))) as [number, number],
);
function add(): void {
  const read = readNeeds(typed.value, props.unit);
  if (!read.ok) {
    problem.value = `${read.reason}; nothing was added yet.`;
    return;
  }
  problem.value = '';
  typed.value = '';
  const known = new Set(props.notes.map(({ name }) => name));
  emit('notes', [
    ...props.notes,
    ...read.needs.map((demand) => {
      let name = `practice: ${demand.name}`;
      while (known.has(name)) name += '’';
      known.add(name);
      return { ...demand, name: name.slice(0, 80) };
    }),
  ]);
}
</script>

<template>
  <section class="needs" aria-label="Needs">
    <h2>
      Shots the round will ask for
      <span class="quiet small"
        >{{ strokes.toFixed(1) }} strokes, putts left out<template v-if="rareStrokes > 0.05"
          >; {{ rareStrokes.toFixed(1) }} too rare to list</template
        ></span
      >
    </h2>
    <NForm v-if="!readOnly" class="bar no-print" @submit.prevent="add">
      <TextField
        v-model:value="typed"
        class="line"
        aria-label="Practice-round notes"
        :placeholder="`notes, ${unit}: 230-250 x6, 155 hold x3`"
        autocomplete="off"
      />
      <NButton :disabled="typed.trim() === ''" attr-type="submit">Add</NButton>
    </NForm>
    <ProblemLine :text="problem" />
    <p v-if="playedFresh.length > 0 && !readOnly" class="small no-print">
      Rounds played here asked for
      {{ playedFresh.map(({ name, weight }) => `${name.replace('played: ', '')} ×${weight}`).join(', ') }}.
      <NButton size="small" @click="emit('notes', [...notes, ...playedFresh])">Add to the needs</NButton>
      <span class="quiet">beside what is worked out of the course; take away there what it says twice.</span>
    </p>
    <ul v-if="notes.length" class="notes">
      <li v-for="(demand, i) in notes" :key="demandKey(demand)">
        <span
          >{{ demand.name }} <b>×{{ demand.weight }}</b></span
        >
        <NButton
          v-if="!readOnly"
          :aria-label="`Remove ${demand.name}`"
          @click="emit('notes', notes.toSpliced(i, 1))"
          size="small"
        >
          ×
        </NButton>
      </li>
    </ul>
    <div ref="table" class="scroll">
      <NTable size="small" :bordered="false" :bottom-bordered="false">
        <caption class="unseen">
          Needs by hole
        </caption>
        <tbody v-for="{ hole, needs: all, main } in byWidestGap" :key="hole">
          <tr class="hole" @mouseenter="emit('point', main[0] ?? all[0]!)" @mouseleave="emit('point', null)">
            <th scope="row">
              <NButton
                class="fold"
                :data-hole="hole"
                :aria-expanded="open.has(hole)"
                :aria-label="`Hole ${hole}`"
                @click="turn(hole)"
                text
              >
                {{ open.has(hole) ? '▾' : '▸' }} {{ hole }}
              </NButton>
            </th>
            <td colspan="5">
              <span v-for="demand in main" :key="demandKey(demand)" class="piece"
                >{{ what(demand) }} <b>{{ number(demand.distanceM) }}</b><span
                  v-if="
                    demand.playsLikeM &&
                    demand.to === 'green' &&
                    Math.abs(demand.playsLikeM - demand.distanceM) > 2
                  "
                  class="quiet"
                  >&nbsp;plays {{ number(demand.playsLikeM) }}</span
                ></span
              ><span class="piece quiet small">{{ wind(main[0] ?? all[0]!) }}</span>
            </td>
          </tr>
          <template v-if="open.has(hole)">
            <tr
              v-for="demand in all"
              :key="demandKey(demand)"
              class="need"
              :class="{
                changed: changes[demandKey(demand)],
                shown: shown !== null && demandKey(shown) === demandKey(demand),
              }"
              @mouseenter="emit('point', demand)"
              @mouseleave="emit('point', null)"
            >
              <td />
              <td colspan="5">
                <p>
                  <span class="name"
                    >{{ what(demand)
                    }}<em v-if="changes[demandKey(demand)]" class="badge changed">changed</em></span
                  >
                  <span :title="hitFrom(demand)"
                    ><NumberField
                      class="quiet-field"
                      :value="Number(number(demand.distanceM))"
                      :label="`Distance of ${demand.name}`"
                      :unit="unit"
                      :bounds="distanceBounds"
                      :readonly="readOnly"
                      :px="58"
                      @write="writeDistance(demand, $event!)"
                  /></span>
                  <span class="often"
                    >×<NumberField
                      class="quiet-field"
                      :value="demand.weight"
                      :label="`How often ${demand.name}`"
                      :bounds="DEMAND_BOUNDS.weight"
                      :readonly="readOnly"
                      :px="58"
                      @write="change(demand, { weight: $event! })"
                  /></span>
                  <ChoiceField
                    class="quiet-field"
                    :value="demand.lie"
                    :disabled="readOnly"
                    @update:value="change(demand, { lie: $event })"
                    :label="`Lie of ${demand.name}`"
                    :options="LIE_NAMES"
                  />
                  <NCheckbox
                    v-if="demand.to === 'green'"
                    :checked="demand.mustHold"
                    :disabled="readOnly"
                    :aria-label="`${demand.name} must hold`"
                    @update:checked="change(demand, { mustHold: $event })"
                    >holds</NCheckbox
                  >
                  <NButton
                    v-if="!readOnly"
                    class="no-print"
                    :aria-label="`Take away ${demand.name}`"
                    @click="changes[demandKey(demand)] ? bringBack(demandKey(demand)) : takeAway(demand)"
                    size="small"
                    type="primary"
                  >
                    {{ changes[demandKey(demand)] ? '↺' : '×' }}
                  </NButton>
                </p>
              </td>
            </tr>
          </template>
        </tbody>
      </NTable>
    </div>
    <p v-if="takenAway.length" class="small quiet no-print">
      Taken away:
      <template v-for="(demand, i) in takenAway" :key="demandKey(demand)"
        >{{ i ? ', ' : ''
        }}<NButton class="link" @click="bringBack(demandKey(demand))" text type="primary">{{
          demand.name
        }}</NButton></template
      >
      (press to bring back)
    </p>
  </section>
</template>

<style scoped>
.needs {
  min-width: 0;
}
h2 .small {
  font-weight: 400;
  margin-left: 6px;
}
.bar {
  margin: 8px 0;
}

.notes {
  list-style: none;
  margin: 0 0 6px;
  padding: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 5px 12px;
  font-size: 13px;
}
.scroll {
  max-height: 800px;
  overflow-y: auto;
  border-top: 1px solid var(--line);
}
table {
  border-collapse: collapse;
  width: 100%;
  font-size: 13.5px;
}
.hole > * {
  border-top: 1px solid var(--line-soft);
  padding: 5px 6px 5px 0;
  text-align: left;
  font-weight: 400;
}
.hole b {
  font-weight: 600;
}
.piece {
  display: inline-block;
  margin-right: 10px;
}
.hole:hover {
  background: var(--paper);
}
.need td {
  padding: 2px 0;
  font-size: 13px;
  color: var(--quiet);
}
.need p {
  display: flex;
  flex-wrap: wrap;
  gap: 0 8px;
  align-items: center;
}
.need .name {
  flex: 1 0 100%;
}
.need label {
  white-space: nowrap;
}
.need.changed td {
  color: var(--brass-ink);
}
.need.shown .name {
  color: var(--petrol);
  font-weight: 600;
}

.often {
  white-space: nowrap;
}
@media print {
  .scroll {
    max-height: none;
    overflow: visible;
  }
}
.line {
  flex: 1 1 220px;
  width: auto;
}
</style>
