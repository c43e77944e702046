<script setup lang="ts">
import type { ChangeResult } from '@tasche/contract';
import { NButton, NCard } from 'naive-ui';
import { v4 as newId } from 'uuid';
import { ref } from 'vue';
import { useRouter } from 'vue-router';
import { post } from '../api/request';
import ProblemLine from '../app/ProblemLine.vue';
import { MADE_UP_PLAYERS, madeUpPlayer, type MadeUpPlayer } from './made-up-players';

/** A made-up player, to see what a bag looks like before entering one's own. */
const router = useRouter();
const problem = ref('');
const lookingAt = ref('');
async function lookAt(one: MadeUpPlayer): Promise<void> {
  const playerId = newId();
  lookingAt.value = one.name;
  try {
    const { default: sheet } = await one.sheet();
    await post<ChangeResult>('/changes', { id: newId(), commands: madeUpPlayer(one, sheet, playerId) });
    await router.push({ name: 'bag', params: { playerId } });
  } catch (error) {
    problem.value = (error as Error).message;
  } finally {
    lookingAt.value = '';
  }
}
</script>

<template>
  <NCard tag="section" class="made-up">
    <h2>Or look around first</h2>
    <p class="quiet">Adds a made-up player with a full bag; remove them again in their settings.</p>
    <ul>
      <li v-for="one in MADE_UP_PLAYERS" :key="one.name">
        <NButton
          size="small"
          :loading="lookingAt === one.name"
          :disabled="lookingAt !== ''"
          @click="lookAt(one)"
          >{{ one.name }}</NButton
        >
        <span class="quiet">{{ one.says }}</span>
      </li>
    </ul>
    <ProblemLine :text="problem" />
  </NCard>
</template>

<style scoped>
.made-up {
  padding: 14px 18px;
}
.made-up ul {
  list-style: none;
  margin: 10px 0 0;
  padding: 0;
  display: grid;
  gap: 8px;
}
.made-up li {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 12px;
}
h2 {
  font-size: 18px;
  margin-bottom: 4px;
}
</style>
