<script setup lang="ts">
import ProblemLine from '../app/ProblemLine.vue';
import NumberField from '../fields/NumberField.vue';
import { NButton } from 'naive-ui';
import {
  DEFAULT_GAP_SETTINGS,
  demandKey,
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
  clubName,
  MAX_PLAN_NEEDS,
  PLAN_CHOOSING_BOUNDS,
  preferencesOf,
  type PlanChoosing,
  type PlanView,
} from '@tasche/contract';
import { computed } from 'vue';
import LockChips from './LockChips.vue';
import WeekAnswer from './WeekAnswer.vue';
import WeekNeeds from './WeekNeeds.vue';
import WrittenNeeds from './WrittenNeeds.vue';
import { swapsAgainst } from './round-swaps';
import { useChoosing } from './use-choosing';
import Hint from '../app/Hint.vue';

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

function add(needs: readonly ShotDemand[]): string | undefined {
  if (choosing.value.needs.length + needs.length > MAX_PLAN_NEEDS)
    return `A week holds at most ${MAX_PLAN_NEEDS} needs.`;
  set({ needs: [...choosing.value.needs, ...needs].sort((a, b) => b.distanceM - a.distanceM) });
  return undefined;
}
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
const name = (id: string) => clubName(props.clubs, id);
/** "7 iron", or "soft 7 iron": what the chosen bag answers a shot with. */
function withWords(demand: ShotDemand): string {
  const one = chosen.value?.with[demandKey(demand)];
  return one ? shotName(one.shot ?? 'full', name(one.clubId)) : '';
}

/** What goes out and in against the gamer. */
const swaps = computed<Swap[]>(() => {
  const answer = chosen.value?.answer;
  return answer ? swapsAgainst(props.plan.baseClubIds, answer, props.clubs, chosen.value!.why) : [];
});
</script>

<template>
  <section class="choose">
    <h2>
      Choose the bag
      <span class="quiet small"
        >for {{ choosing.needs.length > 0 ? 'the shots you entered, and the rest of' : '' }} a usual round of
        this player, in {{ air }}</span
      >
    </h2>
    <WrittenNeeds
      v-if="!readOnly"
      label="Needs"
      :placeholder="`155 hold x3, 210 run, drive 285 left 140 x14, 160 heavy rough (${unit})`"
      :unit="unit"
      :take="add"
    >
      <label class="small quiet"
        >clubs at most
        <NumberField
          :value="choosing.limit"
          label="Clubs at most"
          :bounds="PLAN_CHOOSING_BOUNDS.limit"
          whole
          @write="set({ limit: $event! })"
      /></label>
      <label class="small quiet"
        ><Hint says="Strokes a round by which a club that is not in the gamer must be better"
          >a change must gain</Hint
        >{{ ' ' }}
        <NumberField
          :value="choosing.changeStrokes"
          label="A change must gain"
          unit="strokes"
          :bounds="PLAN_CHOOSING_BOUNDS.changeStrokes"
          :step="0.01"
          @write="set({ changeStrokes: $event! })"
      /></label>
    </WrittenNeeds>
    <p v-if="choosing.needs.length === 0" class="quiet small">
      Enter the shots of the week, as in practice-round notes: they replace a usual round’s shots at greens.
      Drives, recoveries and the short game stay.
    </p>
    <div :class="{ two: choosing.needs.length > 0 }">
      <WeekNeeds
        v-if="choosing.needs.length > 0"
        :needs="choosing.needs"
        :with-words="withWords"
        :unit="unit"
        :read-only="readOnly"
        @set="set({ needs: $event })"
      />
      <div class="answer" aria-live="polite">
        <p v-if="busy" class="bar" role="status">
          Choosing… <NButton @click="stop()" size="small">Cancel</NButton>
        </p>
        <ProblemLine :text="failed" />
        <ProblemLine :text="chosen?.refused" />
        <WeekAnswer
          v-if="chosen?.answer"
          :chosen="chosen"
          :answer="chosen.answer"
          :planned="planned"
          :limit="choosing.limit"
          :swaps="swaps"
          :name-of="name"
          :read-only="readOnly"
          @swaps="emit('swaps', $event)"
        />
        <LockChips
          :clubs="clubs"
          :locks="choosing"
          :chosen="chosen?.answer?.best.ids ?? []"
          :why="chosen?.why ?? {}"
          :read-only="readOnly"
          @set="set"
        />
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
.answer {
  display: grid;
  gap: 8px;
}
@media (max-width: 900px) {
  .two {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
