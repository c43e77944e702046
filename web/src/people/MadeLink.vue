<script setup lang="ts">
import type { MadeLinkView } from '@tasche/contract';
import { NAlert } from 'naive-ui';
import CopyButton from '../app/CopyButton.vue';

/** A link that is shown once, to be sent to somebody; what it does and how long is said under it. */
defineProps<{ link: MadeLinkView; title: string }>();
</script>

<template>
  <NAlert type="success" :title="title" :bordered="false" class="made-link">
    <div class="beside">
      <div>
        <code>{{ link.url }}</code>
        <p class="small"><slot /></p>
        <div class="bar">
          <CopyButton :text="link.url" />
          <slot name="more" />
        </div>
      </div>
      <slot name="picture" />
    </div>
  </NAlert>
</template>

<style scoped>
.made-link {
  max-width: 760px;
  margin-bottom: 14px;
}
.beside {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  gap: 10px 20px;
}
.beside > div {
  flex: 1 1 260px;
  min-width: 0;
}
code {
  overflow-wrap: anywhere;
}
p {
  margin: 6px 0;
}
</style>
