import { afterEach, beforeEach, expect, test } from 'vitest';
import { afterDrag } from '../../src/app/drag-end';

/** What the library that drags does: it swallows one click after a drag, whatever it is of. */
let swallows = false;
const swallow = (event: Event) => {
  if (swallows) event.stopImmediatePropagation();
  swallows = false;
};
let pressed = 0;
const button = document.createElement('button');
button.addEventListener('click', () => (pressed += 1));

beforeEach(() => {
  pressed = 0;
  document.body.append(button);
  document.addEventListener('click', swallow, { capture: true });
});
afterEach(() => {
  button.remove();
  document.removeEventListener('click', swallow, { capture: true });
});

function press(begins: 'pointerdown' | 'keydown'): void {
  button.dispatchEvent(new Event(begins, { bubbles: true }));
  button.click();
}

test.each(['pointerdown', 'keydown'] as const)(
  'after a drag that no click ends, the next press (%s) is one of its button',
  (begins) => {
    swallows = true;
    afterDrag();
    press(begins);
    expect(pressed).toBe(1);
  },
);

test('a drag that its own click ends takes no later press, and gives none a click more than its own', () => {
  swallows = true;
  afterDrag();
  button.click();
  expect(pressed).toBe(0);
  let clicks = 0;
  const count = () => (clicks += 1);
  press('pointerdown');
  document.addEventListener('click', count);
  press('keydown');
  document.removeEventListener('click', count);
  expect([pressed, clicks]).toEqual([2, 1]);
});
