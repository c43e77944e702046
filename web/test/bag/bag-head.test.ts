import type { BagView } from '@tasche/contract';
import { mount } from '@vue/test-utils';
import { beforeEach, describe, expect, it } from 'vitest';
import { createMemoryHistory, createRouter } from 'vue-router';
import BagHead from '../../src/bag/BagHead.vue';
import BagTools from '../../src/bag/BagTools.vue';
import ChoiceField from '../../src/fields/ChoiceField.vue';
import { COLUMN_SETS } from '../../src/sheet/sheet-columns';
import { clubView, sheetOf, showSheet } from '../sheet';
import { freshPinia } from '../pinia';

const router = () =>
  createRouter({
    history: createMemoryHistory(),
    routes: [
      { path: '/bag/:playerId/:bagId?', name: 'bag', component: { template: '<i />' } },
      { path: '/flight/:playerId/:bagId?', name: 'flight', component: { template: '<i />' } },
      { path: '/:rest(.*)*', component: { template: '<i />' } },
    ],
  });
const CLUBS = [clubView('7', { carryM: 150 }), clubView('8')];
let gamer: BagView;

beforeEach(() => {
  localStorage.clear();
  freshPinia();
  const sheet = sheetOf(CLUBS, ['7', '8']);
  gamer = { ...sheet.bags[0]!, name: 'Links' };
  showSheet({ ...sheet, bags: [gamer, { ...gamer, id: 'b', name: 'Winter', gamer: false }] });
});

describe('the head of a bag', () => {
  const head = (more: object = {}) =>
    mount(BagHead, {
      props: {
        bag: gamer,
        count: 2,
        tooMany: 0,
        limit: 14,
        carryClubs: CLUBS,
        unknown: [CLUBS[1]!],
        strategy: 'even-carries' as const,
        ...more,
      },
      global: { plugins: [router()] },
    });

  it('says whose it is, what it is, and how many carries are not known, which leads to them', async () => {
    const view = head();
    expect(view.text()).toContain('Ana');
    expect(view.text()).toContain('2 clubs');
    // A gamer that is not called so says that it is.
    expect(view.get('.badge').text()).toBe('gamer');
    await view.get('.unknown').trigger('click');
    expect(view.emitted('nextUnknown')).toHaveLength(1);
    expect(view.get('.unknown').text()).toBe('1 of 2 carries not known yet');
  });

  it('says who changed the player last, with the day as people write it', () => {
    const year = new Date().getFullYear();
    const lastChange = {
      id: 'c',
      at: `${year}-11-28T10:00:00Z`,
      who: 'Kari',
      summary: `Round of ${year}-11-27 added`,
      why: null,
    };
    showSheet({ ...sheetOf(CLUBS, ['7', '8']), bags: [gamer], lastChange } as never);
    expect(head().get('.last').text()).toMatch(/last change by Kari, 28 Nov .*: Round of 27 Nov added/);
  });

  it('says how many must go, with the Rule, and nothing of it while none must', () => {
    expect(head({ tooMany: 2 }).text()).toContain('2 must go: 14 is the limit (Rule 4.1b)');
    expect(head().text()).not.toContain('must go');
  });

  it('leads to another bag, and changes how this one is spaced', async () => {
    const view = head();
    const [bags, strategies] = view.findAllComponents(ChoiceField);
    expect((bags!.props() as { options: unknown }).options).toMatchObject([
      { label: 'Links (gamer)' },
      { label: 'Winter' },
    ]);
    strategies!.vm.$emit('update:value', 'minimal');
    expect(view.emitted('update:strategy')).toEqual([['minimal']]);
    await view.vm.$nextTick();
  });
});

describe('the tools of a bag', () => {
  const tools = (more: object = {}) =>
    mount(BagTools, {
      props: {
        bag: gamer,
        inAir: false,
        readOnly: false,
        active: '7',
        columnSet: COLUMN_SETS[0]!,
        asTable: false,
        airOpen: false,
        picking: false,
        ...more,
      },
      global: { plugins: [router()] },
    });
  const button = (view: ReturnType<typeof tools>, words: string) =>
    view.findAll('button').find((one) => one.text().startsWith(words))!;

  it('change the columns, the ladder, the air and what goes in and out', async () => {
    const view = tools();
    await button(view, COLUMN_SETS[1]!.name).trigger('click');
    await button(view, 'Ladder as a table').trigger('click');
    await button(view, 'Air and ground').trigger('click');
    await button(view, 'Put a club in').trigger('click');
    await button(view, 'Take out 7').trigger('click');
    expect(view.emitted('update:columnSet')).toEqual([[COLUMN_SETS[1]]]);
    expect(view.emitted('update:asTable')).toEqual([[true]]);
    expect(view.emitted('update:airOpen')).toEqual([[true]]);
    expect(view.emitted('update:picking')).toEqual([[true]]);
    expect(view.emitted('takeOut')).toHaveLength(1);
  });

  it('say what is shown, and have nothing that changes a bag that is only read', () => {
    const shown = tools({ inAir: true, asTable: true });
    expect(button(shown, 'In this air').attributes('aria-pressed')).toBe('true');
    expect(button(shown, 'Ladder as a picture').exists()).toBe(true);
    const readOnly = tools({ readOnly: true });
    expect(readOnly.text()).not.toContain('Put a club in');
    expect(button(tools({ active: undefined }), 'Take out').attributes('disabled')).toBeDefined();
  });
});
