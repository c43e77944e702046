<script setup lang="ts">
import TextField from '../fields/TextField.vue';
import { NButton, NCard } from 'naive-ui';
import { contains, type BagView, type Command } from '@tasche/contract';
import {
  bagEvennessWords,
  compareReports,
  counted,
  gaps,
  type DistanceUnit,
  type GapOptions,
  type GapReport,
  type LadderClub,
} from '@tasche/core';
import { computed, nextTick, onMounted, ref, shallowRef, watch } from 'vue';
import { MARKS } from '../ladder/marks';
import type { Trial } from './trial';

/**
 * Put a club in; where the bag is full, say which goes out. Every choice shows on the ladder while it is
 * pointed at.
 */
const props = defineProps<{
  bag: Pick<BagView, 'id' | 'name'>;
  inBag: readonly LadderClub[];
  leftOut: readonly LadderClub[];
  options: GapOptions;
  unit: DistanceUnit;
  /** The bag is full. */
  full: boolean;
  /** The club that was said to come in, where one was. */
  comesIn: string | null;
  /** Strokes a round the bag costs more with that club in, by the id of the one that goes out for it. */
  swapsFor: (inId: string) => Promise<Readonly<Record<string, number>> | null>;
}>();
const emit = defineEmits<{
  trial: [trial: Trial | null];
  choose: [commands: readonly Command[]];
  close: [];
}>();

const filter = ref('');
const incoming = ref<LadderClub | null>(null);
const pointed = ref(0);
watch(
  () => props.comesIn,
  (id) => {
    incoming.value = props.leftOut.find((club) => club.id === id) ?? null;
    filter.value = '';
    pointed.value = 0;
  },
  { immediate: true },
);
const input = ref<InstanceType<typeof TextField> | null>(null);
const list = ref<HTMLElement | null>(null);

interface Choice {
  report: GapReport;
  club: LadderClub;
  clubs: LadderClub[];
  verdict: string;
  severity: string;
  commands: Command[];
  words: string;
}

const choices = computed<Choice[]>(() => {
  const isWanted = contains(filter.value);
  const named = ({ name }: LadderClub) => isWanted(name);
  if (!incoming.value) {
    return props.leftOut
      .filter(named)
      .map((club) =>
        choice(
          club,
          [...props.inBag, club],
          [{ do: 'putIn', bagId: props.bag.id, clubId: club.id }],
          `${club.name} in`,
        ),
      );
  }
  const comingIn = incoming.value;
  return props.inBag.filter(named).map((club) =>
    choice(
      club,
      [...props.inBag.filter((one) => one.id !== club.id), comingIn],
      [
        { do: 'takeOut', bagId: props.bag.id, clubId: club.id },
        { do: 'putIn', bagId: props.bag.id, clubId: comingIn.id },
      ],
      `${comingIn.name} in for ${club.name}`,
    ),
  );
});

function choice(club: LadderClub, clubs: LadderClub[], commands: Command[], words: string): Choice {
  const report = gaps(clubs, props.options);
  const faults = report.faults > 0 ? counted(report.faults, 'fault') : undefined;
  return {
    report,
    club,
    clubs,
    commands,
    words,
    severity: report.headline.severity,
    verdict: [
      MARKS[report.headline.severity],
      [faults, bagEvennessWords(report, props.unit)].filter((word) => word !== undefined).join(', '),
    ].join(' '),
  };
}

/** What each swap costs a usual round, once it is worked out. */
const strokes = shallowRef<Readonly<Record<string, number>> | null>(null);
watch(
  incoming,
  async (club, before) => {
    // While they are worked out again for the same club they stay: the list must not reorder while it is pressed.
    if (club?.id !== before?.id) strokes.value = null;
    if (!club) return;
    const found = await props.swapsFor(club.id);
    if (incoming.value === club) strokes.value = found;
  },
  { immediate: true },
);
/** The fewest strokes first; until those are known the best ladder, clubs without a carry last. */
const sorted = computed(() => {
  const costs = incoming.value ? strokes.value : null;
  const last = ({ club }: Choice) => (incoming.value && !club.shots.full ? 1 : 0);
  return [...choices.value].sort((a, b) =>
    costs
      ? (costs[a.club.id] ?? Infinity) - (costs[b.club.id] ?? Infinity)
      : last(a) - last(b) || compareReports(a.report, b.report),
  );
});
/** "saves 0.12": strokes a round. */
function costWords(club: LadderClub): string {
  const costs = strokes.value?.[club.id];
  if (costs === undefined || !incoming.value) return '';
  return Math.abs(costs) < 0.01
    ? 'costs nothing'
    : `${costs < 0 ? 'saves' : 'costs'} ${Math.abs(costs).toFixed(2)}`;
}
watch(
  [sorted, pointed],
  () => {
    const one = sorted.value[Math.min(pointed.value, sorted.value.length - 1)];
    emit(
      'trial',
      one && (!props.full || incoming.value)
        ? { words: one.words, clubs: one.clubs, commands: one.commands }
        : null,
    );
  },
  { immediate: true },
);
watch(filter, () => {
  pointed.value = 0;
});

function take(one: Choice | undefined): void {
  if (!one) return;
  if (props.full && !incoming.value) {
    incoming.value = one.club;
    filter.value = '';
    pointed.value = 0;
    input.value?.focus();
    return;
  }
  emit('choose', one.commands);
}

function onKey(event: KeyboardEvent): void {
  if (event.key === 'ArrowDown' || event.key === 'ArrowUp') {
    event.preventDefault();
    pointed.value = Math.max(
      0,
      Math.min(sorted.value.length - 1, pointed.value + (event.key === 'ArrowDown' ? 1 : -1)),
    );
    void nextTick(() =>
      list.value?.querySelector('[aria-selected="true"]')?.scrollIntoView({ block: 'nearest' }),
    );
  } else if (event.key === 'Enter') {
    event.preventDefault();
    take(sorted.value[pointed.value]);
  } else if (event.key === 'Escape') {
    event.preventDefault();
    if (incoming.value && props.comesIn === null) incoming.value = null;
    else emit('close');
  }
}

onMounted(() => input.value?.focus());
</script>

<template>
  <NCard tag="section" class="picker" aria-label="Put a club in">
    <header>
      <strong v-if="!incoming">Put in</strong>
      <strong v-else>{{ incoming.name }} in: which goes out?</strong>
      <NButton @click="emit('close')" size="small">Close</NButton>
    </header>
    <TextField
      ref="input"
      v-model:value="filter"
      role="combobox"
      aria-expanded="true"
      aria-controls="picker-list"
      :aria-activedescendant="`pick-${sorted[pointed]?.club.id}`"
      :placeholder="incoming ? 'Type the club that goes out' : 'Type a club of the locker'"
      @keydown="onKey"
    />
    <ul id="picker-list" ref="list" role="listbox">
      <li
        v-for="(one, i) in sorted"
        :id="`pick-${one.club.id}`"
        :key="one.club.id"
        role="option"
        :aria-selected="i === pointed"
        @mouseenter="pointed = i"
        @click="take(one)"
      >
        <span class="name">{{ one.club.name }}</span>
        <span v-if="costWords(one.club)" class="small quiet costs">{{ costWords(one.club) }}</span>
        <span v-if="!full || incoming" class="verdict small" :class="one.severity">{{ one.verdict }}</span>
        <span v-else class="small quiet">{{ one.club.kind }}</span>
      </li>
      <li v-if="sorted.length === 0" class="quiet none">
        {{ leftOut.length === 0 ? 'Every club of the locker is in this bag.' : 'No club of that name.' }}
      </li>
    </ul>
    <p class="small quiet">
      {{ strokes && incoming ? 'Strokes a usual round, the fewest first.' : 'Best for the ladder first.' }}
      Enter chooses it, Esc cancels.
    </p>
  </NCard>
</template>

<style scoped>
.picker {
  padding: 12px;
  width: 330px;
  display: grid;
  gap: 8px;
  box-shadow: 0 8px 24px rgb(30 25 15 / 18%);
}
header {
  display: flex;
  justify-content: space-between;
  align-items: center;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
  max-height: 320px;
  overflow-y: auto;
}
li {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  gap: 0 10px;
  padding: 7px 8px;
  cursor: pointer;
  border-radius: 3px;
}
li[aria-selected='true'] {
  background: var(--petrol-soft);
}
.name {
  font-weight: 500;
}
.verdict {
  margin-left: auto;
}
.costs {
  margin-left: auto;
  white-space: nowrap;
}
.none {
  cursor: default;
}
</style>
