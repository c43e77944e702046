import type { MonitorView, StrikeView } from '@tasche/contract';
import { onScopeDispose, ref, shallowRef, watch, type Ref } from 'vue';

/**
 * A refused stream is requested again after this time: the session itself may not have reached the server yet.
 */
const AGAIN_MS = 1000;

/**
 * What comes in while a session is live. The browser reconnects by itself and says where it was, so nothing is
 * missed; what was missed while the page was closed comes with the session itself.
 */
export function useLive(sessionId: Ref<string | undefined>, onStrike: (strike: StrikeView) => void) {
  const monitor = shallowRef<MonitorView>({ state: 'none', device: null, simulated: false });
  const line = ref<'closed' | 'open' | 'broken'>('closed');
  let source: EventSource | undefined;
  let again: ReturnType<typeof setTimeout> | undefined;

  const close = () => {
    clearTimeout(again);
    source?.close();
    source = undefined;
    line.value = 'closed';
  };
  const open = (id: string) => {
    const opened = (source = new EventSource(`/api/sessions/${id}/live`));
    opened.onopen = () => {
      line.value = 'open';
    };
    opened.onerror = () => {
      line.value = 'broken';
      // The browser gives up when a stream is refused, and reconnects only when one breaks.
      if (opened.readyState === EventSource.CLOSED)
        again = setTimeout(() => {
          open(id);
        }, AGAIN_MS);
    };
    opened.addEventListener('strike', (event) => {
      onStrike(JSON.parse((event as MessageEvent<string>).data) as StrikeView);
    });
    opened.addEventListener('monitor', (event) => {
      monitor.value = JSON.parse((event as MessageEvent<string>).data) as MonitorView;
    });
  };
  watch(
    sessionId,
    (id) => {
      close();
      if (id) open(id);
    },
    { immediate: true },
  );
  onScopeDispose(close);
  return { monitor, line };
}
