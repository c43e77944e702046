<script setup lang="ts">
import { NButton, NUpload, NUploadDragger, type UploadFileInfo } from 'naive-ui';

/** A file picked or dropped. It goes nowhere by itself: the view reads it. */
defineProps<{
  label: string;
  accept: string;
  disabled?: boolean;
  /** A place to drop a file on, rather than a button. */
  drop?: boolean;
}>();
const emit = defineEmits<{ file: [file: File] }>();

function choose({ file }: { file: UploadFileInfo }): boolean {
  if (file.file) emit('file', file.file);
  return false;
}
</script>

<template>
  <NUpload
    class="file-field"
    :accept="accept"
    :disabled="disabled"
    :show-file-list="false"
    :default-upload="false"
    :input-props="{ 'aria-label': label } as object"
    @before-upload="choose"
  >
    <NUploadDragger v-if="drop"><slot /></NUploadDragger>
    <NButton v-else size="small" :disabled="disabled"><slot /></NButton>
  </NUpload>
</template>

<style scoped>
.file-field {
  width: auto;
}
</style>
