<script setup lang="ts">
import { NButton, NUpload, NUploadDragger, type UploadFileInfo } from 'naive-ui';
import { computed, ref } from 'vue';
import ProblemLine from '../app/ProblemLine.vue';
import { allSheets, fileOfSheet, useWorkbook } from '../files/use-workbook';
import { isWorkbook } from '../files/workbook';
import ChoiceField from './ChoiceField.vue';

/**
 * A file picked or dropped. It goes nowhere by itself: the view reads it. Where tables are taken, workbooks are
 * too: the sheet that is meant comes as the text it would be.
 */
const props = defineProps<{
  label: string;
  accept: string;
  disabled?: boolean;
  /** A place to drop a file on, rather than a button. */
  drop?: boolean;
  /** The sheets of a workbook may be of a player each: all of them can be taken at once. */
  severalSheets?: boolean;
}>();
const emit = defineEmits<{ file: [file: File] }>();

const takesTables = computed(() => props.accept.includes('.csv'));
const accepted = computed(() => (takesTables.value ? `${props.accept},.xlsx` : props.accept));
const { isReading, problem, sheets, read, cancel } = useWorkbook();
const workbook = ref('');
const ALL = -1;
const sheetOptions = computed(() => [
  ...(props.severalSheets ? [{ value: ALL, label: 'all of them, a player each' }] : []),
  ...sheets.value.map(({ name }, value) => ({ value, label: name })),
]);

function choose({ file }: { file: UploadFileInfo }): boolean {
  if (file.file) void open(file.file);
  return false;
}

async function open(file: File): Promise<void> {
  cancel();
  sheets.value = [];
  problem.value = '';
  if (!takesTables.value || !isWorkbook(file)) {
    emit('file', file);
    return;
  }
  workbook.value = file.name;
  const [only, second] = await read(file);
  if (only && !second) emit('file', fileOfSheet(file.name, only.text));
}

function take(chosen: number): void {
  const text = chosen === ALL ? allSheets(sheets.value) : sheets.value[chosen]!.text;
  const name = chosen === ALL ? workbook.value : `${workbook.value}, ${sheets.value[chosen]!.name}`;
  sheets.value = [];
  emit('file', fileOfSheet(name, text));
}

/** A file that was dropped elsewhere on the page is opened like one that is picked here. */
defineExpose({ open });
</script>

<template>
  <span class="file-field" :class="{ drop }">
    <NUpload
      class="upload"
      :accept="accepted"
      :disabled="disabled"
      :show-file-list="false"
      :default-upload="false"
      :input-props="{ 'aria-label': label } as object"
      @before-upload="choose"
    >
      <NUploadDragger v-if="drop"><slot /></NUploadDragger>
      <NButton v-else size="small" :disabled="disabled"><slot /></NButton>
    </NUpload>
    <span v-if="isReading" class="bar" role="status">
      Reading {{ workbook }}… <NButton size="small" @click="cancel">Cancel</NButton>
    </span>
    <span v-if="sheets.length > 0" class="bar">
      <span>{{ workbook }} has {{ sheets.length }} sheets. Read</span>
      <ChoiceField
        :value="null"
        label="Sheet of the workbook"
        placeholder="which sheet?"
        :options="sheetOptions"
        @update:value="take"
      />
    </span>
    <ProblemLine :text="problem" />
  </span>
</template>

<style scoped>
.file-field {
  display: inline-flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
}
.file-field.drop {
  display: grid;
}
.upload {
  width: auto;
}
</style>
