<script setup lang="ts">
import { NButton } from 'naive-ui';
import RemovableTag from '../app/RemovableTag.vue';
import type { LadderClub } from '@tasche/core';
import { VueDraggable } from 'vue-draggable-plus';

/**
 * Groups of which one club at most is carried: clubs are dropped here, or marked by a key on the board, until
 * there are two or more.
 */
const props = defineProps<{
  marked: readonly string[];
  groups: readonly (readonly string[])[];
  nameOf: (id: string) => string;
  readOnly: boolean;
}>();
const emit = defineEmits<{
  mark: [id: string];
  unmark: [id: string];
  groups: [groups: readonly (readonly string[])[]];
  clear: [];
}>();

function dropped(event: { data?: LadderClub; item: HTMLElement }): void {
  event.item.remove();
  if (event.data && !props.marked.includes(event.data.id)) emit('mark', event.data.id);
}
function set(): void {
  emit('groups', [...props.groups, [...props.marked]]);
  emit('clear');
}
</script>

<template>
  <section v-if="!readOnly || groups.length > 0" class="one-of" aria-label="One of a group">
    <p v-for="(ids, i) in groups" :key="i" class="small">
      <span class="quiet">one at most of</span> <b>{{ ids.map(nameOf).join(', ') }}</b>
      <NButton
        v-if="!readOnly"
        class="no-print"
        :aria-label="`Forget group ${i + 1}`"
        @click="emit('groups', groups.toSpliced(i, 1))"
        size="small"
      >
        ×
      </NButton>
    </p>
    <div v-if="!readOnly" class="drop no-print">
      <VueDraggable
        :model-value="[]"
        tag="div"
        class="tray"
        :class="{ empty: marked.length === 0 }"
        :group="{ name: 'locks', pull: false, put: true }"
        :sort="false"
        :force-fallback="true"
        @add="dropped"
      />
      <p class="small">
        <span v-if="marked.length === 0" class="quiet"
          >Drop clubs here, or press <kbd>G</kbd> on them: one of them at most.</span
        >
        <template v-else
          ><span class="quiet">one at most of</span>
          <RemovableTag
            v-for="id in marked"
            :key="id"
            class="chip"
            type="warning"
            :removes="`${nameOf(id)} not in the group`"
            @remove="emit('unmark', id)"
            >{{ nameOf(id) }}</RemovableTag
          >
          <NButton :disabled="marked.length < 2" title="Enter, on the board" @click="set" size="small">
            Set
          </NButton>
          <span v-if="marked.length < 2" class="quiet">and another</span></template
        >
      </p>
    </div>
  </section>
</template>

<style scoped>
.one-of {
  display: grid;
  gap: 4px;
}
p {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 8px;
  align-items: center;
}
.drop {
  position: relative;
  border: 1px dashed var(--line);
  border-radius: 4px;
  padding: 5px 10px;
  min-height: 40px;
  display: grid;
  align-items: center;
}
.drop p {
  position: relative;
  z-index: 1;
  pointer-events: none;
}
.drop p .n-button {
  pointer-events: auto;
}
.tray {
  position: absolute;
  inset: 0;
  overflow: hidden;
  list-style: none;
}
</style>
