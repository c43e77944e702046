<script setup lang="ts">
import type { PlanView } from '@tasche/contract';
import { listed } from '@tasche/core';
import { NButton } from 'naive-ui';
import { computed } from 'vue';
import { today } from '../app/day';
import { useSheet } from '../sheet/sheet-store';

/** Says that a plan starts from a gamer that is another one by now, and has it start from the one there is. */
const props = defineProps<{ plan: PlanView }>();
const store = useSheet();

const change = computed(() => {
  const gamer = store.gamer;
  const { baseClubIds, endsOn, id } = props.plan;
  if (!gamer || gamer.planId === id || endsOn < today()) return null;
  const into = gamer.clubIds.filter((clubId) => !baseClubIds.includes(clubId));
  const out = baseClubIds.filter((clubId) => !gamer.clubIds.includes(clubId));
  if (into.length + out.length === 0) return null;
  const named = (ids: readonly string[], word: string) =>
    ids.length > 0 ? [`${listed(ids.map(store.nameOf))} ${word}`] : [];
  return [...named(into, 'in'), ...named(out, 'out')].join(', ');
});

function rebase(): void {
  const { id: planId, version } = props.plan;
  store.change([{ do: 'rebasePlan', planId, version }]);
}
</script>

<template>
  <p v-if="change" class="bar no-print" role="status">
    <span class="verdict warning">◆ The gamer changed since this was planned: {{ change }}.</span>
    <NButton v-if="store.may('rebasePlan')" size="small" @click="rebase">
      Plan from the gamer as it is now
    </NButton>
  </p>
</template>
