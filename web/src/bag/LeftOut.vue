<script setup lang="ts">
import { NButton } from 'naive-ui';
import type { ClubView } from '@tasche/contract';
import { distanceNumber, formatDegrees, playingLoft, shotIn, type DistanceUnit } from '@tasche/core';
import { computed } from 'vue';
import { VueDraggable } from 'vue-draggable-plus';
import { afterDrag } from '../app/drag-end';

/** The locker's clubs that are not in the bag. Drag one into the sheet, or a row of the sheet down here. */
const props = defineProps<{ clubs: readonly ClubView[]; unit: DistanceUnit }>();
const emit = defineEmits<{ putIn: [clubId: string]; dropped: [clubId: string]; open: [clubId: string] }>();

const dragCopy = computed({ get: () => [...props.clubs], set: () => undefined });

function words(club: ClubView): string {
  const loft = playingLoft(club.spec);
  const full = shotIn(club.spec, 'shot.full');
  return [loft && formatDegrees(loft.deg), full && distanceNumber(full.carryM, props.unit)]
    .filter(Boolean)
    .join(' · ');
}

function onDropped(event: { data?: ClubView; item: HTMLElement }): void {
  event.item.remove();
  if (event.data) emit('dropped', event.data.id);
}
</script>

<template>
  <section class="left-out no-print" aria-label="Left out">
    <h2>Left out <span class="quiet small">drag into the sheet, or press +</span></h2>
    <VueDraggable
      v-model="dragCopy"
      tag="ul"
      :group="{ name: 'clubs', pull: 'clone', put: true }"
      :sort="false"
      :force-fallback="true"
      :delay="180"
      :delay-on-touch-only="true"
      :touch-start-threshold="6"
      :animation="120"
      filter="button"
      :prevent-on-filter="false"
      @add="onDropped"
      @end="afterDrag"
    >
      <li v-for="club in clubs" :key="club.id" :data-club="club.id" :data-name="club.name">
        <NButton
          class="add"
          :aria-label="`Put ${club.name} in`"
          :title="`Put ${club.name} in`"
          @click="emit('putIn', club.id)"
          circle
          size="small"
        >
          +
        </NButton>
        <span class="name" :title="String(club.spec.state?.value ?? '')" @dblclick="emit('open', club.id)">{{
          club.name
        }}</span>
        <span class="small quiet">{{ words(club) }}</span>
      </li>
      <li v-if="clubs.length === 0" class="quiet none">Every club of the locker is in.</li>
    </VueDraggable>
  </section>
</template>

<style scoped>
.left-out {
  margin-top: 16px;
}
h2 {
  font-size: 14px;
  font-weight: 500;
  margin-bottom: 6px;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 7px;
  min-height: 38px;
}
li {
  display: inline-flex;
  align-items: center;
  gap: 7px;
  border: 1px dashed var(--sand);
  border-radius: 4px;
  padding: 3px 10px 3px 4px;
  background: var(--paper);
  cursor: grab;
  min-height: 36px;
}
.none {
  border: 0;
  background: none;
  cursor: default;
}
.name {
  font-weight: 500;
}
</style>
