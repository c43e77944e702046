<script setup lang="ts">
import type { CourseView } from '@tasche/contract';
import { NButton, NTable } from 'naive-ui';
import { computed } from 'vue';
import ChoiceField from '../fields/ChoiceField.vue';
import DateField from '../fields/DateField.vue';
import TimeField from '../fields/TimeField.vue';
import type { DraftRound } from './event-draft';

/** The rounds of an event while they are written. */
const rounds = defineModel<DraftRound[]>({ required: true });
/** Those a round can be worked out on. */
const props = defineProps<{ courses: readonly CourseView[] }>();

const courseOptions = computed(() => props.courses.map(({ id, name }) => ({ value: id, label: name })));
const teeOptions = (courseId: string) =>
  (props.courses.find(({ id }) => id === courseId)?.tees ?? []).map((tee, i) => ({ value: i, label: tee }));
const write = (i: number, part: Partial<DraftRound>) => {
  rounds.value = rounds.value.with(i, { ...rounds.value[i]!, ...part });
};
</script>

<template>
  <NTable size="small" :bordered="false" :bottom-bordered="false" class="rounds">
    <thead>
      <tr>
        <th scope="col">Round</th>
        <th scope="col">Day</th>
        <th scope="col">Tee time</th>
        <th scope="col">Course</th>
        <th scope="col">Tee</th>
        <td />
      </tr>
    </thead>
    <tbody>
      <tr v-for="(round, i) in rounds" :key="round.id">
        <th scope="row">{{ i + 1 }}</th>
        <td>
          <DateField
            :value="round.day"
            :label="`Day of round ${i + 1}`"
            @update:value="write(i, { day: $event })"
          />
        </td>
        <td>
          <TimeField
            :value="round.teeTime"
            :label="`Tee time of round ${i + 1}`"
            @update:value="write(i, { teeTime: $event })"
          />
        </td>
        <td>
          <ChoiceField
            :value="round.courseId"
            :label="`Course of round ${i + 1}`"
            :options="courseOptions"
            @update:value="write(i, { courseId: $event, tee: 0 })"
          />
        </td>
        <td>
          <ChoiceField
            :value="round.tee"
            :label="`Tee of round ${i + 1}`"
            :options="teeOptions(round.courseId)"
            @update:value="write(i, { tee: $event })"
          />
        </td>
        <td>
          <NButton
            v-if="rounds.length > 1"
            :aria-label="`Remove round ${i + 1}`"
            size="small"
            @click="rounds = rounds.toSpliced(i, 1)"
          >
            ×
          </NButton>
        </td>
      </tr>
    </tbody>
  </NTable>
</template>

<style scoped>
.rounds {
  border-collapse: collapse;
  width: max-content;
}
.rounds th {
  font-weight: 400;
  font-size: 12.5px;
  color: var(--quiet);
  text-align: left;
  padding-right: 14px;
}
.rounds td {
  padding: 3px 8px 3px 0;
}
@media (max-width: 700px) {
  /* A round over two lines; what each field is, its own name says. */
  .rounds {
    width: 100%;
  }
  .rounds thead {
    position: absolute;
    clip-path: inset(50%);
  }
  .rounds tr {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 4px 8px;
    padding: 6px 0;
    border-top: 1px solid var(--line-soft);
  }
  .rounds td,
  .rounds tbody th {
    padding: 0;
    border: 0;
  }
}
</style>
