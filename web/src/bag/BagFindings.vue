<script setup lang="ts">
import {
  COMMITTEE_DECIDES,
  bagFindings,
  UNPLACED_WORDS,
  bagFindingSentence,
  flagSentence,
  type DistanceUnit,
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
  unit: DistanceUnit;
}>();
const nameOf = (id: string) => props.clubs.find((club) => club.id === id)?.name ?? '';
const findings = computed(() =>
  bagFindings(props.clubs, props.settings).map((finding) => ({
    ...finding,
    text: bagFindingSentence(finding, nameOf),
  })),
);
const notes = computed(() =>
  props.report.flags
    .filter(({ severity, code }) => severity === 'note' || code === 'never-hit')
    .map((flag) => flagSentence(flag, props.report, props.unit)),
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
    <li v-for="note in notes" :key="note" class="quiet">· {{ note }}</li>
    <li v-for="club in report.unplaced" :key="club.clubId" class="quiet">
      · {{ club.name }}: {{ UNPLACED_WORDS }}.
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
