<script setup lang="ts">
import { NButton } from 'naive-ui';
import { computed } from 'vue';

/** Whose flights are looked at: the whole bag's, those of two clubs of which one travels, or of some. */
const props = defineProps<{
  clubs: readonly { id: string; name: string }[];
  /** Clubs of which one or the other goes. */
  pairs: readonly (readonly string[])[];
}>();
/** Their ids; all of the clubs' where none was chosen. */
const chosen = defineModel<readonly string[]>('chosen', { required: true });

const isWhole = computed(() => chosen.value.length === props.clubs.length);
/** From the whole bag the first press looks at one club alone; from then on presses add and take away. */
function press(id: string): void {
  if (isWhole.value) chosen.value = [id];
  else
    chosen.value = chosen.value.includes(id)
      ? chosen.value.filter((one) => one !== id)
      : [...chosen.value, id];
}
const isPair = (ids: readonly string[]) =>
  ids.length === chosen.value.length && ids.every((id) => chosen.value.includes(id));
const nameOf = (id: string) => props.clubs.find((club) => club.id === id)?.name;
</script>

<template>
  <div class="chips no-print" role="group" aria-label="Clubs shown">
    <NButton :aria-pressed="isWhole" size="small" @click="chosen = []">Whole bag</NButton>
    <NButton
      v-for="pair in pairs"
      :key="pair.join()"
      class="pair"
      :aria-pressed="isPair(pair)"
      size="small"
      @click="chosen = pair"
    >
      {{ pair.map(nameOf).join(' or ') }}
    </NButton>
    <span class="rule" />
    <NButton
      v-for="{ id, name } in clubs"
      :key="id"
      :aria-pressed="!isWhole && chosen.includes(id)"
      size="small"
      @click="press(id)"
    >
      {{ name }}
    </NButton>
  </div>
</template>

<style scoped>
.chips {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
  align-items: center;
  margin: 2px 0 8px;
}
.chips .pair {
  border-style: dashed;
  border-color: var(--petrol-mid);
}
.rule {
  width: 1px;
  align-self: stretch;
  background: var(--line);
  margin: 2px 6px;
}
</style>
