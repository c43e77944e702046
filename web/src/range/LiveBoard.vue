<script setup lang="ts">
import { shotOptions } from '../clubs/shot-options';
import ProblemLine from '../app/ProblemLine.vue';
import ChoiceField from '../fields/ChoiceField.vue';
import { NButton, NCard } from 'naive-ui';
import type { MonitorView, SessionEntry, StrikeView } from '@tasche/contract';
import { distanceNumber, isFullSwing, type DistanceUnit, type ShotKind } from '@tasche/core';
import { computed, ref, watch } from 'vue';
import { post } from '../api/request';
import { useSheet } from '../sheet/sheet-store';
import type { WorkedShots } from './worked-shots';
import LastShot from './LastShot.vue';
import SetAsideList from './SetAsideList.vue';

/** What the monitor sees, large enough to read from the mat; and which club is in hand. */
const props = defineProps<{
  session: SessionEntry;
  strikes: readonly StrikeView[];
  rows: WorkedShots;
  monitor: MonitorView;
  line: 'closed' | 'open' | 'broken';
  unit: DistanceUnit;
}>();
const emit = defineEmits<{ aim: [aim: { clubId: string; shot: ShotKind }]; end: [] }>();
const store = useSheet();

const clubs = computed(() =>
  store.clubs.filter((club) => isFullSwing(club.kind) && club.spec.state?.value !== 'retired'),
);
const last = computed(() => props.strikes.filter((strike) => props.rows.get(strike.id)?.whole).at(-1));
const whole = computed(() => (last.value ? props.rows.get(last.value.id)!.whole! : undefined));
const club = (id: string | null) => store.clubsById.get(id ?? '')?.name ?? 'no club';
/** The latest of the club in hand, newest first. */
const run = computed(() =>
  props.strikes
    .filter((strike) => strike.clubId === last.value?.clubId && strike.shot === last.value?.shot)
    .slice(-10)
    .reverse(),
);
const average = computed(() => {
  const carries = run.value.flatMap((strike) => props.rows.get(strike.id)?.whole?.carryM ?? []);
  return carries.length > 1 ? carries.reduce((sum, carry) => sum + carry, 0) / carries.length : undefined;
});
const refused = ref('');
const ordered = ref(0);
watch(
  () => props.strikes.length,
  (now, before) => {
    ordered.value = Math.max(0, ordered.value - (now - before));
  },
);

async function hitTen(): Promise<void> {
  refused.value = '';
  const { aim } = props.session;
  if (!aim) {
    refused.value = 'Choose the club in hand first.';
    return;
  }
  try {
    await post(`/sessions/${props.session.id}/hit`, { ...aim, count: 10 });
    ordered.value += 10;
  } catch (error) {
    refused.value = (error as Error).message;
  }
}
const isLookingAside = ref(false);
const state = computed(() =>
  props.line === 'broken'
    ? 'the server cannot be reached; reconnects by itself'
    : props.monitor.state === 'here'
      ? `${props.monitor.device} is here`
      : props.monitor.state === 'away'
        ? 'the monitor cannot be reached; reconnects by itself'
        : 'no monitor is set up; enter shots by hand, or import a file',
);
defineExpose({ hitTen });
</script>

<template>
  <NCard tag="section" class="board" aria-label="Live board">
    <div v-if="store.may('editSession')" class="aim no-print">
      <label
        ><span class="unseen">In hand</span>
        <ChoiceField
          :value="session.aim?.clubId ?? ''"
          @update:value="
            emit('aim', {
              clubId: $event,
              shot: session.aim?.shot ?? 'full',
            })
          "
          label="Club in hand"
          :options="clubs.map((one) => ({ value: one.id, label: one.name }))"
          placeholder="which club?"
        />
      </label>
      <div class="shots" role="group" aria-label="Shot meant">
        <NButton
          v-for="{ value: kind, label } in shotOptions(store.clubsById.get(session.aim?.clubId ?? '')?.spec)"
          :key="kind"
          :aria-pressed="(session.aim?.shot ?? 'full') === kind"
          :disabled="!session.aim"
          @click="session.aim && emit('aim', { ...session.aim, shot: kind })"
          size="small"
        >
          {{ label }}
        </NButton>
      </div>
      <NButton v-if="monitor.simulated" :disabled="!session.aim" @click="hitTen" type="primary">
        Hit ten<template v-if="session.aim"> with the {{ club(session.aim.clubId) }}</template>
        <kbd>Alt H</kbd>
      </NButton>
      <span class="space" />
      <span
        class="small state"
        :class="{ warning: line === 'broken' || monitor.state === 'away' }"
        role="status"
        >{{ line === 'open' && monitor.state === 'here' ? '●' : '◆' }} {{ state
        }}<template v-if="ordered > 0">, {{ ordered }} to come</template></span
      >
      <span class="ends">
        <NButton :aria-expanded="isLookingAside" size="small" @click="isLookingAside = !isLookingAside"
          >Set aside</NButton
        >
        <NButton
          aria-label="Stop taking shots"
          title="Stop taking shots from the monitor"
          @click="emit('end')"
          size="small"
        >
          Stop
        </NButton>
      </span>
    </div>
    <ProblemLine :text="refused" />
    <SetAsideList v-if="isLookingAside" :session-id="session.id" />
    <div class="numbers" aria-live="polite">
      <LastShot v-if="whole && last" :strike="last" :whole="whole" :club="club(last.clubId)" :unit="unit">
        <div class="run">
          <span class="what"
            >last {{ run.length
            }}<template v-if="average !== undefined"
              >: average {{ distanceNumber(average, unit, 1) }}</template
            ></span
          >
          <ol>
            <li v-for="strike in run" :key="strike.id" :class="{ out: strike.leftOut !== null }">
              {{
                rows.get(strike.id)?.whole ? distanceNumber(rows.get(strike.id)!.whole!.carryM, unit) : '–'
              }}
            </li>
          </ol>
        </div>
      </LastShot>
      <p v-else class="quiet wait">The first shot appears here as it lands.</p>
    </div>
  </NCard>
</template>

<style scoped>
.board {
  padding: 12px 18px 14px;
  margin-bottom: 14px;
  border-color: var(--petrol-mid);
}
.aim {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 12px;
  align-items: center;
}

.ends {
  display: flex;
  gap: 8px;
}
.shots {
  display: flex;
  gap: 3px;
  flex-wrap: wrap;
}
.space {
  flex: 1;
}
.state {
  color: var(--petrol);
}
.state.warning {
  color: var(--brass-ink);
}
.main kbd {
  background: transparent;
  color: inherit;
  border-color: currentColor;
  opacity: 0.75;
}
.numbers {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 34px;
  min-height: 178px;
  margin-top: 8px;
}
.what {
  color: var(--quiet);
  font-size: 18px;
}
.run {
  min-width: 0;
  flex: 1 1 160px;
}
.run ol {
  list-style: none;
  display: flex;
  flex-wrap: wrap;
  gap: 4px 14px;
  margin: 6px 0 0;
  padding: 0;
  font-size: 24px;
}
.run li:first-child {
  font-weight: 600;
}
.run .out {
  text-decoration: line-through;
  color: var(--quiet);
}
.wait {
  font-size: 20px;
}
</style>
