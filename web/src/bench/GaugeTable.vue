<script setup lang="ts">
import { GAUGED, GAUGE_KEYS, type Gauged } from '@tasche/core';
import { NTable } from 'naive-ui';
import { nextTick } from 'vue';
import QuantityField from '../fields/QuantityField.vue';
import { angleWords, type CheckedClub } from './bag-check';

/** The clubs of a check with a field for each angle. Enter goes to the next, as a gauge is read. */
const props = defineProps<{ rows: readonly CheckedClub[]; readOnly: boolean }>();
const emit = defineEmits<{
  write: [clubId: string, gauged: Gauged, value: number];
  /** The field the cursor is in. */
  here: [clubId: string, gauged: Gauged];
}>();

const MARK = { right: '●', 'at the edge': '◆', off: '■' } as const;
const SEVERITY = { right: 'fine', 'at the edge': 'warning', off: 'error' } as const;
const fields = new Map<string, { focus: () => void }>();
const fieldKey = (clubId: string, gauged: Gauged) => `${clubId} ${gauged}`;

async function focus(clubId: string, gauged: Gauged): Promise<void> {
  await nextTick();
  fields.get(fieldKey(clubId, gauged))?.focus();
}
async function next(clubId: string, gauged: Gauged): Promise<void> {
  const order = props.rows.flatMap(({ club }) => GAUGED.map((one) => ({ clubId: club.id, gauged: one })));
  const following = order[order.findIndex((one) => one.clubId === clubId && one.gauged === gauged) + 1];
  if (following) await focus(following.clubId, following.gauged);
}
defineExpose({ focus, next });
</script>

<template>
  <div class="scroll">
    <NTable class="figures check" size="small" :bordered="false">
      <caption class="unseen">
        Loft and lie of each club: wanted, last measured, now
      </caption>
      <thead>
        <tr>
          <th scope="col">Club</th>
          <template v-for="gauged in GAUGED" :key="gauged">
            <th scope="col">{{ gauged }} wanted</th>
            <th scope="col">last</th>
            <th scope="col">now</th>
            <th scope="col"><span class="unseen">verdict</span></th>
          </template>
        </tr>
      </thead>
      <tbody>
        <tr v-for="{ club, angles, done } in rows" :key="club.id" :class="{ done }">
          <th scope="row">{{ club.name }}</th>
          <template v-for="angle in angles" :key="angle.gauged">
            <td>{{ angle.wanted }}</td>
            <td class="quiet">{{ angle.last }}</td>
            <td>
              <QuantityField
                :ref="
                  (field: unknown) =>
                    fields.set(fieldKey(club.id, angle.gauged), field as { focus: () => void })
                "
                :quantity-key="GAUGE_KEYS[angle.gauged].measured"
                :value="angle.value"
                :label="`${club.name}, ${angle.gauged} now`"
                :disabled="readOnly"
                class="field"
                @focusin="emit('here', club.id, angle.gauged)"
                @update:value="typeof $event === 'number' && emit('write', club.id, angle.gauged, $event)"
                @keyup.enter="next(club.id, angle.gauged)"
              />
            </td>
            <td class="left">
              <span v-if="angle.verdict" class="verdict" :class="SEVERITY[angle.verdict]">
                {{ MARK[angle.verdict] }} {{ angleWords(angle) }}
              </span>
            </td>
          </template>
        </tr>
      </tbody>
    </NTable>
  </div>
</template>

<style scoped>
.check {
  max-width: 1160px;
}
.check .left {
  text-align: left;
  min-width: 120px;
}
.done th[scope='row'] {
  color: var(--petrol);
}
</style>
