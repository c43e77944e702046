<script setup lang="ts">
import ProblemLine from '../app/ProblemLine.vue';
import {
  counted,
  BENDING_CAUTION,
  BUILDER_WORDS,
  DEFAULT_GAP_SETTINGS,
  USUAL_BOUNCE_WINDOW,
  bendAnswerWords,
  bendPlanWords,
  bendRangeOf,
  distanceNumber,
  formatDegrees,
  gappingStrategyOf,
  loftChoicesOf,
  offsetWords,
  byDegreesWords,
  sleeveOf,
  evennessWords,
  bendRangeWords,
  type BendPlan,
} from '@tasche/core';
import { NAlert, NButton, NEmpty, NTable } from 'naive-ui';
import { computed, reactive, ref, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { useSettings } from '../app/settings';
import UnitButton from '../app/UnitButton.vue';
import ChoiceField from '../fields/ChoiceField.vue';
import NumberField from '../fields/NumberField.vue';
import { useSheet } from '../sheet/sheet-store';
import BenchHead from './BenchHead.vue';
import type { BendQuestion } from './bend-worker';
import { addTickets, bendTicket, type TicketOccasion } from './new-tickets';
import MakeTickets from './MakeTickets.vue';
import StepBars from './StepBars.vue';
import { useBendPlan } from './use-bend-plan';

/** The bends that make a bag's steps what its gapping style wants, with the least bending; and the tickets for them. */
const props = defineProps<{ playerId: string }>();
const store = useSheet();
const settings = useSettings();
const route = useRoute();
const router = useRouter();

const unit = computed(() => settings.unitFor(store.sheet!.player.distanceUnit));
const bag = computed(
  () => store.sheet!.bags.find(({ id }) => id === route.query.bag) ?? store.gamer ?? store.sheet!.bags[0],
);
const clubs = computed(() =>
  (bag.value?.clubIds ?? []).flatMap((id) => {
    const [view, ladder] = [store.clubsById.get(id), store.ladderClubs.get(id)];
    return view && ladder ? [{ view, ladder }] : [];
  }),
);
const window = reactive({ ...USUAL_BOUNCE_WINDOW });
/** Clubs that stay as they are, whatever the plan would do with them. */
const kept = ref<readonly string[]>([]);

const question = computed<BendQuestion | null>(() =>
  clubs.value.length === 0
    ? null
    : {
        clubs: clubs.value.map(({ ladder }) => ladder),
        choices: clubs.value
          .filter(({ view }) => !kept.value.includes(view.id))
          .map(({ view }) => [view.id, loftChoicesOf(view, window)] as const),
        options: {
          school: bag.value?.strategy ?? 'even-carries',
          settings: { ...DEFAULT_GAP_SETTINGS, ...store.sheet!.player.gapSettings },
        },
      },
);
const { answer, problem } = useBendPlan(question);

/** The plan that is looked at: the chosen one until another is pressed. */
const pickedEffort = ref<number | null>(null);
watch(answer, () => (pickedEffort.value = null));
const plan = computed<BendPlan | null>(
  () =>
    answer.value &&
    (answer.value.plans.find(({ effort }) => effort === pickedEffort.value) ?? answer.value.chosen),
);
const words = computed(() => answer.value && bendAnswerWords(answer.value, unit.value));
const off = (one: BendPlan) =>
  `±${evennessWords({ rms: one.offTarget, unit: answer.value!.unit }, unit.value)}`;
/** Plans that read as good as the one before are left out. */
const shownPlans = computed(() => {
  const shown: BendPlan[] = [];
  for (const one of answer.value?.plans ?? []) {
    const last = shown.at(-1);
    if (!last || off(one) !== off(last) || one === answer.value!.chosen) shown.push(one);
  }
  return shown;
});
function faultWords(before: number, after: number): string {
  if (before === 0 && after === 0) return '';
  return before === after
    ? `${counted(after, 'fault')} before and after: no bend mends ${after === 1 ? 'it' : 'them'}.`
    : `${counted(before, 'fault')} before, ${after === 0 ? 'none' : after} after.`;
}
const titleOf = (one: BendPlan) => bendPlanWords(one, one.report.rungs) || 'as it is';

/** From the longest to the shortest, as on the ladder. */
const rows = computed(() =>
  clubs.value
    .filter(
      ({ ladder }) => ladder.loftDeg !== undefined && ladder.kind !== 'putter' && ladder.kind !== 'chipper',
    )
    .toSorted(
      (a, b) =>
        (b.ladder.shots.full?.carryM ?? 0) - (a.ladder.shots.full?.carryM ?? 0) ||
        a.ladder.loftDeg! - b.ladder.loftDeg!,
    )
    .map(({ view, ladder }) => {
      const bend = plan.value?.bends.find(({ clubId }) => clubId === view.id);
      const isIron = view.kind === 'iron' || view.kind === 'wedge';
      const range = bendRangeOf(view);
      const sleeve = isIron ? undefined : sleeveOf(view.spec);
      const carry = ladder.shots.full?.carryM;
      return {
        id: view.id,
        name: view.name,
        loft: formatDegrees(ladder.loftDeg!),
        allowed: isIron
          ? bendRangeWords(range)
          : sleeve?.now
            ? `${counted(sleeve.positions.length, 'sleeve position')}${sleeve.generic ? ', generic' : ''}`
            : 'not bent',
        movable: loftChoicesOf(view, window).length > 1,
        bend,
        becomes: bend ? formatDegrees(bend.toDeg) : '',
        by: bend
          ? isIron
            ? byDegreesWords(bend.byDeg)
            : `${formatDegrees(Math.abs(bend.byDeg))} ${bend.byDeg > 0 ? 'up' : 'down'}`
          : '',
        bounce:
          bend?.bounceFromDeg === undefined || bend.bounceToDeg === undefined
            ? ''
            : `${formatDegrees(bend.bounceFromDeg)} to ${formatDegrees(bend.bounceToDeg)}`,
        offset: bend && isIron ? offsetWords(bend.byDeg) : '',
        carry: carry === undefined ? '' : distanceNumber(carry, unit.value),
        carryThen: bend ? distanceNumber(bend.carryToM, unit.value) : '',
      };
    }),
);

function keep(id: string): void {
  kept.value = kept.value.includes(id) ? kept.value.filter((one) => one !== id) : [...kept.value, id];
}

/** One ticket a club, in one change. */
function makeTickets(occasion: Omit<TicketOccasion, 'why'>): void {
  if (!plan.value) return;
  const why = `${gappingStrategyOf(bag.value?.strategy ?? 'even-carries').name.toLowerCase()}: ${off(answer.value!.now)} to ${off(plan.value)}`;
  const tickets = plan.value.bends.map((bend) =>
    bendTicket(store.clubsById.get(bend.clubId)!, bend, { ...occasion, why }),
  );
  store.change(addTickets(props.playerId, tickets), `bend plan for ${bag.value!.name}`);
}
</script>

<template>
  <div class="page">
    <BenchHead :player-id="playerId">
      Bend plan
      <template #says>
        <p class="quiet">The least bending that makes the steps what the bag’s gapping style wants.</p>
      </template>
      <template #actions><UnitButton :own="store.sheet!.player.distanceUnit" /></template>
    </BenchHead>
    <div class="bar options no-print">
      <label
        >Bag
        <ChoiceField
          :value="bag?.id ?? ''"
          label="Bag"
          :options="store.sheet!.bags.map(({ id, name }) => ({ value: id, label: name }))"
          @update:value="router.replace({ query: { ...route.query, bag: $event } })"
      /></label>
      <span v-if="bag" class="quiet">{{ gappingStrategyOf(bag.strategy).name }}</span>
      <label>
        Wedge bounce from
        <NumberField v-model:value="window.minDeg" label="Bounce from" unit="°" :bounds="[0, 30]" :px="52" />
      </label>
      <label>
        to <NumberField v-model:value="window.maxDeg" label="Bounce to" unit="°" :bounds="[0, 30]" :px="52" />
      </label>
    </div>
    <NEmpty v-if="clubs.length === 0" description="There is no club in this bag yet." />
    <ProblemLine v-else-if="problem" :text="problem" />
    <p v-else-if="!answer || !plan || !words" class="quiet" role="status">Working out the bends…</p>
    <template v-else>
      <section class="card answer" aria-live="polite">
        <h2>{{ plan === answer.chosen ? words.title : titleOf(plan) }}</h2>
        <p>
          {{
            plan === answer.chosen
              ? words.text
              : `From ${off(answer.now)} to ${off(plan)}; at worst ±${evennessWords({ rms: plan.offTargetAtWorst, unit: answer.unit }, unit)} with every bent club half a degree off.`
          }}
          {{ faultWords(answer.now.report.faults, plan.report.faults) }}
        </p>
        <p v-if="plan === answer.chosen && answer.nextBest" class="quiet">
          Next best with no more bending: {{ titleOf(answer.nextBest) }} ({{ off(answer.nextBest) }}).
        </p>
        <div
          v-if="answer.plans.length > 1"
          class="bar picks no-print"
          role="group"
          aria-label="How much bending"
        >
          <span class="quiet">Half degrees bent in all:</span>
          <NButton
            v-for="one in shownPlans"
            :key="one.effort"
            size="small"
            :aria-pressed="one === plan"
            :title="titleOf(one)"
            @click="pickedEffort = one.effort"
          >
            {{ one.effort }}&nbsp;<span class="quiet small">{{ off(one) }}</span>
          </NButton>
        </div>
      </section>
      <div class="columns">
        <section class="scroll">
          <NTable class="figures plan" size="small" :bordered="false">
            <caption class="unseen">
              Clubs of the bag, with what the plan does to each
            </caption>
            <thead>
              <tr>
                <th scope="col">Club</th>
                <th scope="col">Loft</th>
                <th scope="col">Becomes</th>
                <th scope="col">Bounce</th>
                <th scope="col">Carry, {{ unit }}</th>
                <th scope="col" class="left">Allowed</th>
                <th scope="col" class="no-print"><span class="unseen">Leave as it is</span></th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="row in rows" :key="row.id" :class="{ bent: row.bend }">
                <th scope="row">{{ row.name }}</th>
                <td>{{ row.loft }}</td>
                <td>
                  <template v-if="row.bend"
                    ><b>{{ row.becomes }}</b>
                    <span class="quiet small by">{{ row.by }}</span>
                    <span v-if="row.offset" class="quiet small offset">{{ row.offset }}</span></template
                  >
                </td>
                <td>{{ row.bounce }}</td>
                <td>
                  {{ row.carry
                  }}<template v-if="row.carryThen">
                    → <b>{{ row.carryThen }}</b></template
                  >
                </td>
                <td class="left quiet">{{ row.allowed }}</td>
                <td class="no-print">
                  <NButton
                    v-if="row.movable || kept.includes(row.id)"
                    size="tiny"
                    quaternary
                    :aria-pressed="kept.includes(row.id)"
                    @click="keep(row.id)"
                  >
                    {{ kept.includes(row.id) ? 'left as it is' : 'leave' }}
                  </NButton>
                </td>
              </tr>
            </tbody>
          </NTable>
        </section>
        <StepBars :now="answer.now.report" :then="plan.report" :unit="unit" />
      </div>
      <NAlert type="warning" :show-icon="false" class="caution">
        {{ BENDING_CAUTION }} {{ BUILDER_WORDS }} A modelled carry is a guess: measure again afterwards.
      </NAlert>
      <MakeTickets
        v-if="plan.bends.length > 0 && !store.readOnly"
        :player-id="playerId"
        :count="plan.bends.length"
        :about="titleOf(plan)"
        @make="makeTickets"
      />
    </template>
  </div>
</template>

<style scoped>
.options {
  margin-bottom: 12px;
  gap: 8px 18px;
}
.options label {
  display: inline-flex;
  align-items: center;
  gap: 6px;
}
.answer {
  padding: 14px 18px;
  margin-bottom: 14px;
  display: grid;
  gap: 6px;
}
.answer h2 {
  font-size: 19px;
}
.columns {
  display: grid;
  grid-template-columns: minmax(0, 3fr) minmax(260px, 2fr);
  gap: 28px;
  align-items: start;
}
.plan .left {
  text-align: left;
  white-space: normal;
}
.bent th[scope='row'],
.bent b {
  color: var(--petrol);
}
.by {
  margin-left: 6px;
}
.offset {
  display: block;
}
.plan td {
  height: 34px;
}
.caution {
  margin: 16px 0;
  max-width: 900px;
}
@media (max-width: 900px) {
  .columns {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
