import { useEventListener } from '@vueuse/core';
import { changesDone, placeOf } from '../changes/undo-line';
import { useSchedule } from '../courses/schedule-store';
import { isTyping, isUndoOfField } from '../keys/is-typing';
import { useSheet } from '../sheet/sheet-store';

/** An event's keys: Alt and a number for its rounds, Alt T, Alt W and Alt Enter; a day changed here is taken back here too. */
export function useEventKeys(keys: {
  toRound: (at: number) => boolean;
  toTravel: () => void;
  askForecast: (ofAll: boolean) => void;
  /** @returns whether there is a round to settle */
  settle: () => boolean;
}): void {
  const store = useSheet();
  const schedule = useSchedule();
  /** Only what was changed after the page opened, and after whatever else was. */
  const opened = changesDone();
  useEventListener(
    'keydown',
    (pressed: KeyboardEvent) => {
      const isUndo = (pressed.ctrlKey || pressed.metaKey) && pressed.key.toLowerCase() === 'z';
      if (!isUndo || isUndoOfField(pressed)) return;
      const [days, rest] = pressed.shiftKey
        ? [schedule.redoable, store.redoable]
        : [schedule.undoable, store.undoable];
      const at = placeOf(days.at(-1));
      if (at < opened || at < placeOf(rest.at(-1))) return;
      pressed.preventDefault();
      pressed.stopImmediatePropagation();
      if (pressed.shiftKey) schedule.redo();
      else schedule.undo();
    },
    { capture: true },
  );

  useEventListener('keydown', (pressed: KeyboardEvent) => {
    if (!pressed.altKey || pressed.ctrlKey || pressed.metaKey) return;
    if (isHandled(pressed)) pressed.preventDefault();
  });

  function isHandled(pressed: KeyboardEvent): boolean {
    const key = pressed.key.toLowerCase();
    if (keys.toRound(Number(key) - 1)) return true;
    if (key === 't' && !isTyping(pressed)) {
      keys.toTravel();
      return true;
    }
    if (key === 'w') {
      keys.askForecast(pressed.shiftKey);
      return true;
    }
    return key === 'enter' && keys.settle();
  }
}
