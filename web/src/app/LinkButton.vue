<script setup lang="ts">
import { NButton } from 'naive-ui';
import { RouterLink, type RouteLocationRaw } from 'vue-router';

/** A link to another view that looks like a button: it can be opened in a new tab. */
defineProps<{ to: RouteLocationRaw; type?: 'default' | 'primary'; size?: 'small' | 'medium' }>();
defineOptions({ inheritAttrs: false });
</script>

<template>
  <RouterLink v-slot="{ href, navigate }" :to="to" custom>
    <NButton v-bind="$attrs" tag="a" :href="href" :type="type" :size="size" @click="navigate">
      <slot />
    </NButton>
  </RouterLink>
</template>
