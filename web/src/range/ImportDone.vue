<script setup lang="ts">
import { digits } from '@tasche/core';
import type { StrikeImportReport } from '@tasche/contract';
import { NButton, NCard } from 'naive-ui';
import { computed } from 'vue';
import { refusedRows } from './refused-rows';

/** The result of an import. */
const props = defineProps<{ playerId: string; report: StrikeImportReport }>();
const emit = defineEmits<{ saveRefusals: [] }>();
const refused = computed(() => refusedRows(props.report));
</script>

<template>
  <NCard tag="section" class="result" role="status">
    <p v-if="report.taken > 0" class="verdict fine">
      ● {{ digits(report.taken) }} {{ report.taken === 1 ? 'shot' : 'shots' }} imported, on
      {{ report.days.length }} {{ report.days.length === 1 ? 'day' : 'days' }}.
    </p>
    <p v-else class="verdict warning">◆ Nothing new in it.</p>
    <p class="small">
      <template v-if="report.duplicates"
        >{{ digits(report.duplicates) }} were here already or twice in the file. </template
      ><template v-if="report.otherClubs"
        >{{ digits(report.otherClubs) }} with clubs that were left out. </template
      ><template v-if="report.otherPlayers">{{ digits(report.otherPlayers) }} of other players. </template
      ><template v-if="refused.refused">{{ digits(refused.refused) }} could not be imported. </template>Ctrl Z
      undoes it.
    </p>
    <p v-if="refused.refused > 0">
      <NButton @click="emit('saveRefusals')" size="small"> Save the list of rows left out </NButton>
    </p>
    <p class="bar">
      <RouterLink class="plain-button main" :to="{ name: 'range', params: { playerId } }"
        >To the range</RouterLink
      >
    </p>
  </NCard>
</template>

<style scoped>
.result {
  padding: 14px 18px;
  max-width: 900px;
  display: grid;
  gap: 8px;
}
</style>
