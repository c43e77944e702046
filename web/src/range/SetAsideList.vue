<script setup lang="ts">
import type { Page, SetAsideView } from '@tasche/contract';
import { computed } from 'vue';
import { useRead } from '../api/read';
import ProblemLine from '../app/ProblemLine.vue';

/** What the monitor sent that could not be used, and why. */
const props = defineProps<{ sessionId: string }>();
const read = useRead<Page<SetAsideView>>(() => `/sessions/${props.sessionId}/set-aside?limit=200`);
const page = computed(() => read.found.value);
/** Of a line so much is shown. */
const MAX_CHARACTERS = 120;
</script>

<template>
  <ProblemLine :text="read.problem.value" />
  <ul v-if="page" class="aside small">
    <li v-if="page.rows.length === 0" class="quiet">Nothing was set aside.</li>
    <li v-for="(one, i) in page.rows" :key="i">
      <span class="verdict warning">◆ {{ one.reason }}</span>
      <code>{{ one.text.slice(0, MAX_CHARACTERS) }}</code>
    </li>
    <li v-if="page.next" class="quiet">The newest {{ page.rows.length }} of {{ page.total }}.</li>
  </ul>
</template>

<style scoped>
.aside {
  margin: 8px 0;
  padding-left: 0;
  list-style: none;
  max-height: 140px;
  overflow: auto;
}
.aside code {
  color: var(--quiet);
  overflow-wrap: anywhere;
}
</style>
