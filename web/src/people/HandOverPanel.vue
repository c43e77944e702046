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
 * A player goes elsewhere, whole: as a file, or to another workspace, whose owner takes with the link made
 * here.
 */
const props = defineProps<{ player: { id: string; name: string } }>();
const WAYS: readonly { way: HandOverWay; name: string; says: string }[] = [
  { way: 'copy', name: 'As a copy', says: 'both go on with their own' },
  {
    way: 'move',
    name: 'For good',
    says: 'everything is deleted here once it is there; nothing of it is taken back',
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
      Everything there is of {{ player.name }}, as lines of JSON anybody can read. It comes in again whole, in
      any Tasche: Roster, <em>Bring a player in</em>.
    </p>
    <p>
      <NButton class="long" size="small" tag="a" :href="`/api/players/${player.id}/player.jsonl`" download>
        Take {{ player.name }} out
      </NButton>
    </p>
    <h2>To another workspace</h2>
    <p class="quiet small">
      With everything: clubs, readings, bags, plans, sessions, shots, jobs, wishes, and who did what when. You
      offer; whoever owns the other workspace takes.
    </p>
    <NRadioGroup v-model:value="how" name="how">
      <NSpace vertical :size="2">
        <NRadio v-for="{ way, name, says } in WAYS" :key="way" :value="way">
          {{ name }} <span class="quiet small">{{ says }}</span>
        </NRadio>
      </NSpace>
    </NRadioGroup>
    <p><NButton size="small" @click="make">Make the link</NButton></p>
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
