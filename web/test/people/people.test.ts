import type { ChangeRequest, PeopleView, Problem, SignedInView } from '@tasche/contract';
import { flushPromises, mount } from '@vue/test-utils';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { nextTick } from 'vue';
import { createMemoryHistory, createRouter } from 'vue-router';
import { post, request } from '../../src/api/request';
import { signedIn, signedOut } from '../../src/api/signed-in';
import { useOutbox, type Outgoing } from '../../src/changes/outbox';
import HandOverPanel from '../../src/people/HandOverPanel.vue';
import MemberForm from '../../src/people/MemberForm.vue';
import PeopleViewPage from '../../src/people/PeopleView.vue';
import SignInView from '../../src/people/SignInView.vue';
import WelcomeView from '../../src/people/WelcomeView.vue';
import { useIdentity } from '../../src/people/identity';
import { agentWords } from '../../src/people/moment-words';
import { freshPinia } from '../pinia';
import { until } from '../until';

/** The network is played here; everything of ours is real. */
type Answer = { status: number; body: unknown };
let answers: Record<string, Answer[]> = {};
let asked: { path: string; method: string; csrf: string | null; body: unknown }[] = [];

const view = (more: Partial<SignedInView> = {}): SignedInView => ({
  workspace: { id: 'w1', name: 'Van' },
  who: 'Jonas',
  personId: 'p1',
  role: 'owner',
  playerIds: null,
  workspaces: [{ id: 'w1', name: 'Van', role: 'owner' }],
  means: 'session',
  csrf: 'token-1',
  ...more,
});
const problem = (error: Problem['error'], message: string): Problem => ({ error, message });

beforeEach(() => {
  localStorage.clear();
  freshPinia();
  signedIn.value = null;
  answers = {};
  asked = [];
  vi.stubGlobal('fetch', (address: string, init: RequestInit = {}) => {
    const path = address.replace(/^\/api/, '');
    const headers = new Headers(init.headers);
    asked.push({
      path,
      method: init.method ?? 'GET',
      csrf: headers.get('x-csrf-token'),
      body: typeof init.body === 'string' ? JSON.parse(init.body) : null,
    });
    const list = answers[path];
    const answer = (list && list.length > 1 ? list.shift() : list?.[0]) ?? {
      status: 404,
      body: problem('not-found', 'There is nothing at this address.'),
    };
    return Promise.resolve(Response.json(answer.body, { status: answer.status }));
  });
});
afterEach(() => {
  vi.unstubAllGlobals();
});

describe('who is signed in', () => {
  it('is asked once, and everything written bears what belongs to the session', async () => {
    answers['/signed-in'] = [{ status: 200, body: view() }];
    answers['/thing'] = [{ status: 200, body: {} }];
    const identity = useIdentity();
    await identity.load();
    expect([identity.state, identity.view?.who]).toEqual(['in', 'Jonas']);
    await post('/thing', {});
    await request('/thing');
    expect(asked.map(({ path, csrf }) => [path, csrf])).toEqual([
      ['/signed-in', null],
      ['/thing', 'token-1'],
      ['/thing', null],
    ]);
  });

  it('a session begun again in another tab is taken up, and what was written is written once more', async () => {
    signedIn.value = view();
    answers['/thing'] = [
      { status: 403, body: problem('page-too-old', 'old') },
      { status: 200, body: { ok: true } },
    ];
    answers['/signed-in'] = [{ status: 200, body: view({ csrf: 'token-2' }) }];
    expect(await post('/thing', { a: 1 })).toEqual({ ok: true });
    expect(asked.map(({ path, csrf }) => `${path} ${csrf}`)).toEqual([
      '/thing token-1',
      '/signed-in null',
      '/thing token-2',
    ]);
  });

  it('a page whose session went to another workspace sends nothing there, and opens again', async () => {
    signedIn.value = view();
    answers['/thing'] = [{ status: 403, body: problem('page-too-old', 'old') }];
    answers['/signed-in'] = [{ status: 200, body: view({ workspace: { id: 'w2', name: 'Other' } }) }];
    const assign = vi.spyOn(window.location, 'assign').mockImplementation(() => undefined);
    await expect(post('/thing', {})).rejects.toThrow('the page reloads');
    expect(assign).toHaveBeenCalledWith('/roster');
    expect(asked.map(({ path }) => path)).toEqual(['/thing', '/signed-in']);
    assign.mockRestore();
  });

  it('signing out leaves nothing half typed in the tab', async () => {
    const assign = vi.spyOn(window.location, 'assign').mockImplementation(() => undefined);
    answers['/sign-out'] = [{ status: 200, body: {} }];
    sessionStorage.setItem('tasche.form/p1/wish', '{}');
    await useIdentity().signOut();
    expect(sessionStorage).toHaveLength(0);
    expect(assign).toHaveBeenCalledWith('/');
    assign.mockRestore();
  });

  it('a signed-out person sees nothing more, and what they typed waits for them alone', async () => {
    signedIn.value = view();
    const identity = useIdentity();
    identity.state = 'in';
    const outbox = useOutbox();
    answers['/changes'] = [{ status: 401, body: problem('signed-out', 'You are signed out here.') }];
    outbox.push(edit('c1'));
    await until(() => {
      expect(identity.state).toBe('out');
    });
    expect(identity.view).toBeNull();
    // Kept, though nobody else is shown it, nor sends it.
    expect(Object.keys(localStorage).filter((key) => key.startsWith('tasche.outbox/'))).toHaveLength(1);
    expect(outbox.count).toBe(0);
    answers['/changes'] = [{ status: 200, body: result }];
    identity.take(view({ personId: 'somebody else' }));
    await flushPromises();
    expect(asked.filter(({ path }) => path === '/changes')).toHaveLength(1);
    await signedOut.trigger();
    identity.take(view());
    await until(() => {
      expect(asked.filter(({ path }) => path === '/changes')).toHaveLength(2);
    });
    await until(() => {
      expect(Object.keys(localStorage).filter((key) => key.startsWith('tasche.outbox/'))).toHaveLength(0);
    });
  });

  it('a server that does not answer is reported, and asked again until it does', async () => {
    answers['/signed-in'] = [
      { status: 503, body: problem('database-away', 'The database cannot be reached.') },
      { status: 200, body: view() },
    ];
    const identity = useIdentity();
    await identity.load();
    expect([identity.state, identity.away]).toEqual(['asking', 'The database cannot be reached.']);
    await until(() => {
      expect([identity.state, identity.away]).toEqual(['in', '']);
    });
  });

  it('what a role may not do is not asked, and comes back with the reason', async () => {
    signedIn.value = view({ role: 'caddie' });
    const outbox = useOutbox();
    outbox.push(edit('c2'));
    await flushPromises();
    expect(asked).toEqual([]);
    expect(outbox.returned.map(({ problem: { message } }) => message)).toEqual([
      'You are here as caddie or coach: reads; writes notes.',
    ]);
  });
});

describe('the way in', () => {
  const type = async (wrapper: ReturnType<typeof mount>, label: string, text: string) => {
    await wrapper.find(`input[aria-label="${label}"]`).setValue(text);
  };

  it('asks for a code only where one is used, and says what is wrong without guessing', async () => {
    document.title = 'Ana · Bag · Tasche';
    const wrapper = mount(SignInView, { attachTo: document.body });
    expect(document.title).toBe('Sign in · Tasche');
    answers['/sign-in'] = [
      { status: 401, body: problem('signed-out', 'That e-mail address and password do not match.') },
      { status: 401, body: problem('code-needed', 'Type the six digits your authenticator shows.') },
      { status: 401, body: problem('code-needed', 'That code is not right, or was used already.') },
      { status: 200, body: view() },
    ];
    await type(wrapper, 'E-mail', 'jonas@van.example');
    await type(wrapper, 'Password', 'anything');
    const submit = async () => {
      await wrapper.find('form').trigger('submit');
      await flushPromises();
    };
    await submit();
    expect(wrapper.find('[role=alert]').text()).toContain('do not match');
    expect(wrapper.find('input[aria-label="Code"]').exists()).toBe(false);
    await type(wrapper, 'Password', 'anything at all');
    await submit();
    // That a code is wanted is no fault.
    expect(wrapper.find('[role=alert]').exists()).toBe(false);
    await type(wrapper, 'Code', '123456');
    await submit();
    expect(wrapper.find('[role=alert]').text()).toContain('not right');
    await type(wrapper, 'Code', ' 654321 ');
    await submit();
    expect(asked.at(-1)!.body).toEqual({
      email: 'jonas@van.example',
      password: 'anything at all',
      stay: false,
      code: '654321',
    });
    expect(useIdentity().state).toBe('in');
    wrapper.unmount();
  });

  it('names the invalid field, and sends no request', async () => {
    const wrapper = mount(SignInView);
    await type(wrapper, 'E-mail', 'no address');
    await wrapper.find('form').trigger('submit');
    await flushPromises();
    await until(() => {
      expect(wrapper.text()).toContain('E-mail must be an e-mail address');
    });
    expect(asked).toEqual([]);
  });
});

const mounted = async (component: object, props: object = {}) => {
  const router = createRouter({
    history: createMemoryHistory(),
    routes: [
      { path: '/players/:playerId', name: 'bag', component: { template: '<i />' } },
      { path: '/:rest(.*)*', component: { template: '<i />' } },
    ],
  });
  const wrapper = mount(component, { props, global: { plugins: [router] } });
  await flushPromises();
  return { wrapper, router };
};

describe('a player who is handed over', () => {
  it('is offered as a copy unless "for good" is chosen; the link is shown once', async () => {
    signedIn.value = view();
    answers['/players/a/hand-over'] = [
      {
        status: 200,
        body: { url: 'https://van.example/welcome#k', expiresAt: '2026-12-04T10:00:00Z', mailed: null },
      },
    ];
    const { wrapper } = await mounted(HandOverPanel, { player: { id: 'a', name: 'Davor Kolar' } });
    await wrapper.get('button').trigger('click');
    await flushPromises();
    expect(asked.at(-1)).toMatchObject({ path: '/players/a/hand-over', body: { how: 'copy' } });
    expect(wrapper.text()).toContain('https://van.example/welcome#k');
    await wrapper.findAll('input[type=radio]')[1]!.setValue(true);
    await wrapper.get('button').trigger('click');
    await flushPromises();
    expect(asked.at(-1)).toMatchObject({ body: { how: 'move' } });
  });

  it.each([
    ['owner', 'Take Davor Kolar into Van'],
    ['rep', 'is not yours, so you cannot add players to it'],
  ] as const)('is taken by an owner alone: %s', async (role, words) => {
    const identity = useIdentity();
    const workspaces = [
      { id: 'w1', name: 'Van', role },
      { id: 'w2', name: 'Winter van', role: 'owner' as const },
    ];
    answers['/signed-in'] = [{ status: 200, body: view({ role, workspaces }) }];
    await identity.load();
    answers['/links/look'] = [
      {
        status: 200,
        body: {
          purpose: 'move',
          workspaceName: 'Fjord van',
          role: null,
          name: 'Davor Kolar',
          email: '',
          known: false,
        },
      },
    ];
    answers['/links/take'] = [{ status: 200, body: { playerId: 'a' } }];
    window.location.hash = '#key';
    const { wrapper, router } = await mounted(WelcomeView);
    expect(wrapper.text()).toContain('Davor Kolar, from Fjord van');
    expect(wrapper.text()).toContain('deleted where it was');
    expect(wrapper.text()).toContain(words);
    // Whoever owns another workspace goes there with the offer.
    const elsewhere = wrapper.findAll('button').find((button) => button.text() === 'Go to Winter van');
    answers['/workspaces/enter'] = [{ status: 200, body: {} }];
    const reload = vi.spyOn(window.location, 'reload').mockImplementation(() => undefined);
    await elsewhere!.trigger('click');
    await until(() => {
      expect(reload).toHaveBeenCalled();
    });
    expect(asked.at(-1)).toMatchObject({ path: '/workspaces/enter', body: { workspaceId: 'w2' } });
    reload.mockRestore();
    if (role !== 'owner') return;
    await wrapper.get('button').trigger('click');
    await flushPromises();
    expect(asked.at(-1)).toMatchObject({ path: '/links/take', body: { key: 'key' }, csrf: 'token-1' });
    expect(router.currentRoute.value.params).toEqual({ playerId: 'a' });
    window.location.hash = '';
  });
});

describe('an invitation that is opened where somebody else is signed in', () => {
  const invitation = {
    purpose: 'invitation',
    workspaceName: 'Fjord van',
    role: 'player',
    name: 'Kari Lund',
    email: 'kari@van.example',
    known: false,
  };
  const deleted: string[] = [];
  const opened: string[] = [];
  beforeEach(() => {
    deleted.length = 0;
    opened.length = 0;
    vi.stubGlobal('caches', {
      delete: (name: string) => {
        deleted.push(name);
        return Promise.resolve(true);
      },
    });
    vi.spyOn(window.location, 'assign').mockImplementation((to) => {
      opened.push(String(to));
    });
    sessionStorage.setItem('tasche.trays/a', '[]');
    window.location.hash = '#key';
    answers['/signed-in'] = [{ status: 200, body: view() }];
    answers['/links/look'] = [{ status: 200, body: invitation }];
  });
  afterEach(() => {
    vi.mocked(window.location.assign).mockRestore();
    sessionStorage.clear();
    window.location.hash = '';
  });

  it('says so; the new account finds nothing of who was here before', async () => {
    const identity = useIdentity();
    await identity.load();
    const { wrapper } = await mounted(WelcomeView);
    expect(wrapper.text()).toContain('You are signed in here as Jonas. Making the account signs you out');
    answers['/links/use'] = [
      { status: 200, body: view({ personId: 'p2', who: 'Kari Lund', role: 'player', csrf: 'token-2' }) },
    ];
    for (const label of ['Password', 'Password again'])
      await wrapper.get(`input[aria-label="${label}"]`).setValue('seven iron off wet turf');
    await wrapper.get('form').trigger('submit');
    await until(() => {
      expect(opened).toEqual(['/roster']);
    });
    expect(deleted).toEqual(['tasche-last-seen']);
    expect(sessionStorage).toHaveLength(0);
    // Until the page has opened anew, nothing is shown or sent as the other.
    expect(identity.view?.who).toBe('Jonas');
  });

  it('is taken up by who is signed in, in a page of that workspace', async () => {
    await useIdentity().load();
    const { wrapper } = await mounted(WelcomeView);
    answers['/links/join'] = [{ status: 200, body: view({ workspace: { id: 'w2', name: 'Fjord van' } }) }];
    const join = wrapper.findAll('button').find((button) => button.text() === 'Join as Jonas instead');
    await join!.trigger('click');
    await until(() => {
      expect(opened).toEqual(['/roster']);
    });
    expect(deleted).toEqual(['tasche-last-seen']);
    // What they half typed stays theirs.
    expect(sessionStorage.getItem('tasche.trays/a')).toBe('[]');
  });

  it('names whose password is set', async () => {
    await useIdentity().load();
    answers['/links/look'] = [
      { status: 200, body: { ...invitation, purpose: 'reset', role: null, workspaceName: 'Van' } },
    ];
    const { wrapper } = await mounted(WelcomeView);
    expect(wrapper.get('h1').text()).toBe('A new password for Kari Lund');
    expect(wrapper.text()).toContain('You are signed in here as Jonas');
    expect(wrapper.text()).not.toContain('Join as');
  });
});

describe('people', () => {
  const people: PeopleView = {
    members: [
      {
        personId: 'p1',
        name: 'Jonas',
        email: 'jonas@van.example',
        role: 'owner',
        playerIds: null,
        since: '2026-11-01T10:00:00Z',
        code: true,
      },
      {
        personId: 'p2',
        name: 'Davor',
        email: 'davor@van.example',
        role: 'player',
        playerIds: ['a'],
        since: '2026-11-02T10:00:00Z',
        code: false,
      },
    ],
    invitations: [],
  };
  const open = async () => {
    answers['/people'] = [{ status: 200, body: people }];
    answers['/players?limit=200'] = [
      { status: 200, body: { rows: [{ player: { id: 'a', name: 'Davor Kolar' } }], total: 1, next: null } },
    ];
    answers['/audit?limit=25'] = [{ status: 200, body: { rows: [], total: 0, next: null } }];
    const wrapper = mount(PeopleViewPage, {
      global: {
        plugins: [
          createRouter({
            history: createMemoryHistory(),
            routes: [{ path: '/:rest(.*)*', component: { template: '<i />' } }],
          }),
        ],
      },
    });
    await flushPromises();
    return wrapper;
  };

  it('are shown with what they are and see; no one removes themselves', async () => {
    signedIn.value = view();
    const wrapper = await open();
    const rows = wrapper.findAll('tbody tr').map((row) => row.text());
    expect(rows[0]).toMatch(/Jonas.*you.*Owner.*second factor.*everybody/s);
    expect(rows[0]).not.toContain('Remove');
    expect(rows[1]).toMatch(/Player.*password only.*Davor Kolar/s);
    expect(rows[1]).toContain('Remove');
  });

  it.each([
    [true, 'It was sent by e-mail.'],
    [false, 'could not be sent. Send the link yourself'],
    [null, 'Send it yourself; it works once'],
  ])('a link says whether a letter with it was sent: %s', async (mailed, words) => {
    signedIn.value = view();
    const wrapper = await open();
    answers['/people/reset'] = [
      {
        status: 200,
        body: { url: 'https://van.example/welcome#key', expiresAt: '2026-12-04T10:00:00Z', mailed },
      },
    ];
    const button = wrapper.findAll('button').find((one) => /password/i.test(one.text()))!;
    await button.trigger('click');
    await flushPromises();
    expect(wrapper.text().replace(/\s+/g, ' ')).toContain(words);
    expect(wrapper.text()).toContain('https://van.example/welcome#key');
  });

  it('are for owners only', async () => {
    signedIn.value = view({ role: 'rep' });
    const wrapper = await open();
    expect(wrapper.text()).toContain('Only an owner of the workspace can invite people');
    expect(asked).toEqual([]);
  });

  it('a player is named, everybody else is not kept to players', async () => {
    const wrapper = mount(MemberForm, {
      props: { players: [{ id: 'a', name: 'Davor Kolar' }], invites: true },
    });
    await wrapper.find('input[aria-label="Name"]').setValue('Kari');
    await wrapper.find('input[aria-label="E-mail"]').setValue('kari@van.example');
    await wrapper.find('form').trigger('submit');
    await flushPromises();
    expect(wrapper.emitted('invite')).toBeUndefined();
    const radios = wrapper.findAll('input[type=radio]');
    await radios[2]!.setValue(true);
    await nextTick();
    await wrapper.find('form').trigger('submit');
    await flushPromises();
    expect(wrapper.emitted('invite')).toEqual([
      ['Kari', 'kari@van.example', { role: 'assistant', playerIds: null }],
    ]);
  });

  it.each([
    [
      'Mozilla/5.0 (X11; Linux x86_64) AppleWebKit/537.36 (KHTML, like Gecko) Chrome/156.0 Safari/537.36',
      'Chrome on Linux',
    ],
    [
      'Mozilla/5.0 (iPhone; CPU iPhone OS 19_0 like Mac OS X) AppleWebKit/605.1 Version/19.0 Safari/604.1',
      'Safari on iPhone',
    ],
    ['Mozilla/5.0 (Android 16; Mobile; rv:150.0) Gecko/150.0 Firefox/150.0', 'Firefox on Android'],
    ['curl/8.1', 'curl/8.1'],
    ['', 'an unknown program'],
  ])('a browser that says %s', (agent, words) => {
    expect(agentWords(agent)).toBe(words);
  });
});

function edit(id: string): Outgoing {
  return {
    kind: 'change',
    playerId: 'p',
    request: {
      id,
      commands: [{ do: 'editClub', clubId: 'a', version: 1, set: { name: 'X' } }],
    } as unknown as ChangeRequest,
  };
}
const result = {
  change: {
    id: 'c1',
    playerId: 'p',
    at: '2026-11-25T10:00:00Z',
    who: 'Jonas',
    why: '',
    summary: '',
    undoes: null,
    undone: false,
  },
  ...Object.fromEntries(
    [
      'players',
      'clubs',
      'bags',
      'plans',
      'sessions',
      'courses',
      'seasons',
      'events',
      'tickets',
      'wishes',
    ].map((kind) => [kind, []]),
  ),
};
