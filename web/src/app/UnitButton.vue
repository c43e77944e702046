<script setup lang="ts">
import type { DistanceUnit } from '@tasche/core';
import { NButton } from 'naive-ui';
import { computed } from 'vue';
import { useSettings } from './settings';

/** Flips all distances between yards and metres. Stored values stay as they are. */
const props = defineProps<{ own: DistanceUnit }>();
const settings = useSettings();
const unit = computed(() => settings.unitFor(props.own));
const other = computed(() => (unit.value === 'yd' ? 'm' : 'yd'));
</script>

<template>
  <NButton :title="`Show ${other === 'm' ? 'metres' : 'yards'} (Alt U)`" @click="settings.flipUnit(own)">
    <b>{{ unit }}</b><span class="quiet">{{ other }}</span>
  </NButton>
</template>
