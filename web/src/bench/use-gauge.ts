import type { GaugeReading, GaugeView } from '@tasche/contract';
import { useDocumentVisibility } from '@vueuse/core';
import { computed, onScopeDispose, shallowRef, watch } from 'vue';

/**
 * What a digital gauge reads while the page is seen: of several tabs with a check, the one in front takes it. The
 * browser reconnects by itself.
 */
export function useGauge(onReading: (reading: GaugeReading) => void) {
  const view = shallowRef<GaugeView>({ state: 'none', device: null, simulated: false });
  let source: EventSource | undefined;
  const close = () => {
    source?.close();
    source = undefined;
  };
  const open = () => {
    source = new EventSource('/api/gauge/live');
    source.addEventListener('gauge', (event) => {
      view.value = JSON.parse((event as MessageEvent<string>).data) as GaugeView;
    });
    source.addEventListener('reading', (event) => {
      onReading(JSON.parse((event as MessageEvent<string>).data) as GaugeReading);
    });
  };
  watch(
    useDocumentVisibility(),
    (now) => {
      if (now === 'hidden') close();
      else if (!source && typeof EventSource !== 'undefined') open();
    },
    { immediate: true },
  );
  onScopeDispose(close);
  const isHere = computed(() => view.value.state === 'here');
  return { view, isHere };
}
