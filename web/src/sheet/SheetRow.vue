<script setup lang="ts">
import type { ClubView } from '@tasche/contract';
import type { DistanceUnit } from '@tasche/core';
import { ChevronRight } from 'lucide-vue-next';
import { NButton } from 'naive-ui';
import { computed } from 'vue';
import { showCell, type SheetColumn } from './sheet-columns';

/**
 * A club's row of the sheet. What it shows comes as plain values, so that one cell's change draws one row
 * again.
 */
const props = defineProps<{
  club: ClubView;
  columns: readonly SheetColumn[];
  unit: DistanceUnit;
  rowPx: number;
  /** Null where another row is active. */
  activeColumn: number | null;
  editing: boolean;
  /** Reasons of texts that were refused, by `clubId column`. */
  rejected: ReadonlyMap<string, { text: string; reason: string }>;
  badge: string | undefined;
  canGrab: boolean;
}>();
const draft = defineModel<string>('draft', { required: true });
const emit = defineEmits<{
  key: [event: KeyboardEvent];
  focus: [column: number];
  down: [column: number];
  double: [column: number];
  press: [column: number];
  open: [];
  editorKey: [event: KeyboardEvent];
  /** What is being typed is left, and stands. */
  leave: [];
}>();

const cells = computed(() =>
  props.columns.map((column) => ({
    column,
    shown: showCell(props.club, column, props.unit),
    refused: props.rejected.get(`${props.club.id} ${column.id}`),
  })),
);
</script>

<template>
  <tr
    :data-club="club.id"
    :data-name="club.name"
    :style="{ height: `${rowPx}px` }"
    :class="{ on: activeColumn !== null }"
  >
    <td
      v-for="({ column, shown, refused }, i) in cells"
      :key="column.id"
      role="gridcell"
      :class="[
        column.align,
        shown.source,
        {
          first: i === 0,
          rejected: refused,
        },
      ]"
      :tabindex="activeColumn === i ? 0 : -1"
      :data-active="activeColumn === i"
      :data-column="column.id"
      :title="refused?.reason ?? shown.origin ?? (i === 0 ? club.name : undefined)"
      :aria-invalid="refused !== undefined || undefined"
      @keydown="emit('key', $event)"
      @focus="emit('focus', i)"
      @mousedown.left="emit('down', i)"
      @dblclick="emit('double', i)"
      @click="emit('press', i)"
    >
      <input
        v-if="editing && activeColumn === i"
        v-model="draft"
        class="editor"
        :aria-label="`${club.name}, ${column.head}`"
        :inputmode="column.isNumber ? 'decimal' : undefined"
        autocomplete="off"
        spellcheck="false"
        @keydown="emit('editorKey', $event)"
        @blur="emit('leave')"
      />
      <template v-else-if="refused">
        <span class="bad">{{ refused.text }}</span>
        <span v-if="activeColumn === i" class="why" role="alert">{{ refused.reason }}</span>
      </template>
      <template v-else>
        <span v-if="i === 0 && canGrab" class="grab" aria-hidden="true">⠿</span>
        <s v-if="shown.struck">{{ shown.struck }}</s>
        <span class="text">{{ shown.text }}</span>
        <em v-if="i === 0 && badge" class="badge">{{ badge }}</em>
        <NButton
          v-if="i === 0 && activeColumn !== null"
          class="open"
          quaternary
          size="tiny"
          tabindex="-1"
          :aria-label="`Open ${club.name}`"
          title="All about this club (Alt Enter)"
          @mousedown.stop
          @click.stop="emit('open')"
        >
          <template #icon><ChevronRight :size="17" /></template>
        </NButton>
      </template>
    </td>
  </tr>
</template>

<style scoped src="./sheet-cell.css"></style>

<style scoped>
tr.on td {
  background: color-mix(in srgb, var(--paper) 75%, transparent);
}
.first .text {
  display: inline-block;
  max-width: calc(100% - 18px);
  overflow: hidden;
  text-overflow: ellipsis;
  vertical-align: bottom;
}
/* In the grid a word, not a component: a row is drawn with every key. */
.badge {
  font-style: normal;
  font-weight: 500;
  font-size: 11.5px;
  color: var(--petrol);
  border: 1px solid var(--petrol-mid);
  border-radius: 3px;
  padding: 0 4px;
  margin-left: 6px;
}
.first:has(.badge) .text {
  max-width: calc(100% - 54px);
}
.grab {
  color: var(--sand);
  cursor: grab;
  margin-right: 3px;
  font-weight: 400;
  font-size: 13px;
  opacity: 0.55;
  touch-action: none;
}
.open {
  position: absolute;
  right: 0;
  top: 50%;
  transform: translateY(-50%);
  padding: 0 3px;
  color: var(--petrol);
}
tr:hover .grab {
  opacity: 1;
  color: var(--quiet);
}
s {
  color: var(--quiet);
  font-size: 12px;
  margin-right: 6px;
}
td[data-column='shot.full.carryM'] {
  font-weight: 600;
}
td[data-column='shot.full.source'],
td[data-column='shaft'],
td[data-column='grip'],
td[data-column='grind'] {
  font-family: var(--narrow);
  font-size: 13.5px;
}
td[data-column='shot.full.source'].measured {
  color: var(--petrol);
}
td.stated {
  color: var(--brass-ink);
}
td.modelled {
  font-style: italic;
  color: var(--quiet);
}
.rejected {
  background: var(--brick-soft) !important;
  overflow: visible;
}
.bad {
  color: var(--brick-ink);
  text-decoration: underline wavy;
  text-underline-offset: 3px;
}
.why {
  position: absolute;
  top: 100%;
  left: 0;
  z-index: 5;
  background: var(--paper);
  border: 1px solid var(--brick);
  color: var(--brick-ink);
  padding: 4px 8px;
  font: 400 12.5px/1.35 var(--font);
  white-space: normal;
  width: 230px;
  text-align: left;
  border-radius: 0 4px 4px 4px;
}
@media (max-width: 700px) {
  tr.on .first {
    background: color-mix(in srgb, var(--paper) 75%, var(--linen));
  }
}
</style>
