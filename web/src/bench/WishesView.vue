<script setup lang="ts">
import ProblemLine from '../app/ProblemLine.vue';
import { WISH_STATES, baselineOf, type WishDetails, type WishView } from '@tasche/contract';
import {
  counted,
  DEFAULT_GAP_SETTINGS,
  TIE_STROKES,
  ladderClub,
  numberIn,
  type BestUse,
  type LadderClub,
} from '@tasche/core';
import { NButton, NEmpty, NTable } from 'naive-ui';
import { v4 as newId } from 'uuid';
import { computed, ref } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import ActionMenu from '../app/ActionMenu.vue';
import { today } from '../app/day';
import { useSettings } from '../app/settings';
import ChoiceField from '../fields/ChoiceField.vue';
import NumberField from '../fields/NumberField.vue';
import { useSheet } from '../sheet/sheet-store';
import { alonePairs, isOpenWish, neededWords, spentByYear, wishedItem } from './wish-items';
import BenchHead from './BenchHead.vue';
import SpinAdvice from './SpinAdvice.vue';
import { useWishWorth } from './use-wish-worth';
import WishForm from './WishForm.vue';
import type { WishQuestion } from './wish-worker';

/** What a player wishes for, what each would gain, and the best use of a sum of money. */
const props = defineProps<{ playerId: string }>();
const store = useSheet();
const settings = useSettings();
const route = useRoute();
const router = useRouter();
const unit = computed(() => settings.unitFor(store.sheet!.player.distanceUnit));

const editing = ref<WishView | 'new' | null>(null);
const begin = ref<Partial<WishDetails>>({});
const beingEdited = computed(() => (editing.value === 'new' ? undefined : (editing.value ?? undefined)));
const wishes = computed(() =>
  store.sheet!.wishes.toSorted(
    (a, b) => Number(isOpenWish(b)) - Number(isOpenWish(a)) || a.name.localeCompare(b.name),
  ),
);
/** The sum there is: part of the address. */
const USUAL_MONEY = 300;
const money = computed({
  get: () => {
    const asked = Number(route.query.money ?? USUAL_MONEY);
    return Number.isFinite(asked) && asked >= 0 ? Math.min(asked, 100_000) : USUAL_MONEY;
  },
  set: (sum: number) => void router.replace({ query: { ...route.query, money: sum } }),
});

const itemOf = (wish: WishView) => wishedItem(wish, store.ladderClubs);
const items = computed(() => wishes.value.flatMap((wish) => itemOf(wish) ?? []));
const locker = computed<LadderClub[]>(() => {
  const broken = new Set(items.value.flatMap((item) => ('club' in item ? [item.club.id] : [])));
  return store.clubs
    .filter(({ id, spec }) => spec.state?.value !== 'retired' && !broken.has(id))
    .map(ladderClub);
});
const question = computed<WishQuestion | null>(() =>
  items.value.length === 0
    ? null
    : {
        request: {
          clubs: locker.value,
          from: baselineOf(store.sheet!.player),
          ...(store.sheet!.player.handicap !== null && { handicap: store.sheet!.player.handicap }),
        },
        question: {
          bagIds: store.gamer?.clubIds ?? [],
          options: {
            school: store.gamer?.strategy ?? 'even-carries',
            settings: store.sheet!.player.gapSettings,
            unit: unit.value,
          },
          limit: store.sheet!.player.gapSettings.clubLimit ?? DEFAULT_GAP_SETTINGS.clubLimit,
          ...(store.sheet!.player.preferences && { preferences: store.sheet!.player.preferences }),
        },
        wishes: items.value,
        money: money.value,
      },
);
const { answer, working, problem, stop } = useWishWorth(question);
const TIE = TIE_STROKES;
const worthOf = (id: string) => answer.value?.worth.find((one) => one.id === id);
const nameOf = (id: string) =>
  wishes.value.find((wish) => wish.id === id)?.name ?? store.clubsById.get(id)?.name ?? '';
function gainWords(wish: WishView): string {
  if (!isOpenWish(wish)) return '';
  if (!itemOf(wish)) return neededWords(wish);
  if (working.value) return '…';
  const worth = worthOf(wish.id);
  if (!worth) return '–';
  return worth.gain < TIE ? 'less than a tie' : `${worth.gain.toFixed(2)} strokes`;
}
const outWords = (id: string) =>
  (worthOf(id)?.gain ?? 0) >= TIE ? (worthOf(id)?.out ?? []).map(nameOf).filter(Boolean).join(', ') : '';
const best = computed(() => answer.value?.advised);
/** Sums that gain something one can tell from the one before. */
const sums = computed(() => {
  const told: BestUse[] = [];
  for (const use of answer.value?.ladder ?? [])
    if (use.gain >= (told.at(-1)?.gain ?? 0) + TIE) told.push(use);
  return told;
});

const gamerCost = computed(() => {
  const clubs = (store.gamer?.clubIds ?? []).flatMap((id) => store.clubsById.get(id) ?? []);
  const prices = clubs.map(({ spec }) => numberIn(spec, 'price'));
  const known = prices.filter((price) => price !== undefined);
  return { sum: known.reduce((sum, price) => sum + price, 0), known: known.length, of: clubs.length };
});
const years = computed(() => spentByYear(wishes.value));
const pairs = computed(() => (answer.value ? alonePairs(wishes.value, answer.value, nameOf) : []));

function openNew(first: Partial<WishDetails> = {}): void {
  begin.value = first;
  editing.value = 'new';
}
/** The club a wish would take the place of can be fitted anew instead. */
function shaftOf(wish: WishView) {
  const [clubId] = worthOf(wish.id)?.out ?? [];
  const name = clubId && store.clubsById.get(clubId)?.name;
  return wish.purpose === 'buy' && name
    ? [
        {
          key: 'shaft',
          label: `Weigh a shaft alone for the ${name}…`,
          run: () => openNew({ name: `New shaft, ${name}`, purpose: 'fit', clubId }),
        },
      ]
    : [];
}

function save(details: WishDetails): void {
  if (editing.value === 'new')
    store.change([{ do: 'addWish', wish: { ...details, id: newId(), playerId: props.playerId } }]);
  else if (editing.value) {
    const { id } = editing.value;
    const version = store.sheet!.wishes.find((wish) => wish.id === id)?.version ?? editing.value.version;
    store.change([{ do: 'editWish', wishId: id, version, set: details }]);
  }
  editing.value = null;
}
function setState(wish: WishView, state: WishDetails['state']): void {
  const boughtOn = state === 'bought' ? (wish.boughtOn ?? today()) : null;
  store.change([{ do: 'editWish', wishId: wish.id, version: wish.version, set: { state, boughtOn } }]);
}
const actionsOf = (wish: WishView) => [
  { key: 'edit', label: 'Change…', run: () => (editing.value = wish) },
  ...shaftOf(wish),
  {
    key: 'remove',
    label: 'Delete',
    run: () => store.change([{ do: 'removeWish', wishId: wish.id, version: wish.version }]),
  },
];
</script>

<template>
  <div class="page">
    <BenchHead :player-id="playerId">
      Wish list
      <template #says
        ><p class="quiet">
          What each thing would gain a round, and the best use of what there is to spend.
        </p></template
      >
      <template #actions
        ><NButton v-if="!store.readOnly" type="primary" @click="openNew()">New wish</NButton></template
      >
    </BenchHead>
    <WishForm
      v-if="editing"
      :key="beingEdited?.id ?? 'new'"
      :clubs="store.clubs"
      :unit="unit"
      :wish="beingEdited"
      :begin="begin"
      @save="save"
      @leave="editing = null"
    />
    <NEmpty v-if="wishes.length === 0 && !editing" description="Nothing is wished for yet.">
      <template #extra
        ><p class="quiet">
          A club is weighed by its kind and loft alone, against all that is owned.
        </p></template
      >
    </NEmpty>
    <template v-else-if="wishes.length > 0">
      <section class="card best">
        <div class="bar">
          <label
            >Best use of
            <NumberField v-model:value="money" label="Money" :bounds="[0, 100000]" :step="50" :px="84"
          /></label>
          <span v-if="working" class="quiet" role="status"
            >working it out… <NButton size="tiny" @click="stop">Stop</NButton></span
          >
        </div>
        <ProblemLine v-if="problem" :text="problem" />
        <p v-else-if="answer === null" class="quiet">Write down one carry, and the list can be weighed.</p>
        <p v-else-if="best" class="use" aria-live="polite">
          <template v-if="best.buys.length > 0 && best.gain >= TIE"
            ><b>{{ best.buys.map(nameOf).join(' and ') }}</b> for {{ best.spent }}:
            {{ best.gain.toFixed(2) }} strokes a round.</template
          ><template v-else
            >Nothing on the list is worth buying for that: no bag of it gains more than a tie.</template
          >
        </p>
        <p v-if="sums.length > 1" class="quiet small">
          Sums worth having:
          <span v-for="(use, i) in sums" :key="use.spent"
            >{{ i ? '; ' : '' }}{{ use.spent }} for {{ use.gain.toFixed(2) }} ({{
              use.buys.map(nameOf).join(', ')
            }})</span
          >. Each is proved the best use of its sum, in a usual round, the bag chosen anew.
        </p>
        <p v-for="pair in pairs" :key="pair" class="quiet small pair">{{ pair }}</p>
      </section>
      <div class="scroll">
        <NTable class="figures list" size="small" :bordered="false">
          <caption class="unseen">
            Wishes with their state, price and gain
          </caption>
          <thead>
            <tr>
              <th scope="col">Wish</th>
              <th scope="col" class="left">To</th>
              <th scope="col" class="left">State</th>
              <th scope="col">Price</th>
              <th scope="col">Gain a round</th>
              <th scope="col" class="left">In the place of</th>
              <th scope="col"><span class="unseen">More</span></th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="wish in wishes" :key="wish.id" :class="{ closed: !isOpenWish(wish) }">
              <th scope="row">
                {{ wish.name }}<span v-if="wish.notes" class="quiet small notes">{{ wish.notes }}</span>
              </th>
              <td class="left">{{ wish.purpose }}</td>
              <td class="left">
                <ChoiceField
                  :value="wish.state"
                  :label="`State of ${wish.name}`"
                  :options="[...WISH_STATES]"
                  :disabled="store.readOnly"
                  size="small"
                  @update:value="setState(wish, $event)"
                />
              </td>
              <td>{{ wish.price ?? '–' }}</td>
              <td>{{ gainWords(wish) }}</td>
              <td class="left quiet">{{ outWords(wish.id) }}</td>
              <td>
                <ActionMenu
                  size="small"
                  v-if="!store.readOnly"
                  :actions="actionsOf(wish)"
                  :label="`More for ${wish.name}`"
                />
              </td>
            </tr>
          </tbody>
        </NTable>
      </div>
      <p class="quiet small costs">
        The gamer cost {{ gamerCost.sum }} so far as it is written down ({{ gamerCost.known }} of
        {{ counted(gamerCost.of, 'club') }} have a price).
        <template v-for="{ year, sum, names } in years" :key="year ?? names.join()"
          >Bought {{ year === null ? 'on no day written down' : `in ${year}` }}: {{ sum }} ({{
            names.join(', ')
          }}).
        </template>
        A fitting is weighed by the carry and scatter it is expected to bring, which nobody knows before it is
        hit.
      </p>
    </template>
    <SpinAdvice :unit="unit" />
  </div>
</template>

<style scoped>
.best {
  padding: 12px 16px;
  margin-bottom: 14px;
  display: grid;
  gap: 6px;
  max-width: 980px;
}
.best label {
  display: inline-flex;
  align-items: center;
  gap: 8px;
  font-weight: 600;
}
.use {
  font-size: 16px;
}
.list {
  max-width: 980px;
  margin-bottom: 8px;
}
.costs {
  max-width: 980px;
}
.list .left {
  text-align: left;
}
.notes {
  display: block;
  font-weight: 400;
}
.closed {
  color: var(--quiet);
}
</style>
