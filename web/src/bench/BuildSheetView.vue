<script setup lang="ts">
import ShareButton from '../sharing/ShareButton.vue';
import { showQuantity } from '@tasche/contract';
import {
  BUILDER_WORDS,
  BUILD_SHEET,
  JOB_CAUTIONS,
  buildOf,
  knownSwingWeight,
  quantityOf,
  swingWeightWords,
  type QuantityKey,
} from '@tasche/core';
import { NButton, NTable } from 'naive-ui';
import { v4 as newId } from 'uuid';
import { computed, ref, watch } from 'vue';
import { useRouter } from 'vue-router';
import LinkButton from '../app/LinkButton.vue';
import PageHead from '../app/PageHead.vue';
import { shortDay, today } from '../app/day';
import { useSheet } from '../sheet/sheet-store';
import BuildCopy from './BuildCopy.vue';
import { copyCommands } from './build-copy';
import QrCode from './QrCode.vue';

/** Everything that is needed to build a club again, its label, and a copy of the build as a new club. */
const props = defineProps<{ playerId: string; clubId: string }>();
const store = useSheet();
const router = useRouter();

const club = computed(() => store.clubsById.get(props.clubId));
const parts = computed(
  () => new Map(club.value ? buildOf(club.value.spec).map((part) => [part.key, part]) : []),
);
const LABELS: Partial<Record<QuantityKey, string>> = { loftSetDeg: 'Loft', lieSetDeg: 'Lie' };
const groups = computed(() =>
  BUILD_SHEET.map(({ title, keys }) => ({
    title,
    rows: keys
      .filter((key) => parts.value.has(key) || isOf(key))
      .map((key) => {
        const part = parts.value.get(key);
        return {
          key,
          label: LABELS[key] ?? quantityOf(key)!.label,
          value: part ? showQuantity(quantityOf(key)!, part.value) : undefined,
          since: part?.takenOn,
        };
      }),
  })),
);
/** Rows that make sense for the club though nothing is written in them. */
function isOf(key: QuantityKey): boolean {
  const kind = club.value?.kind;
  if (key === 'toeHangDeg') return kind === 'putter';
  if (key === 'setting' || key === 'sleevePositions')
    return kind === 'driver' || kind === 'fairway' || kind === 'hybrid';
  if (key === 'grind' || key === 'bounceDeg') return kind === 'wedge';
  return true;
}
const missing = computed(() =>
  groups.value
    .flatMap(({ rows }) => rows)
    .filter(({ value, key }) => value === undefined && NEEDED.includes(key)),
);
/** Without these nobody can build it again. */
const NEEDED: readonly QuantityKey[] = [
  'head',
  'loftSetDeg',
  'lieSetDeg',
  'lengthIn',
  'shaft',
  'shaftWeightG',
  'flex',
  'grip',
  'swingWeight',
];
const fromParts = computed(() => {
  const known = club.value && knownSwingWeight(club.value.spec);
  return known?.from === 'parts' ? swingWeightWords(known.points) : '';
});
const address = computed(
  () => new URL(router.resolve({ name: 'build', params: { ...props } }).href, window.location.origin).href,
);
const print = () => window.print();

/** The copy that was just made; it is offered the place of the old one. */
const copyId = ref<string | null>(null);
watch(
  () => props.clubId,
  () => (copyId.value = null),
);
const copy = computed(() => (copyId.value === null ? undefined : store.clubsById.get(copyId.value)));
function copyBuild(): void {
  if (!club.value) return;
  const id = newId();
  store.change(copyCommands(club.value, id, today()), `the ${club.value.name} built again from its sheet`);
  copyId.value = id;
}
</script>

<template>
  <div class="page sheet">
    <p v-if="!club" class="quiet">
      This club is not here; it may have been deleted. History can bring it back.
    </p>
    <template v-else>
      <PageHead :of="store.sheet!.player.name">
        {{ club.name }}, build sheet
        <template #says>
          <p class="quiet">Everything that is needed to build it again.</p>
        </template>
        <template #actions>
          <LinkButton :to="{ name: 'weights', params: { playerId } }">To the bench</LinkButton>
          <NButton tag="a" :href="`/api/clubs/${clubId}/build.pdf`" target="_blank">PDF</NButton>
          <ShareButton :player-id="playerId" paper="build-sheet" :club-id="clubId" />
          <NButton @click="print">Print</NButton>
          <NButton v-if="!store.readOnly" type="primary" :disabled="copyId !== null" @click="copyBuild">
            Copy this build
          </NButton>
        </template>
      </PageHead>
      <BuildCopy
        v-if="copy"
        :key="copy.id"
        class="no-print"
        :player-id="playerId"
        :club="club"
        :copy="copy"
      />
      <p v-if="missing.length > 0" class="verdict warning">
        ◆ Not written down: {{ missing.map(({ label }) => label.toLowerCase()).join(', ') }}. Nobody could
        build it again exactly.
      </p>
      <div class="columns">
        <div class="groups">
          <section v-for="group in groups" :key="group.title">
            <h2>{{ group.title }}</h2>
            <NTable size="small" :bordered="false" class="parts">
              <tbody>
                <tr v-for="row in group.rows" :key="row.key">
                  <th scope="row">{{ row.label }}</th>
                  <td>
                    <template v-if="row.value !== undefined">{{ row.value }}</template>
                    <span v-else class="quiet"
                      >not written down<template v-if="row.key === 'swingWeight' && fromParts"
                        >; about {{ fromParts }} from its parts</template
                      ></span
                    >
                  </td>
                  <td class="quiet small day">{{ row.since ? shortDay(row.since) : '' }}</td>
                </tr>
              </tbody>
            </NTable>
          </section>
        </div>
        <aside class="card label" aria-label="Label">
          <QrCode :text="address" :label="`Code that opens the ${club.name}`" :px="132" />
          <p>
            <b>{{ club.name }}</b> {{ store.sheet!.player.name }}
          </p>
          <p class="quiet small">
            {{
              ['loftSetDeg', 'lieSetDeg', 'lengthIn', 'swingWeight']
                .map((key) => parts.get(key as QuantityKey))
                .flatMap((part) => (part ? [showQuantity(quantityOf(part.key)!, part.value)] : []))
                .join(' · ')
            }}
          </p>
        </aside>
      </div>
      <p class="small quiet foot">{{ [...JOB_CAUTIONS.build, BUILDER_WORDS].join(' ') }}</p>
    </template>
  </div>
</template>

<style scoped>
.sheet {
  max-width: 1040px;
}
.columns {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 190px;
  gap: 28px;
  align-items: start;
}
.groups {
  columns: 2;
  column-gap: 32px;
}
.groups section {
  break-inside: avoid;
  margin-bottom: 16px;
}
h2 {
  margin-bottom: 6px;
}
.parts {
  width: 100%;
}
.parts th {
  width: 150px;
  text-align: left;
  font-weight: 400;
  color: var(--quiet);
}
.parts td,
.parts th {
  border-top: 1px solid var(--line-soft);
  padding: 4px 8px 4px 0;
}
.day {
  text-align: right;
  white-space: nowrap;
}
.label {
  padding: 16px;
  display: grid;
  gap: 6px;
  justify-items: center;
  text-align: center;
}
.foot {
  margin-top: 12px;
}
@media (max-width: 800px) {
  .columns,
  .groups {
    grid-template-columns: 1fr;
    columns: 1;
  }
}
</style>
