<script setup lang="ts">
import {
  GAP_SETTING_FIELDS,
  gapSettingUnit,
  readGapSetting,
  showGapSetting,
  type GapSettingField,
  type PlayerSet,
} from '@tasche/contract';
import { COMMITTEE_DECIDES, DEFAULT_GAP_SETTINGS } from '@tasche/core';
import { NButton, NTable } from 'naive-ui';
import { computed, ref } from 'vue';
import TextField from '../fields/TextField.vue';
import { useSheet } from '../sheet/sheet-store';

/**
 * The limits beyond which a player's steps are too wide or too narrow: the usual figures, or the player's own.
 */
const emit = defineEmits<{ save: [set: PlayerSet] }>();
const store = useSheet();
const player = computed(() => store.sheet!.player);
const unit = computed(() => player.value.distanceUnit);
const complaints = ref(new Map<string, { text: string; reason: string }>());

const valueOf = (field: GapSettingField) =>
  player.value.gapSettings[field.key] ?? DEFAULT_GAP_SETTINGS[field.key];
const isOwn = (field: GapSettingField) => player.value.gapSettings[field.key] !== undefined;
const anyOwn = computed(() => GAP_SETTING_FIELDS.some(isOwn));
const shown = (field: GapSettingField) =>
  complaints.value.get(field.key)?.text ?? showGapSetting(field, valueOf(field), unit.value);

/** An empty field, or the usual figure, goes back to the usual figure. */
function write(field: GapSettingField, text: string): void {
  const { [field.key]: _own, ...others } = player.value.gapSettings;
  if (text.trim() === '') {
    complaints.value.delete(field.key);
    emit('save', { gapSettings: others });
    return;
  }
  const read = readGapSetting(field, text, unit.value);
  if (!read.ok) {
    complaints.value.set(field.key, { text, reason: read.reason });
    return;
  }
  complaints.value.delete(field.key);
  const usual = Math.abs(read.value - DEFAULT_GAP_SETTINGS[field.key]) < 1e-4;
  emit('save', { gapSettings: usual ? others : { ...others, [field.key]: read.value } });
}
function allUsual(): void {
  complaints.value.clear();
  emit('save', { gapSettings: {} });
}
</script>

<template>
  <section>
    <div class="head">
      <h2>Limits for the steps</h2>
      <NButton v-if="anyOwn && store.may('editPlayer')" @click="allUsual" size="small">
        All back to usual
      </NButton>
    </div>
    <p class="quiet small">
      The usual figures are common practice, no source. An empty field means the usual figure.
    </p>
    <NTable size="small" :bordered="false" :bottom-bordered="false">
      <tbody>
        <tr v-for="field in GAP_SETTING_FIELDS" :key="field.key">
          <th scope="row">
            <label :for="field.key">{{ field.label }}</label>
          </th>
          <td class="number">
            <TextField
              :id="field.key"
              class="limit"
              :value="shown(field)"
              :disabled="!store.may('editPlayer')"
              inputmode="decimal"
              :bad="complaints.has(field.key)"
              :class="{ own: isOwn(field) }"
              :aria-invalid="complaints.has(field.key) || undefined"
              :aria-describedby="`${field.key}-says`"
              @write="write(field, $event)"
            />
            <span class="unit">{{ gapSettingUnit(field, unit) }}</span>
          </td>
          <td :id="`${field.key}-says`" class="small">
            <span v-if="complaints.has(field.key)" class="verdict error" role="alert"
              >■ {{ complaints.get(field.key)!.reason }}</span
            >
            <template v-else
              ><span class="quiet">{{ field.says }}</span>
              <span v-if="isOwn(field)" class="usual"
                >usually {{ showGapSetting(field, DEFAULT_GAP_SETTINGS[field.key], unit) }}</span
              ></template
            >
          </td>
        </tr>
      </tbody>
    </NTable>
    <p class="quiet small">{{ COMMITTEE_DECIDES }}</p>
  </section>
</template>

<style scoped>
.head {
  display: flex;
  justify-content: space-between;
  align-items: center;
  min-height: 32px;
}
table {
  border-collapse: collapse;
  width: 100%;
  margin: 8px 0 12px;
}
th {
  font-weight: 400;
  text-align: left;
}
th,
td {
  border-top: 1px solid var(--line-soft);
  padding: 4px 14px 4px 0;
  vertical-align: middle;
}
.number {
  white-space: nowrap;
  width: 142px;
}
.number .limit {
  width: 76px;
}

.unit {
  color: var(--quiet);
  padding-left: 7px;
}
.own {
  border-color: var(--petrol);
  font-weight: 600;
}
.usual {
  margin-left: 0.5em;
  color: var(--petrol);
  white-space: nowrap;
}
@media (max-width: 700px) {
  table,
  tbody {
    display: block;
  }
  tr {
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto;
    border-top: 1px solid var(--line-soft);
    padding: 5px 0;
  }
  th,
  td {
    border: 0;
    padding: 0;
  }
  th {
    white-space: normal;
  }
  td:last-child {
    grid-column: 1 / -1;
  }
}
</style>
