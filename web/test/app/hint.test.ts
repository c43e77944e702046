import { mount } from '@vue/test-utils';
import { afterEach, expect, it } from 'vitest';
import { h } from 'vue';
import Hint from '../../src/app/Hint.vue';

afterEach(() => document.body.replaceChildren());
const shown = () => document.querySelector('.n-tooltip')?.textContent.trim() ?? '';

it('words say more of themselves where the keyboard goes', async () => {
  const view = mount(Hint, {
    props: { says: 'A wild shot pulls it little' },
    attrs: { class: 'verdict' },
    slots: { default: () => 'Robust' },
    attachTo: document.body,
  });
  const words = view.get('[tabindex="0"]');
  expect(words.text()).toBe('Robust');
  expect(words.classes()).toContain('verdict');
  expect(words.attributes('aria-description')).toBe('A wild shot pulls it little');
  await words.trigger('focusin');
  await expect.poll(shown).toBe('A wild shot pulls it little');
  view.unmount();
});

it('a control keeps its own place among the keys; without more to say it is only itself', async () => {
  const view = mount(Hint, {
    props: { says: 'Best for 2 shots', control: true },
    slots: { default: () => h('button', '8 iron') },
    attachTo: document.body,
  });
  expect(view.find('[tabindex]').exists()).toBe(false);
  view.get('button').element.focus();
  await expect.poll(shown).toBe('Best for 2 shots');
  await view.setProps({ says: undefined });
  await expect.poll(shown).toBe('');
  expect(view.text()).toBe('8 iron');
  view.unmount();
});
