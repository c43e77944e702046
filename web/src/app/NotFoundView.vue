<script setup lang="ts">
import LinkButton from './LinkButton.vue';
import NotThere from './NotThere.vue';
</script>

<template>
  <NotThere title="Nothing here" says="This address leads nowhere." is-page>
    <LinkButton to="/roster" type="primary">To the roster</LinkButton>
  </NotThere>
</template>
