<script setup lang="ts">
import { NButton } from 'naive-ui';
import type { PasteReport } from './use-sheet-editing';

defineProps<{ report: PasteReport }>();
defineEmits<{ close: [] }>();
</script>

<template>
  <div class="card paste" role="status">
    <div>
      <strong>Pasted:</strong> {{ report.added }} new, {{ report.changed }} changed, {{ report.same }} as they
      were.
      <span v-if="report.inPlace" class="bad"
        >{{ report.inPlace }} {{ report.inPlace === 1 ? 'cell' : 'cells' }} could not be taken; they are
        marked in the sheet.</span
      >
      <span v-if="report.unknownColumns.length" class="warning"
        >Left out, no such column: {{ report.unknownColumns.join(', ') }}.</span
      >
      <ul v-if="report.left.length">
        <li v-for="(one, i) in report.left.slice(0, 8)" :key="i" class="bad">
          Row {{ one.row }}: {{ one.reason }}
        </li>
        <li v-if="report.left.length > 8" class="bad">and {{ report.left.length - 8 }} more</li>
      </ul>
    </div>
    <NButton @click="$emit('close')" size="small">Close</NButton>
  </div>
</template>

<style scoped>
.paste {
  padding: 8px 12px;
  display: flex;
  gap: 12px;
  justify-content: space-between;
  align-items: start;
  margin-bottom: 10px;
  font-size: 13.5px;
}
.bad {
  color: var(--brick-ink);
}
.warning {
  color: var(--brass-ink);
}
ul {
  margin: 4px 0 0;
  padding-left: 18px;
}
</style>
