<script setup lang="ts">
import { isScorecard, type CourseDetails } from '@tasche/contract';
import type { DistanceUnit } from '@tasche/core';
import { useEventListener } from '@vueuse/core';
import { NButton, NEmpty } from 'naive-ui';
import { v4 as newId } from 'uuid';
import { computed, onMounted, ref, watch } from 'vue';
import { useRouter } from 'vue-router';
import LinkButton from '../app/LinkButton.vue';
import NotThere from '../app/NotThere.vue';
import LoadingRows from '../app/LoadingRows.vue';
import PageHead from '../app/PageHead.vue';
import ProblemLine from '../app/ProblemLine.vue';
import UnitButton from '../app/UnitButton.vue';
import { provideReadOnly } from '../fields/read-only';
import { mayDoHere } from '../people/rights';
import { useSettings } from '../app/settings';
import FileField from '../fields/FileField.vue';
import { useUndo, useUndoScope } from '../changes/undo-stack';
import CourseFields from './CourseFields.vue';
import CourseFile from './CourseFile.vue';
import CourseHoles from './CourseHoles.vue';
import CourseSeasons from './CourseSeasons.vue';
import CourseTabs from './CourseTabs.vue';
import { openCourseFile, saveCourseFile, type CourseText } from './course-file';
import { newCourse } from './new-course';
import { useSchedule } from './schedule-store';

/** The courses the workspace plays: holes, tees, seasons; in and out as GeoJSON and CSV. */
const props = defineProps<{ courseId?: string }>();
const store = useSchedule();
const settings = useSettings();
const router = useRouter();
onMounted(() => void store.load());

const unit = computed<DistanceUnit>(() => settings.unitFor(settings.lastUnit));
const course = computed(
  () =>
    store.courses.find(({ id }) => id === props.courseId) ?? (props.courseId ? undefined : store.courses[0]),
);
/** Courses are the workspace's: a player, a caddie and an assistant read them. */
const mayEdit = computed(() => mayDoHere('editCourse'));
const HOW_TO_BEGIN =
  'Add one, then paste its scorecard, import a file (a map as GeoJSON, a yardage list as a workbook or CSV), or type the holes.';
provideReadOnly(() => !mayEdit.value);
const tab = ref<'holes' | 'seasons'>('holes');
const problem = ref('');
const brought = ref<CourseText | null>(null);
watch(
  () => course.value?.id,
  () => {
    problem.value = '';
    brought.value = null;
  },
);

function set(part: Partial<CourseDetails>): void {
  if (!course.value) return;
  const { id: courseId, version } = course.value;
  store.change([{ do: 'editCourse', courseId, version, set: part }]);
}
/** A course that was just added waits for its name. */
const addedId = ref('');
function add(): void {
  const id = newId();
  const taken = store.courses.map(({ name }) => name);
  store.change([{ do: 'addCourse', course: { id, ...newCourse(taken) } }]);
  addedId.value = id;
  void router.push({ name: 'courses', params: { courseId: id } });
}
function remove(): void {
  if (!course.value) return;
  store.change([{ do: 'removeCourse', courseId: course.value.id, version: course.value.version }]);
  void router.push({ name: 'courses' });
}

async function bring(file: File): Promise<void> {
  problem.value = '';
  try {
    brought.value = await openCourseFile(file);
  } catch (error) {
    problem.value = (error as Error).message;
  }
}
function bringText(text: string): void {
  brought.value = { name: 'What was pasted', text };
}
/** A scorecard may be pasted anywhere on the page; no field but the table's is for rows. */
useEventListener('paste', (event: ClipboardEvent) => {
  const text = event.clipboardData?.getData('text/plain') ?? '';
  if (!course.value || !mayEdit.value || event.defaultPrevented || !isScorecard(text)) return;
  event.preventDefault();
  bringText(text);
});
function take(part: Partial<CourseDetails>): void {
  set(part);
  brought.value = null;
}
useUndoScope(() => 'schedule');
const undo = useUndo();
</script>

<template>
  <div class="page">
    <PageHead>
      Courses
      <template #says>
        <p class="quiet small">
          Holes, tees and seasons; the shots of a round are worked out from them.
          <RouterLink to="/seasons">Season templates</RouterLink>.
          <template v-if="!mayEdit">{{ ' ' }}You can read them; a rep changes them.</template>
        </p>
      </template>
      <template #actions>
        <UnitButton :own="settings.lastUnit" />
        <template v-if="mayEdit">
          <NButton :disabled="!undo.canUndo" title="Ctrl Z" @click="undo.undo()"> Undo </NButton>
          <NButton data-once @click="add" type="primary">Add a course</NButton>
        </template>
      </template>
    </PageHead>
    <NotThere v-if="store.state === 'away'" title="The server cannot be reached" opens-itself />
    <LoadingRows v-else-if="store.state !== 'ready'" :rows="6" :px="26" />
    <NEmpty
      v-else-if="store.courses.length === 0"
      :description="`No courses yet.${mayEdit ? ` ${HOW_TO_BEGIN}` : ''}`"
    />
    <NotThere v-else-if="!course" title="This course is not here" says="It may have been deleted.">
      <LinkButton to="/courses">All courses</LinkButton>
    </NotThere>
    <template v-else>
      <CourseTabs :courses="store.courses" :shown-id="course.id" :unit="unit" />
      <CourseFields
        :key="course.id"
        :course="course"
        :unit="unit"
        :is-new="course.id === addedId"
        @set="set"
      />
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
        <FileField v-if="mayEdit" label="File of a course" accept=".geojson,.json,.csv,.txt" @file="bring"
          >Import a file…</FileField
        >
        <template v-if="course.holes.length"
          ><NButton @click="saveCourseFile(course, 'geojson', unit)" size="small">Save as GeoJSON</NButton
          ><NButton @click="saveCourseFile(course, 'csv', unit)" size="small">Save as CSV</NButton></template
        >
        <NButton v-if="mayEdit" data-once @click="remove" size="small">Delete</NButton>
      </div>
      <CourseFile
        v-if="brought"
        :key="brought.text"
        :from="brought"
        :course="course"
        :unit="unit"
        @take="take"
        @leave="brought = null"
      />
      <CourseHoles
        v-if="tab === 'holes'"
        :key="course.id"
        :course="course"
        :unit="unit"
        @holes="set({ holes: $event })"
        @card="bringText"
      />
      <CourseSeasons
        v-else
        :course="course"
        :templates="store.seasons"
        :unit="unit"
        @set="set({ seasons: $event })"
      />
    </template>
  </div>
</template>

<style scoped>
.under {
  margin: 12px 0 10px;
}
.space {
  flex: 1;
}
</style>
