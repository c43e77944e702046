<script setup lang="ts">
import PageWindow from '../app/PageWindow.vue';
import { KEYS, useKeysHelp } from './keys-help';
import { isTyping } from './is-typing';
import { useShortcuts } from './use-shortcuts';

const help = useKeysHelp();
useShortcuts('Anywhere', {
  '?': (event) => {
    if (isTyping(event)) return false;
    help.open = !help.open;
    return true;
  },
});
</script>

<template>
  <PageWindow v-model:show="help.open" title="Keys" :px="760">
    <div class="groups">
      <section v-for="{ group, keys } in KEYS" :key="group">
        <h3>{{ group }}</h3>
        <dl>
          <template v-for="[key, what] in keys" :key="key"
            ><dt>
              <kbd>{{ key }}</kbd>
            </dt>
            <dd>{{ what }}</dd></template
          >
        </dl>
      </section>
    </div>
  </PageWindow>
</template>

<style scoped>
.groups {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(220px, 1fr));
  gap: 18px 24px;
}
h3 {
  font-size: 14px;
  margin-bottom: 8px;
  color: var(--quiet);
  font-weight: 500;
}
dl {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 6px 10px;
  margin: 0;
}
dd {
  margin: 0;
}
</style>
