<script setup lang="ts">
import type { TicketDetails, TicketView } from '@tasche/contract';
import { counted, type BenchValue } from '@tasche/core';
import { useDocumentVisibility, useIntervalFn } from '@vueuse/core';
import { NButton, NEmpty } from 'naive-ui';
import { computed, onMounted, ref } from 'vue';
import { useRouter } from 'vue-router';
import Fold from '../app/Fold.vue';
import { useSchedule } from '../courses/schedule-store';
import { isDraftKept } from '../fields/kept-draft';
import { useSheet } from '../sheet/sheet-store';
import BenchHead from './BenchHead.vue';
import { addTickets } from './new-tickets';
import TicketForm from './TicketForm.vue';
import TicketRow from './TicketRow.vue';
import { isOpen, ticketsInOrder } from './ticket-words';

/** A player's jobs for the bench: what is asked, what is on it, what was done. */
const props = defineProps<{ playerId: string }>();
const store = useSheet();
const schedule = useSchedule();
const router = useRouter();
onMounted(() => void schedule.load());

/** What is being written: a new one, or one that is changed. A new one left half written is open again. */
const editing = ref<TicketView | 'new' | null>(isDraftKept(`ticket/${props.playerId}/new`) ? 'new' : null);
/** Others in the van work on the same tickets: what they change shows within some seconds. */
const AGAIN_MS = 5000;
const visibility = useDocumentVisibility();
useIntervalFn(() => {
  if (visibility.value === 'visible' && store.may('addTicket') && editing.value === null)
    void store.load(props.playerId);
}, AGAIN_MS);

const tickets = computed(() => ticketsInOrder(store.sheet!.tickets));
const open = computed(() => tickets.value.filter(isOpen));
const closed = computed(() => tickets.value.filter((ticket) => !isOpen(ticket)));
const eventName = ({ eventId }: TicketView) => schedule.events.find(({ id }) => id === eventId)?.name;
const beingEdited = computed(() => (editing.value === 'new' ? undefined : (editing.value ?? undefined)));

function save(details: TicketDetails): void {
  if (editing.value === 'new') store.change(addTickets(props.playerId, [details]));
  else if (editing.value) {
    const { clubId: _clubId, ...set } = details;
    store.change([
      { do: 'editTicket', ticketId: editing.value.id, version: current(editing.value).version, set },
    ]);
  }
  editing.value = null;
}
const current = (ticket: TicketView) => store.sheet!.tickets.find(({ id }) => id === ticket.id) ?? ticket;
function setState(ticket: TicketView, state: 'asked' | 'on the bench' | 'dropped'): void {
  store.change([{ do: 'editTicket', ticketId: ticket.id, version: ticket.version, set: { state } }]);
}
function finish(ticket: TicketView, takenOn: string, became: BenchValue[]): void {
  store.change([{ do: 'finishTicket', ticketId: ticket.id, version: ticket.version, takenOn, became }]);
}
const print = () => window.print();
</script>

<template>
  <div class="page">
    <BenchHead :player-id="playerId">
      Bench
      <template #says>
        <p class="quiet">
          {{
            open.length === 0 ? 'Nothing is waiting on the bench.' : `${counted(open.length, 'job')} open.`
          }}
        </p>
      </template>
      <template #actions>
        <NButton :disabled="open.length === 0" @click="print">Print</NButton>
        <NButton v-if="store.may('addTicket')" type="primary" @click="editing = 'new'">New ticket</NButton>
      </template>
    </BenchHead>
    <TicketForm
      v-if="editing"
      :key="beingEdited?.id ?? 'new'"
      :player-id="playerId"
      :clubs="store.clubs"
      :ticket="beingEdited"
      class="no-print"
      @save="save"
      @leave="editing = null"
    />
    <NEmpty v-if="tickets.length === 0 && !editing" description="No tickets yet.">
      <template #extra>
        <p class="quiet">
          A bend plan, a bag brought to a swing weight or a check makes them with one press.
        </p>
      </template>
    </NEmpty>
    <TicketRow
      v-for="ticket in open"
      :key="ticket.id"
      :ticket="ticket"
      :club="store.clubsById.get(ticket.clubId)"
      :event-name="eventName(ticket)"
      :read-only="!store.may('editTicket')"
      @state="setState(ticket, $event)"
      @finish="(day, became) => finish(ticket, day, became)"
      @edit="editing = ticket"
      @label="router.push({ name: 'build', params: { playerId, clubId: ticket.clubId } })"
      @remove="store.change([{ do: 'removeTicket', ticketId: ticket.id, version: ticket.version }])"
    />
    <Fold v-if="closed.length > 0" class="closed no-print">
      <template #head>{{ counted(closed.length, 'ticket') }} done or dropped</template>
      <TicketRow
        v-for="ticket in closed"
        :key="ticket.id"
        :ticket="ticket"
        :club="store.clubsById.get(ticket.clubId)"
        :event-name="eventName(ticket)"
        :read-only="!store.may('editTicket')"
        @state="setState(ticket, $event)"
        @label="router.push({ name: 'build', params: { playerId, clubId: ticket.clubId } })"
        @remove="store.change([{ do: 'removeTicket', ticketId: ticket.id, version: ticket.version }])"
      />
    </Fold>
  </div>
</template>

<style scoped>
.closed {
  margin-top: 20px;
}
</style>
