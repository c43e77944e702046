<script setup lang="ts">
import type { ClubView, Command } from '@tasche/contract';
import { buildDifferences, quantityOf } from '@tasche/core';
import { NButton, NCard } from 'naive-ui';
import { computed, ref } from 'vue';
import LinkButton from '../app/LinkButton.vue';
import { today } from '../app/day';
import { useSheet } from '../sheet/sheet-store';

/** A copy of a build that was just made: how it differs, and the offer to replace the old one. */
const props = defineProps<{ playerId: string; club: ClubView; copy: ClubView }>();
const store = useSheet();

const differences = computed(() => buildDifferences(props.club.spec, props.copy.spec));
/** In every bag that holds the old one; the old one is retired. */
const bagsOfOld = computed(() => store.sheet!.bags.filter(({ clubIds }) => clubIds.includes(props.club.id)));
const replaced = ref(false);
function replace(): void {
  const { club: old, copy } = props;
  store.change(
    [
      ...bagsOfOld.value
        .filter(({ planId }) => planId === null)
        .flatMap(({ id }): Command[] => [
          { do: 'takeOut', bagId: id, clubId: old.id },
          { do: 'putIn', bagId: id, clubId: copy.id },
        ]),
      {
        do: 'editClub',
        clubId: old.id,
        version: old.version,
        readings: [{ key: 'state', value: 'retired', takenOn: today() }],
      },
    ],
    `the ${old.name} built again takes the place of the old one`,
  );
  replaced.value = true;
}
</script>

<template>
  <NCard tag="section" class="made no-print" role="status">
    <p>
      <span class="verdict fine"
        >● A second {{ copy.name }} is in the locker, with a ticket to build it.</span
      >
      {{
        differences.length === 0
          ? 'No difference is left between the two builds.'
          : `They differ in ${differences.map((key) => quantityOf(key)!.label.toLowerCase()).join(', ')}.`
      }}
    </p>
    <p class="bar">
      <LinkButton size="small" :to="{ name: 'build', params: { playerId, clubId: copy.id } }"
        >Its sheet</LinkButton
      >
      <LinkButton size="small" :to="{ name: 'bench', params: { playerId } }">Its ticket</LinkButton>
      <NButton v-if="!replaced" size="small" @click="replace"
        >Replace the old one with it, and retire the old one</NButton
      >
      <span v-else class="quiet">It has replaced the old one, which is retired.</span>
    </p>
  </NCard>
</template>

<style scoped>
.made {
  padding: 12px 16px;
  margin-bottom: 14px;
  display: grid;
  gap: 8px;
}
</style>
