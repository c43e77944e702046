<script setup lang="ts">
import { seasonOnCourse, type CourseSeason, type CourseView, type SeasonView } from '@tasche/contract';
import type { DistanceUnit } from '@tasche/core';
import { NButton, NCard } from 'naive-ui';
import ChoiceField from '../fields/ChoiceField.vue';
import TextField from '../fields/TextField.vue';
import { useReadOnly } from '../fields/read-only';
import GroundFields from './GroundFields.vue';
import { groundWords, roundAirWords } from './ground-words';

/** The air and ground of a course, season by season; a template of the workspace begins one. */
const props = defineProps<{
  course: CourseView;
  templates: readonly SeasonView[];
  unit: DistanceUnit;
}>();
const isReadOnly = useReadOnly();
const emit = defineEmits<{ set: [seasons: readonly CourseSeason[]] }>();
const MONTHS = Array.from({ length: 12 }, (_one, month) => ({
  value: month + 1,
  label: new Intl.DateTimeFormat('en', { month: 'long', timeZone: 'UTC' }).format(Date.UTC(2026, month, 1)),
}));

const change = (i: number, part: Partial<CourseSeason>) => {
  emit(
    'set',
    props.course.seasons.map((one, k) => (k === i ? { ...one, ...part } : one)),
  );
};
function apply(id: string): void {
  const template = props.templates.find((one) => one.id === id);
  if (!template) return;
  const made = seasonOnCourse(template, props.course);
  emit('set', [...props.course.seasons.filter(({ name }) => name !== made.name), made]);
}
</script>

<template>
  <section class="seasons" aria-label="Seasons">
    <label v-if="templates.length && !isReadOnly" class="small quiet"
      >Apply a template to this course
      <ChoiceField
        value=""
        label="Template"
        :options="[
          { value: '', label: 'choose…' },
          ...templates.map((one) => ({ value: one.id, label: one.name })),
        ]"
        @update:value="apply"
    /></label>
    <NCard tag="article" v-for="(season, i) in course.seasons" :key="i">
      <h2>
        <TextField
          :value="season.name"
          class="name"
          maxlength="80"
          aria-label="Name of the season"
          @write="$event.trim() && change(i, { name: $event.trim() })"
        />
        <span class="small quiet"
          >from
          <ChoiceField
            :value="season.fromMonth"
            :label="`${season.name} begins`"
            :options="MONTHS"
            @update:value="change(i, { fromMonth: Number($event) })"
          />: {{ roundAirWords(season.air, unit) }}; {{ groundWords(season.ground) }}</span
        >
        <NButton
          v-if="!isReadOnly"
          :aria-label="`Remove ${season.name}`"
          size="small"
          @click="emit('set', course.seasons.toSpliced(i, 1))"
        >
          ×
        </NButton>
      </h2>
      <GroundFields
        :air="season.air"
        :ground="season.ground"
        :unit="unit"
        :of="season.name"
        @air="change(i, { air: $event })"
        @ground="change(i, { ground: { ...season.ground, ...$event } })"
      />
    </NCard>
    <p v-if="course.seasons.length === 0" class="quiet">
      No season yet<template v-if="!isReadOnly"
        >: apply a template, and change what is different here</template
      >.
    </p>
  </section>
</template>

<style scoped>
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
  align-items: center;
}
article .name {
  font-weight: 600;
  width: 150px;
}
article h2 .small {
  font-weight: 400;
  flex: 1;
}
article h2 .n-button {
  font-weight: 400;
}
</style>
