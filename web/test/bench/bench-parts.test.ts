import type { ChangeRequest, ClubView, Command, TicketView } from '@tasche/contract';
import { bendPlan, gaps, ladderClub } from '@tasche/core';
import { flushPromises, mount, type DOMWrapper } from '@vue/test-utils';
import jsQR from 'jsqr';
import { create } from 'qrcode';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { nextTick } from 'vue';
import { createMemoryHistory, createRouter } from 'vue-router';
import BuildSheetView from '../../src/bench/BuildSheetView.vue';
import CheckView from '../../src/bench/CheckView.vue';
import StepBars from '../../src/bench/StepBars.vue';
import TicketFinish from '../../src/bench/TicketFinish.vue';
import TicketsView from '../../src/bench/TicketsView.vue';
import WeightsView from '../../src/bench/WeightsView.vue';
import { useOutbox } from '../../src/changes/outbox';
import QuantityField from '../../src/fields/QuantityField.vue';
import { useSheet } from '../../src/sheet/sheet-store';
import { clubView, sheetOf, showSheet } from '../sheet';
import { freshPinia } from '../pinia';

const ON = '2026-10-01';
const fact = (value: number | string, takenOn = ON) => ({ value, takenOn });
const iron = (name: string, loft: number, more: ClubView['spec'] = {}): ClubView => ({
  ...clubView(name, { carryM: 230 - 3 * loft }),
  spec: {
    ...clubView(name, { carryM: 230 - 3 * loft }).spec,
    loftStampedDeg: fact(loft),
    lieDeg: fact(60 + loft / 20),
    lengthIn: fact(39 - loft / 20),
    swingWeight: fact('D2'),
    ...more,
  },
});
const irons = [iron('6', 28), iron('7', 32), iron('8', 36), iron('9', 40), iron('PW', 44)];

const routes = ['bench', 'bend-plan', 'weights', 'check', 'wear', 'putters', 'wishes'].map((name) => ({
  path: `/${name}`,
  name,
  component: { template: '<i />' },
}));
const router = () =>
  createRouter({
    history: createMemoryHistory(),
    routes: [
      ...routes,
      { path: '/roster', name: 'roster', component: { template: '<i />' } },
      { path: '/bag', name: 'bag', component: { template: '<i />' } },
      { path: '/build/:clubId', name: 'build', component: { template: '<i />' } },
      { path: '/:rest(.*)*', component: { template: '<i />' } },
    ],
  });
function open<P extends object>(view: object, props: P, clubs = irons, tickets: readonly TicketView[] = []) {
  const store = useSheet();
  showSheet({
    ...sheetOf(
      clubs,
      clubs.map(({ id }) => id),
    ),
    tickets,
  });
  const wrapper = mount(view, {
    props: { playerId: 'p', ...props } as never,
    global: { plugins: [router()] },
    attachTo: document.body,
  });
  return { store, wrapper };
}
const sent = (): Command[] =>
  useOutbox().waiting.flatMap((one) => (one as { request: ChangeRequest }).request.commands);
const field = (wrapper: { findAll: (selector: string) => DOMWrapper<Element>[] }, label: string) =>
  wrapper.findAll('input').find((one) => one.attributes('aria-label') === label)!;

beforeEach(() => {
  localStorage.clear();
  document.body.innerHTML = '';
  freshPinia();
  vi.stubGlobal('fetch', () => new Promise(() => {}));
});

describe('a field of a quantity', () => {
  it('reads as the sheet does, shows what it took, and keeps what it cannot read with the reason', async () => {
    const wrapper = mount(QuantityField, { props: { quantityKey: 'loftMeasuredDeg', value: null } });
    const input = wrapper.get('input');
    const write = async (text: string) => {
      await input.setValue(text);
      await input.trigger('change');
    };
    await write('44,5');
    expect(wrapper.emitted('update:value')!.at(-1)).toEqual([44.5]);
    expect(input.element.value).toBe('44.50°');
    await write('steep');
    // Nothing is written: a typing error clears no reading.
    expect(wrapper.emitted('update:value')).toHaveLength(1);
    expect(wrapper.emitted('bad')!.at(-1)).toEqual([true]);
    expect(wrapper.get('[role="alert"]').text()).toContain('Measured loft');
    expect(input.element.value).toBe('steep');
    await write('');
    expect(wrapper.find('[role="alert"]').exists()).toBe(false);
    expect(wrapper.emitted('update:value')!.at(-1)).toEqual([null]);
  });
});

describe('a ticket that is handed in', () => {
  const ticket: TicketView = {
    id: 't',
    playerId: 'p',
    version: 4,
    name: 'Bend the PW 1° weak',
    job: 'bend',
    clubId: 'PW',
    wanted: [{ key: 'loftSetDeg', value: 45 }],
    why: '',
    eventId: null,
    dueOn: null,
    state: 'asked',
    became: [],
    misses: [],
    doneOn: null,
    removed: false,
  };

  it('says a miss before it is recorded', async () => {
    const wrapper = mount(TicketFinish, { props: { ticket, club: irons[4] } });
    expect(wrapper.get('button[type="submit"]').attributes('disabled')).toBeDefined();
    const input = field(wrapper, 'loft became');
    await input.setValue('46');
    await input.trigger('change');
    expect(wrapper.text()).toContain('loft became 46.0° where 45.0° was wanted');
    expect(wrapper.get('button[type="submit"]').text()).toContain('open again');
    await input.setValue('steep');
    await input.trigger('change');
    expect(wrapper.get('button[type="submit"]').attributes('disabled')).toBeDefined();
    await wrapper.get('form').trigger('submit');
    expect(wrapper.emitted('finish')).toBeUndefined();
    await input.setValue('45.25');
    await input.trigger('change');
    expect(wrapper.get('button[type="submit"]').text()).toBe('Done');
    await wrapper.get('form').trigger('submit');
    expect(wrapper.emitted('finish')![0]![1]).toEqual([{ key: 'loftMeasuredDeg', value: 45.25 }]);
  });

  it('takes what was put on as it was asked, and leaves what is measured to be measured', async () => {
    const weighed = {
      ...ticket,
      wanted: [
        { key: 'swingWeight' as const, value: 'D4' },
        { key: 'leadG' as const, value: 2 },
        { key: 'grip' as const, value: 'Moos' },
      ],
    };
    const wrapper = mount(TicketFinish, { props: { ticket: weighed, club: irons[4] } });
    await nextTick();
    expect(field(wrapper, 'swing weight became').element).toHaveProperty('value', '');
    expect(field(wrapper, 'lead became').element).toHaveProperty('value', '2.0 g');
    expect(field(wrapper, 'grip became').element).toHaveProperty('value', 'Moos');
  });

  it('goes from the list to the club’s sheet, with its cautions beside it', async () => {
    const { wrapper, store } = open(TicketsView, {}, irons, [ticket]);
    expect(wrapper.text()).toContain('1 job open');
    expect(wrapper.text()).toContain('Eye protection');
    expect(wrapper.text()).toContain('loft 44.0° to 45.0°');
    await wrapper
      .findAll('button')
      .find((one) => one.text().startsWith('Enter what it became'))!
      .trigger('click');
    const input = field(wrapper, 'loft became');
    await input.setValue('45');
    await input.trigger('change');
    await wrapper.get('form.finish').trigger('submit');
    expect(sent()).toMatchObject([{ do: 'finishTicket', ticketId: 't', version: 4 }]);
    expect(store.clubsById.get('PW')!.spec.loftMeasuredDeg!.value).toBe(45);
    expect(wrapper.text()).toContain('Nothing is waiting on the bench');
    expect(wrapper.text()).toContain('1 ticket done or dropped');
  });
});

describe('a check', () => {
  it('saves each reading as it is typed, gives its verdict, and goes on to the next', async () => {
    const { wrapper, store } = open(CheckView, {});
    expect(wrapper.text()).toContain('0 of 5 clubs measured');
    const type = async (label: string, text: string) => {
      const input = field(wrapper, label);
      await input.setValue(text);
      await input.trigger('change');
      await input.trigger('keyup', { key: 'Enter' });
      await nextTick();
      await flushPromises();
    };
    await type('6, loft now', '28.1');
    expect(sent()[0]).toMatchObject({
      do: 'editClub',
      clubId: '6',
      readings: [{ key: 'loftMeasuredDeg', value: 28.1 }],
    });
    expect(wrapper.text()).toContain('1 of 5 clubs measured');
    // The lie of the sheet is what was wanted, and is recorded as set before it is measured over.
    await type('6, lie now', '60.4');
    expect(sent()[1]).toMatchObject({
      readings: [
        { key: 'lieSetDeg', value: 61.4, takenOn: ON },
        { key: 'lieDeg', value: 60.4 },
      ],
    });
    await type('7, loft now', '33');
    await type('8, loft now', '3.6');
    expect(wrapper.text()).toContain('1.0° over');
    expect(wrapper.text()).toContain('mistyped, or another club?');
    const make = wrapper.findAll('button').find((one) => one.text().includes('to bend back'))!;
    expect(make.text()).toBe('Make 2 tickets to bend back');
    await make.trigger('click');
    expect(store.sheet!.tickets.map(({ name }) => name)).toEqual(['Bend the 6 back', 'Bend the 7 back']);
  });
});

describe('weights down the set', () => {
  it('names what leaves its line and why, and brings marked clubs to a swing weight', async () => {
    const set = irons.map((club) =>
      club.id === '8'
        ? iron('8', 36, { swingWeight: fact('D6', '2026-05-03'), shaft: fact('Siv 107', '2026-05-03') })
        : { ...club, spec: { ...club.spec, shaft: fact('Rohr 105') } },
    );
    const { wrapper, store } = open(WeightsView, {}, set);
    expect(wrapper.text()).toContain('swing weight D6 where the set would have D2');
    expect(wrapper.text()).toContain('another shaft (Siv 107, where the others have Rohr 105) since');
    const rows = wrapper.findAll('table.set tbody tr').map((row) => row.text().replace(/\s+/g, ' '));
    expect(rows[0]).toMatch(/g on the head/);
    expect(rows[2]).toMatch(/g off the head, or .* g under the grip/);
    const make = wrapper.findAll('button').find((one) => /^Make \d+ tickets$/.test(one.text()))!;
    await make.trigger('click');
    expect(store.sheet!.tickets).toHaveLength(5);
    expect(store.sheet!.tickets[0]).toMatchObject({
      job: 'weight',
      wanted: [{ key: 'swingWeight', value: 'D4' }, { key: 'leadG' }],
    });
    expect(wrapper.text()).toContain('wash your hands');
  });
});

describe('a build sheet', () => {
  it('copies a build with a ticket, finds no difference, and puts it in the old one’s place', async () => {
    const { wrapper, store } = open(BuildSheetView, { clubId: '7' });
    expect(wrapper.text()).toContain('Not recorded: head, shaft, shaft weight, flex, grip');
    const press = async (words: string) => {
      await wrapper
        .findAll('button')
        .find((one) => one.text().startsWith(words))!
        .trigger('click');
      await nextTick();
    };
    await press('Copy this build');
    expect(wrapper.text()).toContain('No difference is left');
    const copy = store.clubs.find(({ name, id }) => name === '7' && id !== '7')!;
    expect(copy.spec.loftSetDeg!.value).toBe(32);
    expect(copy.spec['shot.full']).toBeUndefined();
    expect(store.sheet!.tickets).toMatchObject([
      { job: 'build', clubId: copy.id, name: 'Build the 7 again' },
    ]);
    await press('Replace the old one with it');
    expect(store.gamer!.clubIds).toContain(copy.id);
    expect(store.gamer!.clubIds).not.toContain('7');
    expect(store.clubsById.get('7')!.spec.state!.value).toBe('retired');
  });
});

it('steps are shown now and after, with their targets', () => {
  const clubs = irons
    .map(ladderClub)
    .map((club) =>
      club.id === 'PW' ? { ...club, shots: { full: { carryM: 85, source: 'stated' as const } } } : club,
    );
  const choices = new Map([
    ['9', [{ byDeg: 1, effort: 2 }]],
    ['PW', [{ byDeg: -1, effort: 2 }]],
  ]);
  const { now, plans } = bendPlan({ clubs, choices });
  const wrapper = mount(StepBars, { props: { now: gaps(clubs), then: plans.at(-1)!.report, unit: 'm' } });
  expect(now.report.steps).toHaveLength(4);
  const last = wrapper.findAll('li').at(-1)!;
  expect(last.text()).toMatch(/9 to PW.*→/);
  expect(wrapper.findAll('.target').length).toBeGreaterThan(0);
});

it('an address comes back out of its code, read by another library', () => {
  const address =
    'http://127.0.0.1:4300/players/7a5c4e00-0001-4000-8000-000000000000/clubs/7a5c4e00-0001-4000-8000-000000000109/build';
  const { modules } = create(address, { errorCorrectionLevel: 'M' });
  const [scale, margin] = [4, 4];
  const size = (modules.size + 2 * margin) * scale;
  const pixels = new Uint8ClampedArray(size * size * 4).fill(255);
  for (let y = 0; y < size; y++)
    for (let x = 0; x < size; x++) {
      const [row, column] = [Math.floor(y / scale) - margin, Math.floor(x / scale) - margin];
      const isInside = row >= 0 && column >= 0 && row < modules.size && column < modules.size;
      if (isInside && modules.get(row, column)) pixels.set([0, 0, 0, 255], (y * size + x) * 4);
    }
  expect(jsQR(pixels, size, size)?.data).toBe(address);
});
