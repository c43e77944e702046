import type { MonitorView, StrikeView } from '@tasche/contract';
import { onScopeDispose, ref, shallowRef, watch, type Ref } from 'vue';

/**
 * What comes in while a session is live. The browser takes the line up again by itself and says where it was, so nothing is missed;
 * what was missed while the page was closed comes with the session itself.
 */
export function useLive(sessionId: Ref<string | undefined>, onStrike: (strike: StrikeView) => void) {
  const monitor = shallowRef<MonitorView>({ state: 'none', device: null, simulated: false });
  const line = ref<'closed' | 'open' | 'broken'>('closed');
  let source: EventSource | undefined;

  const close = () => {
    source?.close();
    source = undefined;
    line.value = 'closed';
  };
  watch(sessionId, (id) => {
    close();
    if (!id) return;
    source = new EventSource(`/api/sessions/${id}/live`);
    source.onopen = () => { line.value = 'open'; };
    source.onerror = () => { line.value = 'broken'; };
    source.addEventListener('strike', (event) => { onStrike(JSON.parse((event as MessageEvent<string>).data) as StrikeView); });
    source.addEventListener('monitor', (event) => { monitor.value = JSON.parse((event as MessageEvent<string>).data) as MonitorView; });
  }, { immediate: true });
  onScopeDispose(close);
  return { monitor, line };
}
