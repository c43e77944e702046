<script setup lang="ts">
import type { SeasonView } from '@tasche/contract';
import { MONTH_NAMES } from './month-names';

/** The year as its seasons share it; each lasts until the next begins. */
const props = defineProps<{ /** In the order they begin. */ seasons: readonly SeasonView[] }>();
const months = (s: number) =>
  (props.seasons[(s + 1) % props.seasons.length]!.fromMonth - props.seasons[s]!.fromMonth + 12) % 12 || 12;
</script>

<template>
  <div class="year" aria-hidden="true">
    <span v-for="(month, m) in MONTH_NAMES" :key="m" class="small quiet">{{ month.slice(0, 3) }}</span>
    <template v-for="(season, s) in seasons" :key="season.id"
      ><i
        v-for="from in [season.fromMonth - 1, season.fromMonth - 13]"
        :key="from"
        :style="{ left: `${(from / 12) * 100}%`, width: `${(months(s) / 12) * 100}%` }"
        :class="season.ground.fairways"
        >{{ from < 0 ? '' : season.name }}</i
      ></template
    >
  </div>
</template>

<style scoped>
.year {
  position: relative;
  display: grid;
  grid-template-columns: repeat(12, 1fr);
  height: 50px;
  margin-bottom: 14px;
  border-top: 1px solid var(--line);
  padding-top: 3px;
  overflow: hidden;
}
.year i {
  position: absolute;
  top: 22px;
  height: 24px;
  font-style: normal;
  font-size: 12.5px;
  padding: 3px 8px;
  border-radius: 4px;
  border: 1px solid var(--line);
  background: var(--paper);
  white-space: nowrap;
  overflow: hidden;
}
.year i.firm,
.year i.baked {
  background: var(--brass-soft);
  border-color: var(--brass);
}
.year i.soft,
.year i.soaked {
  background: var(--petrol-soft);
  border-color: var(--petrol-mid);
}
</style>
