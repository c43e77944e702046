<script setup lang="ts">
import { showQuantity, type ClubView, type Command, type ClubStint } from '@tasche/contract';
import { quantityOf, type QuantityKey } from '@tasche/core';
import { NAlert, NButton, NEmpty, NTable } from 'naive-ui';
import { computed } from 'vue';
import { useRead } from '../api/read';
import { shortDay } from '../app/day';
import ProblemLine from '../app/ProblemLine.vue';
import QuantityField from '../fields/QuantityField.vue';
import { today } from '../app/day';
import { useSheet } from '../sheet/sheet-store';
import BenchHead from './BenchHead.vue';

/**
 * A player's putters: which was played from when to when, what each is for, and back to any of them in one
 * press.
 */
const props = defineProps<{ playerId: string }>();
const store = useSheet();

const putters = computed(() => store.clubs.filter(({ kind }) => kind === 'putter'));
const inBag = computed(() => putters.value.filter(({ id }) => store.gamer?.clubIds.includes(id)));
const KEYS: readonly QuantityKey[] = [
  'lengthIn',
  'lieDeg',
  'loftMeasuredDeg',
  'headWeightG',
  'toeHangDeg',
  'greenSpeeds',
];
const LABELS: Partial<Record<QuantityKey, string>> = { loftMeasuredDeg: 'Loft' };
const labelOf = (key: QuantityKey) => LABELS[key] ?? quantityOf(key)!.label;
function valueOf(club: ClubView, key: QuantityKey): number | string | null {
  const fact =
    key === 'loftMeasuredDeg'
      ? (club.spec.loftMeasuredDeg ?? club.spec.loftSetDeg ?? club.spec.loftStampedDeg)
      : club.spec[key];
  return typeof fact?.value === 'object' ? null : (fact?.value ?? null);
}
function write(club: ClubView, key: QuantityKey, value: number | string | null): void {
  if (value === valueOf(club, key)) return;
  store.change([
    {
      do: 'editClub',
      clubId: club.id,
      version: club.version,
      readings: [{ key, value, takenOn: today() }],
    },
  ]);
}
function shown(club: ClubView, key: QuantityKey): string {
  const value = valueOf(club, key);
  return value === null ? '–' : showQuantity(quantityOf(key)!, value);
}

const { found: stints, problem } = useRead<readonly ClubStint[]>(() => `/players/${props.playerId}/putters`);
const dayOf = (moment: string) => shortDay(moment.slice(0, 10));

/** One putter in the place of those in the gamer; the bag keeps its number of clubs. */
function play(club: ClubView): void {
  const { gamer } = store;
  if (!gamer) return;
  store.change(
    [
      ...inBag.value.map(({ id }): Command => ({ do: 'takeOut', bagId: gamer.id, clubId: id })),
      { do: 'putIn', bagId: gamer.id, clubId: club.id },
    ],
    `back to the ${club.name}`,
  );
}
</script>

<template>
  <div class="page">
    <BenchHead :player-id="playerId">
      Putters
      <template #says
        ><p class="quiet">What was played when, what each is for, and back to it in one press.</p></template
      >
    </BenchHead>
    <NEmpty v-if="putters.length === 0" description="There is no putter in the locker yet." />
    <template v-else>
      <div class="scroll">
        <NTable class="figures putters" size="small" :bordered="false">
          <caption class="unseen">
            Putters of the locker
          </caption>
          <thead>
            <tr>
              <th scope="col">Putter</th>
              <th v-for="key in KEYS" :key="key" scope="col">{{ labelOf(key) }}</th>
              <th scope="col" class="left no-print">Gamer</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="club in putters" :key="club.id">
              <th scope="row">{{ club.name }}</th>
              <td v-for="key in KEYS" :key="key">
                <QuantityField
                  v-if="store.may('editClub')"
                  :class="{ 'quiet-field': valueOf(club, key) !== null }"
                  :quantity-key="key"
                  :value="valueOf(club, key)"
                  :label="`${club.name}, ${labelOf(key).toLowerCase()}`"
                  @update:value="write(club, key, $event)"
                />
                <template v-else>{{ shown(club, key) }}</template>
              </td>
              <td class="left no-print">
                <span v-if="inBag.includes(club)" class="verdict fine">● in the gamer</span>
                <NButton v-else-if="store.may('putIn') && store.gamer" size="small" @click="play(club)"
                  >Play this one</NButton
                >
              </td>
            </tr>
          </tbody>
        </NTable>
      </div>
      <h2>Played</h2>
      <ProblemLine :text="problem" />
      <ul v-if="stints" class="stints">
        <li v-for="stint in stints" :key="`${stint.clubId} ${stint.from}`">
          <b>{{ stint.clubName }}</b> {{ stint.from ? `from ${dayOf(stint.from)}` : 'from the beginning' }}
          {{ stint.to ? `to ${dayOf(stint.to)}` : 'until now' }}
        </li>
        <li v-if="stints.length === 0" class="quiet">No putter has been in the gamer yet.</li>
      </ul>
      <NAlert type="info" :show-icon="false" class="rules">
        Rule 10.1b: the club is not anchored against the body; held along the forearm only as the Rule
        describes. A putter may be longer than the 46 or 48 inches other clubs are held to; it is at least 18
        inches. The committee has the last word.
      </NAlert>
    </template>
  </div>
</template>

<style scoped>
.putters {
  max-width: 1060px;
  margin-bottom: 16px;
}
.putters .left {
  text-align: left;
}
.stints {
  list-style: none;
  margin: 6px 0 16px;
  padding: 0;
  display: grid;
  gap: 4px;
}
.rules {
  max-width: 860px;
}
</style>
