<script setup lang="ts">
import { clubName } from '@tasche/contract';
import ProblemLine from '../app/ProblemLine.vue';
import WorkProgress from '../app/WorkProgress.vue';
import { NButton } from 'naive-ui';
import NameTag from '../app/NameTag.vue';
import {
  digits,
  BENDING_CAUTION,
  howSureSentence,
  lossOf,
  lossWords,
  type Alternatives,
  type HowSure,
  type PlayedRounds,
} from '@tasche/core';
import { computed, watch } from 'vue';
import { playedVerdict } from './played-verdict';
import { differsWords } from './round-swaps';
import type { RoundAnswer, RoundRemedy } from './round-worker';
import { useLongWork } from './use-long-work';
import type { AskedRound } from './use-round';

/**
 * Beside the best bag: the next ones, the best near the gamer, the best ten, the cheapest remedy, how sure it
 * is, and rounds played on the course.
 */
const props = defineProps<{
  asked: AskedRound;
  chosen: RoundAnswer;
  /** Another answer is on its way. */ pending: boolean;
}>();
const name = (id: string) => clubName(props.asked.request.clubs, id);
const best = computed(() => props.chosen.answer!.best);
const differs = (bag: Parameters<typeof differsWords>[0]) => differsWords(bag, best.value, name);

const others = useLongWork<Alternatives>();
const remedies = useLongWork<RoundRemedy[]>();
const sure = useLongWork<HowSure>();
const played = useLongWork<PlayedRounds & { against: string; claim: number }>();
const ROUNDS = 2000;
/** Without the player's data a bag is only as good as its guesses, and that is always said. */
const unsure = computed(
  () =>
    props.asked.request.clubs.filter(
      (club) =>
        best.value.ids.includes(club.id) && club.kind !== 'putter' && club.shots.full?.source !== 'measured',
    ).length,
);

watch(
  // A new sentence about the same answer leaves what was asked of it standing.
  () => props.chosen.answer,
  () => {
    for (const one of [others, remedies, sure, played]) one.renew();
  },
);

const findOthers = () => others.run(([link]) => link.others(props.asked.request, props.asked.rules));
const findRemedies = () =>
  remedies.run(([link]) => link.remedies(props.asked.request, props.asked.rules, props.asked.unit));
const askSure = () =>
  sure.run(([link], progress) => link.sure(props.asked.request, props.asked.rules, best.value.ids, progress));
const playOut = () =>
  played.run(async ([link], progress) => {
    const second = (await link.others(props.asked.request, props.asked.rules)).five[1];
    if (!second) throw new Error('There is no other bag to play against.');
    const outcome = await link.playOut(
      props.asked.request,
      props.asked.rules,
      best.value.ids,
      second.ids,
      ROUNDS,
      progress,
    );
    return { ...outcome, against: differs(second), claim: second.forNeeds - best.value.forNeeds };
  });
const verdict = computed(() => (played.result.value ? playedVerdict(played.result.value) : ''));
const works = [
  { key: 'others', label: 'Other bags', of: others, run: findOthers },
  { key: 'remedies', label: 'Cheapest remedy', of: remedies, run: findRemedies },
  { key: 'sure', label: 'How sure?', of: sure, run: askSure },
  {
    key: 'played',
    label: `Play ${digits(ROUNDS)} rounds against the next best`,
    of: played,
    run: playOut,
  },
] as const;
</script>

<template>
  <section class="others" aria-label="Other bags">
    <div class="bar no-print">
      <NButton
        v-for="work in works"
        :key="work.key"
        :disabled="pending || work.of.share.value !== null"
        @click="work.run"
      >
        {{ work.label }}
      </NButton>
    </div>
    <template v-for="work in works" :key="work.key">
      <p v-if="work.of.share.value !== null" class="bar small" role="status">
        <WorkProgress :share="work.of.share.value" /> {{ work.label }}…
        <NButton @click="work.of.stop" size="small">Cancel</NButton>
      </p>
      <ProblemLine :text="work.of.problem.value" />
    </template>
    <p v-if="unsure > 0 && !sure.result.value" class="small verdict warning">
      ◆ {{ unsure }} of these carries {{ unsure === 1 ? 'is' : 'are' }} not measured. Ask how sure the choice
      is.
    </p>
    <p v-if="sure.result.value" class="sentence">
      <span
        class="verdict"
        :class="sure.result.value.same >= sure.result.value.redraws * 0.8 ? 'fine' : 'warning'"
        >{{ sure.result.value.same >= sure.result.value.redraws * 0.8 ? '●' : '◆' }}</span
      >
      {{ howSureSentence(sure.result.value) }}
      <span class="small quiet"
        >Least sure of its place:
        {{
          best.ids
            .filter((id) => sure.result.value!.share[id]! < 0.95)
            .sort((a, b) => sure.result.value!.share[a]! - sure.result.value!.share[b]!)
            .slice(0, 4)
            .map((id) => `${name(id)} (${Math.round(sure.result.value!.share[id]! * 100)} %)`)
            .join(', ') || 'none'
        }}.</span
      >
    </p>
    <dl v-if="others.result.value" class="bags">
      <template v-for="(bag, i) in others.result.value.five.slice(1)" :key="i"
        ><dt>{{ ['second', 'third', 'fourth', 'fifth'][i] }} best</dt>
        <dd>{{ differs(bag) }}</dd></template
      >
      <template v-if="others.result.value.gamer"
        ><dt>the gamer as it is</dt>
        <dd>{{ differs(others.result.value.gamer) }}</dd></template
      >
      <template v-if="others.result.value.withinOne"
        ><dt>one swap from the gamer</dt>
        <dd>{{ differs(others.result.value.withinOne) }}</dd></template
      >
      <template v-if="others.result.value.withinTwo"
        ><dt>two swaps from the gamer</dt>
        <dd>{{ differs(others.result.value.withinTwo) }}</dd></template
      >
      <template v-if="others.result.value.ten"
        ><dt>best of ten clubs</dt>
        <dd>
          {{ others.result.value.ten.ids.map(name).join(', ') }},
          {{ lossWords(lossOf(others.result.value.ten, best).onTheCourse) }}
        </dd></template
      >
    </dl>
    <p v-if="others.result.value" class="small quiet">
      Strokes a round as they are played; in the order that counts trust, money and changes too.
    </p>
    <div v-if="remedies.result.value" class="remedies">
      <p v-if="remedies.result.value.length === 0">
        Nothing worth doing: no shot, bend, swap or club makes the gamer better here.
      </p>
      <ol v-else>
        <li v-for="(one, i) in remedies.result.value" :key="one.kind">
          <b>{{ one.kind }}</b><NameTag v-if="i === 0">cheapest</NameTag>: {{ one.text }}, gains
          <b>{{ one.gain.toFixed(2) }}</b> strokes a round.
        </li>
      </ol>
      <p
        v-if="remedies.result.value.some(({ kind }) => kind === 'bend' || kind === 'turn a sleeve')"
        class="small quiet"
      >
        {{ BENDING_CAUTION }}
      </p>
    </div>
    <p v-if="played.result.value" class="sentence">
      Over {{ digits(played.result.value.rounds) }} rounds played stroke by stroke with the same luck, the
      next best ({{ played.result.value.against }}) took
      <b
        >{{ played.result.value.difference.toFixed(3) }} ±
        {{ played.result.value.plusMinus?.toFixed(3) ?? '?' }}</b
      >
      strokes more; the plan’s needs say {{ played.result.value.claim.toFixed(3) }}, uneven steps and the
      price of change left out. {{ verdict }}
    </p>
  </section>
</template>

<style scoped>
.others {
  display: grid;
  gap: 8px;
  margin-top: 16px;
  border-top: 1px solid var(--line);
  padding-top: 12px;
}
.bags {
  display: grid;
  grid-template-columns: max-content minmax(0, 1fr);
  gap: 3px 16px;
  margin: 0;
}
.bags dt {
  color: var(--quiet);
}
.bags dd {
  margin: 0;
}
.remedies ol {
  margin: 0;
  padding-left: 20px;
  display: grid;
  gap: 3px;
}
</style>
