import type { GaugeReading, GaugeView } from '@tasche/contract';
import { computed, onScopeDispose, shallowRef } from 'vue';

/** What a digital gauge reads while the page is open; the browser reconnects by itself. */
export function useGauge(onReading: (reading: GaugeReading) => void) {
  const view = shallowRef<GaugeView>({ state: 'none', device: null, simulated: false });
  if (typeof EventSource !== 'undefined') {
    const source = new EventSource('/api/gauge/live');
    source.addEventListener('gauge', (event) => {
      view.value = JSON.parse((event as MessageEvent<string>).data) as GaugeView;
    });
    source.addEventListener('reading', (event) => {
      onReading(JSON.parse((event as MessageEvent<string>).data) as GaugeReading);
    });
    onScopeDispose(() => {
      source.close();
    });
  }
  const isHere = computed(() => view.value.state === 'here');
  return { view, isHere };
}
