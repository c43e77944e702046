<script setup lang="ts">
import { ballOn } from '@tasche/contract';
import { counted } from '@tasche/core';
import { NButton, NForm, NFormItem } from 'naive-ui';
import { computed, reactive } from 'vue';
import { shortDay, today } from '../app/day';
import DateField from '../fields/DateField.vue';
import TextField from '../fields/TextField.vue';
import { useSheet } from '../sheet/sheet-store';

/** The balls a player has played, and the one in play. */
const store = useSheet();

const balls = computed(() => store.sheet!.player.balls.toSorted((a, b) => b.from.localeCompare(a.from)));
const draft = reactive({ name: '', from: today() });
const now = computed(() => ballOn(store.sheet!.player.balls, today()));
function setBalls(next: typeof balls.value): void {
  const { id, version } = store.sheet!.player;
  store.change([{ do: 'editPlayer', playerId: id, version, set: { balls: next } }]);
}
function addBall(): void {
  const name = draft.name.trim();
  if (name === '') return;
  setBalls([...balls.value.filter(({ from }) => from !== draft.from), { name, from: draft.from }]);
  draft.name = '';
}
</script>

<template>
  <section>
    <h2>Ball in play</h2>
    <p>
      {{ now ? `${now} is in play; a new session takes it.` : 'No ball recorded yet.' }}
      <span v-if="balls.length > 1" class="quiet">{{ counted(balls.length, 'ball') }} so far.</span>
    </p>
    <NForm
      v-if="store.may('editPlayer')"
      inline
      size="small"
      :show-feedback="false"
      class="no-print takes"
      @submit.prevent="addBall"
    >
      <NFormItem label="Takes up"
        ><TextField v-model:value="draft.name" aria-label="Ball" placeholder="which ball?" maxlength="80"
      /></NFormItem>
      <NFormItem label="From"><DateField v-model:value="draft.from" label="From" /></NFormItem>
      <NButton attr-type="submit" :disabled="draft.name.trim() === ''">Save</NButton>
    </NForm>
    <ul class="balls">
      <li v-for="ball in balls" :key="ball.from">
        <b>{{ ball.name }}</b> from {{ shortDay(ball.from) }}
        <NButton
          v-if="store.may('editPlayer')"
          size="tiny"
          quaternary
          :aria-label="`delete ${ball.name}`"
          @click="setBalls(balls.filter((one) => one !== ball))"
          >delete</NButton
        >
      </li>
    </ul>
  </section>
</template>

<style scoped>
.takes {
  align-items: end;
}
.balls {
  list-style: none;
  margin: 8px 0 0;
  padding: 0;
  display: grid;
  gap: 4px;
}
</style>
