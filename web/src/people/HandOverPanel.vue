<script setup lang="ts">
import ProblemLine from '../app/ProblemLine.vue';
import { NButton, NRadio, NRadioGroup, NSpace } from 'naive-ui';
import type { HandOverWay, MadeLinkView } from '@tasche/contract';
import { ref } from 'vue';
import { post } from '../api/request';
import { useAttempt } from '../api/use-attempt';
import MadeLink from './MadeLink.vue';
import { dayAndTime } from './moment-words';

/**
 * Moves a whole player elsewhere: as a file, or to another workspace, whose owner accepts with the link made
 * here.
 */
const props = defineProps<{ player: { id: string; name: string } }>();
const WAYS: readonly { way: HandOverWay; name: string; says: string }[] = [
  { way: 'copy', name: 'As a copy', says: 'each workspace goes on with its own' },
  {
    way: 'move',
    name: 'For good',
    says: 'everything is deleted here once it is there; this cannot be undone',
  },
];
const how = ref<HandOverWay>('copy');
const made = ref<MadeLinkView | null>(null);
const { problem, attempt } = useAttempt();
const make = () =>
  attempt(async () => {
    made.value = await post<MadeLinkView>(`/players/${props.player.id}/hand-over`, { how: how.value });
  });
</script>

<template>
  <section class="hand-over">
    <h2>As a file</h2>
    <p class="quiet small">
      Everything about {{ player.name }}, as lines of JSON anybody can read. Any Tasche can import it again:
      Roster, <em>Import a player</em>.
    </p>
    <p>
      <NButton class="long" size="small" tag="a" :href="`/api/players/${player.id}/player.jsonl`" download>
        Export {{ player.name }}
      </NButton>
    </p>
    <h2>To another workspace</h2>
    <p class="quiet small">
      With everything: clubs, readings, bags, plans, sessions, shots, jobs, wishes, and who did what when. You
      offer the player; an owner of the other workspace accepts.
    </p>
    <NRadioGroup v-model:value="how" name="how">
      <NSpace vertical :size="2">
        <NRadio v-for="{ way, name, says } in WAYS" :key="way" :value="way">
          {{ name }} <span class="quiet small">{{ says }}</span>
        </NRadio>
      </NSpace>
    </NRadioGroup>
    <p><NButton size="small" data-once @click="make">Make the link</NButton></p>
    <ProblemLine :text="problem" />
    <MadeLink v-if="made" :link="made" :title="`A link that takes ${player.name}: shown once`">
      Send it to the owner of the other workspace; it works once, until {{ dayAndTime(made.expiresAt) }}.
      Under <em>People</em> it can be withdrawn.
    </MadeLink>
  </section>
</template>

<style scoped>
.hand-over {
  max-width: 620px;
  margin-top: 28px;
}
.hand-over > h2:not(:first-child) {
  margin-top: 22px;
}
.long {
  height: auto;
  padding: 4px 10px;
  white-space: normal;
}
.hand-over > p {
  margin: 6px 0 10px;
}
</style>
