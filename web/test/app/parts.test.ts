import { mount } from '@vue/test-utils';
import { beforeEach, describe, expect, it } from 'vitest';
import { h } from 'vue';
import { createMemoryHistory, createRouter } from 'vue-router';
import Fold from '../../src/app/Fold.vue';
import LinkButton from '../../src/app/LinkButton.vue';
import NameTag from '../../src/app/NameTag.vue';
import PageHead from '../../src/app/PageHead.vue';
import UnitButton from '../../src/app/UnitButton.vue';
import WorkProgress from '../../src/app/WorkProgress.vue';
import { applyTokens, tokensFor } from '../../src/app/tokens';
import { freshPinia } from '../pinia';

beforeEach(() => {
  localStorage.clear();
});

describe('a page’s head', () => {
  it('says whose page it is, then what; a line and actions only where there are some', async () => {
    const plain = mount(PageHead, { slots: { default: 'Roster' } });
    expect(plain.get('h1').text()).toBe('Roster');
    expect(plain.find('.bar').exists()).toBe(false);
    const whole = mount(PageHead, {
      props: { of: 'Ana' },
      slots: { default: 'range', says: '<p>Nothing was hit yet.</p>', actions: '<button>New</button>' },
    });
    expect(whole.get('h1').text().replace(/\s+/g, ' ')).toBe('Ana · range');
    expect(whole.text()).toContain('Nothing was hit yet.');
    expect(document.title).toBe('Ana · range · Tasche');
    await whole.setProps({ of: 'Pim' });
    expect(document.title).toBe('Pim · range · Tasche');
    const tagged = { default: () => ['Coast', h(NameTag, () => 'ready')] };
    mount(PageHead, { props: { of: 'Ana' }, slots: tagged });
    expect(document.title).toBe('Ana · Coast · Tasche');
    expect(whole.get('.bar button').text()).toBe('New');
  });
});

describe('a part that folds', () => {
  it('opens from its heading, and says so', async () => {
    const view = mount(Fold, { slots: { head: 'The day', default: '<p>4 °C</p>' } });
    const head = view.get('button');
    expect(head.text()).toBe('The day');
    expect(head.attributes('aria-expanded')).toBe('false');
    expect(view.text()).not.toContain('4 °C');
    await head.trigger('click');
    expect(head.attributes('aria-expanded')).toBe('true');
    expect(view.text()).toContain('4 °C');
    expect(view.find(`#${head.attributes('aria-controls')!}`).exists()).toBe(true);
  });

  it('may begin open', () => {
    const view = mount(Fold, { props: { startsOpen: true }, slots: { default: 'inside' } });
    expect(view.text()).toContain('inside');
  });
});

it('the unit button flips between yards and metres, and back to the player’s own', async () => {
  const view = mount(UnitButton, { props: { own: 'yd' }, global: { plugins: [freshPinia()] } });
  expect(view.get('b').text()).toBe('yd');
  await view.get('button').trigger('click');
  expect(view.get('b').text()).toBe('m');
  expect(view.get('button').attributes('title')).toBe('Show yards (Alt U)');
  await view.get('button').trigger('click');
  expect(view.get('b').text()).toBe('yd');
});

it('a link that looks like a button has an address, and goes there', async () => {
  const router = createRouter({
    history: createMemoryHistory(),
    routes: ['/', '/roster'].map((path) => ({ path, component: { template: '<p />' } })),
  });
  await router.push('/');
  const view = mount(LinkButton, {
    props: { to: '/roster' },
    slots: { default: 'To the roster' },
    global: { plugins: [router] },
  });
  expect(view.get('a').attributes('href')).toBe('/roster');
  await view.get('a').trigger('click');
  await router.isReady();
  await expect.poll(() => router.currentRoute.value.path).toBe('/roster');
});

it('progress tells its share to a screen reader', () => {
  const view = mount(WorkProgress, { props: { share: 0.42, label: 'Playing the course' } });
  expect(view.attributes()).toMatchObject({ 'aria-valuenow': '42', 'aria-label': 'Playing the course' });
});

it('style sheets get every colour of the theme', () => {
  const root = document.createElement('div');
  for (const dark of [true, false]) {
    applyTokens(dark, root);
    expect(root.classList.contains('dark')).toBe(dark);
    expect(root.style.getPropertyValue('--linen-deep')).toBe(tokensFor(dark).linenDeep);
    expect(root.style.getPropertyValue('--brick-ink')).toBe(tokensFor(dark).brickInk);
  }
});
