<script setup lang="ts">
import PageHead from '../app/PageHead.vue';
import ChoiceField from '../fields/ChoiceField.vue';
import UnitButton from '../app/UnitButton.vue';
import { NButton, NTable, NEmpty } from 'naive-ui';
import {
  LIE_NAMES,
  carryLadder,
  distanceNumber,
  formatDistance,
  gaps,
  signedDistance,
  sourceWords,
  LIE_WORDS,
  type LadderClub,
  type Lie,
  slowSwingWords,
} from '@tasche/core';
import { useElementSize } from '@vueuse/core';
import { computed, defineAsyncComponent, ref, shallowRef, useTemplateRef, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { useSettings } from '../app/settings';
import ConditionsBar from '../conditions/ConditionsBar.vue';
import { settingWords } from '../conditions/air-units';
import type { FlightTrace } from '../conditions/conditions-worker';
import { settingPart } from '../conditions/setting-query';
import { useMovedClubs, useSetting } from '../conditions/use-conditions';
import { conditionsWorker } from '../conditions/worker-link';
import { useShortcuts } from '../keys/use-shortcuts';
import { useSheet } from '../sheet/sheet-store';
import { chartInk, sideView, viewFromAbove, type NamedTrace } from './flight-charts';

const FlightChart = defineAsyncComponent(() => import('./FlightChart.vue'));

/** The flights of a bag, or of some of its clubs, from the side and from above, in the air they are read in. */
const props = defineProps<{ playerId: string; bagId?: string }>();
const store = useSheet();
const settings = useSettings();
const route = useRoute();
const router = useRouter();
const { setting, baseline, complaints } = useSetting();

const bag = computed(
  () =>
    store.sheet!.bags.find((one) => one.id === props.bagId) ??
    (props.bagId ? undefined : (store.gamer ?? store.sheet!.bags[0])),
);
const unit = computed(() => settings.unitFor(store.sheet!.player.distanceUnit));
const height = computed(() => (unit.value === 'yd' ? 'ft' : 'm'));
const known = computed(() => (bag.value?.clubIds ?? []).flatMap((id) => store.ladderClubs.get(id) ?? []));
const { move } = useMovedClubs(known, setting, baseline);
const rungs = computed(() => carryLadder(known.value.map(move)));
const pairs = computed(() =>
  gaps(known.value.map(move), {
    ...(bag.value && { school: bag.value.strategy }),
    settings: store.sheet!.player.gapSettings,
  })
    .steps.filter((step) => step.word === 'either-or')
    .map((step) => [step.upperId, step.lowerId] as const),
);

const chosen = computed(() => {
  const ids = typeof route.query.clubs === 'string' ? route.query.clubs.split(',') : [];
  const here = ids.filter((id) => rungs.value.some((rung) => rung.id === id));
  return here.length > 0 ? here : rungs.value.map((rung) => rung.id);
});
const all = computed(() => chosen.value.length === rungs.value.length);

function choose(ids: readonly string[]): void {
  const every = ids.length === 0 || ids.length === rungs.value.length;
  void router.replace({ query: { ...route.query, clubs: every ? undefined : ids.join(',') } });
}
/** From the whole bag the first press looks at one club alone; from then on presses add and take away. */
function press(id: string): void {
  if (all.value) choose([id]);
  else choose(chosen.value.includes(id) ? chosen.value.filter((one) => one !== id) : [...chosen.value, id]);
}
const isPair = (ids: readonly string[]) =>
  ids.length === chosen.value.length && ids.every((id) => chosen.value.includes(id));

/** What the ball lies on; part of the address too. */
const lie = computed<Lie>({
  get: () => LIE_NAMES.find((one) => one === route.query.lie) ?? 'fairway',
  set: (next) =>
    void router.replace({ query: { ...route.query, lie: next === 'fairway' ? undefined : next } }),
});
/** Something differs from where the carries are known. */
const elsewhere = computed(() => setting.value !== null || lie.value !== 'fairway');

/** Null until the worker has answered. */
const traces = shallowRef<readonly FlightTrace[] | null>(null);
const problem = ref('');
const busy = ref(false);
let lastRequestId = 0;
watch(
  [known, setting, baseline, lie, () => store.skill.handicap],
  async ([clubs, to, from, off, handicap]) => {
    const requestId = ++lastRequestId;
    const slow = setTimeout(() => {
      if (requestId === lastRequestId) busy.value = true;
    }, 300);
    try {
      const answer = await conditionsWorker().flights(clubs, from, to ?? from, off, handicap);
      if (requestId === lastRequestId) {
        traces.value = answer;
        problem.value = '';
      }
    } catch (error) {
      if (requestId === lastRequestId)
        problem.value = `The flights could not be worked out: ${(error as Error).message}`;
    } finally {
      clearTimeout(slow);
      if (requestId === lastRequestId) busy.value = false;
    }
  },
  { immediate: true },
);

const shown = computed<NamedTrace[]>(() =>
  rungs.value
    .filter((rung) => chosen.value.includes(rung.id))
    .flatMap((rung) => {
      const trace = traces.value?.find((one) => one.clubId === rung.id);
      return trace ? [{ name: rung.name, trace }] : [];
    }),
);
const missing = computed(() =>
  rungs.value.filter((rung) => traces.value && !traces.value.some((one) => one.clubId === rung.id)),
);
const ink = computed(() => chartInk(settings.dark));
const SIDE_PX = 270;
const ABOVE_PX = 200;
const charts = useTemplateRef<HTMLElement>('charts');
const { width } = useElementSize(charts);
const sizeOf = (heightPx: number) => ({ widthPx: width.value || 1140, heightPx });
const slow = computed(() =>
  slowSwingWords(shown.value.map(({ name, trace }) => ({ name, isSlow: trace.moved.isSlow }))),
);
const side = computed(() => sideView(shown.value, unit.value, ink.value, sizeOf(SIDE_PX)));
const above = computed(() => viewFromAbove(shown.value, unit.value, ink.value, sizeOf(ABOVE_PX)));
const fullOf = (id: string) => store.ladderClubs.get(id)?.shots.full;
const air = computed(() => settingWords(setting.value ?? baseline.value, unit.value));
const bagOptions = computed(() =>
  store.sheet!.bags.filter((one) => !one.planId || one.gamer || one.id === props.bagId),
);
const drift = (club: Pick<LadderClub, 'id'>, trace: FlightTrace) =>
  Math.abs(trace.moved.lateralM) < 0.3
    ? '0'
    : `${distanceNumber(Math.abs(trace.moved.lateralM), unit.value)} ${trace.moved.lateralM < 0 ? 'left' : 'right'}`;

useShortcuts('The bag', { 'Alt A': () => bar.value?.focus() });
const bar = ref<InstanceType<typeof ConditionsBar> | null>(null);
</script>

<template>
  <div class="page">
    <PageHead :of="store.sheet!.player.name">
      flights of
      {{ bag?.name ?? 'no bag yet' }}
      <template #says>
        <p class="quiet small">
          {{ air }}.
          <template v-if="lie !== 'fairway'"
            >Off {{ lie }}: {{ LIE_WORDS[lie] }}, by how much is uncertain by half. </template
          >Modelled from each club’s own carry<span v-if="busy">; working…</span>
        </p>
      </template>
      <template #actions>
        <ChoiceField
          v-if="bagOptions.length > 1"
          :value="bag?.id"
          class="bags"
          @update:value="
            router.push({
              name: 'flight',
              params: { playerId, bagId: $event },
              query: settingPart(route.query),
            })
          "
          label="Bag"
          :options="bagOptions.map((one) => ({ value: one.id, label: one.name }))"
        />
        <label class="lie small quiet"
          >off <ChoiceField v-model:value="lie" class="bags" label="Lie" :options="LIE_NAMES"
        /></label>
        <UnitButton :own="store.sheet!.player.distanceUnit" />
        <RouterLink
          v-if="bag?.planId && !bag.gamer"
          class="plain-button"
          :to="{ name: 'plan', params: { playerId, planId: bag.planId }, query: settingPart(route.query) }"
          >To the plan</RouterLink
        >
        <RouterLink
          v-else-if="bag"
          class="plain-button"
          :to="{ name: 'bag', params: { playerId, bagId: bag.id }, query: settingPart(route.query) }"
          >To the bag</RouterLink
        >
      </template>
    </PageHead>
    <ConditionsBar
      ref="bar"
      :setting="setting"
      :baseline="baseline"
      :unit="unit"
      :complaints="complaints"
      :problem="problem"
      @set="setting = $event"
    />
    <NEmpty
      v-if="rungs.length === 0"
      class="card empty"
      description="A flight appears when a club of this bag has a carry."
    />
    <template v-else>
      <div class="chips no-print" role="group" aria-label="Clubs shown">
        <NButton :aria-pressed="all" @click="choose([])" size="small">Whole bag</NButton>
        <NButton
          v-for="pair in pairs"
          :key="pair.join()"
          class="pair"
          :aria-pressed="isPair(pair)"
          @click="choose(pair)"
          size="small"
        >
          {{ pair.map((id) => rungs.find((rung) => rung.id === id)?.name).join(' or ') }}
        </NButton>
        <span class="rule" />
        <NButton
          v-for="rung in rungs"
          :key="rung.id"
          :aria-pressed="!all && chosen.includes(rung.id)"
          @click="press(rung.id)"
          size="small"
        >
          {{ rung.name }}
        </NButton>
      </div>
      <div v-if="shown.length > 0 || !traces" ref="charts" class="charts">
        <figure>
          <figcaption class="small quiet">
            From the side, height drawn larger; the dotted end is bounce and roll
          </figcaption>
          <FlightChart
            :option="side"
            :height="SIDE_PX"
            :label="`Side view of ${shown.length} flights; the table below lists them`"
          />
        </figure>
        <figure>
          <figcaption class="small quiet">From above; ellipses hold one spread of where they land</figcaption>
          <FlightChart
            :option="above"
            :height="ABOVE_PX"
            :label="`View from above of ${shown.length} flights; the table below lists them`"
          />
        </figure>
      </div>
      <p v-if="slow" class="verdict warning small">◆ {{ slow }}</p>
      <div v-if="shown.length > 0" class="scroll">
        <NTable class="figures" size="small" :bordered="false" :bottom-bordered="false">
          <caption class="unseen">
            Flights in this air
          </caption>
          <thead>
            <tr>
              <th scope="col">Club</th>
              <th scope="col">Carry</th>
              <th v-if="elsewhere" scope="col">against baseline</th>
              <th scope="col">Sure to</th>
              <th scope="col">Nine in ten past</th>
              <th scope="col">Total</th>
              <th scope="col">Run</th>
              <th scope="col">Apex</th>
              <th scope="col">Lands</th>
              <th scope="col">Drift</th>
              <th scope="col">Wide</th>
              <th scope="col">In the air</th>
              <th scope="col">Carry known by</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="{ name, trace } in shown" :key="trace.clubId">
              <th scope="row">{{ name }}</th>
              <td>{{ distanceNumber(trace.moved.carryM, unit) }} {{ unit }}</td>
              <td v-if="elsewhere" class="brass">
                {{ signedDistance(trace.moved.shiftCarryM, unit) }}, total
                {{ signedDistance(trace.moved.shiftTotalM, unit) }}
              </td>
              <td class="quiet">±{{ distanceNumber(trace.moved.plusMinusM, unit) }}</td>
              <td>{{ distanceNumber(trace.spread.lowEndM, unit) }}</td>
              <td>{{ distanceNumber(trace.moved.totalM, unit) }}</td>
              <td>
                {{ distanceNumber(trace.moved.runM, unit).replace('-', '−') }}
                <span class="quiet">{{ trace.moved.runWord }}</span>
              </td>
              <td>{{ formatDistance(trace.moved.apexM, height) }}</td>
              <td>{{ trace.moved.descentDeg.toFixed(0) }}°</td>
              <td>{{ drift({ id: trace.clubId }, trace) }}</td>
              <td class="quiet">±{{ distanceNumber(trace.spread.lateralSdM, unit) }}</td>
              <td class="quiet">{{ trace.flightS.toFixed(1) }} s</td>
              <td :class="fullOf(trace.clubId)?.source">
                {{ fullOf(trace.clubId) ? sourceWords(fullOf(trace.clubId)!, unit) : '' }}
              </td>
            </tr>
          </tbody>
        </NTable>
      </div>
      <ul v-if="missing.length > 0" class="missing small">
        <li v-for="rung in missing" :key="rung.id">
          <span class="verdict warning"
            >◆ {{ rung.name }} has no flight here: no swing makes its carry in this air, or it does not get up
            to the target.</span
          >
        </li>
      </ul>
    </template>
  </div>
</template>

<style scoped>
.bags {
  min-width: 130px;
}
.lie {
  display: inline-flex;
  align-items: center;
  gap: 6px;
}
.chips {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
  align-items: center;
  margin: 2px 0 8px;
}
.chips .pair {
  border-style: dashed;
  border-color: var(--petrol-mid);
}
.rule {
  width: 1px;
  align-self: stretch;
  background: var(--line);
  margin: 2px 6px;
}
.charts {
  display: grid;
  gap: 2px;
}
figure {
  margin: 0;
  min-width: 0;
}
figcaption {
  padding-left: 46px;
}
table {
  margin-top: 6px;
}
table.figures td:last-child,
table.figures th:last-child {
  text-align: left;
  padding-left: 8px;
}
.brass {
  color: var(--brass-ink);
}
.empty {
  padding: 24px;
}
.missing {
  list-style: none;
  margin: 8px 0;
  padding: 0;
}
</style>
