import { beforeEach, describe, expect, it } from 'vitest';
import { changesDone, placeOf, undoLine } from '../../src/changes/undo-line';

function line() {
  const sent: [string, string][] = [];
  return {
    sent,
    ...undoLine((changeId, id) => {
      sent.push([changeId, id]);
    }),
  };
}

beforeEach(() => {
  sessionStorage.clear();
});

describe('what can be taken back', () => {
  it('goes back the latest first, and forward again; something new ends that', () => {
    const { sent, done, undo, redo, undoable, redoable } = line();
    undo();
    redo();
    expect(sent).toEqual([]);
    done('a');
    done('b');
    undo();
    expect(sent.at(-1)![0]).toBe('b');
    const undoing = sent.at(-1)![1];
    expect([undoable.value, redoable.value]).toEqual([['a'], [undoing]]);
    redo();
    // Doing again is undoing the undoing.
    expect(sent.at(-1)![0]).toBe(undoing);
    expect(undoable.value).toEqual(['a', sent.at(-1)![1]]);
    undo('a');
    expect(sent.at(-1)![0]).toBe('a');
    done('c');
    expect(redoable.value).toEqual([]);
  });

  it('what was refused is forgotten', () => {
    const { done, undo, forget, undoable, redoable, sent } = line();
    done('d');
    done('e');
    undo();
    forget('d');
    forget(sent[0]![1]);
    expect([undoable.value, redoable.value]).toEqual([[], []]);
  });

  it('of two lines the one that was used last is told by its place', () => {
    const [days, rest] = [line(), line()];
    const before = changesDone();
    days.done('g');
    rest.done('h');
    expect(placeOf('h')).toBeGreaterThan(placeOf('g'));
    expect(placeOf('g')).toBeGreaterThanOrEqual(before);
    days.undo();
    expect(placeOf(days.redoable.value[0])).toBeGreaterThan(placeOf('h'));
    expect(placeOf(undefined)).toBeLessThan(0);
  });

  it('goes on after a reload, each sheet with its own', () => {
    const before = line();
    before.open('player/a');
    before.done('i');
    before.done('j');
    before.undo();
    const undoing = before.sent[0]![1];
    const [after, other] = [line(), line()];
    after.open('player/a');
    other.open('player/b');
    expect([after.undoable.value, after.redoable.value]).toEqual([['i'], [undoing]]);
    expect(other.undoable.value).toEqual([]);
    after.redo();
    expect(after.sent[0]![0]).toBe(undoing);
    expect(placeOf(after.undoable.value.at(-1))).toBeGreaterThan(placeOf('i'));
  });

  it('what was kept and cannot be read is no reason to fail', () => {
    for (const broken of ['{', '7', '{"undoable":[["k"]],"redoable":3}']) {
      sessionStorage.setItem('tasche.undo/player/a', broken);
      const after = line();
      after.open('player/a');
      expect(after.undoable.value).toEqual([]);
    }
  });
});
