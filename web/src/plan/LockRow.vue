<script setup lang="ts">
import { NButton } from 'naive-ui';
import NameTag from '../app/NameTag.vue';
import { computed } from 'vue';
import { LOCK_WORDS, lockMark, type Lock } from './lock';

/**
 * One club of the board with its lock. Everything it shows comes as plain values, so that a change of one
 * club's lock draws that club's row again, and no other's.
 */
const props = defineProps<{
  id: string;
  name: string;
  state: Lock;
  chosen: boolean;
  /** It is chosen and not of the gamer, or of the gamer and left out. */
  moves: boolean;
  isExplained: boolean;
  marked: boolean;
  /** "36.0° · 142", at home, and what it carries there. */
  atHome: string;
  there: string;
  modelled: boolean;
  worth: string;
  short: string;
  why: string;
  hasNeed: boolean;
  readOnly: boolean;
}>();
const emit = defineEmits<{ tell: []; press: [event: KeyboardEvent]; turn: []; need: [] }>();

const says = computed(
  () => `${props.name}: ${LOCK_WORDS[props.state]}, ${props.chosen ? 'chosen' : 'left out'}`,
);
const sign = computed(() => lockMark(props.state, props.chosen));
</script>

<template>
  <li
    :data-club="id"
    :data-name="name"
    tabindex="0"
    :class="[state, { explained: isExplained, marked, left: !chosen }]"
    :aria-label="`${says}. ${why}`"
    @focusin="emit('tell')"
    @keydown="emit('press', $event)"
  >
    <NButton
      class="turn"
      :disabled="readOnly"
      :aria-label="`Lock of ${says}`"
      @click="emit('turn')"
      quaternary
      size="small"
      circle
    >
      {{ sign }}
    </NButton>
    <span class="name"
      ><span class="text" :title="name">{{ name }}</span
      ><NameTag v-if="moves" :kind="chosen ? 'plain' : 'out'">{{ chosen ? 'in' : 'out' }}</NameTag></span
    >
    <span class="small quiet numbers" :class="{ modelled }"
      >{{ atHome }}<i v-if="there">&nbsp;→&nbsp;{{ there }}</i></span
    >
    <b class="worth">{{ worth }}</b><span class="why small quiet">{{ short }}</span>
    <p v-if="isExplained && why" class="lock-why small">
      <span aria-hidden="true">{{ why.replace(`${name}: `, '') }}</span>
      <NButton v-if="hasNeed" class="link no-print" title="Enter" @click="emit('need')" text type="primary">
        show it
      </NButton>
    </p>
  </li>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: 28px minmax(90px, 1fr) 116px 36px minmax(0, 1.1fr);
  gap: 0 8px;
  align-items: center;
  border-bottom: 1px solid var(--line-soft);
  min-height: 32px;
  cursor: grab;
  padding: 1px 0;
}
li:focus-visible {
  outline-offset: -2px;
}
.left .turn {
  color: var(--quiet);
}
.always .turn {
  color: var(--petrol);
}
.never .turn {
  color: var(--brick-ink);
}
.name {
  font-weight: 600;
  display: flex;
  align-items: center;
  min-width: 0;
}
/* A long name gives way, its badge does not. */
.name .text {
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
}
.name .badge {
  flex: none;
}
.left .name {
  font-weight: 500;
}
.never .name {
  text-decoration: line-through;
}
.numbers {
  white-space: nowrap;
}
.numbers i {
  font-style: normal;
  color: var(--brass-ink);
}
.marked {
  box-shadow: inset 3px 0 0 var(--brass);
}
.explained {
  background: var(--paper);
}
.lock-why {
  grid-column: 2 / -1;
  padding: 0 0 6px;
  line-height: 1.4;
  cursor: auto;
}
.worth {
  text-align: right;
  font-size: 13px;
}
.lock-why {
  line-height: 1.25;
}
/* Beside the picture of the round on a tablet, and on a phone. */
@container (max-width: 410px) {
  li {
    grid-template-columns: 28px minmax(90px, 1fr) 116px 36px;
  }
  .why {
    grid-column: 2 / -1;
    padding-bottom: 3px;
  }
}
</style>
