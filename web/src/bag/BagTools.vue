<script setup lang="ts">
import type { BagView } from '@tasche/contract';
import { NButton } from 'naive-ui';
import { useRoute } from 'vue-router';
import { settingPart } from '../conditions/setting-query';
import { COLUMN_SETS, type ColumnSet } from '../sheet/sheet-columns';

/** What is shown of a bag, and what is done with its clubs. */
defineProps<{
  bag: BagView;
  /** Read in another air than the baseline. */
  inAir: boolean;
  readOnly: boolean;
  /** Name of the club the cursor is on. */
  active: string | undefined;
}>();
const columnSet = defineModel<ColumnSet>('columnSet', { required: true });
const asTable = defineModel<boolean>('asTable', { required: true });
const airOpen = defineModel<boolean>('airOpen', { required: true });
const picking = defineModel<boolean>('picking', { required: true });
defineEmits<{ takeOut: [] }>();
const route = useRoute();
</script>

<template>
  <div class="sets no-print" role="group" aria-label="Columns and ladder">
    <NButton
      v-for="(set, i) in COLUMN_SETS"
      :key="set.id"
      quaternary
      class="tab set"
      :aria-pressed="set.id === columnSet.id"
      :title="`Alt ${i + 1}`"
      size="small"
      @click="columnSet = set"
    >
      {{ set.name }}
    </NButton>
    <span class="push" />
    <NButton
      quaternary
      class="tab"
      :aria-pressed="inAir"
      :aria-expanded="airOpen || inAir"
      title="Alt A"
      size="small"
      @click="airOpen = !airOpen"
    >
      {{ inAir ? 'In this air' : 'Air and ground' }}
    </NButton>
    <RouterLink
      class="flights"
      title="Alt F"
      :to="{
        name: 'flight',
        params: { playerId: bag.playerId, bagId: bag.id },
        query: settingPart(route.query),
      }"
      >Flights</RouterLink
    >
    <NButton
      quaternary
      class="tab"
      :aria-pressed="asTable"
      title="Alt T"
      size="small"
      @click="asTable = !asTable"
    >
      {{ asTable ? 'Ladder as a picture' : 'Ladder as a table' }}
    </NButton>
    <template v-if="!readOnly">
      <NButton quaternary class="tab" title="Alt I" size="small" @click="picking = !picking"
        >Put a club in</NButton
      >
      <NButton
        quaternary
        class="tab"
        title="Alt O"
        size="small"
        data-once
        :disabled="!active"
        @click="$emit('takeOut')"
      >
        Take out {{ active }}
      </NButton>
    </template>
  </div>
</template>

<style scoped>
.sets {
  display: flex;
  flex-wrap: wrap;
  gap: 2px;
  border-bottom: 1px solid var(--line);
  margin-bottom: 4px;
}
.push {
  flex: 1;
}
.flights {
  display: inline-flex;
  align-items: center;
  height: 28px;
  padding: 0 10px;
  border-bottom: 3px solid transparent;
  color: var(--quiet);
  font-size: 13px;
  text-decoration: none;
}
.flights:hover {
  color: var(--ink);
}
</style>
