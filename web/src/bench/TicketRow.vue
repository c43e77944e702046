<script setup lang="ts">
import { DELETED_CLUB, type ClubView, type TicketView } from '@tasche/contract';
import { BUILDER_WORDS, JOB_CAUTIONS, type BenchValue } from '@tasche/core';
import { NButton, NTag } from 'naive-ui';
import { computed, ref } from 'vue';
import ActionMenu from '../app/ActionMenu.vue';
import { shortDay, today } from '../app/day';
import { useSettings } from '../app/settings';
import { useSheet } from '../sheet/sheet-store';
import TicketFinish from './TicketFinish.vue';
import { becameWords, isOpen, missWords, promiseWords, wantedWords } from './ticket-words';

/** One ticket: what is wanted, why, by when, its cautions, and what can be done with it. */
const props = defineProps<{
  ticket: TicketView;
  club: ClubView | undefined;
  eventName?: string | undefined;
  readOnly?: boolean;
}>();
const emit = defineEmits<{
  state: [state: 'asked' | 'on the bench' | 'dropped'];
  finish: [takenOn: string, became: BenchValue[]];
  edit: [];
  label: [];
  remove: [];
}>();

const finishing = ref(false);
const open = computed(() => isOpen(props.ticket));
const late = computed(() => open.value && props.ticket.dueOn !== null && props.ticket.dueOn < today());
/** Of one that is done, what was asked: the club is at it by now. */
const wanted = computed(() => wantedWords(props.ticket.wanted, open.value ? props.club : undefined));
const store = useSheet();
const settings = useSettings();
/** Of a bend that is done: what it does to the carry, against what it was to do. */
const promise = computed(() =>
  open.value || !store.sheet
    ? ''
    : promiseWords(
        props.ticket,
        props.club,
        settings.unitFor(store.sheet.player.distanceUnit),
        store.sheet.player.baseline ?? undefined,
      ),
);
const actions = computed(() => [
  ...(open.value
    ? [
        { key: 'edit', label: 'Change…', run: () => emit('edit') },
        { key: 'drop', label: 'Drop', run: () => emit('state', 'dropped') },
      ]
    : [{ key: 'again', label: 'Open it again', run: () => emit('state', 'asked') }]),
  { key: 'label', label: 'Label with its code…', run: () => emit('label') },
  { key: 'remove', label: 'Delete', run: () => emit('remove') },
]);
function finish(takenOn: string, became: BenchValue[]): void {
  finishing.value = false;
  emit('finish', takenOn, became);
}
</script>

<template>
  <article class="ticket" :class="{ closed: !open }" :aria-label="ticket.name">
    <header class="bar">
      <h3>{{ ticket.name }}</h3>
      <NTag
        v-if="ticket.state !== 'asked'"
        size="small"
        :type="ticket.state === 'on the bench' ? 'info' : 'default'"
        >{{ ticket.state }}</NTag
      >
      <span v-if="ticket.dueOn && open" class="verdict" :class="late ? 'error' : 'unknown'">
        {{ late ? '■ was due' : 'due' }} {{ shortDay(ticket.dueOn) }}
      </span>
      <span v-if="ticket.doneOn" class="quiet">{{ shortDay(ticket.doneOn) }}</span>
      <span v-if="eventName" class="quiet">for {{ eventName }}</span>
    </header>
    <p v-if="wanted" class="wanted">{{ club?.name ?? DELETED_CLUB }}: {{ wanted }}</p>
    <p v-if="!open && ticket.became.length > 0">
      {{ becameWords(ticket) }}<template v-if="promise">; {{ promise }}</template
      >.
    </p>
    <p v-if="ticket.why" class="quiet">{{ ticket.why }}</p>
    <p v-if="ticket.misses.length > 0 && open" class="verdict warning">
      ◆ Last time: {{ missWords(ticket.misses) }}.
    </p>
    <p v-if="open && JOB_CAUTIONS[ticket.job].length > 0" class="small quiet caution">
      {{ JOB_CAUTIONS[ticket.job].join(' ') }} <span class="builder">{{ BUILDER_WORDS }}</span>
    </p>
    <TicketFinish
      v-if="finishing"
      :ticket="ticket"
      :club="club"
      @finish="finish"
      @leave="finishing = false"
    />
    <div v-else-if="!readOnly" class="bar no-print">
      <template v-if="open && club">
        <NButton size="small" type="primary" secondary @click="finishing = true"
          >Enter what it became…</NButton
        >
        <NButton v-if="ticket.state === 'asked'" size="small" @click="emit('state', 'on the bench')">
          On the bench
        </NButton>
      </template>
      <ActionMenu size="small" :actions="actions" :label="`More for ${ticket.name}`" />
    </div>
  </article>
</template>

<style scoped>
.ticket {
  border-top: 1px solid var(--line);
  padding: 10px 0 12px;
  display: grid;
  gap: 4px;
  break-inside: avoid;
}
h3 {
  font-size: 15px;
  font-weight: 600;
}
.closed {
  color: var(--quiet);
}
.wanted {
  font-weight: 500;
}
.caution {
  max-width: 760px;
}
</style>
