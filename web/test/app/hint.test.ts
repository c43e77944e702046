import { mount } from '@vue/test-utils';
import { afterEach, beforeEach, expect, it } from 'vitest';
import { defineComponent, h } from 'vue';
import Hint from '../../src/app/Hint.vue';
import HintLayer from '../../src/app/HintLayer.vue';
import { hintShown } from '../../src/app/hint-shown';

beforeEach(() => void (hintShown.value = null));
afterEach(() => document.body.replaceChildren());
const tooltip = () => document.querySelector('.n-tooltip')?.textContent.trim() ?? '';
const says = () => hintShown.value?.says ?? null;
const page = (...hints: (() => unknown)[]) =>
  mount(defineComponent({ render: () => h('div', [h(HintLayer), ...hints.map((one) => one() as never)]) }), {
    attachTo: document.body,
  });
const word = (text: string, more?: string) => () => h(Hint, { says: more, class: 'verdict' }, () => text);

it('words say more of themselves, one at a time, until they are left, Escape or another place is pressed', async () => {
  const view = page(word('Robust', 'A wild shot pulls it little'), word('Spin', 'Eight in ten'));
  const [robust, spin] = view.findAll('[tabindex="0"]');
  expect([robust!.text(), robust!.classes('verdict')]).toEqual(['Robust', true]);
  expect(robust!.attributes('aria-description')).toBe('A wild shot pulls it little');
  await robust!.trigger('pointerenter', { pointerType: 'mouse' });
  await expect.poll(tooltip).toBe('A wild shot pulls it little');
  await spin!.trigger('click');
  await expect.poll(tooltip).toBe('Eight in ten');
  // What another word says is not taken away by this one.
  await robust!.trigger('pointerleave', { pointerType: 'mouse' });
  expect(says()).toBe('Eight in ten');
  await spin!.trigger('focusout');
  expect(says()).toBeNull();
  await spin!.trigger('click');
  window.dispatchEvent(new KeyboardEvent('keydown', { key: 'Escape' }));
  expect(says()).toBeNull();
  await spin!.trigger('click');
  window.dispatchEvent(new Event('scroll'));
  expect(says()).toBeNull();
  await spin!.trigger('click');
  await spin!.trigger('pointerdown');
  expect(says()).toBe('Eight in ten');
  await robust!.trigger('pointerdown');
  expect(says()).toBeNull();
});

it('a pointer that only passes shows nothing, and a page that goes takes its hint along', async () => {
  const view = page(word('Robust', 'A wild shot pulls it little'));
  const robust = view.get('[tabindex="0"]');
  await robust.trigger('pointerenter', { pointerType: 'mouse' });
  await robust.trigger('pointerleave', { pointerType: 'mouse' });
  expect(says()).toBeNull();
  // A finger leaves at once.
  await robust.trigger('click');
  await robust.trigger('pointerleave', { pointerType: 'touch' });
  expect(says()).not.toBeNull();
  view.unmount();
  expect(says()).toBeNull();
});

it('in the label of a field a press shows what is said, and does not go on to the field', async () => {
  const view = page(() => h('label', [h(Hint, { says: 'Off the ramp' }, () => 'Green speed'), h('input')]));
  const words = view.get('[tabindex="0"]');
  const pressed = new MouseEvent('click', { bubbles: true, cancelable: true });
  words.element.dispatchEvent(pressed);
  expect(pressed.defaultPrevented).toBe(true);
  expect(says()).toBe('Off the ramp');
});

it('a control keeps its own place among the keys; without more to say it is only itself', async () => {
  const view = page(
    () => h(Hint, { says: 'Best for 2 shots', control: true }, () => h('button', '8 iron')),
    word('Side'),
  );
  expect(view.find('[tabindex]').exists()).toBe(false);
  await view.get('button').trigger('click');
  expect(says()).toBe('Best for 2 shots');
  hintShown.value = null;
  await view.get('.verdict').trigger('click');
  expect(says()).toBeNull();
});
