import { describe, expect, it } from 'vitest';
import { cellAction, editorAction, type KeyPress } from '../../src/sheet/sheet-keys';

function press(keys: string): KeyPress {
  const parts = keys.split(' ');
  return {
    key: parts.at(-1)!,
    altKey: parts.includes('Alt'),
    ctrlKey: parts.includes('Ctrl'),
    metaKey: parts.includes('Meta'),
    shiftKey: parts.includes('Shift'),
  };
}

/** In the second of three columns. */
const inCell = (keys: string, column = 1) => cellAction(press(keys), column, 3);

describe('a key in a chosen cell', () => {
  it.each([
    ['ArrowUp', -1, 0],
    ['ArrowDown', 1, 0],
    ['ArrowLeft', 0, -1],
    ['ArrowRight', 0, 1],
    ['PageUp', -10, 0],
    ['PageDown', 10, 0],
    ['Shift Enter', -1, 0],
    ['Tab', 0, 1],
    ['Shift Tab', 0, -1],
  ])('%s goes on by %i rows and %i columns', (keys, rows, columns) => {
    expect(inCell(keys)).toEqual({ do: 'move', rows, columns });
  });

  it.each([
    ['Home', 'row-start'],
    ['End', 'row-end'],
    ['Ctrl Home', 'sheet-start'],
    ['Meta End', 'sheet-end'],
    ['Ctrl a', 'all'],
    ['Meta A', 'all'],
    ['Alt Enter', 'open'],
    ['Enter', 'edit'],
    ['F2', 'edit'],
    ['Delete', 'clear'],
    ['Backspace', 'clear'],
  ])('%s: %s', (keys, action) => {
    expect(inCell(keys)).toEqual({ do: action });
  });

  it('begins to type with whatever is a letter, a digit or a sign', () => {
    for (const text of ['7', 'ß', '.', ' '])
      expect(cellAction({ ...press('a'), key: text }, 1, 3)).toEqual({ do: 'type', text });
  });

  it('leaves the sheet with Tab at the end of a row, and at its start backwards', () => {
    expect(inCell('Tab', 2)).toBeUndefined();
    expect(inCell('Shift Tab', 0)).toBeUndefined();
  });

  it('is left to the page and the browser where it is not the sheet’s', () => {
    for (const keys of ['?', 'Ctrl z', 'Meta c', 'Alt 1', 'Escape', 'F5', 'Shift Shift'])
      expect(inCell(keys), keys).toBeUndefined();
  });
});

describe('a key in a cell that is typed in', () => {
  it.each([
    ['Enter', 1, 0],
    ['Shift Enter', -1, 0],
    ['Tab', 0, 1],
    ['Shift Tab', 0, -1],
    ['ArrowDown', 1, 0],
    ['ArrowUp', -1, 0],
  ])('%s writes it and goes on by %i rows and %i columns', (keys, rows, columns) => {
    expect(editorAction(press(keys))).toEqual({ do: 'commit', rows, columns });
  });

  it('gives it up with Escape, and leaves letters and the way inside the text to the field', () => {
    expect(editorAction(press('Escape'))).toEqual({ do: 'cancel' });
    for (const keys of ['a', 'ArrowLeft', 'Home', 'Ctrl v'])
      expect(editorAction(press(keys)), keys).toBeUndefined();
  });
});
