<script setup lang="ts">
import { shotOptions } from '../clubs/shot-options';
import ProblemLine from '../app/ProblemLine.vue';
import ChoiceField from '../fields/ChoiceField.vue';
import { NButton } from 'naive-ui';
import type { MonitorView, Page, SessionEntry, SetAsideView, StrikeView } from '@tasche/contract';
import { distanceNumber, isFullSwing, type DistanceUnit, type ShotKind } from '@tasche/core';
import { computed, ref, watch } from 'vue';
import { post, request } from '../api/request';
import { useSheet } from '../sheet/sheet-store';
import type { WorkedShots } from './worked-shots';
import { heightUnit, sideWords, speedNumber, speedUnit } from './strike-units';

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
const given = (part: 'totalM' | 'spinRpm' | 'offlineM' | 'apexM') => last.value?.given[part] !== undefined;
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
const setAside = ref<Page<SetAsideView> | null>(null);
async function lookAside(): Promise<void> {
  setAside.value = setAside.value
    ? null
    : await request<Page<SetAsideView>>(`/sessions/${props.session.id}/set-aside?limit=200`).catch(() => ({
        rows: [],
        total: 0,
        next: null,
      }));
}
const state = computed(() =>
  props.line === 'broken'
    ? 'the server cannot be reached; reconnects by itself'
    : props.monitor.state === 'here'
      ? `${props.monitor.device} is here`
      : props.monitor.state === 'away'
        ? 'the monitor cannot be reached; reconnects by itself'
        : 'no monitor is set up; write shots down by hand, or bring a file',
);
defineExpose({ hitTen });
</script>

<template>
  <section class="card board" aria-label="Live board">
    <div class="aim no-print">
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
        <NButton @click="lookAside" size="small">Set aside</NButton>
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
    <ul v-if="setAside" class="aside small">
      <li v-if="setAside.rows.length === 0" class="quiet">Nothing was set aside.</li>
      <li v-for="(one, i) in setAside.rows" :key="i">
        <span class="verdict warning">◆ {{ one.reason }}</span> <code>{{ one.text.slice(0, 120) }}</code>
      </li>
      <li v-if="setAside.next" class="quiet">
        The newest {{ setAside.rows.length }} of {{ setAside.total }}.
      </li>
    </ul>
    <div class="numbers" aria-live="polite">
      <template v-if="whole && last">
        <div class="big">
          <span class="what"
            >{{ club(last.clubId) }}<template v-if="last.shot !== 'full'"> {{ last.shot }}</template></span
          >
          <b>{{ distanceNumber(whole.carryM, unit) }}</b>
          <span class="what">carry, {{ unit }}</span>
        </div>
        <dl>
          <div>
            <dt>side</dt>
            <dd :class="{ modelled: !given('offlineM') }">{{ sideWords(whole.offlineM, unit) }}</dd>
          </div>
          <div>
            <dt>total</dt>
            <dd :class="{ modelled: !given('totalM') }">{{ distanceNumber(whole.totalM, unit) }}</dd>
          </div>
          <div>
            <dt>ball, {{ speedUnit(unit) }}</dt>
            <dd>{{ speedNumber(whole.ballSpeedMps, unit) }}</dd>
          </div>
          <div>
            <dt>launch</dt>
            <dd>{{ whole.launchDeg.toFixed(1) }}°</dd>
          </div>
          <div>
            <dt>spin</dt>
            <dd :class="{ modelled: !given('spinRpm') }">{{ whole.spinRpm.toFixed(0) }}</dd>
          </div>
          <div>
            <dt>apex, {{ heightUnit(unit) }}</dt>
            <dd :class="{ modelled: !given('apexM') }">
              {{ distanceNumber(whole.apexM, heightUnit(unit)) }}
            </dd>
          </div>
        </dl>
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
      </template>
      <p v-else class="quiet wait">The first shot appears here as it lands.</p>
    </div>
  </section>
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
.big {
  display: grid;
  justify-items: start;
}
.big b {
  font-size: 148px;
  line-height: 0.92;
  font-weight: 600;
  letter-spacing: -0.04em;
  min-width: 2.4ch;
}
.what {
  color: var(--quiet);
  font-size: 18px;
}
dl {
  display: grid;
  grid-template-columns: repeat(3, auto);
  gap: 8px 26px;
  margin: 0;
}
dt {
  color: var(--quiet);
  font-size: 15px;
}
dd {
  margin: 0;
  font-size: 42px;
  line-height: 1.05;
  font-weight: 500;
}
.modelled {
  font-style: italic;
  color: var(--quiet);
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
.aside {
  margin: 8px 0;
  padding-left: 0;
  list-style: none;
  max-height: 140px;
  overflow: auto;
}
.aside code {
  color: var(--quiet);
  overflow-wrap: anywhere;
}
@media (max-width: 700px) {
  .big b {
    font-size: 116px;
  }
  dd {
    font-size: 32px;
  }
  dl {
    gap: 6px 22px;
  }
}
</style>
