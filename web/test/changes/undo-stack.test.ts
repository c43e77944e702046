import { beforeEach, describe, expect, it, vi } from 'vitest';
import { effectScope } from 'vue';
import { useOutbox, type Outgoing } from '../../src/changes/outbox';
import { useUndo, useUndoScope, type UndoScope } from '../../src/changes/undo-stack';
import { freshPinia } from '../pinia';

const entry = (id: string, ...scopes: UndoScope[]) => ({ id, owner: 'p', scopes });
const sent = () =>
  useOutbox().waiting.map((one: Outgoing) => (one.kind === 'undo' ? one.changeId : one.request.id));
/** The page shows these. */
function showing(...scopes: UndoScope[]) {
  const scope = effectScope();
  scope.run(() => {
    for (const one of scopes) useUndoScope(() => one);
  });
  return scope;
}

beforeEach(() => {
  localStorage.clear();
  sessionStorage.clear();
  freshPinia();
  vi.stubGlobal('fetch', () => new Promise(() => {}));
});

describe('what can be taken back', () => {
  it('goes back the latest first, and forward again; something new ends that', () => {
    const stack = useUndo();
    showing('player/p');
    stack.undo();
    stack.redo();
    expect(sent()).toEqual([]);
    stack.note(entry('a', 'player/p'));
    stack.note(entry('b', 'player/p'));
    stack.undo();
    expect(sent()).toEqual(['b']);
    const undoing = (useOutbox().waiting[0] as { id: string }).id;
    expect([stack.canUndo, stack.canRedo, stack.isDone('b')]).toEqual([true, true, false]);
    stack.redo();
    // Doing again is undoing the undoing.
    expect(sent()).toEqual(['b', undoing]);
    stack.undo(entry('a', 'player/p'));
    expect(sent().at(-1)).toBe('a');
    stack.note(entry('c', 'player/p'));
    expect(stack.canRedo).toBe(false);
  });

  it('what was refused is forgotten', () => {
    const stack = useUndo();
    showing('player/p');
    stack.note(entry('a', 'player/p'));
    stack.note(entry('b', 'player/p'));
    stack.undo();
    stack.forget('a');
    stack.forget((useOutbox().waiting[0] as { id: string }).id);
    expect([stack.canUndo, stack.canRedo]).toEqual([false, false]);
  });

  it('is the last of what the page shows: an event takes back its days and its player’s bag, in the order they were done', () => {
    const stack = useUndo();
    stack.note(entry('course', 'schedule'));
    stack.note(entry('day', 'schedule', 'event/e'));
    stack.note(entry('bag', 'player/p'));
    stack.note(entry('another player', 'player/q'));
    const page = showing('player/p', 'event/e');
    stack.undo();
    stack.undo();
    stack.undo();
    expect(sent()).toEqual(['bag', 'day']);
    page.stop();
    expect([stack.canUndo, stack.canRedo]).toEqual([false, false]);
    showing('schedule');
    stack.undo();
    expect(sent().at(-1)).toBe('course');
    // What is done on another page does not end what can be done again here.
    stack.note(entry('later', 'player/p'));
    expect(stack.canRedo).toBe(true);
  });

  it('goes on after a reload', () => {
    const before = useUndo();
    showing('player/p');
    before.note(entry('a', 'player/p'));
    before.note(entry('b', 'player/p'));
    before.undo();
    freshPinia();
    const after = useUndo();
    expect([after.canUndo, after.isDone('a')]).toEqual([false, true]);
    showing('player/p');
    expect([after.canUndo, after.canRedo]).toEqual([true, true]);
  });

  it('what was kept and cannot be read is no reason to fail', () => {
    for (const broken of ['{', '7', 'null', '{"done":[["k"]],"undone":3}']) {
      sessionStorage.setItem('tasche.undo-stack', broken);
      freshPinia();
      showing('player/p');
      expect([useUndo().canUndo, useUndo().canRedo]).toEqual([false, false]);
    }
  });
});
