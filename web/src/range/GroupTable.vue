<script setup lang="ts">
import { NButton, NTable } from 'naive-ui';
import type { SessionEntry } from '@tasche/contract';
import {
  counted,
  CARRY_MARGIN_M,
  distanceNumber,
  formatDistance,
  type DistanceUnit,
  type Shot,
  shotKindWords,
} from '@tasche/core';
import { computed } from 'vue';
import { useIsNarrow } from '../app/is-narrow';
import { useSheet } from '../sheet/sheet-store';
import GroupOffer from './GroupOffer.vue';
import { driftWords } from './group-drift';
import type { DriftRow, GroupSummary } from './range-worker';
import { heightUnit, plusMinusWords, sideWords } from './strike-units';
import Hint from '../app/Hint.vue';

/** What each club did in a session, in the player's own air; and the offer to take it into the sheet. */
const props = defineProps<{
  session: SessionEntry;
  groups: readonly GroupSummary[];
  drifts: readonly DriftRow[];
  shown: readonly string[];
  unit: DistanceUnit;
}>();
const emit = defineEmits<{ take: [group: GroupSummary, shot: Shot]; show: [key: string] }>();
const store = useSheet();
/** Where the last column is out of sight, the offer stands under its club. */
const isNarrow = useIsNarrow();
const height = computed(() => heightUnit(props.unit));
const n = (metres: number, decimals = 0) => distanceNumber(metres, props.unit, decimals);
const place = (group: GroupSummary) => store.clubs.findIndex(({ id }) => id === group.clubId);
const sorted = computed(() =>
  [...props.groups].sort(
    (a, b) => (b.summary?.carryM.mean ?? 0) - (a.summary?.carryM.mean ?? 0) || place(a) - place(b),
  ),
);
const name = (group: GroupSummary) =>
  `${store.nameOf(group.clubId)}${group.shot === 'full' ? '' : ` ${shotKindWords(group.shot)}`}`;
/** "11.5–13.2"; of one shot, or where both ends are one, a single number. */
const window = (ends: readonly [number, number], decimals: number) =>
  [...new Set(ends.map((end) => end.toFixed(decimals)))].join('–');
const settle = (more: number | undefined) =>
  more === undefined ? 'a few more shots say' : more === 0 ? 'known' : `${more} more`;

const drift = (group: GroupSummary) => {
  const row = props.drifts.find(({ key }) => key === group.key);
  return row && driftWords(row, props.unit);
};
</script>

<template>
  <div class="scroll">
    <NTable size="small" :bordered="false" :bottom-bordered="false">
      <caption class="unseen">
        What each club did, in the player’s own air
      </caption>
      <thead>
        <tr>
          <th scope="col">Club</th>
          <th scope="col">Shots</th>
          <th scope="col">Carry</th>
          <th scope="col"><Hint says="Huber’s mean: a wild shot pulls it little">Robust</Hint></th>
          <th scope="col"><Hint says="One standard deviation, along and across">Along × across</Hint></th>
          <th scope="col"><Hint says="Eight carries in ten lie between these two">8 in 10 carry</Hint></th>
          <th scope="col">Total</th>
          <th scope="col">Side</th>
          <th scope="col"><Hint says="What eight in ten are within">Launch</Hint></th>
          <th scope="col"><Hint says="What eight in ten are within">Spin</Hint></th>
          <th scope="col">Apex</th>
          <th scope="col">
            <Hint
              :says="`Until the mean carry is known to ${formatDistance(CARRY_MARGIN_M, unit)}, 19 times in 20`"
            >
              To ±{{ formatDistance(CARRY_MARGIN_M, unit) }}
            </Hint>
          </th>
          <th v-if="!isNarrow" scope="col">On the sheet</th>
        </tr>
      </thead>
      <tbody>
        <template v-for="group in sorted" :key="group.key">
          <tr :class="{ shown: shown.includes(group.key) }">
            <th scope="row">
              <NButton
                class="name"
                :aria-pressed="shown.includes(group.key)"
                title="Show its shots and its ellipse"
                @click="emit('show', group.key)"
                text
              >
                {{ name(group) }}
              </NButton>
            </th>
            <td>
              {{ group.n }}<span v-if="group.leftOut" class="quiet"> of {{ group.n + group.leftOut }}</span
              ><Hint
                v-if="group.outliers"
                class="verdict warning"
                :says="`${group.outliers} far from the rest; they count until you leave them out below`"
              >
                ◆{{ group.outliers }}</Hint
              >
            </td>
            <template v-if="group.summary">
              <td>
                <b>{{ n(group.summary.carryM.mean, 1) }}</b>
                <span class="quiet">{{ plusMinusWords(group.summary.carryM.plusMinus, unit) }}</span>
              </td>
              <td>{{ n(group.summary.carryM.robust, 1) }}</td>
              <td>
                {{ group.n > 1 ? n(group.summary.carryM.spread, 1) : '–' }} ×
                {{ group.n > 1 && group.summary.offlineM ? n(group.summary.offlineM.spread, 1) : '–' }}
              </td>
              <td>
                {{ group.n < 3 ? '–' : `${n(group.summary.lowEndM)}–${n(group.summary.highEndM)}` }}
              </td>
              <td>{{ n(group.summary.totalM.mean) }}</td>
              <td>{{ group.summary.offlineM ? sideWords(group.summary.offlineM.mean, unit) : '–' }}</td>
              <td>{{ window(group.summary.launchWindowDeg, 1) }}°</td>
              <td>{{ window(group.summary.spinWindowRpm, 0) }}</td>
              <td>
                {{ distanceNumber(group.summary.apexM.mean, height) }} <span class="quiet">{{ height }}</span>
              </td>
              <td>
                <span class="verdict" :class="group.summary.moreShots === 0 ? 'fine' : 'unknown'"
                  >{{ group.summary.moreShots === 0 ? '●' : '○' }} {{ settle(group.summary.moreShots) }}</span
                >
              </td>
              <td v-if="!isNarrow" class="offer">
                <GroupOffer
                  :session="session"
                  :group="group"
                  :unit="unit"
                  @take="emit('take', group, $event)"
                />
              </td>
            </template>
            <td v-else :colspan="isNarrow ? 10 : 11" class="quiet">nothing that counts</td>
          </tr>
          <tr v-if="isNarrow && group.summary" class="drift">
            <td colspan="12">
              <p class="in-sight">
                On the sheet
                <GroupOffer
                  :session="session"
                  :group="group"
                  :unit="unit"
                  @take="emit('take', group, $event)"
                />
              </p>
            </td>
          </tr>
          <tr v-if="drift(group)" class="drift">
            <td :colspan="isNarrow ? 12 : 13">
              <p class="in-sight">
                <span class="verdict warning">◆ {{ name(group) }}: {{ drift(group)!.words }}</span
                >{{ ' ' }}
                <span class="quiet"
                  >({{ drift(group)!.numbers }}; {{ counted(drift(group)!.before, 'shot') }} before)</span
                >
              </p>
            </td>
          </tr>
        </template>
      </tbody>
    </NTable>
  </div>
</template>

<style scoped>
.scroll {
  container-type: inline-size;
}
table {
  border-collapse: collapse;
  width: 100%;
  font-family: var(--narrow);
  font-size: 14px;
}
th {
  text-align: right;
  font-weight: 400;
  color: var(--quiet);
  font-size: 12.5px;
}
th:first-child {
  text-align: left;
}
td,
th {
  padding: 4px 10px 4px 0;
  border-top: 1px solid var(--line-soft);
  white-space: nowrap;
  text-align: right;
}
tbody th {
  text-align: left;
}
.name {
  border-left: 3px solid transparent;
  padding: 4px 8px 4px 7px;
  margin-left: -10px;
  color: var(--ink);
  font-weight: 600;
  font-size: 13.5px;
  cursor: pointer;
  min-height: 32px;
}
.name:hover {
  color: var(--petrol);
}
.shown .name {
  border-left-color: var(--petrol);
  color: var(--petrol);
}
.offer {
  text-align: left;
}
.offer > :deep(span) {
  margin-right: 6px;
}
td:last-child,
th:last-child,
td:nth-last-child(2),
th:nth-last-child(2) {
  text-align: left;
}
td:last-child,
th:last-child {
  padding-right: 0;
}
.drift td {
  border-top: 0;
  text-align: left;
  padding-top: 0;
}
/* A sentence is as wide as what can be seen of the table. */
.in-sight {
  position: sticky;
  left: 0;
  width: max-content;
  max-width: 100cqi;
  white-space: normal;
}
</style>
