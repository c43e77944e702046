<script setup lang="ts">
import { digits } from '../app/counted';
import ProblemLine from '../app/ProblemLine.vue';
import NumberField from '../fields/NumberField.vue';
import Fold from '../app/Fold.vue';
import TextField from '../fields/TextField.vue';
import ChoiceField from '../fields/ChoiceField.vue';
import { NButton, NCheckbox, NForm, NTable } from 'naive-ui';
import {
  DEMAND_BOUNDS,
  LIE_NAMES,
  DEFAULT_GAP_SETTINGS,
  demandKey,
  distanceNumber,
  bagLossVerdict,
  lossOf,
  lossWords,
  shotName,
  type DistanceUnit,
  type GapSettings,
  type LadderClub,
  type PlayingConditions,
  type BagPreferences,
  type ShotDemand,
  type GappingStrategyId,
  type Swap,
} from '@tasche/core';
import {
  MAX_PLAN_NEEDS,
  PLAN_CHOOSING_BOUNDS,
  preferencesOf,
  type PlanChoosing,
  type PlanView,
} from '@tasche/contract';
import { computed, ref } from 'vue';
import { readNeeds } from './read-needs';
import { useChoosing } from './use-choosing';

/** The shots a week will ask, and the bag that costs the fewest strokes for them. */
const props = defineProps<{
  plan: PlanView;
  clubs: readonly LadderClub[];
  planned: readonly string[];
  school: GappingStrategyId;
  settings: Partial<GapSettings>;
  /** The clubs as they are known, and where that is. */
  known: readonly LadderClub[];
  from: PlayingConditions;
  /** The air and ground of the week. */
  there: PlayingConditions;
  unit: DistanceUnit;
  readOnly: boolean;
  air: string;
  handicap: number;
  /** What the player wants of every choice. */
  own: Partial<BagPreferences> | null;
}>();
const emit = defineEmits<{ choosing: [choosing: PlanChoosing]; swaps: [swaps: readonly Swap[]] }>();

const choosing = computed<PlanChoosing>(
  () => props.plan.choosing ?? { ...preferencesOf(null, props.own), needs: [] },
);
const set = (part: Partial<PlanChoosing>) => emit('choosing', { ...choosing.value, ...part });

const typed = ref('');
const problem = ref('');
function add(): void {
  const read = readNeeds(typed.value, props.unit);
  if (!read.ok) {
    problem.value = `${read.reason}; nothing was added yet.`;
    return;
  }
  if (choosing.value.needs.length + read.needs.length > MAX_PLAN_NEEDS) {
    problem.value = `A week holds at most ${MAX_PLAN_NEEDS} needs.`;
    return;
  }
  problem.value = '';
  typed.value = '';
  set({ needs: [...choosing.value.needs, ...read.needs].sort((a, b) => b.distanceM - a.distanceM) });
}
const edit = (i: number, part: Partial<ShotDemand>) =>
  set({ needs: choosing.value.needs.map((demand, k) => (k === i ? { ...demand, ...part } : demand)) });
const remove = (i: number) => set({ needs: choosing.value.needs.toSpliced(i, 1) });

/** Each club is open, always in, or never in; a press goes round. */
const stateOf = (id: string) =>
  choosing.value.always.includes(id) ? 'always' : choosing.value.never.includes(id) ? 'never' : 'open';
function turn(id: string): void {
  const { always, never } = choosing.value;
  const state = stateOf(id);
  set({
    always: state === 'open' ? [...always, id] : always.filter((one) => one !== id),
    never: state === 'always' ? [...never, id] : never.filter((one) => one !== id),
  });
}

const owned = computed(() => new Set(props.clubs.map(({ id }) => id)));
const asked = computed(() =>
  props.known.length === 0
    ? null
    : {
        request: {
          clubs: props.known,
          from: props.from,
          in: props.there,
          handicap: props.handicap,
          typed: choosing.value.needs,
        },
        rules: {
          preferences: preferencesOf(choosing.value, props.own),
          school: props.school,
          gamerIds: props.plan.baseClubIds,
          settings: { ...DEFAULT_GAP_SETTINGS, ...props.settings },
        },
        against: props.planned,
        unit: props.unit,
      },
);
const { chosen, busy, problem: failed, stop } = useChoosing(asked);
const name = (id: string) => props.clubs.find((club) => club.id === id)?.name ?? 'a club that is gone';
const verdict = computed(
  () => chosen.value?.loses && bagLossVerdict('The bag of the week', chosen.value.loses),
);
/** "7 iron", or "soft 7 iron": what the chosen bag answers a shot with. */
function withWords(demand: ShotDemand): string {
  const one = chosen.value?.with[demandKey(demand)];
  return one ? shotName(one.shot ?? 'full', name(one.clubId)) : '';
}
const carry = (id: string) => props.clubs.find((club) => club.id === id)?.shots.full?.carryM ?? 0;

/** What goes out and in against the gamer, longest first, each in the place of its neighbour. */
const swaps = computed<Swap[]>(() => {
  const best = chosen.value?.answer?.best.ids;
  if (!best) return [];
  const byCarry = (a: string, b: string) => carry(b) - carry(a);
  const outs = props.plan.baseClubIds.filter((id) => owned.value.has(id) && !best.includes(id)).sort(byCarry);
  const ins = best.filter((id) => !props.plan.baseClubIds.includes(id)).sort(byCarry);
  return Array.from({ length: Math.max(outs.length, ins.length) }, (_one, i): Swap => ({
    ...(outs[i] && { outId: outs[i] }),
    ...(ins[i] && { inId: ins[i] }),
    why: (chosen.value!.why[ins[i] ?? outs[i]!] ?? '').slice(0, 500),
  }));
});
const same = computed(() => {
  const best = chosen.value?.answer?.best.ids;
  return (
    best !== undefined &&
    best.length === props.planned.length &&
    best.every((id) => props.planned.includes(id))
  );
});
const differs = (ids: readonly string[]) => {
  const best = chosen.value!.answer!.best.ids;
  const [outs, ins] = [best.filter((id) => !ids.includes(id)), ids.filter((id) => !best.includes(id))];
  return `${ins.map(name).join(', ') || 'nothing'} for ${outs.map(name).join(', ') || 'nothing'}`;
};
</script>

<template>
  <section class="choose">
    <h2>
      Choose the bag
      <span class="quiet small"
        >for {{ choosing.needs.length > 0 ? 'the shots written down, and the rest of' : '' }} a usual round of
        this player, in {{ air }}</span
      >
    </h2>
    <NForm v-if="!readOnly" class="bar no-print" @submit.prevent="add">
      <TextField
        v-model:value="typed"
        class="line"
        aria-label="Needs"
        :placeholder="`155 hold x3, 210 run, drive 285 left 140 x14, 160 heavy rough (${unit})`"
        autocomplete="off"
      />
      <NButton :disabled="typed.trim() === ''" attr-type="submit">Add</NButton>
      <label class="small quiet"
        >clubs at most
        <NumberField
          :value="choosing.limit"
          label="Clubs at most"
          :bounds="PLAN_CHOOSING_BOUNDS.limit"
          whole
          @write="set({ limit: $event! })"
      /></label>
      <label
        class="small quiet"
        title="Strokes a round by which a club that is not in the gamer must be better"
        >a change must gain
        <NumberField
          :value="choosing.changeStrokes"
          label="A change must gain"
          unit="strokes"
          :bounds="PLAN_CHOOSING_BOUNDS.changeStrokes"
          :step="0.01"
          @write="set({ changeStrokes: $event! })"
      /></label>
    </NForm>
    <ProblemLine :text="problem" />
    <p v-if="choosing.needs.length === 0" class="quiet small">
      Write down the shots of the week, as in a practice round’s notes: they take the place of a usual round’s
      shots at greens. Drives, recoveries and the short game stay in it.
    </p>
    <div :class="{ two: choosing.needs.length > 0 }">
      <NTable
        size="small"
        :bordered="false"
        :bottom-bordered="false"
        v-if="choosing.needs.length > 0"
        class="needs"
      >
        <caption class="unseen">
          Needs of the week
        </caption>
        <thead>
          <tr>
            <th scope="col">{{ unit }}</th>
            <th scope="col">To</th>
            <th scope="col">Off</th>
            <th scope="col">Holds</th>
            <th scope="col">Times</th>
            <th scope="col">With</th>
            <th class="no-print" />
          </tr>
        </thead>
        <tbody>
          <tr v-for="(demand, i) in choosing.needs" :key="i">
            <th scope="row">{{ distanceNumber(demand.distanceM, unit) }}</th>
            <td>
              {{ demand.to
              }}<span v-if="demand.leftM" class="quiet">, {{ distanceNumber(demand.leftM, unit) }} left</span>
            </td>
            <td>
              <ChoiceField
                class="quiet-field"
                :value="demand.lie"
                :disabled="readOnly"
                @update:value="edit(i, { lie: $event })"
                :label="`Lie of need ${i + 1}`"
                :options="LIE_NAMES"
              />
            </td>
            <td>
              <NCheckbox
                v-if="demand.to === 'green'"
                :checked="demand.mustHold"
                :aria-label="`Need ${i + 1} must hold`"
                :disabled="readOnly"
                @update:checked="edit(i, { mustHold: $event })"
              />
            </td>
            <td>
              <NumberField
                class="quiet-field"
                :value="demand.weight"
                :label="`How often need ${i + 1}`"
                :bounds="DEMAND_BOUNDS.weight"
                :disabled="readOnly"
                :px="58"
                @write="edit(i, { weight: $event! })"
              />
            </td>
            <td class="with">{{ withWords(demand) }}</td>
            <td class="no-print">
              <NButton v-if="!readOnly" :aria-label="`Remove need ${i + 1}`" @click="remove(i)" size="small">
                ×
              </NButton>
            </td>
          </tr>
        </tbody>
      </NTable>
      <div class="answer" aria-live="polite">
        <p v-if="busy" class="bar" role="status">
          Choosing… <NButton @click="stop()" size="small">Cancel</NButton>
        </p>
        <ProblemLine :text="failed" />
        <ProblemLine :text="chosen?.refused" />
        <template v-if="chosen?.answer">
          <p class="sentence">
            <template v-if="same"
              ><span class="verdict fine">●</span> The bag of the week is the best there is for these
              shots.</template
            >
            <template v-else-if="planned.length > choosing.limit"
              ><span class="verdict warning">◆</span> The bag of the week holds {{ planned.length }} clubs,
              {{ choosing.limit }} {{ choosing.limit === 1 ? 'is' : 'are' }} wanted.</template
            >
            <template v-else-if="chosen.loses === null"
              ><span class="verdict warning">◆</span> The bag of the week is empty; this is the best there
              is.</template
            >
            <template v-else-if="verdict"
              ><span class="verdict" :class="verdict.isFine ? 'fine' : 'warning'">{{
                verdict.isFine ? '●' : '◆'
              }}</span>
              {{ verdict.text }}</template
            >
          </p>
          <ol v-if="swaps.length && !same" class="swap-list">
            <li v-for="(swap, i) in swaps" :key="i">
              <b v-if="swap.inId" class="in">{{ name(swap.inId) }} in</b
              ><span v-if="swap.inId && swap.outId">, </span
              ><span v-if="swap.outId">{{ name(swap.outId) }} out</span
              ><span class="quiet small why">{{ swap.why }}</span>
            </li>
          </ol>
          <p v-else-if="!same" class="small">The gamer as it is.</p>
          <p v-if="!same && !readOnly" class="no-print">
            <NButton @click="emit('swaps', swaps)" type="primary">Put it into the plan</NButton>
          </p>
          <p class="small quiet">
            {{ chosen.answer.proof.proved ? 'Proved the best' : 'Not proved the best' }} of
            {{ digits(chosen.answer.proof.sets) }} sets of clubs. Next best:
            <template v-for="(bag, i) in chosen.answer.runnersUp" :key="i"
              >{{ i ? '; ' : '' }}{{ differs(bag.ids) }} ({{
                lossWords(lossOf(bag, chosen.answer.best).onTheCourse)
              }})</template
            >.
          </p>
        </template>
        <div class="chips no-print" role="group" aria-label="Locks">
          <NButton
            v-for="club in clubs"
            :key="club.id"
            :class="[stateOf(club.id), { chosen: chosen?.answer?.best.ids.includes(club.id) }]"
            :disabled="readOnly"
            :title="chosen?.why[club.id] ?? ''"
            :aria-label="`${club.name}: ${stateOf(club.id)}${chosen?.answer?.best.ids.includes(club.id) ? ', chosen' : ''}`"
            @click="turn(club.id)"
            size="small"
          >
            {{
              stateOf(club.id) === 'always'
                ? '■ '
                : stateOf(club.id) === 'never'
                  ? '✕ '
                  : chosen?.answer?.best.ids.includes(club.id)
                    ? '● '
                    : '○ '
            }}{{ club.name }}
          </NButton>
        </div>
        <p class="small quiet no-print">
          ● chosen, ○ left out; a press locks a club in (■), the next keeps it out (✕). Point at one to read
          why.
        </p>
        <Fold v-if="chosen?.answer" class="small reasons">
          <template #head>Why, club by club</template>
          <ul>
            <li v-for="(sentence, id) in chosen.why" :key="id">{{ sentence }}</li>
          </ul>
        </Fold>
      </div>
    </div>
  </section>
</template>

<style scoped>
.choose {
  margin-top: 22px;
  border-top: 1px solid var(--line);
  padding-top: 12px;
}
h2 {
  margin-bottom: 8px;
}
h2 .small {
  font-weight: 400;
  margin-left: 8px;
}

.two {
  display: grid;
  grid-template-columns: max-content minmax(0, 1fr);
  gap: 8px 34px;
  margin-top: 10px;
  align-items: start;
}
.with {
  font-weight: 500;
}
.needs {
  border-collapse: collapse;
  font-size: 13.5px;
  max-height: 60vh;
}
th {
  font-weight: 400;
  font-size: 12.5px;
  color: var(--quiet);
  text-align: left;
}
tbody th {
  color: var(--ink);
  font-weight: 600;
  font-size: 14px;
  text-align: right;
  padding-right: 14px;
}
td,
th {
  padding: 2px 12px 2px 0;
  border-top: 1px solid var(--line-soft);
  white-space: nowrap;
}

.answer {
  display: grid;
  gap: 8px;
}
.sentence {
  font-size: 16px;
}
.swap-list {
  margin: 0;
  padding-left: 20px;
  display: grid;
  gap: 4px;
}
.in {
  color: var(--petrol);
}
.why {
  display: block;
}
.chips {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
}
.chips .chosen {
  color: var(--petrol);
  border-color: var(--petrol-mid);
  background: var(--petrol-soft);
}
.chips .always {
  font-weight: 600;
  border-color: var(--petrol);
}
.chips .never {
  text-decoration: line-through;
}
.reasons ul {
  padding-left: 18px;
  margin: 6px 0;
  display: grid;
  gap: 2px;
}
@media (max-width: 900px) {
  .two {
    grid-template-columns: minmax(0, 1fr);
  }
  .needs {
    display: block;
    overflow-x: auto;
  }
}
.line {
  flex: 1 1 380px;
  width: auto;
  max-width: 560px;
}
</style>
