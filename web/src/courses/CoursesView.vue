<script setup lang="ts">
import LoadingRows from '../app/LoadingRows.vue';
import ProblemLine from '../app/ProblemLine.vue';
import PageHead from '../app/PageHead.vue';
import { counted } from '../app/counted';
import FileField from '../fields/FileField.vue';
import TextField from '../fields/TextField.vue';
import ChoiceField from '../fields/ChoiceField.vue';
import UnitButton from '../app/UnitButton.vue';
import { NButton, NEmpty } from 'naive-ui';
import {
  readHolesCsv,
  readHolesGeoJson,
  seasonOnCourse,
  writeHolesCsv,
  writeHolesGeoJson,
  type CourseDetails,
  type CourseSeason,
  type CourseView,
  type ReadHoles,
} from '@tasche/contract';
import {
  CONDITION_BOUNDS,
  GRASSES,
  SANDS,
  courseLengthM,
  distanceNumber,
  fromMetres,
  toMetres,
  usualHole,
  type DistanceUnit,
  type Hole,
} from '@tasche/core';
import { useEventListener } from '@vueuse/core';
import { v4 as newId } from 'uuid';
import { computed, onMounted, ref, watch } from 'vue';
import { useRouter } from 'vue-router';
import { useSettings } from '../app/settings';
import { isUndoOfField } from '../keys/is-typing';
import { useSchedule } from './schedule-store';
import GroundFields from './GroundFields.vue';
import HolePicture from './HolePicture.vue';
import HoleTable from './HoleTable.vue';
import { groundWords, roundAirWords } from './ground-words';

/** The courses the workspace plays: holes, tees, seasons; in and out as GeoJSON and CSV. */
const props = defineProps<{ courseId?: string }>();
const store = useSchedule();
const settings = useSettings();
const router = useRouter();
onMounted(() => void store.load());

const unit = computed<DistanceUnit>(() => settings.unitFor('m'));
const course = computed(
  () =>
    store.courses.find(({ id }) => id === props.courseId) ?? (props.courseId ? undefined : store.courses[0]),
);
const active = ref(0);
const tee = ref(0);
const tab = ref<'holes' | 'seasons'>('holes');
const problem = ref('');
const brought = ref<(ReadHoles & { file: string }) | null>(null);
watch(
  () => course.value?.id,
  () => {
    active.value = 0;
    tee.value = 0;
    problem.value = '';
    brought.value = null;
  },
);

const set = (part: Partial<CourseDetails>) => {
  if (course.value)
    store.change([{ do: 'editCourse', courseId: course.value.id, version: course.value.version, set: part }]);
};
function add(): void {
  const id = newId();
  let name = 'New course';
  for (let n = 2; store.courses.some((one) => one.name === name); n++) name = `New course ${n}`;
  store.change([
    {
      do: 'addCourse',
      course: {
        id,
        name,
        altitudeM: 0,
        latitudeDeg: null,
        longitudeDeg: null,
        grass: 'bent',
        sand: 'medium',
        tees: ['Back'],
        holes: [],
        seasons: [],
        notes: '',
      },
    },
  ]);
  void router.push({ name: 'courses', params: { courseId: id } });
}
function remove(): void {
  if (!course.value) return;
  store.change([{ do: 'removeCourse', courseId: course.value.id, version: course.value.version }]);
  void router.push({ name: 'courses' });
}
/** A usual nine or eighteen to begin with, threes and fives where they often are. */
function begin(count: 9 | 18): void {
  const pars = [4, 4, 3, 5, 4, 3, 4, 4, 5];
  set({
    holes: Array.from({ length: count }, (_one, i): Hole => {
      const par = pars[i % 9]!;
      const lengthM = { 3: 160, 4: 370, 5: 490 }[par]!;
      return usualHole(
        par,
        course.value!.tees.map(() => lengthM),
      );
    }),
  });
}

type NumberField = 'altitudeM' | 'latitudeDeg' | 'longitudeDeg';
const NUMBERS: readonly {
  field: NumberField;
  label: string;
  bounds: readonly [number, number];
  empty: boolean;
}[] = [
  { field: 'altitudeM', label: 'Altitude', bounds: CONDITION_BOUNDS.altitudeM, empty: false },
  { field: 'latitudeDeg', label: 'Latitude', bounds: [-90, 90], empty: true },
  { field: 'longitudeDeg', label: 'Longitude', bounds: [-180, 180], empty: true },
];
const feet = computed(() => unit.value === 'yd');
function writeNumber(
  { field, label, bounds: [min, max], empty }: (typeof NUMBERS)[number],
  text: string,
): void {
  if (empty && text.trim() === '') {
    set({ [field]: null });
    return;
  }
  const typed = Number(text.replace(',', '.'));
  const value = field === 'altitudeM' && feet.value ? toMetres(typed, 'ft') : typed;
  if (text.trim() === '' || !(value >= min && value <= max)) {
    problem.value = `${label} must be between ${min} and ${max}${field === 'altitudeM' ? ' m' : '°'}, not “${text}”.`;
    return;
  }
  problem.value = '';
  set({ [field]: value });
}
const showNumber = (field: NumberField) => {
  const value = course.value![field];
  return value === null
    ? ''
    : String(field === 'altitudeM' ? Math.round(feet.value ? fromMetres(value, 'ft') : value) : value);
};
function writeName(text: string): void {
  if (text.trim() === '') {
    problem.value = 'Name must not be empty.';
    return;
  }
  problem.value = '';
  set({ name: text.trim().slice(0, 80) });
}
/** Tees by name, longest first; a new one is as long as the last until its lengths are typed. */
function writeTees(text: string): void {
  const tees = text
    .split(',')
    .map((one) => one.trim())
    .filter(Boolean);
  if (tees.length < 1 || tees.length > 6) {
    problem.value = `Tees must be 1 to 6 names with commas between, not “${text}”.`;
    return;
  }
  problem.value = '';
  set({
    tees,
    holes: course.value!.holes.map((hole) => ({
      ...hole,
      lengthsM: tees.map((_tee, i) => hole.lengthsM[i] ?? hole.lengthsM.at(-1)!),
    })),
  });
}

async function bring(file: File): Promise<void> {
  if (!course.value) return;
  if (file.size > 2_000_000) {
    problem.value = `${file.name} is over 2 MB; a course's holes are a few kilobytes.`;
    return;
  }
  const text = await file.text();
  const json = /json$/i.test(file.name) || text.trimStart().startsWith('{');
  brought.value = {
    file: file.name,
    ...(json ? readHolesGeoJson(text, course.value) : readHolesCsv(text, course.value, unit.value)),
  };
}
function take(): void {
  const { holes, tees, place } = brought.value!;
  set({
    holes,
    tees,
    ...(place &&
      course.value!.latitudeDeg === null && {
        longitudeDeg: Number(place[0].toFixed(5)),
        latitudeDeg: Number(place[1].toFixed(5)),
      }),
  });
  brought.value = null;
}
function save(kind: 'geojson' | 'csv'): void {
  const one: CourseView = course.value!;
  const text = kind === 'geojson' ? writeHolesGeoJson(one) : writeHolesCsv(one, unit.value);
  const link = document.createElement('a');
  link.href = URL.createObjectURL(
    new Blob([text], { type: kind === 'geojson' ? 'application/geo+json' : 'text/csv' }),
  );
  link.download = `${one.name.toLowerCase().replace(/[^a-z0-9]+/g, '-') || 'course'}.${kind}`;
  link.click();
  URL.revokeObjectURL(link.href);
}
const seasonSet = (i: number, part: Partial<CourseSeason>) =>
  set({ seasons: course.value!.seasons.map((one, k) => (k === i ? { ...one, ...part } : one)) });
function apply(id: string): void {
  const template = store.seasons.find((one) => one.id === id);
  if (!template || !course.value) return;
  const made = seasonOnCourse(template, course.value);
  set({ seasons: [...course.value.seasons.filter(({ name }) => name !== made.name), made] });
}
const MONTHS = [
  'January',
  'February',
  'March',
  'April',
  'May',
  'June',
  'July',
  'August',
  'September',
  'October',
  'November',
  'December',
];
useEventListener('keydown', (event: KeyboardEvent) => {
  if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'z' && !isUndoOfField(event)) {
    event.preventDefault();
    if (event.shiftKey) store.redo();
    else store.undo();
  }
});
</script>

<template>
  <div class="page">
    <PageHead>
      Courses
      <template #says>
        <p class="quiet small">
          Holes, tees and seasons; what a round asks is worked out from them.
          <RouterLink to="/seasons">Season templates</RouterLink>
        </p>
      </template>
      <template #actions>
        <UnitButton :own="'m'" />
        <NButton :disabled="store.undoable.length === 0" title="Ctrl Z" @click="store.undo()"> Undo </NButton>
        <NButton @click="add" type="primary">Add a course</NButton>
      </template>
    </PageHead>
    <p v-if="store.state === 'away'" class="quiet" role="status">
      The server cannot be reached. This page opens by itself as soon as it can be.
    </p>
    <LoadingRows v-else-if="store.state !== 'ready'" :rows="6" :px="26" />
    <p v-else-if="store.courses.length === 0" class="quiet">
      No course is written down yet. Add one, then bring its holes from a map (GeoJSON) or a yardage list
      (CSV), or type them.
    </p>
    <p v-else-if="!course" class="quiet">
      This course is not here; it may have been deleted. <RouterLink to="/courses">All courses</RouterLink>
    </p>
    <template v-else>
      <nav class="tabs" aria-label="Courses">
        <RouterLink
          v-for="one in store.courses"
          :key="one.id"
          :to="{ name: 'courses', params: { courseId: one.id } }"
          :class="{ here: one.id === course.id }"
          ><b>{{ one.name }}</b>
          <span class="quiet small">{{
            one.holes.length ? `${distanceNumber(courseLengthM(one, 0), unit)} ${unit}` : 'no holes yet'
          }}</span></RouterLink
        >
      </nav>
      <div class="fields">
        <label class="wide"
          >Name <TextField aria-label="Name" :value="course.name" maxlength="80" @write="writeName"
        /></label>
        <label v-for="one in NUMBERS" :key="one.field"
          >{{ one.label }}<template v-if="one.field === 'altitudeM'">, {{ feet ? 'ft' : 'm' }}</template
          ><template v-else>, °</template>
          <TextField
            :aria-label="one.field === 'altitudeM' ? `${one.label}, ${feet ? 'ft' : 'm'}` : `${one.label}, °`"
            class="number"
            :value="showNumber(one.field)"
            inputmode="decimal"
            :placeholder="one.empty ? 'not known' : ''"
            @write="writeNumber(one, $event)"
        /></label>
        <label
          >Grass
          <ChoiceField
            :value="course.grass"
            @update:value="set({ grass: $event })"
            label="Grass"
            :options="GRASSES"
        /></label>
        <label
          >Sand
          <ChoiceField
            :value="course.sand"
            @update:value="set({ sand: $event })"
            label="Sand"
            :options="SANDS"
        /></label>
        <label
          >Tees, longest first
          <TextField aria-label="Tees, longest first" :value="course.tees.join(', ')" @write="writeTees"
        /></label>
        <label class="wide"
          >Notes
          <TextField
            aria-label="Notes"
            :value="course.notes"
            maxlength="2000"
            @write="set({ notes: $event })"
        /></label>
      </div>
      <ProblemLine :text="problem" />
      <div class="bar under">
        <NButton
          :aria-pressed="tab === 'holes'"
          :class="{ main: tab === 'holes' }"
          @click="tab = 'holes'"
          size="small"
        >
          Holes
        </NButton>
        <NButton
          :aria-pressed="tab === 'seasons'"
          :class="{ main: tab === 'seasons' }"
          @click="tab = 'seasons'"
          size="small"
        >
          Seasons, {{ course.seasons.length }}
        </NButton>
        <span class="space" />
        <FileField label="File of a course" accept=".geojson,.json,.csv,.txt" @file="bring"
          >Bring GeoJSON or CSV</FileField
        >
        <template v-if="course.holes.length"
          ><NButton @click="save('geojson')" size="small">Save as GeoJSON</NButton
          ><NButton @click="save('csv')" size="small">Save as CSV</NButton></template
        >
        <NButton @click="remove" size="small">Delete</NButton>
      </div>
      <section v-if="brought" class="card brought" aria-label="What the file holds">
        <h2>
          {{ brought.file }}: {{ counted(brought.holes.length, 'hole')
          }}<template v-if="brought.holes.length"
            >, {{ distanceNumber(courseLengthM(brought, 0), unit) }} {{ unit }}, par
            {{ brought.holes.reduce((sum, { par }) => sum + par, 0) }}</template
          >
        </h2>
        <ul v-if="brought.problems.length" role="alert">
          <li v-for="one in brought.problems.slice(0, 30)" :key="one" class="verdict fault">■ {{ one }}</li>
        </ul>
        <p v-if="brought.passed.length" class="small quiet">
          Passed over: {{ brought.passed.slice(0, 12).join(', ')
          }}<template v-if="brought.passed.length > 12"> and {{ brought.passed.length - 12 }} more</template>.
        </p>
        <div class="bar">
          <NButton :disabled="brought.problems.length > 0" @click="take" type="primary">
            Take it{{ course.holes.length ? ', in the place of the holes there are' : '' }}</NButton
          ><NButton @click="brought = null">Cancel</NButton>
        </div>
      </section>
      <template v-if="tab === 'holes'">
        <NEmpty v-if="course.holes.length === 0" class="empty" description="No holes are written down yet.">
          <template #extra
            ><NButton type="primary" @click="begin(18)">Begin with eighteen usual ones</NButton>
            <NButton @click="begin(9)">Nine</NButton></template
          >
        </NEmpty>
        <div v-else class="board">
          <HoleTable
            :holes="course.holes"
            :tees="course.tees"
            :unit="unit"
            :active="active"
            @holes="set({ holes: $event })"
            @active="active = $event"
          />
          <HolePicture
            :holes="course.holes"
            :active="Math.min(active, course.holes.length - 1)"
            :tee="tee"
            :unit="unit"
            @active="active = $event"
          />
        </div>
      </template>
      <section v-else class="seasons" aria-label="Seasons">
        <label v-if="store.seasons.length" class="small quiet"
          >Put a template on this course
          <ChoiceField
            :value="''"
            @update:value="
              apply($event);
              $event = '';
            "
            label="Template"
            :options="[
              { value: '', label: 'choose…' },
              ...store.seasons.map((one) => ({ value: one.id, label: one.name })),
            ]"
        /></label>
        <article v-for="(season, i) in course.seasons" :key="i" class="card">
          <h2>
            <TextField
              :value="season.name"
              class="name"
              maxlength="80"
              aria-label="Name of the season"
              @write="$event.trim() && seasonSet(i, { name: $event.trim() })"
            />
            <span class="small quiet"
              >from
              <ChoiceField
                :value="season.fromMonth"
                @update:value="seasonSet(i, { fromMonth: Number($event) })"
                :label="`${season.name} begins`"
                :options="MONTHS.map((month, m) => ({ value: m + 1, label: month }))"
              />: {{ roundAirWords(season.air, unit) }}; {{ groundWords(season.ground) }}</span
            >
            <NButton
              :aria-label="`Remove ${season.name}`"
              @click="set({ seasons: course.seasons.toSpliced(i, 1) })"
              size="small"
            >
              ×
            </NButton>
          </h2>
          <GroundFields
            :air="season.air"
            :ground="season.ground"
            :unit="unit"
            :of="season.name"
            @air="seasonSet(i, { air: $event })"
            @ground="seasonSet(i, { ground: { ...season.ground, ...$event } })"
          />
        </article>
        <p v-if="course.seasons.length === 0" class="quiet">
          No season yet: put a template on, and change what is different here.
        </p>
      </section>
    </template>
  </div>
</template>

<style scoped>
.tabs {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
  border-bottom: 1px solid var(--line);
  margin-bottom: 12px;
}
.tabs a {
  padding: 8px 12px;
  text-decoration: none;
  color: var(--ink);
  border-bottom: 3px solid transparent;
}
.tabs a.here {
  border-bottom-color: var(--petrol);
  color: var(--petrol);
}
.fields {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 14px;
}
.fields label {
  display: grid;
  gap: 2px;
  font-size: 12px;
  color: var(--quiet);
}

.fields .number {
  width: 92px;
}

.under {
  margin: 12px 0 10px;
}
.space {
  flex: 1;
}
.file {
  position: relative;
  overflow: hidden;
}

.file:focus-within {
  outline: 2px solid var(--petrol);
  outline-offset: 2px;
}
.board {
  display: grid;
  grid-template-columns: minmax(0, max-content) 200px;
  gap: 24px;
  align-items: start;
}
.brought {
  padding: 12px 16px;
  margin-bottom: 12px;
  display: grid;
  gap: 8px;
}
.brought ul {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
}
.seasons {
  display: grid;
  gap: 10px;
}
article {
  padding: 10px 14px;
  display: grid;
  gap: 8px;
}
article h2 {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: baseline;
}
article .name {
  font: inherit;
  font-weight: 600;
  width: 150px;
  border: 1px solid transparent;
  background: none;
  color: var(--ink);
  border-radius: 4px;
  padding: 2px 6px;
}
article .name:hover,
article .name:focus {
  border-color: var(--line);
  background: var(--linen);
}

article h2 .small {
  font-weight: 400;
  flex: 1;
}
article h2 .n-button {
  font-weight: 400;
}
.empty {
  display: grid;
  gap: 10px;
}
@media (max-width: 1180px) {
  .board {
    grid-template-columns: minmax(0, 1fr);
  }
}
.fields .wide {
  flex: 1 1 240px;
}
</style>
