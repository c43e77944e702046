<script setup lang="ts">
import ProblemLine from '../app/ProblemLine.vue';
import { NButton } from 'naive-ui';
import { clubName, readPlayedShots, type LabelledClub, type PlayedShot } from '@tasche/contract';
import { counted, distanceNumber, type DistanceUnit } from '@tasche/core';
import { useSessionStorage } from '@vueuse/core';
import { computed, ref } from 'vue';
import FileField from '../fields/FileField.vue';
import TextField from '../fields/TextField.vue';
import { keyOfDraft } from '../fields/kept-draft';
import { textOfFile } from '../files/text-of-file';

/**
 * What was hit from where: a line a shot, typed, pasted or out of a CSV; each line is read as it is typed.
 */
const props = defineProps<{
  shots: readonly PlayedShot[];
  clubs: readonly LabelledClub[];
  unit: DistanceUnit;
  readOnly: boolean;
  /** The player and round they are of. */
  about: string;
}>();
const emit = defineEmits<{ take: [shots: readonly PlayedShot[]]; clear: [] }>();
/** Kept in this tab: a round is long to type. */
const typed = useSessionStorage(keyOfDraft(`played/${props.about}`), '');
const problem = ref('');
const read = computed(() => readPlayedShots(typed.value, props.clubs, props.unit));

const MAX_BYTES = 200_000;
async function choose(file: File): Promise<void> {
  problem.value = '';
  try {
    if (file.size > MAX_BYTES) throw new Error(`${file.name} is larger than a round.`);
    typed.value = await textOfFile(file);
  } catch (error) {
    problem.value = (error as Error).message;
  }
}
function take(): void {
  emit('take', read.value.shots);
  // What could not be read stays, to be put right.
  typed.value = read.value.refused.map(({ text }) => text).join('\n');
}
const name = (id: string) => clubName(props.clubs, id);
const words = ({ clubId, distanceM, lie, hole }: PlayedShot) =>
  [
    hole !== null && `${hole}:`,
    name(clubId),
    distanceM !== null && `${distanceNumber(distanceM, props.unit)} ${props.unit}`,
    lie,
  ]
    .filter(Boolean)
    .join(' ');
</script>

<template>
  <div class="played-shots">
    <label v-if="!readOnly" class="line"
      >What was hit from where
      <TextField
        v-model:value="typed"
        aria-label="What was hit from where"
        :rows="3"
        :placeholder="`a line a shot: 4, 7 iron, 165, rough (${unit} to the hole; as much as is known); or a hole: 4: driver, 7i 165`"
      />
    </label>
    <div v-if="!readOnly" class="bar no-print">
      <NButton size="small" :disabled="read.shots.length === 0" @click="take">
        Save {{ read.shots.length > 0 ? counted(read.shots.length, 'shot') : 'the shots' }}
      </NButton>
      <FileField label="File of shots" accept=".csv,.txt,text/csv" @file="choose">From a file…</FileField>
      <NButton v-if="shots.length > 0" size="small" @click="emit('clear')">Clear all</NButton>
    </div>
    <ProblemLine :text="problem" small />
    <ul v-if="read.refused.length > 0" class="refused small" aria-label="Lines that could not be read">
      <li v-for="{ line, text, reason } in read.refused.slice(0, 8)" :key="line">
        <b class="verdict warning">◆ line {{ line }}</b> {{ text }} <span class="quiet">{{ reason }}</span>
      </li>
      <li v-if="read.refused.length > 8" class="quiet">and {{ read.refused.length - 8 }} more</li>
    </ul>
    <p v-if="read.putts > 0" class="small quiet">
      {{ counted(read.putts, 'putt') }} left out: the shots to the green are what counts here.
    </p>
    <p v-if="shots.length > 0" class="small quiet" aria-label="Shots entered">
      {{ counted(shots.length, 'shot') }} entered: {{ shots.slice(0, 12).map(words).join('; ')
      }}{{ shots.length > 12 ? '; …' : '' }}
    </p>
  </div>
</template>

<style scoped>
.played-shots {
  display: grid;
  gap: 6px;
  margin: 8px 0;
}
.line {
  display: grid;
  gap: 3px;
  font-size: 12.5px;
  color: var(--quiet);
}
.refused {
  list-style: none;
  margin: 0;
  padding: 0;
}
</style>
