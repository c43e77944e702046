import { watch, type WatchSource } from 'vue';
import { whenIdle } from './when-idle';

/**
 * A strip of links on a phone is one line, which shows the one that is open: it says that it is current.
 * @param open what says which one is
 */
export function useHereInView(strip: Readonly<{ value: HTMLElement | null }>, open: WatchSource): void {
  // Where it is is known once the page was laid out; asked earlier, it is laid out twice.
  const show = () =>
    whenIdle(() =>
      strip.value?.querySelector('[aria-current]')?.scrollIntoView({ block: 'nearest', inline: 'center' }),
    );
  watch(open, show, { immediate: true });
}
