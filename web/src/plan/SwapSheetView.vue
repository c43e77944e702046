<script setup lang="ts">
import ShareButton from '../sharing/ShareButton.vue';
import PageHead from '../app/PageHead.vue';
import LinkButton from '../app/LinkButton.vue';
import { NButton, NTable } from 'naive-ui';
import { ballOn, planRoundOf, roundCards } from '@tasche/contract';
import { counted, COMMITTEE_DECIDES, bagFindings, distanceNumber, bagFindingSentence } from '@tasche/core';
import { format, parseISO } from 'date-fns';
import { computed, onMounted } from 'vue';
import { useSettings } from '../app/settings';
import { shortDay, today } from '../app/day';
import { useSchedule } from '../courses/schedule-store';
import { groundWords, roundAirWords } from '../courses/ground-words';
import CardTable from '../card/CardTable.vue';
import { useWorkedCards } from '../card/use-cards';
import { useSheet } from '../sheet/sheet-store';
import { sinceWords } from './round-swaps';

/**
 * Round by round on one page: what goes out and in, why, what would change it on the morning, and the bag
 * itself. Made to be printed, or sent as a link.
 */
const props = defineProps<{ playerId: string; planId: string }>();
const store = useSheet();
const schedule = useSchedule();
const settings = useSettings();
onMounted(() => void schedule.load());

const unit = computed(() => settings.unitFor(store.sheet!.player.distanceUnit));
const plan = computed(() => store.sheet!.plans.find(({ id }) => id === props.planId));
const event = computed(() => schedule.events.find(({ id }) => id === plan.value?.eventId));
const name = (id: string | undefined) =>
  id === undefined ? undefined : (store.clubsById.get(id)?.name ?? 'a club deleted since');
const nameOf = (id: string) => store.clubsById.get(id)?.name ?? 'a club that is gone';
const rounds = computed(() =>
  event.value && plan.value
    ? event.value.rounds.map((round) => {
        const own = planRoundOf(plan.value!, round.id);
        const bag = store.sheet!.bags.find(({ id }) => id === own.bagId);
        const clubs = (bag?.clubIds ?? [])
          .flatMap((id) => store.ladderClubs.get(id) ?? [])
          .sort((a, b) => (b.shots.full?.carryM ?? 0) - (a.shots.full?.carryM ?? 0));
        return {
          round,
          own,
          bag,
          clubs,
          course: schedule.courses.find(({ id }) => id === round.courseId),
          findings: bagFindings(clubs, {
            ...store.sheet!.player.gapSettings,
            clubLimit: event.value!.limits.clubs,
            lengthMaxIn: event.value!.limits.lengthIn,
          })
            .filter(({ severity }) => severity === 'rule')
            .map((one) => ({ ...one, text: bagFindingSentence(one, nameOf) })),
        };
      })
    : [],
);
const pages = computed(() => {
  const { player, clubs, bags } = store.sheet!;
  return plan.value && event.value
    ? roundCards({ player, clubs, bags, unit: unit.value }, plan.value, event.value, schedule.courses)
    : [];
});
const { worked } = useWorkedCards(pages);
/** What a club carries in a round's air, without its wind; undefined while it is worked out. */
const stockIn = (roundId: string, clubId: string) =>
  worked.value
    ?.find(({ page }) => page.roundIds.includes(roundId))
    ?.card.clubs.find(({ id }) => id === clubId)
    ?.shots.find(({ kind }) => kind === 'full');
const isModelled = (roundId: string, clubId: string) => stockIn(roundId, clubId)?.source === 'modelled';
/** On the morning of a round the bag is the round's before; rounds in a row with one bag are one morning's work. */
const since = (i: number) =>
  sinceWords(rounds.value[i - 1]?.bag?.clubIds, rounds.value[i]!.bag?.clubIds, (id) => name(id)!);
const ball = computed(() => ballOn(store.sheet!.player.balls, days.value[0] ?? today()));
const dayName = (day: string) => format(parseISO(day), 'EEEE d MMMM');
const days = computed(() => (event.value?.rounds ?? []).map(({ day }) => day).sort());
const print = () => window.print();
const gamerNames = computed(() => (plan.value?.baseClubIds ?? []).map((id) => name(id)).join(', '));
</script>

<template>
  <div class="page sheet">
    <PageHead>
      Swap sheet <span class="quiet dot">·</span> {{ store.sheet!.player.name }}
      <template #says>
        <p v-if="event" class="quiet">
          {{ event.name }}, {{ [...new Set([days[0]!, days.at(-1)!])].map(shortDay).join(' to ') }}. At most
          {{ counted(event.limits.clubs, 'club') }}, none over {{ event.limits.lengthIn }} in.
          {{ gamerNames ? `Against the gamer: ${gamerNames}.` : 'The gamer holds no clubs.'
          }}<template v-if="ball"> Ball: {{ ball }}.</template>
        </p>
      </template>
      <template #actions>
        <LinkButton :to="{ name: 'plan', params: { playerId, planId } }">To the plan</LinkButton>
        <ShareButton v-if="plan?.eventId" :player-id="playerId" paper="swap-sheet" :plan-id="planId" />
        <NButton :disabled="!rounds.some(({ bag }) => bag)" @click="print" type="primary"> Print </NButton>
      </template>
    </PageHead>
    <p v-if="!plan" class="quiet">
      This plan is not here; it may have been deleted. History can bring it back.
    </p>
    <p v-else-if="!plan.eventId" class="quiet">
      This plan is for a week, not for an event; it prints from its own page.
      <RouterLink :to="{ name: 'plan', params: { playerId, planId } }">To the plan</RouterLink>
    </p>
    <section
      v-for="({ round, own, bag, clubs, course, findings }, i) in rounds"
      :key="round.id"
      class="round"
    >
      <h2>
        {{ round.name }}, {{ dayName(round.day)
        }}<template v-if="round.teeTime">, {{ round.teeTime }}</template>
        <span class="quiet small"
          >{{ course?.name
          }}<template v-if="course && course.tees.length > 1"
            >, {{ course.tees[round.tee]?.toLowerCase() }} tees</template
          >. {{ roundAirWords(round.air, unit) }}; {{ groundWords(round.ground) }}.</span
        >
      </h2>
      <p v-if="!bag" class="verdict warning">
        ◆ No bag is settled for this round yet.
        <RouterLink
          class="no-print"
          :to="{ name: 'plan', params: { playerId, planId }, query: { round: round.id } }"
          >Settle it</RouterLink
        >
      </p>
      <template v-else>
        <p v-if="since(i) === ''" class="same">The bag of {{ rounds[i - 1]!.round.name }} stays as it is.</p>
        <p v-if="since(i)" class="same">
          From the bag of {{ rounds[i - 1]!.round.name }}: <b>{{ since(i) }}</b>.
        </p>
        <p v-if="since(i) !== '' && own.swaps.length === 0" class="same">The gamer goes as it is.</p>
        <NTable
          size="small"
          :bordered="false"
          :bottom-bordered="false"
          v-if="since(i) !== '' && own.swaps.length > 0"
          class="swaps"
        >
          <thead>
            <tr>
              <th scope="col">Out</th>
              <th scope="col">In</th>
              <th scope="col">Why</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="(swap, k) in own.swaps" :key="k">
              <td class="out">{{ name(swap.outId) ?? '–' }}</td>
              <td class="in">{{ name(swap.inId) ?? '–' }}</td>
              <td>{{ swap.why }}</td>
            </tr>
          </tbody>
        </NTable>
        <ul v-if="own.triggers.length" class="triggers">
          <li v-for="(trigger, k) in own.triggers" :key="k">◇ {{ trigger.text }}</li>
        </ul>
        <p class="bag">
          <b>{{ counted(clubs.length, 'club') }}:</b>
          <span v-for="(club, k) in clubs" :key="club.id"
            >{{ k ? ', ' : ' ' }}{{ club.name
            }}<span
              v-if="stockIn(round.id, club.id)"
              class="quiet"
              :class="{ modelled: isModelled(round.id, club.id) }"
              >&nbsp;{{ distanceNumber(stockIn(round.id, club.id)!.carryM, unit) }}</span
            ></span
          >
          {{ ' '
          }}<span class="quiet"
            >({{ unit }}, stock carry in this round’s air, without its wind<template
              v-if="clubs.some(({ id }) => isModelled(round.id, id))"
              >; in italics where modelled</template
            >)</span
          >
        </p>
        <p v-for="finding in findings" :key="finding.text" class="verdict warning">◆ {{ finding.text }}</p>
        <p v-if="own.after" class="small quiet">
          After it:
          {{ [own.after.says, own.after.keep && `keep: ${own.after.keep}`].filter(Boolean).join(' ') }}
        </p>
      </template>
    </section>
    <div v-if="rounds.some(({ bag }) => bag)" class="cards">
      <CardTable
        v-for="one in (worked ?? []).filter(({ page }) => page.isSettled)"
        :key="one.page.roundIds.join()"
        :worked="one"
        :unit="unit"
      />
    </div>
    <p class="small quiet foot">
      {{ COMMITTEE_DECIDES }} Printed {{ shortDay(today()) }} from Tasche; the numbers behind each reason are
      strokes a round.
    </p>
  </div>
</template>

<style scoped>
.modelled {
  font-style: italic;
}
.dot {
  font-weight: 400;
}
.sheet {
  max-width: 980px;
}
.round {
  border-top: 2px solid var(--ink);
  padding: 10px 0 14px;
  break-inside: avoid;
}
h2 {
  font-size: 17px;
  margin-bottom: 8px;
}
h2 .small {
  font-weight: 400;
  margin-left: 8px;
}
.swaps {
  border-collapse: collapse;
  width: 100%;
  font-size: 14.5px;
}
.swaps th {
  font-weight: 400;
  font-size: 12.5px;
  color: var(--quiet);
  text-align: left;
  padding: 0 14px 4px 0;
}
.swaps td {
  border-top: 1px solid var(--line);
  padding: 6px 14px 6px 0;
  vertical-align: top;
}
.out {
  font-weight: 600;
  text-decoration: line-through;
  text-decoration-color: var(--brick);
  white-space: nowrap;
}
.in {
  font-weight: 600;
  color: var(--petrol);
  white-space: nowrap;
}
.same {
  margin-bottom: 4px;
  font-size: 15px;
}
.triggers {
  list-style: none;
  margin: 8px 0;
  padding: 6px 12px;
  background: var(--brass-soft);
  border-radius: 4px;
  display: grid;
  gap: 3px;
}
.bag {
  margin-top: 8px;
  line-height: 1.5;
}
.foot {
  margin-top: 14px;
}
@media print {
  .cards {
    break-before: page;
  }
  .triggers {
    border: 1px solid var(--line);
    background: none;
  }
}
</style>
