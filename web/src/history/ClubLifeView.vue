<script setup lang="ts">
import ProblemLine from '../app/ProblemLine.vue';
import { NButton, NEmpty } from 'naive-ui';
import type { ClubLifeView } from '@tasche/contract';
import { computed, ref } from 'vue';
import { useRead } from '../api/read';
import { counted } from '@tasche/core';
import { shortDay } from '../app/day';
import LinkButton from '../app/LinkButton.vue';
import Breadcrumb from '../app/Breadcrumb.vue';
import { pagesAbove } from '../app/breadcrumb';
import PageHead from '../app/PageHead.vue';
import { useSettings } from '../app/settings';
import { useSheet } from '../sheet/sheet-store';
import { clubLife, type LifeEntry } from './club-life';

/** A club's life on one page: builds, readings, sessions, time in the bag, repairs; the newest first. */
const props = defineProps<{ playerId: string; clubId: string }>();
const store = useSheet();
const settings = useSettings();
const { found: life, problem } = useRead<ClubLifeView>(() => `/clubs/${props.clubId}/life`);
const unit = computed(() => settings.unitFor(store.sheet!.player.distanceUnit));

const KINDS: readonly { kind: LifeEntry['kind']; label: string }[] = [
  { kind: 'build', label: 'Builds' },
  { kind: 'reading', label: 'Readings' },
  { kind: 'session', label: 'Sessions' },
  { kind: 'bag', label: 'In the gamer' },
  { kind: 'ticket', label: 'Bench' },
];
const MARKS: Record<LifeEntry['kind'], string> = {
  build: '◼',
  reading: '○',
  session: '●',
  bag: '▲',
  ticket: '◆',
};
const only = ref<LifeEntry['kind'] | null>(null);
const entries = computed(() => (life.value ? clubLife(life.value, unit.value) : []));
const shown = computed(() => entries.value.filter(({ kind }) => only.value === null || kind === only.value));
const count = (kind: LifeEntry['kind']) => entries.value.filter((entry) => entry.kind === kind).length;
</script>

<template>
  <div class="page life">
    <PageHead :of="store.sheet!.player.name">
      {{ life?.club.name ?? 'Club' }}, its life
      <template #breadcrumb><Breadcrumb :pages="pagesAbove(store.sheet!.player, 'history')" /></template>
      <template #says>
        <p v-if="life" class="quiet">
          {{ life.club.kind }}<template v-if="life.club.removed">, deleted since</template>;
          {{ counted(life.readings.total, 'reading') }}, {{ counted(life.sessions.length, 'session') }},
          {{ counted(life.tickets.length, 'job') }} for the bench.
        </p>
      </template>
      <template #actions>
        <LinkButton v-if="life && !life.club.removed" :to="{ name: 'build', params: { playerId, clubId } }"
          >Build sheet</LinkButton
        >
      </template>
    </PageHead>
    <ProblemLine :text="problem" />
    <p v-if="life" class="bar no-print">
      <NButton
        size="small"
        :aria-pressed="only === null"
        :type="only === null ? 'primary' : 'default'"
        @click="only = null"
        >All {{ entries.length }}</NButton
      >
      <NButton
        v-for="{ kind, label } in KINDS.filter((one) => count(one.kind) > 0)"
        :key="kind"
        size="small"
        :aria-pressed="only === kind"
        :type="only === kind ? 'primary' : 'default'"
        @click="only = kind"
        ><span aria-hidden="true" class="mark">{{ MARKS[kind] }}</span
        >{{ label }} {{ count(kind) }}</NButton
      >
    </p>
    <NEmpty v-if="life && entries.length === 0" description="Nothing is recorded about this club yet." />
    <ol class="entries">
      <li v-for="(entry, i) in shown" :key="entry.key">
        <span class="quiet day">{{
          shown[i - 1]?.day === entry.day
            ? ''
            : entry.day
              ? shortDay(entry.day)
              : entry.kind === 'ticket'
                ? 'no day'
                : 'long ago'
        }}</span>
        <span class="mark" :class="entry.kind" aria-hidden="true">{{ MARKS[entry.kind] }}</span>
        <span>
          <RouterLink v-if="entry.to" :to="entry.to">{{ entry.title }}</RouterLink>
          <b v-else>{{ entry.title }}</b>
          {{ entry.text }}
          <span v-if="entry.who" class="quiet small">{{ entry.who }}</span>
        </span>
      </li>
    </ol>
    <p v-if="life?.readings.next" class="quiet small">
      The newest {{ life.readings.rows.length }} of {{ life.readings.total }} readings; the older ones are in
      the club’s panel.
    </p>
  </div>
</template>

<style scoped>
.life {
  max-width: 900px;
}
.entries {
  list-style: none;
  margin: 12px 0;
  padding: 0;
}
.entries li {
  display: grid;
  grid-template-columns: 92px 22px 1fr;
  gap: 6px;
  padding: 6px 0;
  border-top: 1px solid var(--line-soft);
}
.day {
  font-size: 13px;
  padding-top: 1px;
}
.mark {
  color: var(--petrol);
  margin-right: 4px;
}
.mark.ticket {
  color: var(--brass);
}
.mark.reading {
  color: var(--quiet);
}
</style>
