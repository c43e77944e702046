<script setup lang="ts">
import { clubName } from '@tasche/contract';
import { NButton } from 'naive-ui';
import {
  decimals,
  distanceNumber,
  formatDegrees,
  type BagAnswer,
  type DistanceUnit,
  type LadderClub,
  type BagPreferences,
  shotKindWords,
} from '@tasche/core';
import { computed, ref } from 'vue';
import { VueDraggable } from 'vue-draggable-plus';
import { afterDrag } from '../app/drag-end';
import LockRow from './LockRow.vue';
import OneOfBoard from './OneOfBoard.vue';
import { NEXT_LOCK, lockOf, withLock, type Lock } from './lock';

/**
 * The chosen clubs and those left out. Dragged across, or by its key, a club is locked in, kept out or
 * grouped; the answer follows at once. The club one stands on says why.
 */
const props = defineProps<{
  clubs: readonly LadderClub[];
  home: readonly LadderClub[];
  chosen: readonly string[];
  always: readonly string[];
  never: readonly string[];
  oneOf: readonly (readonly string[])[];
  kinds: BagPreferences['kinds'];
  limit: number;
  allowed: number;
  gamer: readonly string[];
  modelled: readonly string[];
  why: Readonly<Record<string, string>>;
  answer: BagAnswer;
  unit: DistanceUnit;
  readOnly: boolean;
}>();
const emit = defineEmits<{
  set: [part: Partial<Pick<BagPreferences, 'always' | 'never' | 'oneOf' | 'kinds' | 'limit'>>];
  need: [name: string];
}>();

const carry = (club: LadderClub) => club.shots.full?.carryM ?? -1;
const homeOf = (id: string) => props.home.find((club) => club.id === id);
const inside = computed(() =>
  props.clubs.filter(({ id }) => props.chosen.includes(id)).sort((a, b) => carry(b) - carry(a)),
);
const outside = computed(() =>
  props.clubs.filter(({ id }) => !props.chosen.includes(id)).sort((a, b) => carry(b) - carry(a)),
);
const stateOf = (id: string) => lockOf(id, props);
const lock = (id: string, state: Lock) => {
  emit('set', withLock(id, state, props));
};
/** Clubs on their way into a group. */
const marked = ref<readonly string[]>([]);
const mark = (id: string) => {
  marked.value = marked.value.includes(id) ? marked.value.filter((one) => one !== id) : [...marked.value, id];
};
function setGroup(): void {
  if (marked.value.length < 2) return;
  emit('set', { oneOf: [...props.oneOf, marked.value] });
  marked.value = [];
}
const limitBy = (by: number) => {
  const next = Math.min(props.limit, props.allowed) + by;
  if (next >= 1 && next <= props.allowed) emit('set', { limit: next });
};
/** No more of a club's kind than are chosen now; again, and that is forgotten. */
function limitKind(id: string): void {
  const kind = props.clubs.find((club) => club.id === id)!.kind;
  const others = props.kinds.filter((one) => one.kind !== kind);
  emit('set', {
    kinds:
      others.length < props.kinds.length
        ? others
        : [...others, { kind, most: inside.value.filter((club) => club.kind === kind).length }],
  });
}
function key(event: KeyboardEvent, id: string): void {
  const pressed = event.key.toLowerCase();
  if (event.altKey || event.ctrlKey || event.metaKey) return;
  const does: Record<string, () => void> = {
    i: () => {
      lock(id, 'always');
    },
    o: () => {
      lock(id, 'never');
    },
    f: () => {
      lock(id, 'open');
    },
    g: () => {
      mark(id);
    },
    k: () => {
      limitKind(id);
    },
    '+': () => {
      limitBy(1);
    },
    '-': () => {
      limitBy(-1);
    },
    ...(event.target === event.currentTarget && {
      enter: () => {
        if (marked.value.length > 1) setGroup();
        else showNeed(id);
      },
      escape: () => {
        marked.value = [];
      },
    }),
  };
  if (does[pressed]) {
    event.preventDefault();
    if (!props.readOnly || pressed === 'enter') does[pressed]();
    return;
  }
  if (event.key !== 'ArrowDown' && event.key !== 'ArrowUp') return;
  event.preventDefault();
  const all = [...document.querySelectorAll<HTMLElement>('.lock-board [data-club]')];
  all[all.indexOf(event.currentTarget as HTMLElement) + (event.key === 'ArrowDown' ? 1 : -1)]?.focus();
}
const draggable = (list: readonly LadderClub[]) => [...list];
const inCopy = computed({ get: () => draggable(inside.value), set: () => undefined });
const outCopy = computed({ get: () => draggable(outside.value), set: () => undefined });
/** What is dropped in is always in, what is dropped out never. */
function dropped(event: { data?: LadderClub; item: HTMLElement }, state: 'always' | 'never'): void {
  event.item.remove();
  if (event.data) lock(event.data.id, state);
}
/** What being without it, or with it, costs; to the hundredth; anything smaller is left out. */
const reasons = computed(() => new Map(props.answer.reasons.map((one) => [one.id, one])));
const lefts = computed(() => new Map(props.answer.leftOut.map((one) => [one.id, one])));
const worth = (id: string) => {
  const value = reasons.value.get(id)?.worth ?? lefts.value.get(id)?.onTheCourse;
  return value === undefined || value === Infinity ? '' : Math.abs(value) < 0.005 ? '=' : decimals(value, 2);
};
function shortly(id: string): string {
  const reason = reasons.value.get(id);
  if (reason)
    return reason.need === undefined
      ? reason.worth > 0.005 && reason.worth < Infinity
        ? 'for even steps'
        : 'a rule requires it'
      : `${reason.need}${reason.shot && reason.shot !== 'full' ? `, ${shotKindWords(reason.shot)}` : ''}`;
  const left = lefts.value.get(id);
  return left
    ? left.outId
      ? `for the ${props.clubs.find((club) => club.id === left.outId)?.name ?? ''}`
      : 'beside the rest'
    : 'a lock keeps it out';
}
/** The club that is told about in full: the one that was stood on last. */
const explainedId = ref('');
const demandOf = (id: string) => reasons.value.get(id)?.need;
function showNeed(id: string): void {
  const demand = demandOf(id);
  if (demand !== undefined) emit('need', demand);
}
const nameOf = (id: string) => clubName(props.clubs, id);
const words = (club: LadderClub) =>
  [
    club.loftDeg === undefined ? '' : formatDegrees(club.loftDeg),
    club.shots.full ? `${distanceNumber(club.shots.full.carryM, props.unit)}` : '',
  ]
    .filter(Boolean)
    .join(' · ');
</script>

<template>
  <div class="lock-board">
    <section
      v-for="side in ['in', 'out'] as const"
      :key="side"
      :aria-label="side === 'in' ? 'Chosen' : 'Left out'"
      :class="side"
    >
      <h2>
        {{ side === 'in' ? `Chosen, ${inside.length}` : `Left out, ${outside.length}` }}
        <span v-if="side === 'in' && !readOnly" class="most no-print small quiet"
          >of
          <NButton class="turn" aria-label="One club fewer at most" title="−" @click="limitBy(-1)" size="tiny"
            >−</NButton
          ><b>{{ Math.min(limit, allowed) }}</b
          ><NButton class="turn" aria-label="One club more at most" title="+" @click="limitBy(1)" size="tiny">
            +
          </NButton></span
        ><span class="quiet small">{{
          side === 'in'
            ? 'strokes a round it is worth, and the shot that needs it most'
            : 'strokes a round it would cost, and for which club'
        }}</span>
      </h2>
      <VueDraggable
        :model-value="side === 'in' ? inCopy : outCopy"
        tag="ul"
        :disabled="readOnly"
        :group="{ name: 'locks', pull: 'clone', put: true }"
        :sort="false"
        :force-fallback="true"
        :delay="180"
        :delay-on-touch-only="true"
        :touch-start-threshold="6"
        :animation="100"
        filter=".turn, .link"
        :prevent-on-filter="false"
        @add="dropped($event, side === 'in' ? 'always' : 'never')"
        @end="afterDrag"
      >
        <LockRow
          v-for="club in side === 'in' ? inside : outside"
          :id="club.id"
          :key="club.id"
          :name="club.name"
          :state="stateOf(club.id)"
          :chosen="side === 'in'"
          :moves="gamer.includes(club.id) !== (side === 'in')"
          :is-explained="explainedId === club.id"
          :marked="marked.includes(club.id)"
          :at-home="words(homeOf(club.id) ?? club)"
          :there="club.shots.full ? distanceNumber(club.shots.full.carryM, unit) : ''"
          :modelled="modelled.includes(club.id)"
          :worth="worth(club.id)"
          :short="shortly(club.id)"
          :why="why[club.id] ?? ''"
          :has-need="demandOf(club.id) !== undefined"
          :read-only="readOnly"
          @tell="explainedId = club.id"
          @press="key($event, club.id)"
          @turn="lock(club.id, NEXT_LOCK[stateOf(club.id)])"
          @need="showNeed(club.id)"
        />
      </VueDraggable>
    </section>
    <OneOfBoard
      :marked="marked"
      :groups="oneOf"
      :name-of="nameOf"
      :read-only="readOnly"
      @mark="mark"
      @unmark="mark"
      @groups="emit('set', { oneOf: $event })"
      @clear="marked = []"
    />
    <p v-if="!readOnly" class="small quiet no-print hint">
      ■ always in <kbd>I</kbd> · ✕ never <kbd>O</kbd> · free again <kbd>F</kbd> · one of a group
      <kbd>G</kbd> · no more of its kind than now <kbd>K</kbd> · clubs at most <kbd>+</kbd> <kbd>−</kbd> · its
      need <kbd>Enter</kbd>. Or drag, or press the mark.
    </p>
  </div>
</template>

<style scoped>
.lock-board {
  display: grid;
  gap: 10px;
  min-width: 0;
}
h2 {
  font-size: 14px;
  font-weight: 500;
  margin-bottom: 4px;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
  min-height: 40px;
  container-type: inline-size;
}
.in ul {
  border-top: 2px solid var(--petrol);
}
.out ul {
  border-top: 2px solid var(--sand);
  max-height: 330px;
  overflow-y: auto;
}
.most {
  display: inline-flex;
  align-items: center;
  gap: 2px;
}
.most b {
  min-width: 18px;
  text-align: center;
  color: var(--ink);
}
h2 .small {
  font-weight: 400;
  margin-left: 6px;
}
</style>
