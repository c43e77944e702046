<script setup lang="ts">
import { NButton, NCheckbox, NTable } from 'naive-ui';
import { DEMAND_BOUNDS, LIE_NAMES, distanceNumber, type DistanceUnit, type ShotDemand } from '@tasche/core';
import ChoiceField from '../fields/ChoiceField.vue';
import NumberField from '../fields/NumberField.vue';

/** The shots recorded for a week, and what the chosen bag answers each with. */
const props = defineProps<{
  needs: readonly ShotDemand[];
  /** "7 iron", or "soft 7 iron". */
  withWords: (demand: ShotDemand) => string;
  unit: DistanceUnit;
  readOnly: boolean;
}>();
const emit = defineEmits<{ set: [needs: ShotDemand[]] }>();
const edit = (i: number, part: Partial<ShotDemand>) => {
  emit(
    'set',
    props.needs.map((demand, k) => (k === i ? { ...demand, ...part } : demand)),
  );
};
</script>

<template>
  <div class="scroll">
    <NTable size="small" :bordered="false" :bottom-bordered="false" class="needs">
      <caption class="unseen">
        Needs of the week
      </caption>
      <thead>
        <tr>
          <th scope="col">{{ unit }}</th>
          <th scope="col">To</th>
          <th scope="col">Off</th>
          <th scope="col">Holds</th>
          <th scope="col">Times</th>
          <th scope="col">With</th>
          <th class="no-print" />
        </tr>
      </thead>
      <tbody>
        <tr v-for="(demand, i) in needs" :key="i">
          <th scope="row">{{ distanceNumber(demand.distanceM, unit) }}</th>
          <td>
            {{ demand.to
            }}<span v-if="demand.leftM" class="quiet">, {{ distanceNumber(demand.leftM, unit) }} left</span>
          </td>
          <td>
            <ChoiceField
              class="quiet-field"
              :value="demand.lie"
              :disabled="readOnly"
              :label="`Lie of need ${i + 1}`"
              :options="LIE_NAMES"
              @update:value="edit(i, { lie: $event })"
            />
          </td>
          <td>
            <NCheckbox
              v-if="demand.to === 'green'"
              :checked="demand.mustHold"
              :aria-label="`Need ${i + 1} must hold`"
              :disabled="readOnly"
              @update:checked="edit(i, { mustHold: $event })"
            />
          </td>
          <td>
            <NumberField
              class="quiet-field"
              :value="demand.weight"
              :label="`How often need ${i + 1}`"
              :bounds="DEMAND_BOUNDS.weight"
              :disabled="readOnly"
              :px="58"
              @write="edit(i, { weight: $event! })"
            />
          </td>
          <td class="with">{{ withWords(demand) }}</td>
          <td class="no-print">
            <NButton
              v-if="!readOnly"
              :aria-label="`Remove need ${i + 1}`"
              size="small"
              @click="emit('set', needs.toSpliced(i, 1))"
              >×</NButton
            >
          </td>
        </tr>
      </tbody>
    </NTable>
  </div>
</template>

<style scoped>
.with {
  font-weight: 500;
}
.needs {
  border-collapse: collapse;
  font-size: 13.5px;
  max-height: 60vh;
}
th {
  font-weight: 400;
  font-size: 12.5px;
  color: var(--quiet);
  text-align: left;
}
tbody th {
  color: var(--ink);
  font-weight: 600;
  font-size: 14px;
  text-align: right;
  padding-right: 14px;
}
td,
th {
  padding: 2px 12px 2px 0;
  border-top: 1px solid var(--line-soft);
  white-space: nowrap;
}
</style>
