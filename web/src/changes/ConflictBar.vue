<script setup lang="ts">
import { quantityOf } from '@tasche/core';
import { showQuantity, type Conflict } from '@tasche/contract';
import { computed } from 'vue';
import { useSheet } from '../sheet/sheet-store';

const sheet = useSheet();
const conflicts = computed(() => sheet.conflicted.flatMap((one) => one.conflicts));

function label(conflict: Conflict): string {
  return quantityOf(conflict.field)?.label ?? conflict.field.replace(/^shot\.(.*)$/, '$1 carry');
}

function show(field: string, value: unknown): string {
  if (value === null || value === undefined) return 'nothing';
  const quantity = quantityOf(field);
  if (quantity && (typeof value === 'number' || typeof value === 'string')) return showQuantity(quantity, value);
  if (typeof value === 'object' && 'carryM' in value) return `${(value as { carryM: number }).carryM.toFixed(1)} m`;
  return Array.isArray(value) ? `${value.length} ${field === 'bag' ? 'clubs' : field}` : JSON.stringify(value);
}
</script>

<template>
  <div v-if="conflicts.length" class="strip conflict no-print" role="alert">
    <div>
      <strong>Someone else changed this meanwhile.</strong>
      <span v-for="(conflict, i) in conflicts" :key="i" class="one">
        {{ conflict.name }}, {{ label(conflict) }}: yours <b>{{ show(conflict.field, conflict.yours) }}</b>,
        theirs <b>{{ show(conflict.field, conflict.theirs) }}</b>.
      </span>
    </div>
    <button class="plain-button slim" @click="sheet.keepTheirs()">Keep theirs</button>
    <button class="plain-button slim main" @click="sheet.saveMine()">Save mine</button>
  </div>
  <div v-if="sheet.refused" class="strip refused no-print" role="alert">
    <div><strong>Not done.</strong> {{ sheet.refused.message }}</div>
    <button class="plain-button slim" @click="sheet.refused = null">Put away</button>
  </div>
</template>

<style scoped>
.strip { padding: 8px 24px; display: flex; gap: 10px; align-items: center; flex-wrap: wrap; }
.conflict { background: var(--brass-soft); border-bottom: 1px solid var(--brass); }
.refused { background: var(--brick-soft); border-bottom: 1px solid var(--brick); }
.one { margin-left: 8px; }
</style>
