<script setup lang="ts">
import type { SessionEntry, SessionView } from '@tasche/contract';
import type { DistanceUnit, PlayingConditions, ShotKind } from '@tasche/core';
import { NButton } from 'naive-ui';
import { nextTick, ref } from 'vue';
import Fold from '../app/Fold.vue';
import Later from '../app/Later.vue';
import ProblemLine from '../app/ProblemLine.vue';
import ConditionsBar from '../conditions/ConditionsBar.vue';
import HandShots from './HandShots.vue';
import { useSheet } from '../sheet/sheet-store';
import { playingConditionsOf } from './range-store';

/** What is done with a session: shots from the monitor or by hand, its fields, its air and ground. */
defineProps<{ session: SessionView; baseline: PlayingConditions; unit: DistanceUnit }>();
const emit = defineEmits<{
  edit: [part: Partial<SessionEntry>];
  air: [conditions: PlayingConditions | null];
  /** Its fields are to be opened. */
  form: [];
  remove: [];
}>();

const store = useSheet();
const byHand = ref<InstanceType<typeof HandShots> | null>(null);
const handProblem = ref('');
const bar = ref<InstanceType<typeof ConditionsBar> | null>(null);
const airFold = ref<InstanceType<typeof Fold> | null>(null);
defineExpose({
  /** Which club, and which of its shots, the next ones by hand are of. */
  take: (aim: { clubId: string; shot: ShotKind }) => byHand.value?.take(aim),
  focusHand: () => byHand.value?.focus(),
  focusAir: async () => {
    airFold.value?.open();
    await nextTick();
    bar.value?.focus();
  },
});
</script>

<template>
  <div>
    <div class="hand bar no-print">
      <Later :px="34">
        <NButton v-if="!session.live" @click="emit('edit', { live: true })">
          Take shots from the monitor
        </NButton>
      </Later>
      <!-- A basket aims the field for shots by hand as soon as it is there. -->
      <Later :px="34" :at-once="session.basket !== null">
        <HandShots ref="byHand" :session-id="session.id" :unit="unit" @problem="handProblem = $event" />
      </Later>
      <span class="space" />
      <Later :px="34">
        <NButton @click="emit('form')" size="small">Edit</NButton>
        <NButton v-if="store.may('removeSession')" data-once @click="emit('remove')" size="small"
          >Delete</NButton
        >
      </Later>
    </div>
    <ProblemLine :text="handProblem" />
    <Later :px="38">
      <Fold ref="airFold" class="air no-print">
        <template #head>The air and ground of this session</template>
        <ConditionsBar
          ref="bar"
          :setting="playingConditionsOf(session)"
          :baseline="baseline"
          :unit="unit"
          :complaints="[]"
          @set="emit('air', $event)"
        />
      </Fold>
    </Later>
  </div>
</template>

<style scoped>
.hand {
  margin-bottom: 8px;
}
.hand .space {
  flex: 1;
}
.air {
  margin-bottom: 6px;
}
</style>
