<script setup lang="ts">
import LinkButton from '../app/LinkButton.vue';
import ChoiceField from '../fields/ChoiceField.vue';
import TextField from '../fields/TextField.vue';
import { GROUPINGS, ONLY, ORDERS, type RosterLook, type RosterRow } from './roster-groups';

/** How the roster is looked at: searched, a part of it, in an order, in groups; and the next thing to do. */
defineProps<{
  /** Whose things press most; undefined where nothing is to be done. */ first: RosterRow | undefined;
}>();
const look = defineModel<RosterLook>({ required: true });
const set = (part: Partial<RosterLook>) => {
  look.value = { ...look.value, ...part };
};
</script>

<template>
  <div class="bar looks no-print">
    <TextField
      :value="look.search"
      aria-label="Search players and events"
      placeholder="search…"
      class="search"
      @update:value="set({ search: $event })"
    />
    <ChoiceField
      :value="look.only"
      label="Show"
      :options="ONLY"
      size="small"
      @update:value="set({ only: $event })"
    />
    <ChoiceField
      :value="look.order"
      label="Order"
      :options="ORDERS"
      size="small"
      @update:value="set({ order: $event })"
    />
    <ChoiceField
      :value="look.group"
      label="Group"
      :options="GROUPINGS"
      size="small"
      @update:value="set({ group: $event })"
    />
    <LinkButton v-if="first" class="first" size="small" :to="first.things[0]!.to" title="Alt N">
      {{ first.player.name }}: {{ first.things[0]!.words }} <kbd>Alt N</kbd>
    </LinkButton>
  </div>
</template>

<style scoped>
.looks {
  margin-bottom: 12px;
}
.search {
  width: 160px;
}
/* A long name runs over lines. */
.first {
  max-width: 100%;
  height: auto;
  min-height: var(--n-height);
  padding-block: 4px;
  line-height: 1.25;
  white-space: normal;
  text-align: left;
  overflow-wrap: anywhere;
}
@media (max-width: 700px) {
  .looks > * {
    flex: 1 1 40%;
  }
  .first {
    flex: none;
  }
}
</style>
