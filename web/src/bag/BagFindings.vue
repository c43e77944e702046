<script setup lang="ts">
import {
  COMMITTEE_DECIDES,
  bagFindings,
  type GapReport,
  type GapSettings,
  type LadderClub,
} from '@tasche/core';
import { computed } from 'vue';

/** What else there is to say of a bag: the Rules, what is hardly hit, what has no place on the ladder. */
const props = defineProps<{
  clubs: readonly LadderClub[];
  report: GapReport;
  settings: Partial<GapSettings>;
}>();
const findings = computed(() => bagFindings(props.clubs, props.settings));
const notes = computed(() =>
  props.report.flags.filter(({ severity, code }) => severity === 'note' || code === 'never-hit'),
);
const speaksOfRules = computed(() => findings.value.some(({ severity }) => severity === 'rule'));
</script>

<template>
  <ul v-if="findings.length || notes.length || report.unplaced.length" class="findings small">
    <li
      v-for="finding in findings"
      :key="finding.text"
      :class="finding.severity === 'rule' ? 'verdict warning' : 'quiet'"
    >
      {{ finding.severity === 'rule' ? '◆' : '·' }} {{ finding.text
      }}<template v-if="finding.rule"> ({{ finding.rule }})</template>
    </li>
    <li v-for="flag in notes" :key="flag.reason" class="quiet">· {{ flag.reason }}</li>
    <li v-for="club in report.unplaced" :key="club.clubId" class="quiet">
      · {{ club.name }}: {{ club.reason }}.
    </li>
    <li v-if="speaksOfRules" class="quiet">{{ COMMITTEE_DECIDES }}</li>
  </ul>
</template>

<style scoped>
.findings {
  list-style: none;
  padding: 0;
  margin: 12px 0 0;
  display: flex;
  flex-wrap: wrap;
  gap: 2px 18px;
}
</style>
