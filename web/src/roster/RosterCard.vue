<script setup lang="ts">
import { MAX_LAST_CHANGES, type RosterEntry } from '@tasche/contract';
import { differenceInCalendarDays, parseISO } from 'date-fns';
import { counted } from '@tasche/core';
import { shortDay, shortMoment, today, withDaysFormatted } from '../app/day';
import { MARKS } from '../ladder/marks';
import type { eventStateWords } from './event-state';
import type { ThingToDo } from './things-to-do';

// It is given a whole entry of the roster, which holds more.
defineOptions({ inheritAttrs: false });
/** A player on the roster: the bag's verdict, what is to be done, the next event, what was changed last. */
defineProps<
  Pick<RosterEntry, 'player' | 'gamer' | 'clubsOwned' | 'nextPlan' | 'lastChanges'> & {
    things: readonly ThingToDo[];
    event: ReturnType<typeof eventStateWords>;
    /** Changes since yesterday. */
    recent: RosterEntry['lastChanges'];
  }
>();

function startsIn(day: string): string {
  const days = differenceInCalendarDays(parseISO(day), parseISO(today()));
  if (days < 0) return 'on now';
  return days === 0 ? 'today' : days === 1 ? 'tomorrow' : `in ${days} days`;
}
</script>

<template>
  <RouterLink :to="{ name: 'bag', params: { playerId: player.id } }" class="player">
    <h2>{{ player.name }}</h2>
    <p v-if="gamer" class="headline">
      <span class="verdict" :class="gamer.severity">{{ MARKS[gamer.severity] }}</span>
      {{ gamer.headline }}
    </p>
    <p v-else class="quiet">No gamer bag yet.</p>
  </RouterLink>
  <p class="thing small">
    <RouterLink
      v-for="(thing, i) in things"
      :key="thing.rank"
      :to="thing.to"
      :class="i === 0 ? ['verdict', thing.severity] : 'quiet'"
      >{{ MARKS[thing.severity] }} {{ thing.words }}</RouterLink
    >
    <span v-if="things.length === 0" class="verdict fine">● nothing to do</span>
  </p>
  <dl>
    <div>
      <dt>Gamer</dt>
      <dd>{{ gamer ? `${counted(gamer.clubs, 'club')}` : '–' }} of {{ clubsOwned }}</dd>
    </div>
    <div>
      <dt>Faults</dt>
      <dd :class="['verdict', gamer?.faults ? 'error' : 'fine']">
        {{ gamer?.faults ?? '–' }}
        <span v-if="gamer?.looks" class="verdict warning" title="Worth a look">◆ {{ gamer.looks }}</span>
      </dd>
    </div>
    <div>
      <dt>Next</dt>
      <dd>
        <RouterLink
          v-if="nextPlan"
          :to="{ name: 'plan', params: { playerId: player.id, planId: nextPlan.id } }"
          >{{ nextPlan.name }}</RouterLink><span v-else class="quiet">nothing planned</span>
        <div v-if="nextPlan" class="small quiet">
          {{ shortDay(nextPlan.startsOn) }}, {{ startsIn(nextPlan.startsOn) }};
          <span class="verdict" :class="event.severity">{{ MARKS[event.severity] }} {{ event.words }}</span>
        </div>
      </dd>
    </div>
    <div>
      <dt>Last change</dt>
      <dd class="small">
        <template v-if="lastChanges[0]"
          >{{ shortMoment(lastChanges[0].at) }}, {{ lastChanges[0].who }}
          <div class="quiet clip" :title="withDaysFormatted(lastChanges[0].summary)">
            {{ withDaysFormatted(lastChanges[0].summary) }}
          </div>
          <RouterLink
            v-if="recent.length > 1"
            class="quiet"
            :to="{ name: 'history', params: { playerId: player.id } }"
            :title="recent.map(({ summary }) => withDaysFormatted(summary)).join('\n')"
            >{{
              recent.length === MAX_LAST_CHANGES
                ? `${MAX_LAST_CHANGES} or more`
                : counted(recent.length, 'change')
            }}
            since yesterday</RouterLink
          ></template
        >
      </dd>
    </div>
  </dl>
</template>

<style scoped>
.player {
  grid-column: 1;
  text-decoration: none;
  color: inherit;
}
.player:hover h2 {
  text-decoration: underline;
  text-underline-offset: 3px;
}
h2 {
  font-size: 18px;
  margin-bottom: 4px;
}
.headline {
  line-height: 1.45;
}
.thing {
  grid-column: 1;
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 6px 16px;
}
dl {
  grid-column: 2;
  grid-row: 1 / span 2;
  display: grid;
  grid-template-columns: 92px 56px minmax(120px, 1fr) minmax(120px, 1fr);
  gap: 0 14px;
  margin: 0;
  align-content: center;
}
dt {
  font-size: 12px;
  color: var(--quiet);
}
dd {
  margin: 0;
}
.clip {
  max-width: 24ch;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
@media (max-width: 980px) {
  dl {
    grid-column: 1;
    grid-row: auto;
    grid-template-columns: repeat(auto-fit, minmax(120px, 1fr));
    gap: 8px 14px;
  }
}
</style>
