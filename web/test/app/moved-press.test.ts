import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { keepPressesThatMove } from '../../src/app/moved-press';

let end: () => void;
const clicks: string[] = [];
beforeEach(() => {
  clicks.length = 0;
  document.body.innerHTML =
    '<section><button id="meant"><i>+</i></button><button id="other"></button><p></p></section>';
  document.body.addEventListener('click', count);
  end = keepPressesThatMove(window);
});
afterEach(() => {
  end();
  document.body.removeEventListener('click', count);
  document.body.innerHTML = '';
});
function count(event: Event): void {
  clicks.push((event.target as Element).id || (event.target as Element).tagName);
}
const at = (selector: string) => document.querySelector(selector)!;
function press(down: string, click: string, { moved = 0, button = 0, detail = 1 } = {}): void {
  const where = { bubbles: true, cancelable: true, clientX: 100, clientY: 100 };
  at(down).dispatchEvent(new PointerEvent('pointerdown', { ...where, button }));
  at(click).dispatchEvent(new MouseEvent('click', { ...where, clientY: 100 + moved, detail }));
}

describe('a press of what moves before it is let go', () => {
  it('is one of what was pressed, whatever lies there now', () => {
    press('i', 'section');
    press('#meant', '#other');
    expect(clicks).toEqual(['meant', 'meant']);
  });

  it('is left alone where nothing moved, where the hand went on, and where no button was meant', () => {
    press('i', '#meant');
    press('#meant', 'section', { moved: 9 });
    press('#meant', 'section', { button: 2 });
    press('p', 'section');
    expect(clicks).toEqual(['meant', 'SECTION', 'SECTION', 'SECTION']);
  });

  it('counts once: a key or a script that clicks meanwhile is itself', () => {
    at('#meant').dispatchEvent(
      new PointerEvent('pointerdown', { bubbles: true, clientX: 100, clientY: 100 }),
    );
    at('#other').dispatchEvent(new MouseEvent('click', { bubbles: true, detail: 0 }));
    at('section').dispatchEvent(
      new MouseEvent('click', { bubbles: true, detail: 1, clientX: 100, clientY: 100 }),
    );
    expect(clicks.splice(0)).toEqual(['other', 'meant']);
    press('#meant', 'section', { detail: 0 });
    press('#meant', '#meant');
    at('#other').dispatchEvent(new MouseEvent('click', { bubbles: true, detail: 1 }));
    expect(clicks).toEqual(['SECTION', 'meant', 'other']);
  });

  it('is none where what was pressed is gone', () => {
    at('#meant').dispatchEvent(new PointerEvent('pointerdown', { bubbles: true }));
    at('#meant').remove();
    at('section').dispatchEvent(new MouseEvent('click', { bubbles: true, detail: 1 }));
    expect(clicks).toEqual(['SECTION']);
  });
});
