import { useDropZone } from '@vueuse/core';
import { ref, shallowRef, type Ref } from 'vue';

/**
 * Whether a file is being brought in, and the one that was dropped on a page, where one was.
 * @param isWanted whether a drop is taken at all
 */
export function useDroppedFile(page: Ref<HTMLElement | null>, isWanted: () => boolean) {
  const isOpen = ref(false);
  const file = shallowRef<File>();
  useDropZone(page, {
    onDrop: (files) => {
      if (!files?.[0] || !isWanted()) return;
      file.value = files[0];
      isOpen.value = true;
    },
    multiple: false,
  });
  function close(): void {
    isOpen.value = false;
    file.value = undefined;
  }
  return { isOpen, file, close };
}
