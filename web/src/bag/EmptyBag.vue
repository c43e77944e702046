<script setup lang="ts">
import CopyButton from '../app/CopyButton.vue';
import { MAKE_UP_BOUNDS, USUAL_MAKE_UP, usualBag, type DistanceUnit, type MakeUp } from '@tasche/core';
import { useIsTouch } from '../app/is-touch';
import { NButton, NCard, NForm, NFormItem } from 'naive-ui';
import { computed, reactive } from 'vue';
import ChoiceField from '../fields/ChoiceField.vue';
import NumberField from '../fields/NumberField.vue';

/**
 * Ways to fill an empty bag: type it, paste it, bring a file, or begin with a usual one and one carry that is
 * known.
 */
const props = defineProps<{ unit: DistanceUnit }>();
const emit = defineEmits<{
  /** Rows with heads, as a spreadsheet would give them. */
  rows: [text: string];
  file: [];
}>();

const PARTS: readonly { part: keyof MakeUp; label: string }[] = [
  { part: 'woods', label: 'Fairway woods' },
  { part: 'hybrids', label: 'Hybrids' },
  { part: 'wedges', label: 'Wedges beside the PW' },
];
/** The screen is touched: there is no Ctrl V, and the cursor is nowhere yet. */
const isTouch = useIsTouch();
/** No one carries that club shorter or longer than this. */
const CARRY_BOUNDS = { yd: [40, 350], m: [35, 320] } as const;
/** The carry of a good amateur, to show what is meant. Common practice, no source. */
const EXAMPLE = { '7 iron': { yd: '155', m: '140' }, Driver: { yd: '230', m: '210' } } as const;

const draft = reactive({
  ...USUAL_MAKE_UP,
  club: '7 iron' as '7 iron' | 'Driver',
  carry: null as number | null,
});
const counts = (part: keyof MakeUp) => {
  const [min, max] = MAKE_UP_BOUNDS[part];
  return Array.from({ length: max - min + 1 }, (_one, i) => min + i);
};
const clubs = computed(() => usualBag(draft));
const begin = () =>
  emit(
    'rows',
    [
      'Club\tLoft\tCarry',
      ...clubs.value.map(({ name, loftDeg }) =>
        [
          name,
          loftDeg,
          name === draft.club && draft.carry !== null ? `${draft.carry} ${props.unit}` : '',
        ].join('\t'),
      ),
    ].join('\n'),
  );
const SAMPLE =
  'Club\tLoft\tCarry\nDriver\t9\t265\n3 wood\t15\t240\n7 iron\t32\t165\nPW\t45\t130\n56\t56\t100';
</script>

<template>
  <NCard tag="section" class="empty-bag no-print" aria-label="Start this bag">
    <div>
      <h2>Type it</h2>
      <p class="small quiet">
        {{
          isTouch
            ? 'Press the first row below, type a name and press Enter; then press its loft and its carry.'
            : 'The cursor is in the first row. Type a name and press Enter; Tab goes on to loft and carry.'
        }}
        What you do not know stays empty.
      </p>
    </div>
    <div>
      <h2>Paste it</h2>
      <p class="small quiet">
        Copy rows from a spreadsheet or a message, with or without a header row, and
        {{
          isTouch ? 'press the first row, then hold a finger on it for Paste.' : 'press Ctrl V in the sheet.'
        }}
        One row per club:
        <span class="sample">Club, Loft, Carry</span>
      </p>
      <CopyButton :text="SAMPLE" label="Copy a sample" />
    </div>
    <div>
      <h2>Import a file</h2>
      <p class="small quiet">
        A list of clubs as a workbook (.xlsx) or CSV, with a header row: drop it anywhere on this page. You
        see what is read before it is imported.
      </p>
      <NButton size="small" @click="emit('file')">Choose a file…</NButton>
    </div>
    <NForm class="usual" :model="draft" size="small" :show-feedback="false" @submit.prevent="begin">
      <h2>Start from a usual bag</h2>
      <div class="line">
        <NFormItem v-for="{ part, label } in PARTS" :key="part" :label="label">
          <ChoiceField v-model:value="draft[part]" :label="label" :options="counts(part)" />
        </NFormItem>
        <NFormItem label="A carry you know">
          <span class="known">
            <ChoiceField
              v-model:value="draft.club"
              label="Club of the known carry"
              :options="['7 iron', 'Driver']"
            />
            <NumberField
              v-model:value="draft.carry"
              :label="`Carry of the ${draft.club}`"
              :unit="unit"
              :bounds="CARRY_BOUNDS[unit]"
              :placeholder="EXAMPLE[draft.club][unit]"
              optional
            />
          </span>
        </NFormItem>
        <NButton type="primary" size="small" attr-type="submit">Put these {{ clubs.length }} in</NButton>
      </div>
      <p class="small quiet">
        {{
          clubs.map(({ name, loftDeg }) => (/^\d\d$/.test(name) ? name : `${name} ${loftDeg}°`)).join(', ')
        }}. Usual lofts; type yours over them. Carries are worked out until you know them.
      </p>
    </NForm>
  </NCard>
</template>

<style scoped>
.empty-bag {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(100%, 260px), 1fr));
  gap: 14px 28px;
  padding: 16px 18px;
  margin: 10px 0;
}
.empty-bag h2 {
  margin-bottom: 4px;
}
.sample {
  font-family: var(--narrow);
  color: var(--ink);
}
.usual {
  grid-column: 1 / -1;
  border-top: 1px solid var(--line-soft);
  padding-top: 12px;
}
.line {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  align-items: end;
  margin-bottom: 8px;
}
.known {
  display: inline-flex;
  gap: 6px;
}
</style>
