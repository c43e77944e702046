<script setup lang="ts">
import {
  demandKey,
  distanceNumber,
  type DemandChanges,
  type DistanceUnit,
  type ShotDemand,
} from '@tasche/core';
import { NButton, NTable } from 'naive-ui';
import { computed, nextTick, ref, useTemplateRef, watch } from 'vue';
import { windWords } from '../conditions/air-units';
import NeedRow from './NeedRow.vue';
import PracticeNotes from './PracticeNotes.vue';

/**
 * The shots of a round, hole by hole: what was derived, what was changed of it, and what practice rounds
 * showed.
 */
const props = defineProps<{
  needs: readonly ShotDemand[];
  takenAway: readonly ShotDemand[];
  /** A need somebody asked to see: its hole opens. */ shown: ShotDemand | null;
  changes: DemandChanges;
  notes: readonly ShotDemand[];
  /** What earlier rounds on this course asked for, as far as shots were recorded. */
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

const open = ref<ReadonlySet<number>>(new Set());
const noted = computed(() => new Set(props.notes.map(({ name }) => name)));
const byHole = computed(() => {
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
    <PracticeNotes
      :notes="notes"
      :played="played"
      :unit="unit"
      :read-only="readOnly"
      @notes="emit('notes', $event)"
    />
    <div ref="table" class="scroll">
      <NTable size="small" :bordered="false" :bottom-bordered="false">
        <caption class="unseen">
          Needs by hole
        </caption>
        <tbody v-for="{ hole, needs: all, main } in byHole" :key="hole">
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
                <NeedRow
                  :demand="demand"
                  :is-changed="Boolean(changes[demandKey(demand)])"
                  :unit="unit"
                  :read-only="readOnly"
                  @change="change(demand, $event)"
                  @take-away="takeAway(demand)"
                  @bring-back="bringBack(demandKey(demand))"
                />
              </td>
            </tr>
          </template>
        </tbody>
      </NTable>
    </div>
    <p v-if="takenAway.length" class="small quiet no-print">
      Removed:
      <template v-for="(demand, i) in takenAway" :key="demandKey(demand)"
        >{{ i ? ', ' : ''
        }}<NButton class="link" @click="bringBack(demandKey(demand))" text type="primary">{{
          demand.name
        }}</NButton></template
      >
      (press to put back)
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
.scroll {
  max-height: 800px;
  overflow: auto;
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
.need.changed td {
  color: var(--brass-ink);
}
.need.shown :deep(.name) {
  color: var(--petrol);
  font-weight: 600;
}

@media print {
  .scroll {
    max-height: none;
    overflow: visible;
  }
}
</style>
