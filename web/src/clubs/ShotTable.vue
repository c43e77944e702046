<script setup lang="ts">
import { SHOT_PARTS, columnOf, type ClubView, type Column, type ShotPart } from '@tasche/contract';
import { SHOT_KINDS, factSourceWords, shotIn, type DistanceUnit, type ShotKind } from '@tasche/core';
import { NTable } from 'naive-ui';
import TextField from '../fields/TextField.vue';
import { useClubCells } from './use-club-cells';

/** The usual shots of a club, a row each, to be typed over. */
const props = defineProps<{ club: ClubView; unit: DistanceUnit; takenOn: string; readOnly: boolean }>();
const { complaints, show, write } = useClubCells({
  club: () => props.club,
  unit: () => props.unit,
  takenOn: () => props.takenOn,
});

const HEADS: Partial<Record<ShotPart, string>> = {
  carryM: 'carry',
  totalM: 'total',
  apexM: 'apex',
  descentDeg: 'land',
  spreadM: '±',
  teeGainM: '+ off a tee',
  sampleSize: 'shots',
};
const PARTS = SHOT_PARTS.filter((part) => HEADS[part] !== undefined);

function shotColumn(kind: ShotKind, part: ShotPart): Column {
  return columnOf(`shot.${kind}.${part}`)!;
}
</script>

<template>
  <div class="scroll">
    <NTable size="small" :bordered="false" :bottom-bordered="false" class="shots">
      <thead>
        <tr>
          <th />
          <th v-for="part in PARTS" :key="part">{{ HEADS[part] }}</th>
          <th>source</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="kind in SHOT_KINDS" :key="kind">
          <th scope="row">{{ kind }}</th>
          <td v-for="part in PARTS" :key="part">
            <TextField
              :value="show(shotColumn(kind, part))"
              :aria-label="`${kind} ${HEADS[part]}`"
              :disabled="readOnly"
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
  </div>
  <p v-for="[id, one] in complaints" :key="id" class="verdict error small" role="alert">■ {{ one.reason }}</p>
</template>

<style scoped>
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
/* Three digits, and which shot they are of, are always in sight. */
.shots td:has(.n-input) {
  min-width: 50px;
}
.shots tbody th {
  position: sticky;
  left: 0;
  z-index: 1;
  background: var(--paper);
}
</style>
