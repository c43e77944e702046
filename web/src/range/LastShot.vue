<script setup lang="ts">
import type { StrikeView } from '@tasche/contract';
import { distanceNumber, shotName, type DistanceUnit, type StrikePart } from '@tasche/core';
import { computed } from 'vue';
import { clubColumns, heightUnit, sideWords, speedNumber, speedUnit } from './strike-units';
import type { WorkedShot } from './worked-shots';

/** A ball's numbers, its carry large enough to read from the mat; what was worked out is in italics. */
const props = defineProps<{ strike: StrikeView; whole: WorkedShot; club: string; unit: DistanceUnit }>();
const isWorkedOut = (part: StrikePart) => props.strike.given[part] === undefined;

/** More of them stand in four columns, a little smaller. */
const USUAL_NUMBERS = 6;
interface BoardNumber {
  head: string;
  number: string;
  isModelled: boolean;
}
const numbers = computed((): BoardNumber[] => {
  const { whole, strike, unit } = props;
  const height = heightUnit(unit);
  return [
    {
      head: 'side',
      number: whole.isSideKnown ? sideWords(whole.offlineM, unit) : '–',
      isModelled: isWorkedOut('offlineM'),
    },
    { head: 'total', number: distanceNumber(whole.totalM, unit), isModelled: isWorkedOut('totalM') },
    {
      head: `ball, ${speedUnit(unit)}`,
      number: speedNumber(whole.ballSpeedMps, unit),
      isModelled: isWorkedOut('ballSpeedMps'),
    },
    { head: 'launch', number: `${whole.launchDeg.toFixed(1)}°`, isModelled: isWorkedOut('launchDeg') },
    { head: 'spin', number: whole.spinRpm.toFixed(0), isModelled: isWorkedOut('spinRpm') },
    {
      head: `apex, ${height}`,
      number: distanceNumber(whole.apexM, height),
      isModelled: isWorkedOut('apexM'),
    },
    // What the monitor saw of the club, where it sees it.
    ...clubColumns([strike]).map(({ head, show }) => ({
      head: head.toLowerCase(),
      number: show(whole, strike.given),
      isModelled: false,
    })),
  ];
});
</script>

<template>
  <div class="big">
    <span class="what">{{ shotName(strike.shot, club) }}</span>
    <b :class="{ modelled: isWorkedOut('carryM') }">{{ distanceNumber(whole.carryM, unit) }}</b>
    <span class="what">carry, {{ unit }}</span>
  </div>
  <dl :class="{ many: numbers.length > USUAL_NUMBERS }">
    <div v-for="{ head, number, isModelled } in numbers" :key="head">
      <dt>{{ head }}</dt>
      <dd :class="{ modelled: isModelled }">{{ number }}</dd>
    </div>
  </dl>
  <slot />
</template>

<style scoped>
.what {
  color: var(--quiet);
  font-size: 18px;
}
.big {
  display: grid;
  justify-items: start;
}
.big b {
  font-size: 148px;
  line-height: 0.92;
  font-weight: 600;
  letter-spacing: -0.04em;
  min-width: 2.4ch;
}
dl {
  display: grid;
  grid-template-columns: repeat(3, auto);
  gap: 8px 26px;
  margin: 0;
}
dt {
  color: var(--quiet);
  font-size: 15px;
}
dd {
  margin: 0;
  font-size: 42px;
  line-height: 1.05;
  font-weight: 500;
}
.many {
  grid-template-columns: repeat(4, auto);
  column-gap: 22px;
}
.many dd {
  font-size: 36px;
}
.modelled {
  font-style: italic;
  color: var(--quiet);
}
@media (max-width: 700px) {
  .big b {
    font-size: 116px;
  }
  dd {
    font-size: 32px;
  }
  dl,
  .many {
    grid-template-columns: repeat(3, auto);
    gap: 6px 22px;
  }
  .many dd {
    font-size: 30px;
  }
}
</style>
