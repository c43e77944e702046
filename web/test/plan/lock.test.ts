import { mount } from '@vue/test-utils';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import LockChips from '../../src/plan/LockChips.vue';
import { NEXT_LOCK, lockMark, lockOf, withLock } from '../../src/plan/lock';

describe('a club’s lock', () => {
  it('is what it was set to, and no other club’s is touched (property)', () => {
    const ids = fc.uniqueArray(fc.constantFrom('7', '8', '9', 'PW', '52'), { maxLength: 5 });
    fc.assert(
      fc.property(ids, fc.constantFrom('always', 'never', 'open'), (all, lock) => {
        const before = { always: all.slice(0, 2), never: all.slice(2) };
        const after = withLock('7', lock, before);
        expect(lockOf('7', after)).toBe(lock);
        for (const id of ['8', '9', 'PW', '52']) expect(lockOf(id, after)).toBe(lockOf(id, before));
        expect(new Set([...after.always, ...after.never]).size).toBe(
          after.always.length + after.never.length,
        );
      }),
    );
  });

  it('goes round with three presses; a free club’s mark tells whether it is chosen', () => {
    expect(NEXT_LOCK[NEXT_LOCK[NEXT_LOCK.open]]).toBe('open');
    expect([lockMark('open', true), lockMark('open', false), lockMark('never', true)]).toEqual([
      '●',
      '○',
      '✕',
    ]);
  });
});

describe('the locks of a week', () => {
  const chips = (readOnly = false) =>
    mount(LockChips, {
      props: {
        clubs: ['7', '8', '9'].map((id) => ({ id, name: `${id} iron`, kind: 'iron' as const, shots: {} })),
        locks: { always: ['7'], never: ['9'] },
        chosen: ['7', '8'],
        why: { '8': '8 iron: best for 2 shots.' },
        readOnly,
      },
    });

  it('say how each stands and why, and are turned by a press', async () => {
    const buttons = chips().findAll('button');
    expect(buttons.map((one) => one.attributes('aria-label'))).toEqual([
      '7 iron: always, chosen',
      '8 iron: open, chosen',
      '9 iron: never',
    ]);
    expect(buttons[1]!.attributes('aria-description')).toBe('8 iron: best for 2 shots.');
    const view = chips();
    await view.findAll('button')[0]!.trigger('click');
    await view.findAll('button')[2]!.trigger('click');
    expect(view.emitted('set')).toEqual([
      [{ always: [], never: ['9', '7'] }],
      [{ always: ['7'], never: [] }],
    ]);
  });

  it('cannot be turned by who only reads', async () => {
    const view = chips(true);
    await view.findAll('button')[0]!.trigger('click');
    expect(view.emitted('set')).toBeUndefined();
  });
});
