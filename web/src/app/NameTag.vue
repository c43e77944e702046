<script setup lang="ts">
import { NTag } from 'naive-ui';

/** A word at a name: what is true of it, or what changes about it. */
const { kind = 'plain' } = defineProps<{ kind?: 'plain' | 'out' | 'changed' }>();
const TYPES = { plain: 'info', out: 'error', changed: 'warning' } as const;
</script>

<template>
  <NTag class="badge" size="tiny" :type="TYPES[kind]"><slot /></NTag>
</template>

<style scoped>
.badge {
  height: auto;
  padding: 0 4px;
  margin-left: 6px;
  font-size: 11.5px;
  font-style: normal;
  font-weight: 500;
  line-height: 1.4;
  letter-spacing: 0;
}
/* Beside a title. */
h1 .badge {
  font-size: 12px;
  padding: 1px 6px;
  margin-left: 8px;
  vertical-align: 4px;
}
</style>
