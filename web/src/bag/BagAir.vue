<script setup lang="ts">
import type { PlayingConditions } from '@tasche/core';
import { useTemplateRef } from 'vue';
import ConditionsBar from '../conditions/ConditionsBar.vue';
import ConditionsEffect from '../conditions/ConditionsEffect.vue';
import type { useBagLadder } from './use-bag-ladder';

/** The air and ground a bag is read in, and what they do to its clubs. */
defineProps<{ ladder: ReturnType<typeof useBagLadder> }>();
defineEmits<{ set: [setting: PlayingConditions | null] }>();
const bar = useTemplateRef<InstanceType<typeof ConditionsBar>>('bar');
defineExpose({ focus: () => bar.value?.focus() });
</script>

<template>
  <ConditionsBar
    ref="bar"
    :setting="ladder.setting.value"
    :baseline="ladder.baseline.value"
    :unit="ladder.unit.value"
    :complaints="ladder.complaints.value"
    :problem="ladder.conditions.problem.value"
    @set="$emit('set', $event)"
  >
    <ConditionsEffect
      v-if="ladder.setting.value"
      :clubs="ladder.shown.value"
      :moved="ladder.moved.value"
      :turned="ladder.turned.value"
      :unit="ladder.unit.value"
    />
  </ConditionsBar>
</template>
