<script setup lang="ts">
import { counted, JOB_CAUTIONS, gripWear } from '@tasche/core';
import { NButton } from 'naive-ui';
import { computed } from 'vue';
import { shortDay, today } from '../app/day';
import { useSheet } from '../sheet/sheet-store';
import { addTickets } from './new-tickets';
import { usualName } from './ticket-words';

/** Grips of the gamer that are due, and tickets for them. */
const props = defineProps<{ playerId: string; roundsAWeek: number }>();
const store = useSheet();

const grips = computed(() =>
  (store.gamer?.clubIds ?? []).flatMap((id) => {
    const club = store.clubsById.get(id);
    const wear = club && gripWear(club, today(), props.roundsAWeek);
    return club && wear?.due ? [{ club, wear }] : [];
  }),
);
const gripsToAsk = computed(() =>
  grips.value.filter(
    ({ club }) =>
      !store.sheet!.tickets.some(
        ({ clubId, job, state }) => clubId === club.id && job === 'grip' && state !== 'done',
      ),
  ),
);
function askGrips(): void {
  store.change(
    addTickets(
      props.playerId,
      gripsToAsk.value.map(({ club, wear }) => {
        const grip = club.spec.grip?.value;
        return {
          job: 'grip' as const,
          name: usualName('grip', club.name),
          clubId: club.id,
          wanted: typeof grip === 'string' ? [{ key: 'grip' as const, value: grip }] : [],
          why: `on since ${wear.since}`,
          eventId: null,
          dueOn: null,
        };
      }),
    ),
    'grips that are due',
  );
}
</script>

<template>
  <section>
    <h2>Grips</h2>
    <p v-if="grips.length === 0" class="quiet">No grip of the gamer is due, as far as they are recorded.</p>
    <p v-else>
      <span class="verdict warning">◆ Due:</span>
      {{ grips.map(({ club, wear }) => `${club.name} (on since ${shortDay(wear.since)})`).join(', ') }}.
      <NButton v-if="gripsToAsk.length > 0 && store.may('addTicket')" size="small" @click="askGrips">
        Make {{ counted(gripsToAsk.length, 'ticket') }}
      </NButton>
      <span v-else class="quiet">tickets made</span>
    </p>
    <p class="quiet small">
      A year or forty rounds: common practice, no source. {{ JOB_CAUTIONS.grip.join(' ') }}
    </p>
  </section>
</template>
