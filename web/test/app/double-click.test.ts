import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { keepDoubleClicksTogether } from '../../src/app/double-click';

let end: () => void;
const pressed: string[] = [];
beforeEach(() => {
  pressed.length = 0;
  document.body.innerHTML = '<button>first</button><button>second</button><p>words</p>';
  for (const button of document.querySelectorAll('button'))
    button.addEventListener('click', () => {
      pressed.push(button.textContent);
    });
  end = keepDoubleClicksTogether(document);
});
afterEach(() => {
  end();
  document.body.innerHTML = '';
});
const click = (on: string, detail: number) => {
  const event = new MouseEvent('click', { detail, bubbles: true, cancelable: true });
  [...document.querySelectorAll('button, p')]
    .find(({ textContent }) => textContent === on)!
    .dispatchEvent(event);
  return event;
};

describe('the second click of a double click', () => {
  it('does nothing on another button that moved under the pointer', () => {
    click('first', 1);
    expect(click('second', 2).defaultPrevented).toBe(true);
    expect(click('second', 3).defaultPrevented).toBe(true);
    expect(pressed).toEqual(['first']);
  });

  it('counts on the same button, as of a stepper', () => {
    click('first', 1);
    click('first', 2);
    click('first', 3);
    expect(pressed).toEqual(['first', 'first', 'first']);
  });

  it('does nothing on a button that is to do its work once', () => {
    document.querySelector('button')!.dataset.once = '';
    click('first', 1);
    click('first', 2);
    click('first', 1);
    expect(pressed).toEqual(['first', 'first']);
  });

  it('does nothing on what lay under a choice that is made and gone', () => {
    document.body.insertAdjacentHTML('beforeend', '<p role="option">a choice</p>');
    click('a choice', 1);
    click('second', 2);
    expect(pressed).toEqual([]);
  });

  it('counts where the first was on no button', () => {
    click('words', 1);
    click('second', 2);
    expect(pressed).toEqual(['second']);
  });

  it('leaves single clicks and keys alone', () => {
    click('first', 1);
    click('second', 1);
    click('first', 0);
    expect(pressed).toEqual(['first', 'second', 'first']);
  });
});
