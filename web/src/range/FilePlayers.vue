<script setup lang="ts">
import { isSamePerson, type StrikeImportReport } from '@tasche/contract';
import { computed } from 'vue';
import ChoiceField from '../fields/ChoiceField.vue';

/** Whose shots a file says they are, and which of them are imported for the player of the page. */
const props = defineProps<{
  players: StrikeImportReport['players'];
  /** The player they are imported for. */
  name: string;
}>();
/** As the file has it; undefined until somebody says it. */
const asked = defineModel<string | undefined>('asked', { required: true });
const labelOf = (label: string) => label || 'no player named';
const options = computed(() =>
  props.players.map(({ label, rows }) => ({ value: label, label: `${labelOf(label)} (${rows})` })),
);
/** The only one it names, where that is somebody else. */
const other = computed(() => {
  const [only, second] = props.players;
  return only && !second && !isSamePerson(only.label, props.name) ? labelOf(only.label) : undefined;
});
</script>

<template>
  <p v-if="players.length > 1" class="bar">
    <span>The file holds the shots of {{ players.length }} players. Import those of</span>
    <ChoiceField
      :value="asked ?? null"
      @update:value="asked = $event"
      label="Import the shots of"
      placeholder="which player?"
      :options="options"
    />
    <span v-if="asked === undefined" class="verdict warning">◆ None is called {{ name }}; choose one.</span>
  </p>
  <p v-else-if="other" class="verdict warning" role="status">
    ◆ The file says these are the shots of {{ other }}; they are imported for {{ name }}.
  </p>
</template>
