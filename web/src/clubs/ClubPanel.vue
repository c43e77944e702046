<script setup lang="ts">
import { columnOf } from '@tasche/contract';
import {
  counted,
  BENDING_CAUTION,
  CLUB_KINDS,
  shotIn,
  type CarryEstimate,
  type ClubKind,
  type Quantity,
  type Shot,
} from '@tasche/core';
import { NButton, NDrawer, NDrawerContent } from 'naive-ui';
import { computed } from 'vue';
import { today, useTodayUnlessChosen } from '../app/day';
import LinkButton from '../app/LinkButton.vue';
import { useSettings } from '../app/settings';
import { isOpen } from '../bench/ticket-words';
import ChoiceField from '../fields/ChoiceField.vue';
import DateField from '../fields/DateField.vue';
import TextField from '../fields/TextField.vue';
import { useSheet } from '../sheet/sheet-store';
import OwnShots from './OwnShots.vue';
import QuantityGroup from './QuantityGroup.vue';
import ReadingList from './ReadingList.vue';
import ShotTable from './ShotTable.vue';
import WhatIf from './WhatIf.vue';
import { useClubCells } from './use-club-cells';

/** One club whole: build, readings, shots, and everything that was ever recorded about it. */
const props = defineProps<{
  clubId: string;
  /** It hangs on the ladder behind the panel. */
  tries?: boolean;
}>();
const emit = defineEmits<{ close: []; try: [loftDeg: number] }>();
const store = useSheet();
const settings = useSettings();

const club = computed(() => store.clubsById.get(props.clubId)!);
const openTickets = computed(
  () => store.sheet!.tickets.filter((ticket) => ticket.clubId === props.clubId && isOpen(ticket)).length,
);
const unit = computed(() => settings.unitFor(store.sheet!.player.distanceUnit));
const takenOn = useTodayUnlessChosen();
const { write } = useClubCells({
  club: () => club.value,
  unit: () => unit.value,
  takenOn: () => takenOn.value,
});

const GROUPS: readonly { name: string; group: Quantity['group']; caution?: string }[] = [
  { name: 'Lofts and lie', group: 'lofts', caution: BENDING_CAUTION },
  {
    name: 'Head and length',
    group: 'build',
    caution:
      'Cutting graphite: dust mask. Heat and solvents: fresh air. The maker and a qualified builder decide.',
  },
  { name: 'Shaft', group: 'shaft' },
  { name: 'Grip', group: 'grip' },
  { name: 'Sole', group: 'sole' },
  { name: 'Weights', group: 'weights', caution: 'Lead: wash your hands after.' },
  { name: 'Putter', group: 'putter' },
  { name: 'Record', group: 'record' },
];
const groups = computed(() =>
  GROUPS.filter(({ group }) => group !== 'putter' || club.value.kind === 'putter'),
);

function setKind(kind: ClubKind): void {
  store.change([
    {
      do: 'editClub',
      clubId: club.value.id,
      version: club.value.version,
      set: { kind },
    },
  ]);
}

/** A modelled carry is recorded as one; it never takes the place of one that was measured or stated. */
function useModel(estimate: CarryEstimate): void {
  if (shotIn(club.value.spec, 'shot.full')) return;
  const rounded = (value: number) => Math.round(value * 100) / 100;
  const shot: Shot = {
    carryM: rounded(estimate.carryM.value),
    plusMinusM: rounded(estimate.carryM.plusMinus),
    apexM: rounded(estimate.apexM.value),
    descentDeg: rounded(estimate.descentDeg.value),
    source: 'modelled',
  };
  store.change(
    [
      {
        do: 'editClub',
        clubId: club.value.id,
        version: club.value.version,
        readings: [{ key: 'shot.full', value: shot, takenOn: takenOn.value }],
      },
    ],
    'modelled from the other clubs',
  );
}

function remove(): void {
  store.change([{ do: 'removeClub', clubId: club.value.id, version: club.value.version }]);
  emit('close');
}
</script>

<template>
  <NDrawer :show="true" :width="'min(560px, 100vw)'" placement="right" @update:show="emit('close')">
    <NDrawerContent :title="club.name" closable :native-scrollbar="true">
      <div class="top">
        <label
          >Name
          <TextField
            aria-label="Name"
            :value="club.name"
            :disabled="!store.may('editClub')"
            @write="write(columnOf('name')!, $event)"
        /></label>
        <label
          >Kind
          <ChoiceField
            :value="club.kind"
            :disabled="!store.may('editClub')"
            @update:value="setKind"
            label="Kind"
            :options="CLUB_KINDS"
        /></label>
        <label
          >Taken on
          <DateField
            v-model:value="takenOn"
            :max="today()"
            :disabled="!store.may('editClub')"
            label="Taken on"
        /></label>
      </div>
      <p class="bar links">
        <LinkButton
          size="small"
          :to="{ name: 'build', params: { playerId: club.playerId, clubId: club.id } }"
          @click="emit('close')"
          >Build sheet</LinkButton
        >
        <LinkButton
          size="small"
          :to="{ name: 'club-life', params: { playerId: club.playerId, clubId: club.id } }"
          @click="emit('close')"
          >Its life</LinkButton
        >
        <span v-if="openTickets > 0" class="quiet small"
          >{{ counted(openTickets, 'ticket') }} open for it</span
        >
      </p>
      <section v-if="club.kind !== 'putter'">
        <h3>
          Shots <span class="quiet small">in {{ unit }}; apex in {{ unit === 'yd' ? 'ft' : 'm' }}</span>
        </h3>
        <ShotTable :club="club" :unit="unit" :taken-on="takenOn" :read-only="!store.may('editClub')" />
        <OwnShots :club="club" :unit="unit" :read-only="!store.may('editClub')" :taken-on="takenOn" />
      </section>
      <WhatIf
        :club="club"
        :unit="unit"
        :read-only="!store.may('editClub')"
        :tries="tries"
        @model="useModel"
        @try="emit('try', $event)"
      />
      <QuantityGroup
        v-for="{ name, group, caution } in groups"
        :key="name"
        :club="club"
        :name="name"
        :group="group"
        :caution="caution"
        :unit="unit"
        :taken-on="takenOn"
        :read-only="!store.may('editClub')"
      />
      <section>
        <h3>Recorded so far</h3>
        <ReadingList :club-id="clubId" :unit="unit" />
      </section>
      <NButton v-if="store.may('removeClub')" @click="remove" size="small">Delete this club</NButton>
      <span v-if="store.may('removeClub')" class="quiet small">
        Ctrl Z brings it back. A club that is worn out is better set to “retired”.</span
      >
    </NDrawerContent>
  </NDrawer>
</template>

<style scoped>
section {
  margin: 16px 0;
}
h3 {
  font-size: 14px;
  font-weight: 600;
  margin-bottom: 6px;
}
h3 .quiet {
  font-weight: 400;
}
.links {
  margin-top: 10px;
}
.top {
  display: grid;
  grid-template-columns: 1.4fr 1fr 1fr;
  gap: 10px;
}
@media (max-width: 700px) {
  .top {
    grid-template-columns: 1fr 1fr;
  }
  .top label:first-child {
    grid-column: 1 / -1;
  }
}
label {
  display: grid;
  gap: 2px;
  font-size: 12.5px;
  color: var(--quiet);
}
</style>
