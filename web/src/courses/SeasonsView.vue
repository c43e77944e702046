<script setup lang="ts">
import NotThere from '../app/NotThere.vue';
import ProblemLine from '../app/ProblemLine.vue';
import Breadcrumb from '../app/Breadcrumb.vue';
import PageHead from '../app/PageHead.vue';
import UnitButton from '../app/UnitButton.vue';
import TextField from '../fields/TextField.vue';
import ChoiceField from '../fields/ChoiceField.vue';
import { NButton, NCard } from 'naive-ui';
import type { SeasonDetails, SeasonView } from '@tasche/contract';
import { USUAL_GROUND, type CourseGround, type DistanceUnit } from '@tasche/core';
import { v4 as newId } from 'uuid';
import { computed, onMounted, ref } from 'vue';
import { provideReadOnly } from '../fields/read-only';
import { mayDoHere } from '../people/rights';
import { useSettings } from '../app/settings';
import { useUndo, useUndoScope } from '../changes/undo-stack';
import { useSchedule } from './schedule-store';
import GroundFields from './GroundFields.vue';
import SeasonYear from './SeasonYear.vue';
import { MONTH_NAMES } from './month-names';

/**
 * What a season does to any course: air, turf, rough. Put on a course, it takes on that course's grass and
 * sand.
 */
const store = useSchedule();
const settings = useSettings();
const unit = computed<DistanceUnit>(() => settings.unitFor(settings.lastUnit));
/** Seasons are the workspace's: a player, a caddie and an assistant read them. */
const mayEdit = computed(() => mayDoHere('editSeason'));
provideReadOnly(() => !mayEdit.value);
const problem = ref('');
onMounted(() => void store.load());
const seasons = computed(() => [...store.seasons].sort((a, b) => a.fromMonth - b.fromMonth));
const set = ({ id, version }: SeasonView, part: Partial<SeasonDetails>) =>
  store.change([{ do: 'editSeason', seasonId: id, version, set: part }]);
function add(): void {
  const { fairways, greens, rough, wet, greenSpeedM } = USUAL_GROUND;
  store.change([
    {
      do: 'addSeason',
      season: {
        id: newId(),
        name: 'new season',
        fromMonth: new Date().getMonth() + 1,
        temperatureC: 15,
        humidityPct: 65,
        windMps: 4,
        ground: { fairways, greens, rough, wet, greenSpeedM },
      },
    },
  ]);
}
function rename(season: SeasonView, text: string): void {
  if (text.trim() === '') {
    problem.value = 'Name must not be empty.';
    return;
  }
  problem.value = '';
  set(season, { name: text.trim().slice(0, 80) });
}
function ground(
  season: SeasonView,
  { fairways, greens, rough, wet, greenSpeedM }: Partial<CourseGround>,
): void {
  set(season, {
    ground: { fairways: fairways!, greens: greens!, rough: rough!, wet: wet!, greenSpeedM: greenSpeedM! },
  });
}
const used = (name: string) =>
  store.courses.filter(({ seasons: of }) => of.some((one) => one.name === name)).map((one) => one.name);
useUndoScope(() => 'schedule');
const undo = useUndo();
</script>

<template>
  <div class="page">
    <PageHead>
      Season templates
      <template #breadcrumb><Breadcrumb :pages="[{ label: 'Courses', to: '/courses' }]" /></template>
      <template #says>
        <p class="quiet small">
          What a season does to any course. Applied to a course it takes that course’s grass and sand, and can
          be changed there.
          <template v-if="!mayEdit">You can read them; a rep changes them.</template>
        </p>
      </template>
      <template #actions>
        <UnitButton :own="settings.lastUnit" />
        <template v-if="mayEdit">
          <NButton :disabled="!undo.canUndo" title="Ctrl Z" @click="undo.undo()"> Undo</NButton
          ><NButton data-once @click="add" type="primary">Add a season</NButton>
        </template>
      </template>
    </PageHead>
    <ProblemLine :text="problem" />
    <NotThere v-if="store.state === 'away'" title="The server cannot be reached" opens-itself />
    <SeasonYear :seasons="seasons" />
    <NCard tag="article" v-for="season in seasons" :key="season.id">
      <h2>
        <TextField
          :value="season.name"
          class="name"
          maxlength="80"
          aria-label="Name of the season"
          @write="rename(season, $event)"
        />
        <label class="small quiet"
          >from
          <ChoiceField
            :value="season.fromMonth"
            @update:value="set(season, { fromMonth: Number($event) })"
            :label="`${season.name} begins`"
            :options="MONTH_NAMES.map((month, m) => ({ value: m + 1, label: month }))"
        /></label>
        <span class="small quiet grow">{{
          used(season.name).length
            ? `a season of that name is on ${used(season.name).join(', ')}`
            : 'on no course by that name'
        }}</span>
        <NButton
          v-if="mayEdit"
          :aria-label="`Delete ${season.name}`"
          @click="store.change([{ do: 'removeSeason', seasonId: season.id, version: season.version }])"
          size="small"
        >
          Delete
        </NButton>
      </h2>
      <GroundFields
        template
        :air="{
          temperatureC: season.temperatureC,
          humidityPct: season.humidityPct,
          windMps: season.windMps,
          windFromDeg: 0,
        }"
        :ground="season.ground"
        :unit="unit"
        :of="season.name"
        @air="
          set(season, {
            temperatureC: $event.temperatureC,
            humidityPct: $event.humidityPct,
            windMps: $event.windMps,
          })
        "
        @ground="ground(season, $event)"
      />
    </NCard>
    <p v-if="store.state === 'ready' && seasons.length === 0" class="quiet">No season yet.</p>
  </div>
</template>

<style scoped>
article {
  padding: 10px 14px;
  display: grid;
  gap: 8px;
  margin-bottom: 10px;
}
h2 {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: center;
}
h2 label {
  display: inline-flex;
  align-items: center;
  gap: 6px;
}
.grow {
  flex: 1;
  font-weight: 400;
}
h2 label,
h2 button {
  font-weight: 400;
}
.name {
  font: inherit;
  font-weight: 600;
  width: 170px;
  border: 1px solid transparent;
  background: none;
  color: var(--ink);
  border-radius: 4px;
  padding: 2px 6px;
}
.name:hover,
.name:focus {
  border-color: var(--line);
  background: var(--linen);
}
</style>
