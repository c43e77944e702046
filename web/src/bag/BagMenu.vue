<script setup lang="ts">
import type { BagView, ClubView } from '@tasche/contract';
import type { DistanceUnit } from '@tasche/core';
import { useClipboard } from '@vueuse/core';
import { Check, Ellipsis } from 'lucide-vue-next';
import { NButton, NDropdown } from 'naive-ui';
import { computed, ref } from 'vue';
import { useIdentity } from '../people/identity';
import ShareModal from '../sharing/ShareModal.vue';
import { bagMessage } from '../sheet/copy-sheet';
import { useSheet } from '../sheet/sheet-store';

const props = defineProps<{
  bag: BagView | undefined;
  /** Those on the screen, in their order. */
  clubs: readonly ClubView[];
  unit: DistanceUnit;
}>();
const emit = defineEmits<{ ready: []; gamer: []; copy: []; remove: []; import: [] }>();
const store = useSheet();
const identity = useIdentity();
const sharing = ref(false);
const { copy, copied } = useClipboard({ legacy: true, copiedDuring: 2000 });

const address = computed(() => `/api/players/${store.sheet!.player.id}`);
const query = computed(
  () =>
    new URLSearchParams({
      unit: props.unit,
      ...(props.bag && { bag: props.bag.id }),
      ...(store.sheet!.asOf && { asOf: store.sheet!.asOf }),
    }),
);

const options = computed(() => [
  { key: 'pdf', label: 'Spec sheet as PDF' },
  { key: 'pdf-builder', label: 'Spec sheet with serial numbers, stepping, wraps' },
  ...(identity.shares ? [{ key: 'share', label: 'Share the spec sheet…' }] : []),
  ...(props.clubs.length > 0 ? [{ key: 'message', label: 'Copy for a message' }] : []),
  { key: 'csv', label: 'This bag as CSV' },
  { key: 'csv-all', label: 'Whole locker as CSV' },
  { key: 'json', label: 'Whole locker with history as JSON' },
  ...(!store.may('editBag')
    ? []
    : [
        { key: 'import', label: 'Import a file…' },
        { key: 'line', type: 'divider' },
        ...(props.bag
          ? [
              { key: 'ready', label: props.bag.ready ? 'Back to work' : 'Mark ready' },
              ...(props.bag.gamer ? [] : [{ key: 'gamer', label: 'Make this the gamer' }]),
              { key: 'copy', label: 'New bag from this one' },
              ...(props.bag.gamer ? [] : [{ key: 'remove', label: 'Delete this bag' }]),
            ]
          : []),
      ]),
]);

function select(key: string): void {
  const open = (file: string, withQuery = true) =>
    window.open(`${address.value}/${file}${withQuery ? `?${query.value}` : ''}`, '_blank');
  switch (key) {
    case 'pdf':
      open('sheet.pdf');
      break;
    case 'pdf-builder':
      window.open(`${address.value}/sheet.pdf?${query.value}&builder=true`, '_blank');
      break;
    case 'message':
      void copy(bagMessage(props.clubs, props.unit));
      break;
    case 'csv':
      open('sheet.csv');
      break;
    case 'csv-all':
      window.open(`${address.value}/sheet.csv?unit=${props.unit}`, '_blank');
      break;
    case 'json':
      open('locker.json', false);
      break;
    case 'share':
      sharing.value = true;
      break;
    case 'import':
      emit('import');
      break;
    case 'ready':
      emit('ready');
      break;
    case 'gamer':
      emit('gamer');
      break;
    case 'copy':
      emit('copy');
      break;
    case 'remove':
      emit('remove');
      break;
  }
}
</script>

<template>
  <NDropdown trigger="click" :options="options" :keyboard="true" @select="select">
    <NButton aria-label="Print, export, import, and more">
      <template v-if="copied"><Check :size="18" />{{ ' ' }}Copied</template><Ellipsis v-else :size="18" />
    </NButton>
  </NDropdown>
  <p class="unseen" role="status">{{ copied ? 'The bag is copied.' : '' }}</p>
  <ShareModal v-model:show="sharing" :player-id="store.sheet!.player.id" paper="spec-sheet" />
</template>
