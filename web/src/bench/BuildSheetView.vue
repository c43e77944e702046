<script setup lang="ts">
import ShareButton from '../sharing/ShareButton.vue';
import { BUILDER_WORDS, JOB_CAUTIONS, knownSwingWeight, swingWeightWords } from '@tasche/core';
import { NButton, NCard } from 'naive-ui';
import { v4 as newId } from 'uuid';
import { computed, ref, watch } from 'vue';
import { useRouter } from 'vue-router';
import FactList from '../app/FactList.vue';
import Breadcrumb from '../app/Breadcrumb.vue';
import { pagesAbove } from '../app/breadcrumb';
import PageHead from '../app/PageHead.vue';
import { shortDay, today } from '../app/day';
import { useSheet } from '../sheet/sheet-store';
import BuildCopy from './BuildCopy.vue';
import { copyCommands } from './build-copy';
import { buildRows, labelWords, missingOf } from './build-rows';
import QrCode from './QrCode.vue';

/** Everything that is needed to build a club again, its label, and a copy of the build as a new club. */
const props = defineProps<{ playerId: string; clubId: string }>();
const store = useSheet();
const router = useRouter();

const club = computed(() => store.clubsById.get(props.clubId));
const groups = computed(() => (club.value ? buildRows(club.value) : []));
const missing = computed(() => missingOf(groups.value));
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
        <template #breadcrumb><Breadcrumb :pages="pagesAbove(store.sheet!.player, 'bench')" /></template>
        <template #says>
          <p class="quiet">Everything needed to build it again.</p>
        </template>
        <template #actions>
          <NButton tag="a" :href="`/api/clubs/${clubId}/build.pdf`" target="_blank">PDF</NButton>
          <ShareButton :player-id="playerId" paper="build-sheet" :club-id="clubId" />
          <NButton @click="print">Print</NButton>
          <NButton v-if="store.may('addClub')" type="primary" :disabled="copyId !== null" @click="copyBuild">
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
        ◆ Not recorded: {{ missing.map(({ label }) => label.toLowerCase()).join(', ') }}. It could not be
        built again exactly.
      </p>
      <div class="columns">
        <div class="groups">
          <section v-for="group in groups" :key="group.title">
            <h2>{{ group.title }}</h2>
            <FactList :facts="group.rows" :label-px="150" #="{ fact }">
              <template v-if="fact.value !== undefined"
                >{{ fact.value
                }}<span v-if="fact.since" class="quiet small day">{{ shortDay(fact.since) }}</span></template
              >
              <span v-else class="quiet"
                >not recorded<template v-if="fact.key === 'swingWeight' && fromParts"
                  >; about {{ fromParts }} from its parts</template
                ></span
              >
            </FactList>
          </section>
        </div>
        <NCard tag="aside" class="label" aria-label="Label">
          <QrCode :text="address" :label="`Code that opens the ${club.name}`" :px="132" />
          <p>
            <b>{{ club.name }}</b> {{ store.sheet!.player.name }}
          </p>
          <p class="quiet small">
            {{ labelWords(groups) }}
          </p>
        </NCard>
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
.day {
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
