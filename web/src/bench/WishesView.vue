<script setup lang="ts">
import type { WishDetails, WishView } from '@tasche/contract';
import { counted, numberIn } from '@tasche/core';
import { NButton, NEmpty } from 'naive-ui';
import { v4 as newId } from 'uuid';
import { computed, ref } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { byName } from '../app/by-name';
import { today } from '../app/day';
import { useSettings } from '../app/settings';
import { isDraftKept } from '../fields/kept-draft';
import { useSheet } from '../sheet/sheet-store';
import BenchHead from './BenchHead.vue';
import SpinAdvice from './SpinAdvice.vue';
import { useWishAnswer } from './use-wish-answer';
import { alonePairs, isOpenWish, spentByYear } from './wish-items';
import WishBestUse from './WishBestUse.vue';
import WishForm from './WishForm.vue';
import WishTable from './WishTable.vue';

/** What a player wishes for, what each would gain, and the best use of a sum of money. */
const props = defineProps<{ playerId: string }>();
const store = useSheet();
const settings = useSettings();
const route = useRoute();
const router = useRouter();
const unit = computed(() => settings.unitFor(store.sheet!.player.distanceUnit));

/** A new one that was left half written is open again. */
const editing = ref<WishView | 'new' | null>(isDraftKept(`wish/${props.playerId}/new`) ? 'new' : null);
const begin = ref<Partial<WishDetails>>({});
const beingEdited = computed(() => (editing.value === 'new' ? undefined : (editing.value ?? undefined)));
const wishes = computed(() =>
  store.sheet!.wishes.toSorted((a, b) => Number(isOpenWish(b)) - Number(isOpenWish(a)) || byName(a, b)),
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

const { answer, working, problem, stop, worthOf, nameOf, neededOf, outOf } = useWishAnswer(
  wishes,
  () => money.value,
  () => unit.value,
);

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
/** The club a wish would take the place of can be fitted again instead. */
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
        ><NButton v-if="store.may('addWish')" type="primary" @click="openNew()">New wish</NButton></template
      >
    </BenchHead>
    <WishForm
      v-if="editing"
      :key="beingEdited?.id ?? 'new'"
      :player-id="playerId"
      :clubs="store.clubs"
      :unit="unit"
      :wish="beingEdited"
      :begin="begin"
      @save="save"
      @leave="editing = null"
    />
    <NEmpty v-if="wishes.length === 0 && !editing" description="The wish list is empty.">
      <template #extra
        ><p class="quiet">
          A club is weighed by its kind and loft alone, against everything the player owns.
        </p></template
      >
    </NEmpty>
    <template v-else-if="wishes.length > 0">
      <WishBestUse
        v-model:money="money"
        :answer="answer"
        :working="working"
        :problem="problem"
        :pairs="pairs"
        :name-of="nameOf"
        @stop="stop"
      />
      <WishTable
        :wishes="wishes"
        :gain-of="(id) => worthOf(id)?.gain"
        :needed-of="neededOf"
        :out-of="(id) => outOf(id).map(nameOf).filter(Boolean).join(', ')"
        :actions-of="actionsOf"
        :working="working"
        :read-only="!store.may('editWish')"
        @state="setState"
      />
      <p class="quiet small costs">
        <template v-if="gamerCost.known > 0"
          >The gamer cost {{ gamerCost.sum }} as far as it is recorded ({{ gamerCost.known }} of
          {{ counted(gamerCost.of, 'club') }} {{ gamerCost.known === 1 ? 'has' : 'have' }} a price).
        </template>
        <template v-for="{ year, sum, names } in years" :key="year ?? names.join()"
          >Bought {{ year === null ? 'on a day not recorded' : `in ${year}` }}: {{ sum }} ({{
            names.join(', ')
          }}).
        </template>
        A fitting is weighed by the carry and scatter it is expected to bring; hitting it is the only proof.
      </p>
    </template>
    <SpinAdvice :unit="unit" />
  </div>
</template>

<style scoped>
.costs {
  max-width: 980px;
}
</style>
