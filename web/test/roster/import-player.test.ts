import { flushPromises, mount } from '@vue/test-utils';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { createMemoryHistory, createRouter } from 'vue-router';
import ImportPlayer from '../../src/roster/ImportPlayer.vue';
import FileField from '../../src/fields/FileField.vue';
import { freshPinia } from '../pinia';
import { until } from '../until';

const HEAD = {
  format: 'tasche-player',
  version: 1,
  name: 'Ana Duarte',
  takenOutAt: '2026-11-20T09:00:00.000Z',
  rows: { player: 1, club: 14, strike: 1200, wish: 1 },
};

/** A server that answers what is sent as told; the network is played here. */
class PlayedCall {
  static calls: PlayedCall[] = [];
  upload = { onprogress: (_: { loaded: number; total: number }) => undefined };
  onload = () => undefined;
  onabort = () => undefined;
  status = 0;
  response: unknown = null;
  path = '';
  body: Blob | null = null;
  open(_method: string, path: string) {
    this.path = path;
    PlayedCall.calls.push(this);
  }
  setRequestHeader() {
    return undefined;
  }
  send(body: Blob) {
    this.body = body;
  }
  abort() {
    this.onabort();
  }
  answer(status: number, response: unknown) {
    Object.assign(this, { status, response });
    this.onload();
  }
}

describe('bringing a player in', () => {
  const router = () =>
    createRouter({
      history: createMemoryHistory(),
      routes: [
        { path: '/players/:playerId', name: 'bag', component: { template: '<i />' } },
        { path: '/', component: { template: '<i />' } },
      ],
    });
  async function shown(file: File) {
    const to = router();
    const view = mount(ImportPlayer, { global: { plugins: [to], stubs: { teleport: true } } });
    await flushPromises();
    view.findComponent(FileField).vm.$emit('file', file);
    await until(() => {
      expect(view.find('[role="status"], [role="alert"]').exists()).toBe(true);
    });
    const button = (name: RegExp) => view.findAll('button').find((one) => name.test(one.text()))!;
    return { view, to, button };
  }
  const fileOf = (text: string) => new File([text], 'ana.jsonl');

  beforeEach(() => {
    freshPinia();
    PlayedCall.calls = [];
    vi.stubGlobal('XMLHttpRequest', PlayedCall);
  });
  afterEach(() => {
    vi.unstubAllGlobals();
  });

  it('says who is in the file and how much of them, sends it, shows how far, and goes to their bag', async () => {
    const { view, to, button } = await shown(fileOf(`${JSON.stringify(HEAD)}\n{"row":"player"}\n`));
    expect(view.text()).toContain('Ana Duarte');
    expect(view.text()).toContain('14 clubs, 1,200 shots, 1 wish.');
    await button(/Import Ana Duarte/).trigger('click');
    const [call] = PlayedCall.calls;
    expect(call!.path).toMatch(/^\/api\/players\/from-file\?changeId=[0-9a-f-]{36}$/);
    expect(call!.body!.size).toBeGreaterThan(100);
    call!.upload.onprogress({ loaded: 1, total: 2 });
    await flushPromises();
    expect(view.get('[role="progressbar"]').attributes('aria-valuenow')).toBe('50');
    call!.answer(200, { playerId: 'p9' });
    await until(() => {
      expect(to.currentRoute.value.path).toBe('/players/p9');
    });
  });

  it('names line and field of what is refused, keeps the file, and is the same change when sent again', async () => {
    const { view, button } = await shown(fileOf(`${JSON.stringify(HEAD)}\n`));
    await button(/Import Ana/).trigger('click');
    PlayedCall.calls[0]!.answer(400, {
      error: 'bad-input',
      message: 'Line 7: club: kind must be one of … Nothing was imported.',
      fields: [{ field: 'line 7, club.kind', message: 'kind' }],
    });
    await flushPromises();
    expect(view.get('[role="alert"]').text()).toContain('Line 7');
    expect(view.get('[role="alert"]').text()).toContain('line 7, club.kind');
    await button(/Import Ana/).trigger('click');
    expect(PlayedCall.calls[1]!.path).toBe(PlayedCall.calls[0]!.path);
    await button(/Cancel/).trigger('click');
    await flushPromises();
    expect(view.get('[role="alert"]').text()).toContain('Cancelled; nothing was imported.');
  });

  it('a file of something else is reported before it is sent', async () => {
    const { view, button } = await shown(fileOf('club,loft\n7 iron,31\n'));
    expect(view.get('[role="alert"]').text()).toContain('ana.jsonl is not a player’s file');
    expect(button(/^Import/).attributes('disabled')).toBeDefined();
    expect(PlayedCall.calls).toHaveLength(0);
  });
});
