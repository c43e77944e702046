<script setup lang="ts">
import { NButton } from 'naive-ui';
import {
  MIN_TEE_BALLS,
  distanceNumber,
  teeGainOf,
  type DistanceUnit,
  type Shot,
  type ShotKind,
  type StrikeSummary,
} from '@tasche/core';
import { computed } from 'vue';
import { useSheet } from '../sheet/sheet-store';
import { plusMinusWords } from './strike-units';

/**
 * What a tee gives a club by the balls it was hit with off tees, to be taken beside its carry off the turf;
 * or why nothing is.
 */
const props = defineProps<{
  summary: StrikeSummary;
  shotKind: ShotKind;
  /** Its shot as it stands on the sheet. */
  turf: Shot | undefined;
  /** That carry is from before the club was changed. */
  isOld: boolean;
  unit: DistanceUnit;
}>();
const emit = defineEmits<{ take: [shot: Shot] }>();

const store = useSheet();
const gain = computed(() => props.turf && teeGainOf(props.summary, props.turf));
const why = computed(() => {
  if (props.shotKind !== 'full') return 'off a tee full shots count';
  if (!props.turf) return 'its carry off the turf first';
  if (props.isOld) return 'its carry off the turf is from before a change';
  if (!gain.value) return `off a tee ${MIN_TEE_BALLS} balls tell`;
  const turf = `${distanceNumber(props.turf.carryM, props.unit)} ${props.turf.source}`;
  return gain.value.isDoubtful ? `too far from the ${turf}: hit it off the turf first` : '';
});
const teeGainM = computed(() => Math.round((gain.value?.gainM ?? 0) * 10) / 10);
const isTaken = computed(
  () => props.turf?.teeGainM !== undefined && Math.abs(props.turf.teeGainM - teeGainM.value) < 0.06,
);

function signed(metres: number): string {
  const text = distanceNumber(Math.abs(metres), props.unit);
  return text === '0' ? text : `${metres < 0 ? '−' : '+'}${text}`;
}
</script>

<template>
  <span v-if="why" class="quiet">{{ why }}</span>
  <span v-else-if="isTaken" class="verdict fine">● {{ signed(teeGainM) }} off a tee, taken</span>
  <template v-else>
    <span class="quiet"
      ><template v-if="turf?.teeGainM !== undefined">{{ signed(turf.teeGainM) }}; </template
      >{{ plusMinusWords(gain!.plusMinusM, unit) }}</span
    >
    <NButton
      v-if="store.may('editClub')"
      title="Against its carry off the turf; the less is known, the closer to zero"
      @click="emit('take', { ...turf!, teeGainM })"
      size="small"
    >
      Take {{ signed(teeGainM) }} off a tee
    </NButton>
  </template>
</template>
