import { mount, RouterLinkStub } from '@vue/test-utils';
import { describe, expect, it } from 'vitest';
import SessionList from '../../src/range/SessionList.vue';
import { session } from './session';

/** A hundred sessions, newest first. */
const SESSIONS = Array.from({ length: 100 }, (_one, i) => session(`s${100 - i}`, '2026-10-01'));
const list = (shownId?: string) =>
  mount(SessionList, {
    props: { playerId: 'p', sessions: SESSIONS, shownId },
    global: { stubs: { RouterLink: RouterLinkStub } },
  });
const names = (view: ReturnType<typeof list>) => view.findAll('.place').map((place) => place.text());

describe('the list of sessions', () => {
  it('begins with the newest, says how many are earlier, and goes on to all of them', async () => {
    const view = list('s100');
    expect(names(view)).toHaveLength(40);
    expect(names(view)[0]).toBe('s100');
    expect(view.get('button').text()).toBe('60 earlier');
    await view.get('button').trigger('click');
    await view.get('button').trigger('click');
    expect(names(view)).toHaveLength(100);
    expect(view.find('button').exists()).toBe(false);
  });

  it('holds the one that is looked at, however old it is, and goes on holding what was shown', async () => {
    const view = list('s50');
    expect(names(view)).toContain('s50');
    expect(view.get('.here').text()).toContain('s50');
    await view.setProps({ shownId: 's100' });
    expect(names(view)).toContain('s50');
    await view.setProps({ shownId: 's1' });
    expect(names(view)).toContain('s1');
  });

  it('of a few sessions has nothing earlier', () => {
    const view = mount(SessionList, {
      props: { playerId: 'p', sessions: SESSIONS.slice(0, 2), shownId: undefined },
      global: { stubs: { RouterLink: RouterLinkStub } },
    });
    expect(names(view)).toEqual(['s100', 's99']);
    expect(view.find('button').exists()).toBe(false);
  });
});
