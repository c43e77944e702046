<script setup lang="ts">
import { clubName } from '@tasche/contract';
import { NTable } from 'naive-ui';
import {
  counted,
  basketReasonSentence,
  distanceNumber,
  shotName,
  type BasketPart,
  type DistanceUnit,
  type LadderClub,
} from '@tasche/core';
import { computed } from 'vue';

/** The shots of a basket in the order they are worth hitting, with room to write carries down when it is printed. */
const props = defineProps<{
  parts: readonly BasketPart[];
  clubs: ReadonlyMap<string, LadderClub>;
  unit: DistanceUnit;
}>();

const nameOf = (id: string) => clubName(props.clubs, id);
/** Where what is known now comes from, in words. */
function knownWords({ clubId, shotKind }: BasketPart): string {
  const club = props.clubs.get(clubId);
  const shot = club?.shots[shotKind];
  if (!shot || shot.source === 'modelled') return 'modelled';
  const how = shot.source === 'stated' ? 'stated' : counted(shot.sampleSize ?? 0, 'shot');
  return club.changed?.[shotKind] ? `${how}, before the club was changed` : how;
}
const rows = computed(() =>
  props.parts.map((part) => ({
    key: `${part.clubId} ${part.shotKind}`,
    name: shotName(part.shotKind, nameOf(part.clubId)),
    balls: part.balls,
    carry: distanceNumber(part.carryM, props.unit),
    known: knownWords(part),
    now: distanceNumber(part.nowM, props.unit),
    then: distanceNumber(part.thenM, props.unit),
    gain: part.gain < 0.005 ? 'little' : part.gain.toFixed(2),
    why: basketReasonSentence(part, nameOf, props.unit),
  })),
);
</script>

<template>
  <div class="scroll">
    <NTable class="basket" size="small" :single-line="false">
      <caption class="unseen">
        Shots to hit, those that settle most first
      </caption>
      <thead>
        <tr>
          <th scope="col">Hit</th>
          <th scope="col" class="num">Balls</th>
          <th scope="col" class="num">Carry, {{ unit }}</th>
          <th scope="col" class="num">Known to ±</th>
          <th scope="col" class="num">After ±</th>
          <th scope="col" class="num" title="Strokes a round that leaving this out would cost">Worth</th>
          <th scope="col">What it settles</th>
          <th scope="col" class="write print-only">Carries</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rows" :key="row.key">
          <th scope="row">{{ row.name }}</th>
          <td class="num balls">{{ row.balls }}</td>
          <td class="num">
            {{ row.carry }} <span class="quiet small known">{{ row.known }}</span>
          </td>
          <td class="num">{{ row.now }}</td>
          <td class="num">{{ row.then }}</td>
          <td class="num">{{ row.gain }}</td>
          <td class="why">{{ row.why }}</td>
          <td class="print-only" />
        </tr>
      </tbody>
    </NTable>
  </div>
</template>

<style scoped>
.basket {
  margin-top: 12px;
}
.basket th[scope='row'] {
  white-space: nowrap;
  color: var(--ink);
  font-weight: 600;
}
.num {
  text-align: right;
  white-space: nowrap;
}
.balls {
  font-weight: 600;
  font-size: 17px;
}
.known {
  display: block;
}
.print-only {
  display: none;
}
@media print {
  .print-only {
    display: table-cell;
  }
  .write {
    width: 34%;
  }
}
@media (max-width: 700px) {
  .why {
    min-width: 250px;
  }
}
</style>
