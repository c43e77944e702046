<script setup lang="ts">
import { NCard } from 'naive-ui';
import { watchEffect } from 'vue';

/** The card for signing in and for using a link; once signed out, the tab names no player either. */
const props = defineProps<{ title: string; says?: string }>();
defineSlots<{ default(): unknown }>();
watchEffect(() => {
  document.title = `${props.title} · Tasche`;
});
</script>

<template>
  <div class="door">
    <NCard tag="section" class="door-card">
      <p class="brand" aria-hidden="true">tasche</p>
      <h1>{{ title }}</h1>
      <p v-if="says" class="quiet">{{ says }}</p>
      <slot />
    </NCard>
  </div>
</template>

<style scoped>
.door {
  min-height: 100vh;
  display: grid;
  align-content: center;
  justify-content: center;
  padding: 24px 16px;
}
.door-card {
  width: min(440px, calc(100vw - 32px));
  padding: 28px 32px 22px;
}
.brand {
  font-weight: 600;
  font-size: 17px;
  margin: 0 0 14px;
  color: var(--petrol);
}
h1 {
  margin: 0 0 4px;
}
.door-card .quiet {
  margin: 0 0 18px;
}
@media (max-width: 700px) {
  .door {
    align-content: start;
  }
  .door-card {
    padding: 20px;
  }
}
</style>
