<script setup lang="ts">
import type { ClubLifeView, ClubView } from '@tasche/contract';
import { JOB_CAUTIONS, grooveWear, spinLoss } from '@tasche/core';
import { NButton, NEmpty, NTable } from 'naive-ui';
import { computed } from 'vue';
import { useReads } from '../api/read';
import { shortDay, today } from '../app/day';
import DateField from '../fields/DateField.vue';
import NumberField from '../fields/NumberField.vue';
import { useSheet } from '../sheet/sheet-store';
import { addTickets } from './new-tickets';
import Hint from '../app/Hint.vue';

/** Wedges' grooves by weeks and shots since they were new, and what spin they lost. */
const props = defineProps<{ playerId: string }>();
const roundsAWeek = defineModel<number>('roundsAWeek', { required: true });
const store = useSheet();

const wedges = computed(() =>
  store.clubs
    .filter(({ spec, kind }) => kind === 'wedge' && spec.state?.value !== 'retired')
    .map((club) => ({ club, wear: grooveWear(club, today(), roundsAWeek.value) }))
    .toSorted((a, b) => (a.wear?.dueOn ?? '9').localeCompare(b.wear?.dueOn ?? '9')),
);
/** Sessions of each dated wedge, once they are here. */
const { found: lives, problem: spinProblem } = useReads<ClubLifeView>(() =>
  wedges.value.flatMap(({ club, wear }) => (wear ? [`/clubs/${club.id}/life`] : [])),
);
const sessions = computed(
  () => new Map((lives.value ?? []).map(({ club, sessions: own }) => [club.id, own])),
);
/** What its full shots lost of their spin since the grooves were new; undefined until it was measured twice. */
function lossOf({ id, spec }: ClubView) {
  const newOn = spec.grooveDate?.value;
  const measured = (sessions.value.get(id) ?? []).flatMap(({ day, spin }) =>
    spin ? [{ day, ...spin }] : [],
  );
  return typeof newOn === 'string' ? spinLoss(measured, newOn) : undefined;
}
const rows = computed(() => wedges.value.map((row) => ({ ...row, loss: lossOf(row.club) })));
const rpm = (value: number) => Math.round(value / 10) * 10;
function renewed(club: ClubView, day: string | number | null): void {
  store.change(
    [
      {
        do: 'editClub',
        clubId: club.id,
        version: club.version,
        readings: [{ key: 'grooveDate', value: day, takenOn: today() }],
      },
    ],
    'new grooves',
  );
}
const asked = (club: ClubView) =>
  store.sheet!.tickets.some(
    ({ clubId, job, state }) => clubId === club.id && job === 'grooves' && state !== 'done',
  );
function ask(club: ClubView): void {
  store.change(
    addTickets(props.playerId, [
      {
        job: 'grooves',
        name: `New grooves for the ${club.name}`,
        clubId: club.id,
        wanted: [],
        why: 'worn by weeks and shots',
        eventId: null,
        dueOn: grooveWear(club, today(), roundsAWeek.value)?.dueOn ?? null,
      },
    ]),
  );
}
</script>

<template>
  <section>
    <div class="bar options">
      <h2>Grooves</h2>
      <label class="no-print"
        >Rounds a week
        <NumberField v-model:value="roundsAWeek" label="Rounds a week" :bounds="[0.1, 14]" :step="1" :px="58"
      /></label>
    </div>
    <NEmpty v-if="wedges.length === 0" description="There is no wedge in the locker." />
    <div v-else class="scroll">
      <NTable class="figures wear" size="small" :bordered="false">
        <caption class="unseen">
          Wedges by when their grooves are due
        </caption>
        <thead>
          <tr>
            <th scope="col">Wedge</th>
            <th scope="col">New since</th>
            <th scope="col">Weeks</th>
            <th scope="col">Shots, about</th>
            <th scope="col">Spin lost, rpm</th>
            <th scope="col" class="left">Due</th>
            <th scope="col" class="no-print"><span class="unseen">Ask for it</span></th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="{ club, wear, loss } in rows" :key="club.id">
            <th scope="row">{{ club.name }}</th>
            <td>
              <DateField
                :value="(club.spec.grooveDate?.value as string) ?? ''"
                :label="`${club.name}, grooves new since`"
                :max="today()"
                :disabled="!store.may('editClub')"
                optional
                @update:value="renewed(club, $event || null)"
              />
            </td>
            <td>{{ wear ? Math.floor(wear.weeks) : '–' }}</td>
            <td>{{ wear?.shots ?? '–' }}</td>
            <td>
              <Hint v-if="!loss" class="quiet" says="Measured in two sessions since, it is said here">–</Hint>
              <Hint
                v-else
                :class="loss.isSignificant ? ['verdict', 'warning'] : ''"
                :says="`${rpm(loss.thenRpm)} on ${shortDay(loss.from)}, ${rpm(loss.nowRpm)} on ${shortDay(loss.to)}`"
                >{{ loss.isSignificant ? '◆ ' : '' }}{{ rpm(loss.lostRpm) }}
                <span class="quiet small">({{ rpm(loss.lowRpm) }} to {{ rpm(loss.highRpm) }})</span></Hint
              >
            </td>
            <td class="left">
              <span v-if="!wear" class="quiet">no date recorded</span>
              <span v-else-if="wear.due" class="verdict warning">◆ since {{ shortDay(wear.dueOn) }}</span>
              <template v-else>{{ shortDay(wear.dueOn) }}</template>
              <span v-if="wear?.assumed" class="quiet small"> at 3 shots a round, which is a guess</span>
            </td>
            <td class="no-print">
              <span v-if="asked(club)" class="quiet">ticket made</span>
              <NButton v-else-if="wear?.due && store.may('addTicket')" size="small" @click="ask(club)"
                >Make a ticket</NButton
              >
            </td>
          </tr>
        </tbody>
      </NTable>
    </div>
    <p v-if="spinProblem" class="verdict warning small" role="alert">
      ◆ Spin lost is not known: {{ spinProblem }}
    </p>
    <p class="quiet small note">
      A professional’s most used wedge is renewed after six to ten weeks, others by use: common practice, no
      source. Counted with as many shots in practice as in rounds. Spin lost is that of full shots between the
      first session since and the newest, and where it lies 95 times in 100; another ball, a mat or wet grass
      moves it too. {{ JOB_CAUTIONS.grooves.join(' ') }}
    </p>
  </section>
</template>

<style scoped>
.options {
  gap: 8px 24px;
  margin-bottom: 8px;
}
.options label {
  display: inline-flex;
  align-items: center;
  gap: 6px;
}
.wear {
  max-width: 900px;
}
.wear .left {
  text-align: left;
}
.note {
  max-width: 860px;
  margin-top: 8px;
}
</style>
