/** What of a key press says what it does. */
export type KeyPress = Pick<KeyboardEvent, 'key' | 'altKey' | 'ctrlKey' | 'metaKey' | 'shiftKey'>;

/** What a key does in a cell that is only chosen. */
export type CellAction =
  | { do: 'move'; rows: number; columns: number }
  | { do: 'row-start' | 'row-end' | 'sheet-start' | 'sheet-end' | 'all' | 'open' | 'edit' | 'clear' }
  | { do: 'type'; text: string };

/** What a key does in a cell that is being typed in; what was typed is written, and the cursor goes on. */
type EditorAction = { do: 'commit'; rows: number; columns: number } | { do: 'cancel' };

const MOVES: Readonly<Record<string, readonly [rows: number, columns: number]>> = {
  ArrowUp: [-1, 0],
  ArrowDown: [1, 0],
  ArrowLeft: [0, -1],
  ArrowRight: [0, 1],
  PageUp: [-10, 0],
  PageDown: [10, 0],
};

/**
 * @param column the chosen cell's, from 0
 * @returns undefined where the key is not the sheet's, such as Tab at the end of a row, which leaves it
 */
export function cellAction(press: KeyPress, column: number, columnCount: number): CellAction | undefined {
  const { key } = press;
  if (press.altKey) return key === 'Enter' ? { do: 'open' } : undefined;
  if (press.ctrlKey || press.metaKey) {
    if (key === 'Home') return { do: 'sheet-start' };
    if (key.toLowerCase() === 'a' && !press.shiftKey) return { do: 'all' };
    return key === 'End' ? { do: 'sheet-end' } : undefined;
  }
  const move = MOVES[key];
  if (move) return { do: 'move', rows: move[0], columns: move[1] };
  switch (key) {
    case 'Home':
      return { do: 'row-start' };
    case 'End':
      return { do: 'row-end' };
    case 'Enter':
      return press.shiftKey ? { do: 'move', rows: -1, columns: 0 } : { do: 'edit' };
    case 'F2':
      return { do: 'edit' };
    case 'Delete':
    case 'Backspace':
      return { do: 'clear' };
    case 'Tab': {
      const step = press.shiftKey ? -1 : 1;
      const isOnRow = column + step >= 0 && column + step < columnCount;
      return isOnRow ? { do: 'move', rows: 0, columns: step } : undefined;
    }
  }
  // "?" opens the list of keys, on every page.
  return key.length === 1 && key !== '?' ? { do: 'type', text: key } : undefined;
}

/** @returns undefined for a key that belongs to the field, such as a letter */
export function editorAction({ key, shiftKey }: KeyPress): EditorAction | undefined {
  const back = shiftKey ? -1 : 1;
  switch (key) {
    case 'Enter':
      return { do: 'commit', rows: back, columns: 0 };
    case 'Tab':
      return { do: 'commit', rows: 0, columns: back };
    case 'ArrowUp':
      return { do: 'commit', rows: -1, columns: 0 };
    case 'ArrowDown':
      return { do: 'commit', rows: 1, columns: 0 };
    case 'Escape':
      return { do: 'cancel' };
  }
  return undefined;
}
