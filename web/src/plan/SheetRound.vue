<script setup lang="ts">
import { counted, distanceNumber, type CardShot, type DistanceUnit } from '@tasche/core';
import { format, parseISO } from 'date-fns';
import { computed } from 'vue';
import DataTable from '../app/DataTable.vue';
import type { DataColumn } from '../app/data-table';
import { groundWords, roundAirWords } from '../courses/ground-words';
import type { SheetRound } from './sheet-rounds';

/**
 * One round of the swap sheet: what goes out and in, what would change it on the morning, and the bag itself.
 */
const props = defineProps<{
  of: SheetRound;
  /** Where the round is settled. */
  planAt: { name: string; params: Record<string, string> };
  /** What each club carries in the round's air, without its wind, by its id; empty while it is worked out. */
  stock: ReadonlyMap<string, CardShot>;
  unit: DistanceUnit;
  nameOf: (id: string) => string;
}>();

const day = computed(() => format(parseISO(props.of.round.day), 'EEEE d MMMM'));
const swaps = computed(() =>
  props.of.own.swaps.map(({ outId, inId, why }) => ({
    key: `${outId} ${inId}`,
    out: outId ? props.nameOf(outId) : '–',
    in: inId ? props.nameOf(inId) : '–',
    why,
  })),
);
const SWAP_COLUMNS: readonly DataColumn<(typeof swaps.value)[number]>[] = [
  { id: 'out', head: 'Out', cellClass: 'out', value: (swap) => swap.out },
  { id: 'in', head: 'In', cellClass: 'in', value: (swap) => swap.in },
  { id: 'why', head: 'Why', isLong: true, value: ({ why }) => why },
];
const isModelled = (id: string) => props.stock.get(id)?.source === 'modelled';
const after = computed(() => {
  const { after } = props.of.own;
  return after && [after.says, after.keep && `keep: ${after.keep}`].filter(Boolean).join(' ');
});
</script>

<template>
  <section class="round">
    <h2>
      {{ of.round.name }}, {{ day }}<template v-if="of.round.teeTime">, {{ of.round.teeTime }}</template>
      <span class="quiet small"
        >{{ of.course?.name
        }}<template v-if="of.course && of.course.tees.length > 1"
          >, {{ of.course.tees[of.round.tee]?.toLowerCase() }} tees</template
        >. {{ roundAirWords(of.round.air, unit) }}; {{ groundWords(of.round.ground) }}.</span
      >
    </h2>
    <p v-if="!of.bag" class="verdict warning">
      ◆ No bag is settled for this round yet.
      <RouterLink class="no-print" :to="{ ...planAt, query: { round: of.round.id } }">Settle it</RouterLink>
    </p>
    <template v-else>
      <p v-if="of.since === ''" class="same">The bag of {{ of.before!.name }} stays as it is.</p>
      <template v-else>
        <p v-if="of.since" class="same">
          From the bag of {{ of.before!.name }}: <b>{{ of.since }}</b>.
        </p>
        <p v-if="of.own.swaps.length === 0" class="same">The gamer stays as it is.</p>
        <DataTable
          v-else
          class="swaps"
          caption="What goes out and in"
          :columns="SWAP_COLUMNS"
          :rows="swaps"
          :row-key="({ key }) => key"
          :orders="false"
          is-whole
        />
      </template>
      <ul v-if="of.own.triggers.length" class="triggers">
        <li v-for="(trigger, i) in of.own.triggers" :key="i">◇ {{ trigger.text }}</li>
      </ul>
      <p class="bag">
        <b>{{ counted(of.clubs.length, 'club') }}:</b>
        <span v-for="(club, i) in of.clubs" :key="club.id"
          >{{ i ? ', ' : ' ' }}{{ club.name
          }}<span v-if="stock.get(club.id)" class="quiet" :class="{ modelled: isModelled(club.id) }"
            >&nbsp;{{ distanceNumber(stock.get(club.id)!.carryM, unit) }}</span
          ></span
        >
        {{ ' '
        }}<span class="quiet"
          >({{ unit }}, stock carry in this round’s air, without its wind<template
            v-if="of.clubs.some(({ id }) => isModelled(id))"
            >; in italics where modelled</template
          >)</span
        >
      </p>
      <p v-for="finding in of.findings" :key="finding" class="verdict warning">◆ {{ finding }}</p>
      <p v-if="after" class="small quiet">After it: {{ after }}</p>
    </template>
  </section>
</template>

<style scoped>
.modelled {
  font-style: italic;
}
.round {
  border-top: 2px solid var(--ink);
  padding: 10px 0 14px;
  break-inside: avoid;
}
h2 {
  font-size: 17px;
  margin-bottom: 8px;
}
h2 .small {
  font-weight: 400;
  margin-left: 8px;
}
:deep(.out) {
  font-weight: 600;
  text-decoration: line-through;
  text-decoration-color: var(--brick);
  white-space: nowrap;
}
:deep(.in) {
  font-weight: 600;
  color: var(--petrol);
  white-space: nowrap;
}
.same {
  margin-bottom: 4px;
  font-size: 15px;
}
.triggers {
  list-style: none;
  margin: 8px 0;
  padding: 6px 12px;
  background: var(--brass-soft);
  border-radius: 4px;
  display: grid;
  gap: 3px;
}
.bag {
  margin-top: 8px;
  line-height: 1.5;
}
@media print {
  .triggers {
    border: 1px solid var(--line);
    background: none;
  }
}
</style>
