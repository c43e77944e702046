<script setup lang="ts">
import { NButton } from 'naive-ui';
import { tellsCarry, type SessionEntry } from '@tasche/contract';
import {
  changeSince,
  distanceNumber,
  measuredShot,
  shotIn,
  sourceWords,
  type DistanceUnit,
  type Shot,
  type ShotKey,
} from '@tasche/core';
import { computed } from 'vue';
import { settingWords } from '../conditions/air-units';
import { useSheet } from '../sheet/sheet-store';
import TeeOffer from './TeeOffer.vue';
import { playingConditionsOf } from './range-store';
import type { GroupSummary } from './range-worker';
import Hint from '../app/Hint.vue';

/**
 * What the sheet says of a club, and the offer to take what it did in a session instead; or why it is not
 * offered.
 */
const props = defineProps<{ session: SessionEntry; group: GroupSummary; unit: DistanceUnit }>();
const emit = defineEmits<{ take: [shot: Shot] }>();
const store = useSheet();
const n = (metres: number) => distanceNumber(metres, props.unit);

const club = computed(() => store.clubsById.get(props.group.clubId));
const key = computed((): ShotKey => `shot.${props.group.shot}`);
const standing = computed(() => club.value && shotIn(club.value.spec, key.value));
const isOld = computed(
  () => club.value !== undefined && changeSince(club.value.spec, key.value) !== undefined,
);
const offer = computed(() =>
  measuredShot(props.group.summary!, settingWords(playingConditionsOf(props.session), 'm').slice(0, 120)),
);
/** Off a tee a club tells what a tee gives it, not its carry. */
const isTeed = computed(() => !tellsCarry(props.session.hitOff, club.value?.kind));
const isTaken = computed(
  () =>
    standing.value?.source === 'measured' &&
    standing.value.sampleSize === props.group.n &&
    Math.abs(standing.value.carryM - offer.value.carryM) < 0.06,
);
const later = computed(() => {
  const day = club.value?.spec[key.value]?.takenOn;
  return day !== undefined && day > props.session.heldOn ? day : undefined;
});
</script>

<template>
  <TeeOffer
    v-if="isTeed"
    :summary="group.summary!"
    :shot-kind="group.shot"
    :turf="standing"
    :is-old="isOld"
    :unit="unit"
    @take="emit('take', $event)"
  />
  <span v-else-if="isTaken" class="verdict fine">● taken</span>
  <template v-else-if="club">
    <Hint v-if="standing" :class="standing.source" :says="sourceWords(standing, unit)"
      >{{ n(standing.carryM) }} {{ standing.source }}</Hint
    ><span v-else class="quiet">nothing yet</span>{{ ' ' }}
    <span v-if="group.misHits > 0" class="verdict warning">◆ leave the mis-hit out first</span>
    <NButton
      v-else-if="store.may('editClub')"
      :disabled="later !== undefined"
      :title="later ? `The sheet has a newer one, of ${later}` : 'The old number stays in the history'"
      size="small"
      @click="emit('take', offer)"
    >
      Take {{ n(offer.carryM) }}
    </NButton>
  </template>
</template>
