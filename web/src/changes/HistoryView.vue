<script setup lang="ts">
import PageHead from '../app/PageHead.vue';
import DateField from '../fields/DateField.vue';
import { NButton, NTable } from 'naive-ui';
import type { ChangeView, DifferenceView, Page } from '@tasche/contract';
import { distanceNumber, quantityOf, shotKindOf, sourceWords, type Fact } from '@tasche/core';
import { showQuantity } from '@tasche/contract';
import { computed, ref, shallowRef, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { request } from '../api/request';
import { shortMoment, today, withDaysSaid } from '../app/day';
import { useSettings } from '../app/settings';
import { useSheet } from '../sheet/sheet-store';

/** Who changed what, when and why; what differs between two days; and the way back. */
const props = defineProps<{ playerId: string }>();
const store = useSheet();
const settings = useSettings();
const route = useRoute();
const router = useRouter();
const changes = shallowRef<ChangeView[] | null>(null);
const differences = shallowRef<DifferenceView[] | null>(null);
const problem = ref('');
const total = ref(0);
const next = ref<string | null>(null);
const PAGE = 50;

const unit = computed(() => settings.unitFor(store.sheet!.player.distanceUnit));
const day = (key: string, otherwise: string) =>
  computed({
    get: () => (typeof route.query[key] === 'string' ? route.query[key] : otherwise),
    set: (value) => void router.replace({ query: { ...route.query, [key]: value } }),
  });
const from = day('from', new Date(Date.now() - 30 * 86_400_000).toISOString().slice(0, 10));
const to = day('to', today());

async function load(): Promise<void> {
  try {
    const page = await request<Page<ChangeView>>(`/players/${props.playerId}/changes?limit=${PAGE}`);
    changes.value = [...page.rows];
    total.value = page.total;
    next.value = page.next;
    problem.value = '';
  } catch (error) {
    problem.value = (error as Error).message;
  }
}
async function loadMore(): Promise<void> {
  if (!changes.value || !next.value) return;
  const page = await request<Page<ChangeView>>(
    `/players/${props.playerId}/changes?limit=${PAGE}&before=${next.value}`,
  );
  changes.value = [...changes.value, ...page.rows];
  next.value = page.next;
}
watch(() => [props.playerId, store.lastChangeId, store.undoable.length, store.sheet] as const, load, {
  immediate: true,
});
watch(
  [from, to, () => store.lastChangeId],
  async () => {
    if (!/^\d{4}-\d\d-\d\d$/.test(from.value) || !/^\d{4}-\d\d-\d\d$/.test(to.value)) return;
    differences.value = await request<DifferenceView[]>(
      `/players/${props.playerId}/differences?from=${from.value}&to=${to.value}`,
    ).catch(() => null);
  },
  { immediate: true },
);

function label(difference: DifferenceView): string {
  return quantityOf(difference.key)?.label ?? `${shotKindOf(difference.key)} carry`;
}
function text(key: string, fact: Fact | null): string {
  if (!fact) return '–';
  const quantity = quantityOf(key);
  if (quantity) return showQuantity(quantity, fact.value);
  return typeof fact.value === 'object'
    ? `${distanceNumber(fact.value.carryM, unit.value)} ${unit.value} (${sourceWords(fact.value, unit.value)})`
    : String(fact.value);
}
</script>

<template>
  <div class="page">
    <PageHead :of="store.sheet!.player.name">
      history
      <template #says>
        <p class="quiet small">Nothing is overwritten. Every change can be taken back.</p>
      </template>
    </PageHead>
    <p v-if="problem" class="verdict fault">■ {{ problem }}</p>
    <div class="columns">
      <section>
        <h2>Changes</h2>
        <ol class="changes">
          <li v-for="change in changes ?? []" :key="change.id" :class="{ undone: change.undone }">
            <span class="quiet small when">{{ shortMoment(change.at) }}<br />{{ change.who }}</span>
            <span class="what"
              >{{ withDaysSaid(change.summary)
              }}<span v-if="change.why" class="quiet small why">{{ withDaysSaid(change.why) }}</span></span
            >
            <NButton v-if="!change.undone" @click="store.undo(change.id)" size="small"> Undo </NButton>
            <span v-else class="small quiet">undone</span>
          </li>
        </ol>
        <p v-if="changes?.length === 0" class="quiet">Nothing has been changed yet.</p>
        <NButton v-if="next" @click="loadMore" size="small">
          Older: {{ changes?.length ?? 0 }} of {{ total }} shown
        </NButton>
      </section>
      <section>
        <h2>Between two days</h2>
        <p class="bar">
          <label>end of <DateField v-model:value="from" :max="to" label="end of" /></label>
          <label>to end of <DateField v-model:value="to" :min="from" label="to end of" /></label>
          <RouterLink :to="{ name: 'bag', params: { playerId }, query: { asOf: from } }"
            >The sheet as of {{ from }}</RouterLink
          >
        </p>
        <NTable size="small" :bordered="false" :bottom-bordered="false" v-if="differences?.length">
          <thead>
            <tr>
              <th>Club</th>
              <th>What</th>
              <th>Then</th>
              <th>After</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="(one, i) in differences.slice(0, 400)" :key="i">
              <td>{{ differences[i - 1]?.clubId === one.clubId ? '' : one.clubName }}</td>
              <td>{{ label(one) }}</td>
              <td class="quiet">{{ text(one.key, one.before) }}</td>
              <td>{{ text(one.key, one.after) }}</td>
            </tr>
          </tbody>
        </NTable>
        <p v-else class="quiet">No difference between those days.</p>
      </section>
    </div>
  </div>
</template>

<style scoped>
.columns {
  display: grid;
  grid-template-columns: minmax(320px, 1fr) minmax(320px, 1fr);
  gap: 34px;
}
h2 {
  margin-bottom: 10px;
}
.changes {
  list-style: none;
  margin: 0;
  padding: 0;
}
.changes li {
  display: grid;
  grid-template-columns: 104px 1fr auto;
  gap: 12px;
  padding: 9px 0;
  border-top: 1px solid var(--line);
  align-items: start;
}
.undone .what {
  text-decoration: line-through;
  color: var(--quiet);
}
.why {
  display: block;
}
table {
  border-collapse: collapse;
  width: 100%;
  margin-top: 10px;
  font-size: 13.5px;
}
th {
  text-align: left;
  font-weight: 400;
  color: var(--quiet);
}
td,
th {
  padding: 5px 10px 5px 0;
  border-top: 1px solid var(--line-soft);
}
td:first-child {
  font-weight: 600;
}

@media (max-width: 900px) {
  .columns {
    grid-template-columns: 1fr;
  }
}
</style>
