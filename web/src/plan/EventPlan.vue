<script setup lang="ts">
import LoadingRows from '../app/LoadingRows.vue';
import ProblemLine from '../app/ProblemLine.vue';
import PageHead from '../app/PageHead.vue';
import { counted } from '../app/counted';
import RoundAnswer from './RoundAnswer.vue';
import ActionMenu, { type Action } from '../app/ActionMenu.vue';
import WorkProgress from '../app/WorkProgress.vue';
import UnitButton from '../app/UnitButton.vue';
import LinkButton from '../app/LinkButton.vue';
import { NButton } from 'naive-ui';
import {
  demandsPlayed,
  planRoundOf,
  roundRequestOf,
  preferencesOf,
  roundsPlayed,
  type Command,
  type EventRound,
  type EventRoundSet,
  type PlanDetails,
  type PlanView,
  type RoundAfter,
} from '@tasche/contract';
import {
  InvalidInputError,
  clubsOfIds,
  gaps,
  lockerFindings,
  type DayTrigger,
  type ShotDemand,
  type GappingStrategyId,
  type BagPreferences,
} from '@tasche/core';
import { useEventListener } from '@vueuse/core';
import { proxy } from 'comlink';
import { teeWords } from './tee-words';
import { format, parseISO } from 'date-fns';
import { v4 as newId } from 'uuid';
import { computed, onMounted, ref } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { today } from '../app/day';
import { useSettings } from '../app/settings';
import { changesDone, placeOf } from '../changes/undo-line';
import { useSchedule } from '../courses/schedule-store';
import { groundWords, roundAirWords } from '../courses/ground-words';
import { isTyping, isUndoOfField } from '../keys/is-typing';
import { queriedSchool } from '../bag/use-bag-ladder';
import { addTickets, readyTickets } from '../bench/new-tickets';
import { useSheet } from '../sheet/sheet-store';
import AfterRound from './AfterRound.vue';
import DayBar from './DayBar.vue';
import EventForm from './EventForm.vue';
import PlanPicker from './PlanPicker.vue';
import LockBoard from './LockBoard.vue';
import NeedsRail from './NeedsRail.vue';
import NeedsTable from './NeedsTable.vue';
import OtherBags from './OtherBags.vue';
import PlanForm from './PlanForm.vue';
import TravelPanel from './TravelPanel.vue';
import WishesPanel from './WishesPanel.vue';
import { hitReadings } from './hit-readings';
import { swapsAgainst, triggerOf } from './round-swaps';
import { usePlan } from './use-plan';
import { useLongWork, useRound, type AskedRound } from './use-round';

/** A player at an event: round by round what the course asks, the bag that costs the fewest strokes for it, and why. */
const props = defineProps<{ playerId: string; plan: PlanView }>();
const store = useSheet();
const schedule = useSchedule();
const settings = useSettings();
const route = useRoute();
const router = useRouter();
onMounted(() => void schedule.load());
const { plans } = usePlan({ planId: props.plan.id });

const unit = computed(() => settings.unitFor(store.sheet!.player.distanceUnit));
const school = computed<GappingStrategyId>({
  get: () => queriedSchool(route.query.school) ?? store.gamer?.strategy ?? 'even-carries',
  set: (id) => void router.replace({ query: { ...route.query, school: id } }),
});
const event = computed(() => schedule.events.find(({ id }) => id === props.plan.eventId));
const rounds = computed(() => event.value?.rounds ?? []);
const tab = computed(() =>
  route.query.round === 'travel'
    ? 'travel'
    : (rounds.value.find(({ id }) => id === route.query.round)?.id ??
      rounds.value.find(({ day }) => day >= today())?.id ??
      rounds.value[0]?.id ??
      ''),
);
const round = computed(() => rounds.value.find(({ id }) => id === tab.value));
const course = computed(() => schedule.courses.find(({ id }) => id === round.value?.courseId));
const own = computed(() => planRoundOf(props.plan, tab.value));
/** What other rounds on this course asked for, of those whose shots were written down. */
const playedHere = computed(() =>
  demandsPlayed(
    roundsPlayed(store.sheet!, schedule.events, schedule.courses).filter(
      ({ courseId, roundId, shots }) =>
        courseId === course.value?.id && roundId !== tab.value && shots.length > 0,
    ),
    unit.value,
  ),
);
const bagOf = (roundId: string) =>
  store.sheet!.bags.find(({ id }) => id === planRoundOf(props.plan, roundId).bagId);
const wishes = computed(() => preferencesOf(props.plan.choosing, store.sheet!.player.preferences));
const readOnly = computed(() => store.readOnly);
const writing = ref<'edit' | 'new' | 'week' | null>(null);
const pointed = ref<ShotDemand | null>(null);
/** What a club's reason named, and somebody asked to see. */
const shown = ref<ShotDemand | null>(null);
function showNeed(named: string): void {
  const demand = worked.value?.needs.find((one) => one.name === named) ?? null;
  shown.value = demand && { ...demand };
  pointed.value = demand;
}

/** A round as the worker is asked it, or why it cannot be. */
function ask(one: EventRound): AskedRound | string {
  const on = schedule.courses.find(({ id }) => id === one.courseId);
  if (!event.value || !on) return 'Its course is gone.';
  try {
    const { order, taste } = roundRequestOf({
      player: store.sheet!.player,
      clubs: store.clubs,
      plan: props.plan,
      round: one,
      course: on,
      limits: event.value.limits,
      school: school.value,
    });
    return {
      roundId: one.id,
      order,
      taste,
      against: bagOf(one.id)?.clubIds ?? props.plan.baseClubIds,
      unit: unit.value,
    };
  } catch (error) {
    if (error instanceof InvalidInputError) return `The ${error.message}.`;
    throw error;
  }
}
const told = computed(() => (round.value ? ask(round.value) : null));
const asked = computed(() => (told.value && typeof told.value !== 'string' ? told.value : null));
const { worked, chosen, faultless, busy, share, pending, problem, stop } = useRound(asked);
const findings = computed(() => (asked.value ? lockerFindings(asked.value.order.clubs) : []));
/** The steps of the best bag: the fewest strokes may open one. */
const report = computed(() =>
  chosen.value?.answer && asked.value
    ? gaps(clubsOfIds(asked.value.order.clubs, chosen.value.answer.best.ids), {
        school: school.value,
        unit: unit.value,
        ...(asked.value.taste.settings && { settings: asked.value.taste.settings }),
      })
    : null,
);
const faults = computed(() => report.value?.steps.filter(({ severity }) => severity === 'fault') ?? []);
/** What goes in and out of the best bag to be rid of its faults. */
const faultlessChange = computed(() => {
  const [best, sound] = [chosen.value?.answer?.best.ids ?? [], faultless.value?.ids ?? []];
  const named = (ids: readonly string[]) => ids.map(name).join(', ');
  const [ins, outs] = [sound.filter((id) => !best.includes(id)), best.filter((id) => !sound.includes(id))];
  return [ins.length ? `${named(ins)} in` : '', outs.length ? `${named(outs)} out` : '']
    .filter(Boolean)
    .join(', ');
});
const settled = computed(() => bagOf(tab.value));
const same = computed(() => {
  const best = chosen.value?.answer?.best.ids;
  return (
    best !== undefined &&
    settled.value !== undefined &&
    best.length === settled.value.clubIds.length &&
    best.every((id) => settled.value!.clubIds.includes(id))
  );
});
const name = (id: string) => store.clubsById.get(id)?.name ?? 'a club that is gone';
const swaps = computed(() =>
  chosen.value?.answer && asked.value
    ? swapsAgainst(
        props.plan.baseClubIds,
        chosen.value.answer.best.ids,
        asked.value.order.clubs,
        chosen.value.why,
      )
    : [],
);

function setWishes(part: Partial<BagPreferences>): void {
  store.change([
    {
      do: 'editPlan',
      planId: props.plan.id,
      version: props.plan.version,
      set: { choosing: { ...wishes.value, needs: props.plan.choosing?.needs ?? [], ...part } },
    },
  ]);
}
/** What is wanted here is wanted in every plan, on the bag's page and of the next basket. */
function keepPreferences(preferences: BagPreferences | null): void {
  const { id: playerId, version } = store.sheet!.player;
  store.change([{ do: 'editPlayer', playerId, version, set: { preferences } }]);
}
function setDays(days: readonly { roundId: string; set: EventRoundSet }[]): void {
  const { id: eventId, version } = event.value!;
  schedule.change(days.map(({ roundId, set }) => ({ do: 'editEventRound', eventId, version, roundId, set })));
}
const onCourses = computed(() =>
  rounds.value.flatMap((one) => {
    const on = schedule.courses.find(({ id }) => id === one.courseId);
    return on ? [{ round: one, course: on }] : [];
  }),
);
const editRound = (set: Extract<Command, { do: 'editRound' }>['set']) =>
  store.change([
    { do: 'editRound', planId: props.plan.id, version: props.plan.version, roundId: tab.value, set },
  ]);

/** A round's bag, its swaps, and what would change it on the morning. */
const settling = useLongWork<true>();
async function settle(which: readonly EventRound[]): Promise<void> {
  const questions = which.flatMap((one) => {
    const question = ask(one);
    return typeof question === 'string' ? [] : [{ one, question }];
  });
  const commands: Command[] = [];
  await settling.run(async (link, progress) => {
    for (const [
      i,
      {
        one,
        question: { order, taste },
      },
    ] of questions.entries()) {
      const answer = await link.choose(order, taste, [], unit.value);
      if (!answer.answer) throw new Error(`${one.name}: ${answer.refused}`);
      const best = answer.answer.best.ids;
      const triggers: DayTrigger[] = await link.triggers(
        order,
        taste,
        best,
        proxy((share: number) => progress((i + share) / questions.length)),
      );
      commands.push({
        do: 'setRoundBag',
        planId: props.plan.id,
        version: props.plan.version,
        roundId: one.id,
        bagId: planRoundOf(props.plan, one.id).bagId ?? newId(),
        clubIds: best,
        swaps: swapsAgainst(props.plan.baseClubIds, best, order.clubs, answer.why),
        triggers: triggers.map((trigger) => triggerOf(trigger, best, one.day, unit.value, name)),
      });
    }
    return true;
  });
  if (settling.result.value && commands.length > 0)
    store.change(commands.map((command) => ({ ...command, version: props.plan.version }) as Command));
  settling.clear();
}

function writeHits(hits: RoundAfter['hits']): void {
  store.change(hitReadings(hits, round.value?.day ?? today(), store.clubsById), `hit at ${props.plan.name}`);
}
function planWeek(details: PlanDetails): void {
  const id = newId();
  store.change([{ do: 'addPlan', plan: { id, bagId: newId(), playerId: props.playerId, ...details } }]);
  void router.push({ name: 'plan', params: { playerId: props.playerId, planId: id } });
}
function remove(): void {
  store.change([{ do: 'removePlan', planId: props.plan.id, version: props.plan.version }]);
  void router.push({ name: 'plan', params: { playerId: props.playerId } });
}
/** Clubs that a settled round brings in, and nobody has a ticket for yet. */
const comingIn = computed(() => {
  const asked = new Set(
    store.sheet!.tickets.filter(({ eventId }) => eventId === props.plan.eventId).map(({ clubId }) => clubId),
  );
  const swaps = rounds.value.flatMap(({ id }) => planRoundOf(props.plan, id).swaps);
  return swaps.filter(
    ({ inId }, i) =>
      inId !== undefined && !asked.has(inId) && swaps.findIndex((one) => one.inId === inId) === i,
  );
});
function makeTickets(): void {
  const clubs = comingIn.value.flatMap(({ inId, why }) => {
    const club = store.clubsById.get(inId!);
    return club ? [{ club, why: why ?? '' }] : [];
  });
  const first = rounds.value.map((one) => one.day).sort()[0] ?? null;
  store.change(
    addTickets(props.playerId, readyTickets(clubs, { eventId: props.plan.eventId, dueOn: first })),
    `have ready for ${props.plan.name}`,
  );
  void router.push({ name: 'bench', params: { playerId: props.playerId } });
}

const day = ref<InstanceType<typeof DayBar> | null>(null);
const actions = computed((): Action[] => [
  ...(event.value
    ? [
        { key: 'edit', label: 'Edit the event', run: () => (writing.value = 'edit') },
        {
          key: 'settle',
          label: 'Settle every round',
          disabled: settling.share.value !== null,
          run: () => void settle(rounds.value),
        },
      ]
    : []),
  {
    key: 'tickets',
    label: 'Tickets for what comes in',
    disabled: comingIn.value.length === 0,
    run: makeTickets,
  },
  { key: 'event', label: 'Plan an event', run: () => (writing.value = 'new') },
  { key: 'week', label: 'Plan a week', run: () => (writing.value = 'week') },
  { key: 'remove', label: 'Delete this plan', run: remove },
]);
const go = (to: string) => void router.replace({ query: { ...route.query, round: to } });
const dayName = (day: string) => format(parseISO(day), 'EEE d MMM');

/** A day that was changed here is taken back here too, when it was changed after whatever else was. */
const opened = changesDone();
useEventListener(
  'keydown',
  (pressed: KeyboardEvent) => {
    if (!(pressed.ctrlKey || pressed.metaKey) || pressed.key.toLowerCase() !== 'z' || isUndoOfField(pressed))
      return;
    const [days, rest] = pressed.shiftKey
      ? [schedule.redoable, store.redoable]
      : [schedule.undoable, store.undoable];
    const at = placeOf(days.at(-1));
    if (at < opened || at < placeOf(rest.at(-1))) return;
    pressed.preventDefault();
    pressed.stopImmediatePropagation();
    if (pressed.shiftKey) schedule.redo();
    else schedule.undo();
  },
  { capture: true },
);

useEventListener('keydown', (pressed: KeyboardEvent) => {
  if (!pressed.altKey || pressed.ctrlKey || pressed.metaKey) return;
  const at = Number(pressed.key) - 1;
  if (rounds.value[at]) {
    pressed.preventDefault();
    go(rounds.value[at].id);
  } else if (pressed.key.toLowerCase() === 't' && !isTyping(pressed)) {
    pressed.preventDefault();
    go('travel');
  } else if (pressed.key.toLowerCase() === 'w') {
    pressed.preventDefault();
    day.value?.askForecast(pressed.shiftKey);
  } else if (pressed.key === 'Enter' && round.value && !readOnly.value) {
    pressed.preventDefault();
    void settle([round.value]);
  }
});
</script>

<template>
  <div class="page">
    <PageHead :of="store.sheet!.player.name">
      {{ plan.name }}
      <template #says>
        <p v-if="event" class="quiet small">
          {{ counted(event.limits.clubs, 'club') }}, {{ event.limits.lengthIn }} in at most<template
            v-if="event.notes"
            >. {{ event.notes }}</template
          >
        </p>
      </template>
      <template #actions>
        <PlanPicker :player-id="playerId" :plans="plans" :plan-id="plan.id" />
        <UnitButton :own="store.sheet!.player.distanceUnit" />
        <LinkButton :to="{ name: 'swap-sheet', params: { playerId, planId: plan.id } }"
          >Swap sheet</LinkButton
        >
        <ActionMenu v-if="!readOnly" label="More for this plan" :actions="actions" />
      </template>
    </PageHead>
    <PlanForm
      v-if="writing === 'week'"
      action="Plan it from the gamer bag"
      @save="planWeek"
      @leave="writing = null"
    />
    <EventForm
      v-else-if="writing"
      :key="writing"
      :player-id="playerId"
      :event="writing === 'edit' ? event : undefined"
      @leave="writing = null"
    />
    <p v-if="settling.share.value !== null" class="bar" role="status">
      <WorkProgress :share="settling.share.value" /> Settling the bag, and looking what would change it on the
      morning… <NButton @click="settling.stop()" size="small">Cancel</NButton>
    </p>
    <ProblemLine :text="settling.problem.value" />
    <p v-if="schedule.state === 'away'" class="quiet" role="status">
      The courses cannot be reached; this opens by itself as soon as they can be.
    </p>
    <p v-else-if="schedule.state === 'ready' && !event" class="quiet">
      This event was deleted. <NButton @click="remove" size="small">Delete this plan</NButton>
    </p>
    <template v-if="event">
      <nav class="tabs no-print" aria-label="Rounds">
        <NButton
          quaternary
          class="tab"
          v-for="(one, i) in rounds"
          :key="one.id"
          :aria-current="tab === one.id"
          :title="`Alt ${i + 1}`"
          @click="go(one.id)"
          size="small"
        >
          <b>{{ one.name }}</b> <span>{{ dayName(one.day) }} {{ teeWords(one, event.zone) }}</span>
          <span class="quiet">{{ schedule.courses.find(({ id }) => id === one.courseId)?.name }}</span>
          <span v-if="bagOf(one.id)" class="verdict fine" title="Its bag is settled">●</span>
        </NButton>
        <NButton
          quaternary
          class="tab"
          :aria-current="tab === 'travel'"
          title="Alt T"
          @click="go('travel')"
          size="small"
        >
          <b>What travels</b>
        </NButton>
      </nav>
      <TravelPanel
        v-if="tab === 'travel'"
        :event="event"
        :courses="schedule.courses"
        :asked-of="
          (id) => {
            const one = rounds.find((r) => r.id === id);
            const question = one && ask(one);
            return question && typeof question !== 'string' ? question : null;
          }
        "
      />
      <template v-else-if="round">
        <p v-if="typeof told === 'string'" class="verdict look" role="alert">
          ◆ {{ told }}
          <RouterLink :to="{ name: 'courses', params: { courseId: round.courseId } }"
            >To the course</RouterLink
          >
        </p>
        <p v-for="finding in findings" :key="finding" class="verdict look small">◆ {{ finding }}</p>
        <ProblemLine :text="problem || worked?.refused || chosen?.refused" />
        <p v-if="busy" class="bar small" role="status">
          <WorkProgress :share="share" /> Playing the course…
          <NButton @click="stop()" size="small">Cancel</NButton>
        </p>
        <template v-if="worked && !worked.refused && asked">
          <RoundAnswer
            v-if="chosen?.answer"
            :round-name="round.name"
            :chosen="chosen"
            :same="same"
            :settled="Boolean(settled)"
            :swaps="swaps"
            :carried="asked.against.length"
            :allowed="Math.min(wishes.limit, event.limits.clubs)"
            :name-of="name"
            :read-only="readOnly"
            :busy="settling.share.value !== null"
            @settle="settle([round])"
          />
          <p v-if="faults.length > 0" class="at-fault small" role="note">
            <span class="verdict fault">■</span>
            {{
              faults.length === 1
                ? 'One step of this bag is at fault'
                : `${faults.length} steps of this bag are at fault`
            }}: {{ faults[0]!.reason }}
            <template v-if="faultless">
              A bag without it costs {{ faultless.price.toFixed(2) }} strokes a round more:
              {{ faultlessChange }}.
              <NButton
                v-if="!readOnly"
                size="small"
                @click="setWishes({ unevenStrokes: faultless.unevenStrokes })"
                >Avoid it</NButton
              >
            </template>
            <span v-else-if="faultless === null" class="quiet">No bag of this locker is without one.</span>
          </p>
        </template>
        <div class="folds">
          <DayBar
            ref="day"
            v-if="course"
            :round="round"
            :course="course"
            :rounds="onCourses"
            :unit="unit"
            :read-only="readOnly"
            @set="setDays"
          />
          <WishesPanel
            v-if="asked"
            :wishes="wishes"
            :school="school"
            :clubs="asked.order.clubs"
            :allowed="event.limits.clubs"
            :unit="unit"
            :read-only="readOnly"
            :kept="store.sheet!.player.preferences"
            @set="setWishes"
            @school="school = $event"
            @keep="keepPreferences"
          />
        </div>
        <template v-if="worked && !worked.refused && asked">
          <div class="board">
            <LockBoard
              v-if="chosen?.answer"
              :clubs="worked.still"
              :home="asked.order.clubs"
              :chosen="chosen.answer.best.ids"
              :always="wishes.always"
              :never="wishes.never"
              :one-of="wishes.oneOf"
              :kinds="wishes.kinds"
              :limit="wishes.limit"
              :allowed="event.limits.clubs"
              :gamer="plan.baseClubIds"
              :modelled="worked.modelled"
              :why="chosen.why"
              :answer="chosen.answer"
              :unit="unit"
              :read-only="readOnly"
              @set="setWishes($event)"
              @need="showNeed"
            />
            <NeedsRail
              v-if="chosen?.answer"
              :clubs="worked.still"
              :home="asked.order.clubs"
              :chosen="chosen.answer.best.ids"
              :needs="worked.needs"
              :report="report!"
              :unit="unit"
              :pointed="pointed"
              :height="760"
            />
            <NeedsTable
              :needs="worked.needs"
              :taken-away="worked.takenAway"
              :shown="shown"
              :changes="own.changes"
              :notes="own.notes"
              :played="playedHere"
              :strokes="worked.strokes"
              :rare-strokes="worked.rareStrokes"
              :unit="unit"
              :read-only="readOnly"
              @changes="editRound({ changes: $event })"
              @notes="editRound({ notes: $event })"
              @point="pointed = $event"
            />
          </div>
          <OtherBags v-if="chosen?.answer" :asked="asked" :chosen="chosen" :pending="pending" />
          <AfterRound
            :after="own.after"
            :carried="clubsOfIds(asked.order.clubs, settled?.clubIds ?? [])"
            :clubs="store.clubs"
            :unit="unit"
            :read-only="readOnly"
            @set="editRound({ after: $event })"
            @to-sheet="writeHits"
          />
          <p class="print-only small">
            {{ roundAirWords(round.air, unit) }}; {{ groundWords(round.ground) }}.
          </p>
        </template>
        <LoadingRows v-else-if="busy" :rows="6" :px="24" label="Working" />
      </template>
    </template>
  </div>
</template>

<style scoped>
.tabs {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
  margin-bottom: 10px;
  border-bottom: 1px solid var(--line);
}
.at-fault {
  margin: -4px 0 12px;
  color: var(--brick-ink);
}
.board {
  display: grid;
  grid-template-columns: minmax(390px, 1.2fr) 330px minmax(290px, 0.9fr);
  gap: 8px 22px;
  align-items: start;
}
.print-only {
  display: none;
}
@media (max-width: 1100px) {
  .board {
    grid-template-columns: minmax(0, 1fr) 330px;
  }
  .board > :last-child {
    grid-column: 1 / -1;
  }
}
@media (max-width: 760px) {
  .board {
    grid-template-columns: minmax(0, 1fr);
  }
}
@media print {
  .print-only {
    display: block;
  }
}
.folds {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(100%, 420px), 1fr));
  gap: 10px;
  align-items: start;
  margin-bottom: 12px;
}
</style>
