import type { BrowserSessionView } from '@tasche/contract';
import { mount } from '@vue/test-utils';
import { expect, it } from 'vitest';
import SessionList from '../../src/people/SessionList.vue';

const session = (id: string, current: boolean): BrowserSessionView => ({
  id,
  agent: 'Mozilla/5.0 (X11; Linux x86_64) Firefox/140.0',
  address: `127.0.0.${id}`,
  signedInAt: '2026-11-20T09:00:00Z',
  endsAt: '2027-11-20T09:00:00Z',
  current,
});

it('ends another browser’s session, not one’s own, and all others at once', async () => {
  const view = mount(SessionList, { props: { sessions: [session('1', true), session('2', false)] } });
  const rows = view.findAll('tbody tr');
  expect(rows.map((row) => row.text().includes('this one'))).toEqual([true, false]);
  expect(rows[0]!.find('button').exists()).toBe(false);
  await rows[1]!.get('button[aria-label^="End the session of"]').trigger('click');
  await view
    .findAll('button')
    .find((button) => button.text() === 'End all others')!
    .trigger('click');
  expect(view.emitted('end')).toEqual([['2'], ['others']]);
  // The head of the buttons is there for those who do not see them.
  expect(view.findAll('th').at(-1)!.text()).toBe('End');
});

it('one browser alone has no others', () => {
  const view = mount(SessionList, { props: { sessions: [session('1', true)] } });
  expect(view.text()).not.toContain('End all others');
});
