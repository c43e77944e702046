<script setup lang="ts">
import type { DistanceUnit } from '@tasche/core';
import { NButton, NTable } from 'naive-ui';
import type { BendRow } from './bend-rows';

/** The clubs of a bag with what a plan does to each; any of them can be left as it is. */
defineProps<{ rows: readonly BendRow[]; kept: readonly string[]; unit: DistanceUnit }>();
const emit = defineEmits<{ keep: [clubId: string] }>();
</script>

<template>
  <NTable class="figures plan" size="small" :bordered="false">
    <caption class="unseen">
      Clubs of the bag, with what the plan does to each
    </caption>
    <thead>
      <tr>
        <th scope="col">Club</th>
        <th scope="col">Loft</th>
        <th scope="col">Becomes</th>
        <th scope="col">Bounce</th>
        <th scope="col">Carry, {{ unit }}</th>
        <th scope="col" class="left">Allowed</th>
        <th scope="col" class="no-print"><span class="unseen">Leave as it is</span></th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="row in rows" :key="row.id" :class="{ bent: row.isBent }">
        <th scope="row">{{ row.name }}</th>
        <td>{{ row.loft }}</td>
        <td>
          <template v-if="row.isBent"
            ><b>{{ row.becomes }}</b>
            <span class="quiet small by">{{ row.by }}</span>
            <span v-if="row.offset" class="quiet small offset">{{ row.offset }}</span></template
          >
        </td>
        <td>{{ row.bounce }}</td>
        <td>
          {{ row.carry
          }}<template v-if="row.carryThen">
            → <b>{{ row.carryThen }}</b></template
          >
        </td>
        <td class="left quiet">{{ row.allowed }}</td>
        <td class="no-print">
          <NButton
            v-if="row.movable || kept.includes(row.id)"
            size="tiny"
            quaternary
            :aria-pressed="kept.includes(row.id)"
            @click="emit('keep', row.id)"
          >
            {{ kept.includes(row.id) ? 'left as it is' : 'leave' }}
          </NButton>
        </td>
      </tr>
    </tbody>
  </NTable>
</template>

<style scoped>
.plan .left {
  text-align: left;
  white-space: normal;
}
.bent th[scope='row'],
.bent b {
  color: var(--petrol);
}
.by {
  margin-left: 6px;
}
.offset {
  display: block;
}
.plan td {
  height: 34px;
}
</style>
