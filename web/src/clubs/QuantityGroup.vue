<script setup lang="ts">
import { columnOf, unitLabel, type ClubView } from '@tasche/contract';
import { QUANTITIES, type DistanceUnit, type Quantity } from '@tasche/core';
import { computed } from 'vue';
import ChoiceField from '../fields/ChoiceField.vue';
import DateField from '../fields/DateField.vue';
import TextField from '../fields/TextField.vue';
import { useClubCells } from './use-club-cells';

/** The quantities of one group of a club's sheet, a field each, with what is to be minded beside the work. */
const props = defineProps<{
  club: ClubView;
  name: string;
  group: Quantity['group'];
  caution?: string | undefined;
  unit: DistanceUnit;
  takenOn: string;
  readOnly: boolean;
}>();
const { complaints, show, write } = useClubCells({
  club: () => props.club,
  unit: () => props.unit,
  takenOn: () => props.takenOn,
});
const fields = computed(() =>
  QUANTITIES.filter((quantity) => quantity.group === props.group).map((quantity) => {
    const column = columnOf(quantity.key)!;
    const measure = unitLabel(column, props.unit);
    return { quantity, column, measure, label: `${quantity.label} ${measure}` };
  }),
);
</script>

<template>
  <section>
    <h3>{{ name }}</h3>
    <p v-if="caution" class="caution small">{{ caution }}</p>
    <div class="fields">
      <label v-for="{ quantity, column, measure, label } in fields" :key="quantity.key">
        <span
          >{{ quantity.label }} <i class="quiet">{{ measure }}</i></span
        >
        <ChoiceField
          v-if="quantity.type === 'choice'"
          :value="show(column)"
          :disabled="readOnly"
          @update:value="write(column, $event)"
          :label="label"
          :options="[{ value: '', label: '' }, ...quantity.choices]"
        />
        <DateField
          v-else-if="quantity.type === 'date'"
          :value="show(column)"
          :label="quantity.label"
          :disabled="readOnly"
          optional
          @update:value="write(column, $event)"
        />
        <TextField
          v-else
          :aria-label="label"
          :value="show(column)"
          :disabled="readOnly"
          :bad="complaints.has(column.id)"
          @write="write(column, $event)"
        />
        <span v-if="complaints.has(column.id)" class="verdict error small" role="alert">{{
          complaints.get(column.id)!.reason
        }}</span>
      </label>
    </div>
  </section>
</template>

<style scoped>
section {
  margin: 16px 0;
}
h3 {
  font-size: 14px;
  font-weight: 600;
  margin-bottom: 6px;
}
.fields {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
  gap: 8px 12px;
}
label {
  display: grid;
  gap: 2px;
  font-size: 12.5px;
  color: var(--quiet);
}
i {
  font-style: normal;
}
.caution {
  color: var(--brass-ink);
  margin-bottom: 6px;
}
</style>
