<script setup lang="ts">
import { readHandicap, type PlayerSet } from '@tasche/contract';
import { handicapText, skillWords } from '@tasche/core';
import { computed, ref } from 'vue';
import ChoiceField from '../fields/ChoiceField.vue';
import TextField from '../fields/TextField.vue';
import { mayNoteHere } from '../people/rights';
import { useSheet } from '../sheet/sheet-store';

/**
 * Who the player is: name, unit, hand, handicap, notes. Each saves when it is left; what is refused stays, with
 * its reason.
 */
const emit = defineEmits<{ save: [set: PlayerSet] }>();
const store = useSheet();
const player = computed(() => store.sheet!.player);
const complaints = ref(new Map<'name' | 'handicap', { text: string; reason: string }>());
const MAX_NAME = 80;

function rename(text: string): void {
  const name = text.trim();
  if (name === '' || name.length > MAX_NAME)
    complaints.value.set('name', {
      text,
      reason: name === '' ? 'A player needs a name.' : `A name has at most ${MAX_NAME} characters.`,
    });
  else {
    complaints.value.delete('name');
    if (name !== player.value.name) emit('save', { name });
  }
}

function writeHandicap(text: string): void {
  const read = readHandicap(text);
  if (!read.ok) {
    complaints.value.set('handicap', { text, reason: read.reason });
    return;
  }
  complaints.value.delete('handicap');
  if (read.value !== player.value.handicap) emit('save', { handicap: read.value });
}
</script>

<template>
  <div class="who">
    <label class="wide"
      >Name
      <TextField
        aria-label="Name"
        :value="complaints.get('name')?.text ?? player.name"
        :disabled="!store.may('editPlayer')"
        :bad="complaints.has('name')"
        :maxlength="MAX_NAME + 1"
        @write="rename"
      />
      <span v-if="complaints.has('name')" class="verdict error small" role="alert"
        >■ {{ complaints.get('name')!.reason }}</span
      >
    </label>
    <label
      >Carries in
      <ChoiceField
        :value="player.distanceUnit"
        :disabled="!store.may('editPlayer')"
        @update:value="emit('save', { distanceUnit: $event })"
        label="Carries in"
        :options="[
          { value: 'yd', label: 'yards' },
          { value: 'm', label: 'metres' },
        ]"
      />
    </label>
    <label
      >Hand
      <ChoiceField
        :value="player.hand"
        :disabled="!store.may('editPlayer')"
        @update:value="emit('save', { hand: $event })"
        label="Hand"
        :options="['right', 'left']"
      />
    </label>
    <label class="wide"
      >Handicap
      <TextField
        aria-label="Handicap"
        :value="
          complaints.get('handicap')?.text ?? (player.handicap === null ? '' : handicapText(player.handicap))
        "
        :disabled="!store.may('editPlayer')"
        :bad="complaints.has('handicap')"
        placeholder="12 or +4; empty if not known"
        @write="writeHandicap"
      />
      <span v-if="complaints.has('handicap')" class="verdict error small" role="alert"
        >■ {{ complaints.get('handicap')!.reason }}</span
      >
      <span v-else class="small"
        >{{ skillWords(store.skill) }} Shots that were not measured scatter accordingly.</span
      >
    </label>
    <label class="wide"
      >Notes
      <TextField
        aria-label="Notes"
        :value="player.notes"
        :rows="7"
        maxlength="4000"
        :disabled="store.isPast || !mayNoteHere('editPlayer')"
        placeholder="For example: trusts the 7 wood, never changes a putter in season"
        @write="emit('save', { notes: $event })"
      />
    </label>
  </div>
</template>

<style scoped>
.who {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 12px;
  margin-top: 12px;
}
label {
  display: grid;
  gap: 3px;
  font-size: 12.5px;
  color: var(--quiet);
  align-content: start;
}
.wide {
  grid-column: 1 / -1;
}
</style>
