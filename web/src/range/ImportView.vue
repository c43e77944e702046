<script setup lang="ts">
import { HIT_OFF, baselineOf, roleReminder } from '@tasche/contract';
import { digits, type PlayingConditions } from '@tasche/core';
import { NButton } from 'naive-ui';
import { computed } from 'vue';
import Breadcrumb from '../app/Breadcrumb.vue';
import { pagesAbove } from '../app/breadcrumb';
import NotThere from '../app/NotThere.vue';
import PageHead from '../app/PageHead.vue';
import ProblemLine from '../app/ProblemLine.vue';
import WorkProgress from '../app/WorkProgress.vue';
import ConditionsBar from '../conditions/ConditionsBar.vue';
import ChoiceField from '../fields/ChoiceField.vue';
import DateField from '../fields/DateField.vue';
import FileField from '../fields/FileField.vue';
import TextField from '../fields/TextField.vue';
import { useIdentity } from '../people/identity';
import { mayDoHere } from '../people/rights';
import { useSheet } from '../sheet/sheet-store';
import FilePlayers from './FilePlayers.vue';
import ImportColumns from './ImportColumns.vue';
import ImportDone from './ImportDone.vue';
import ImportPreview from './ImportPreview.vue';
import { useFileImport } from './use-file-import';
import Hint from '../app/Hint.vue';

/** Importing a launch monitor's file: its columns, its clubs, a preview; then the import. */
const props = defineProps<{ playerId: string }>();
const store = useSheet();
const identity = useIdentity();
const baseline = computed(() => baselineOf(store.sheet!.player));
const {
  unit,
  file,
  look,
  mapping,
  map,
  remembered,
  session,
  report,
  player,
  ask,
  isPlayerOpen,
  done,
  problem,
  share,
  sending,
  isReady,
  choose,
  send,
  saveRefusals,
  clubOf,
  setMatch,
  count,
} = useFileImport(
  () => props.playerId,
  () => baseline.value,
);
const takeWords = computed(() => {
  const { shots = 0, known = 0, isAtMost = false } = count.value ?? {};
  if (shots === 0 && known > 0) return 'Nothing new to import';
  return `Import ${isAtMost ? 'up to ' : ''}${digits(shots)} ${shots === 1 ? 'shot' : 'shots'}`;
});
const setAir = (setting: PlayingConditions | null) => Object.assign(session, setting ?? baseline.value);
const noClubColumn = computed(
  () => !mapping.value.clubLines && !mapping.value.columns.some(({ field }) => field === 'club'),
);
</script>

<template>
  <div class="page">
    <PageHead :of="store.sheet!.player.name">
      Import a file
      <template #breadcrumb><Breadcrumb :pages="pagesAbove(store.sheet!.player, 'range')" /></template>
      <template #says>
        <p class="quiet small">
          A CSV or a workbook (.xlsx) of any launch monitor. You set its columns and clubs and see a preview
          before anything is saved.
        </p>
      </template>
    </PageHead>
    <NotThere
      v-if="!mayDoHere('addStrikes')"
      title="You cannot import shots here"
      :says="identity.view ? roleReminder(identity.view.role) : undefined"
    />
    <FileField
      v-else
      label="File of a launch monitor"
      accept=".csv,.txt,.tsv,text/csv,text/plain"
      :disabled="sending !== null"
      drop
      @file="choose"
    >
      <b>{{ file?.name ?? 'Choose a file' }}</b> <span class="quiet">or drop it here</span>
    </FileField>
    <ProblemLine :text="problem" />
    <p v-if="sending" class="bar progress" role="status">
      <WorkProgress :share="share" />
      <span>{{ share < 1 ? `${Math.round(share * 100)} % sent and read` : 'finishing…' }}</span>
      <NButton @click="sending.cancel()" size="small">Cancel</NButton>
    </p>
    <ImportDone v-if="done" :player-id="playerId" :report="done" @save-refusals="saveRefusals" />
    <template v-if="look && !done">
      <h2>Columns <span v-if="remembered" class="small quiet">read as last time</span></h2>
      <p v-if="look.isListed" class="small quiet">
        The file has a column or a row for each club; each number in it is a carry.
      </p>
      <ImportColumns
        :mapping="mapping"
        :look="look"
        :remembered="remembered"
        :is-ready="isReady"
        @update:mapping="map"
      />
      <h2>Place and surface</h2>
      <div class="bar file-choices small">
        <label>Where <TextField aria-label="Where" v-model:value="session.name" maxlength="80" /></label>
        <label
          ><Hint says="For rows that have no date">Day</Hint>
          <DateField v-model:value="session.heldOn" @update:value="report = null" label="Day"
        /></label>
        <label>Off <ChoiceField v-model:value="session.hitOff" label="Off" :options="HIT_OFF" /></label>
        <label
          >Ball
          <TextField aria-label="Ball" v-model:value="session.ball" maxlength="80" placeholder="which ball?"
        /></label>
      </div>
      <ConditionsBar
        :setting="{ conditions: session.conditions, surface: session.surface }"
        :baseline="baseline"
        :unit="unit"
        :complaints="[]"
        @set="setAir"
      />
      <p v-if="!report && !sending" class="bar">
        <NButton :disabled="!isReady" @click="send('none')" type="primary">Preview the import</NButton>
      </p>
      <template v-if="report">
        <FilePlayers
          class="players"
          :asked="player"
          :players="report.players"
          :name="store.sheet!.player.name"
          @update:asked="ask"
        />
        <ImportPreview
          v-if="!isPlayerOpen"
          :report="report"
          :unit="unit"
          :is-of-one-club="noClubColumn"
          :club-of="clubOf"
          @match="setMatch"
          @save-refusals="saveRefusals"
        />
        <p v-if="!isPlayerOpen" class="bar take">
          <NButton :disabled="sending !== null || count?.shots === 0" @click="send('good')" type="primary">
            {{ takeWords }}</NButton><RouterLink
            class="plain-button"
            :to="{ name: 'range', params: { playerId } }"
            >Cancel</RouterLink
          >
        </p>
      </template>
    </template>
  </div>
</template>

<style scoped>
h2 {
  margin: 16px 0 4px;
}
.progress {
  margin: 10px 0;
}
.players {
  margin: 14px 0 0;
}
.take {
  margin-top: 14px;
}
</style>
