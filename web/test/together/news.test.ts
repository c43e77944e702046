import type { NewsView, SheetView, SignedInView } from '@tasche/contract';
import { flushPromises, mount } from '@vue/test-utils';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { effectScope } from 'vue';
import { useSheet } from '../../src/sheet/sheet-store';
import { reader, useRead } from '../../src/api/read';
import { signedIn } from '../../src/api/signed-in';
import NewsLine from '../../src/together/NewsLine.vue';
import { useNews } from '../../src/together/news';
import { clubView, sheetOf } from '../sheet';
import { endPinias, freshPinia } from '../pinia';
import { until } from '../until';

/** The stream is played here; everything of ours is real. */
class Stream extends EventTarget {
  static last: Stream;
  static OPEN = 1;
  static CLOSED = 2;
  readyState = 1;
  constructor(readonly address: string) {
    super();
    Stream.last = this;
  }
  close(): void {
    this.readyState = 2;
  }
  say(event: string, data: object = {}): void {
    this.dispatchEvent(new MessageEvent(event, { data: JSON.stringify(data) }));
  }
}

let sheet: SheetView;
let reads = 0;
const change = (more: Partial<NewsView> = {}): NewsView => ({
  changeId: 'theirs',
  playerIds: ['p'],
  many: false,
  who: 'Kari',
  summary: '7 iron: set loft',
  schedule: false,
  ...more,
});

beforeEach(async () => {
  localStorage.clear();
  freshPinia();
  reads = 0;
  sheet = sheetOf([clubView('a')], ['a']);
  vi.stubGlobal('EventSource', Stream);
  vi.stubGlobal('fetch', () => {
    reads += 1;
    return Promise.resolve(Response.json(sheet));
  });
  await useSheet().load('p');
  reads = 0;
  useNews().open();
  Stream.last.say('here');
});
afterEach(() => {
  vi.unstubAllGlobals();
  document.body.innerHTML = '';
});

describe('what others change', () => {
  it('is read again and said with who it was, where it is of what is on the screen', async () => {
    const news = useNews();
    Stream.last.say('change', change({ playerIds: ['somebody else'] }));
    await flushPromises();
    expect([reads, news.shown]).toEqual([0, null]);
    sheet = { ...sheet, player: { ...sheet.player, notes: 'new' } };
    Stream.last.say('change', change());
    await flushPromises();
    expect(news.shown).toEqual({ who: 'Kari', summary: '7 iron: set loft' });
    expect(useSheet().sheet!.player.notes).toBe('new');
    Stream.last.say('change', change({ playerIds: [], many: true }));
    await flushPromises();
    expect(reads).toBe(2);
  });

  it('stands in the corner, one under another, and is read out once', async () => {
    const view = mount(NewsLine, { attachTo: document.body });
    const year = new Date().getFullYear();
    for (const summary of ['7 iron: set loft', `Round of ${year}-11-22 added`]) {
      Stream.last.say('change', change({ summary }));
      await flushPromises();
    }
    const lines = [...document.querySelectorAll('.n-message')].map((line) => line.textContent);
    expect(lines).toEqual(['Kari 7 iron: set loft', 'Kari Round of 22 Nov added']);
    expect(view.get('[aria-live="polite"]').text()).toBe('Kari Round of 22 Nov added');
    view.unmount();
  });

  it('waits while something is being typed over it, and no longer', async () => {
    document.body.innerHTML = '<input id="cell"><input id="other" data-untouched="">';
    const cell = document.querySelector<HTMLInputElement>('#cell')!;
    cell.focus();
    Stream.last.say('change', change());
    await flushPromises();
    expect(reads).toBe(0);
    // Who it was is said all the same.
    expect(useNews().shown?.who).toBe('Kari');
    document.querySelector<HTMLInputElement>('#other')!.focus();
    await until(() => {
      expect(reads).toBe(1);
    });
  });

  it('that may have gone by unheard is read when the line is back', async () => {
    Stream.last.say('here');
    await flushPromises();
    expect(reads).toBe(1);
    Stream.last.say('missed');
    await flushPromises();
    expect(reads).toBe(2);
  });

  it('is not missed by what was being read when it was changed', async () => {
    expect(Stream.last.address).toMatch(/^\/api\/news\?readForMs=\d+$/);
    const asked: ((answer: Response) => void)[] = [];
    vi.stubGlobal('fetch', () => new Promise<Response>((resolve) => asked.push(resolve)));
    const store = useSheet();
    const of = (notes: string): SheetView => ({ ...sheet, player: { ...sheet.player, id: 'q', notes } });
    for (const news of ['change', 'missed']) {
      asked.length = 0;
      reader.removeQueries({ queryKey: ['sheet', 'q'] });
      const opening = store.load('q');
      await until(() => {
        expect(asked).toHaveLength(1);
      });
      Stream.last.say(news, change({ changeId: news, playerIds: ['q'] }));
      await until(() => {
        expect(asked).toHaveLength(2);
      });
      asked[0]!(Response.json(of('before')));
      asked[1]!(Response.json(of('after')));
      await opening;
      await until(() => {
        expect(store.sheet?.player.notes).toBe('after');
      });
    }
  });

  it('is not read any more once the page is gone, though it was to be in a moment', () => {
    vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout', 'Date'] });
    Stream.last.say('change', change({ playerIds: ['somebody else'] }));
    Stream.last.say('change', change({ changeId: 'another', playerIds: ['somebody else'] }));
    endPinias();
    const read = vi.spyOn(reader, 'cancelQueries');
    vi.advanceTimersByTime(5000);
    expect(read).not.toHaveBeenCalled();
    read.mockRestore();
    vi.useRealTimers();
  });

  it('is read again by lists that are on the screen, and by none that is not', async () => {
    const asked: string[] = [];
    vi.stubGlobal('fetch', (address: string) => {
      asked.push(address);
      return Promise.resolve(Response.json([]));
    });
    const scope = effectScope();
    scope.run(() => useRead(() => '/tickets'));
    await flushPromises();
    Stream.last.say('change', change({ playerIds: ['somebody else'] }));
    await flushPromises();
    expect(asked).toEqual(['/api/tickets', '/api/tickets']);
    scope.stop();
    Stream.last.say('change', change({ changeId: 'another', playerIds: ['somebody else'] }));
    await flushPromises();
    expect(asked).toHaveLength(2);
  });

  describe('in a tab that nobody sees', () => {
    const turn = (now: DocumentVisibilityState) => {
      vi.spyOn(document, 'visibilityState', 'get').mockReturnValue(now);
      document.dispatchEvent(new Event('visibilitychange'));
      return flushPromises();
    };
    const asked: string[] = [];
    let signedInAs: object = { personId: 'k', workspace: { id: 'w' } };
    beforeEach(() => {
      asked.length = 0;
      vi.stubGlobal('fetch', (address: string) => {
        asked.push(address);
        return Promise.resolve(Response.json(address.endsWith('/signed-in') ? signedInAs : sheet));
      });
    });
    afterEach(() => turn('visible'));

    it('is not listened for: six tabs that listen would leave no connection for anything else', async () => {
      const first = Stream.last;
      await turn('hidden');
      expect(first.readyState).toBe(Stream.CLOSED);
      await turn('visible');
      expect(Stream.last).not.toBe(first);
      Stream.last.say('here');
      await flushPromises();
      // Nothing went by, as the server says: nothing is read again.
      expect(asked).toEqual(['/api/signed-in']);
      Stream.last.say('missed');
      await flushPromises();
      expect(asked).toEqual(['/api/signed-in', '/api/players/p/sheet']);
    });

    it('is asked for from the moment it was left', async () => {
      const clock = vi.spyOn(Date, 'now');
      const left = Date.now();
      clock.mockReturnValue(left);
      await turn('hidden');
      clock.mockReturnValue(left + 90_000);
      await turn('visible');
      clock.mockRestore();
      expect(Stream.last.address).toBe('/api/news?readForMs=90000');
    });

    it('is read again whatever the server knows, where the line was broken when it was left', async () => {
      Stream.last.readyState = 0;
      await turn('hidden');
      await turn('visible');
      Stream.last.say('here');
      await flushPromises();
      expect(asked).toContain('/api/players/p/sheet');
    });

    it('is not listened for where the tab was opened in the background, until it is looked at', async () => {
      freshPinia();
      const before = Stream.last;
      await turn('hidden');
      useNews().open();
      expect(Stream.last).toBe(before);
      await turn('visible');
      expect(Stream.last).not.toBe(before);
    });

    it('finds out that this browser is in another workspace by now', async () => {
      const assign = vi.spyOn(window.location, 'assign').mockReturnValue();
      signedIn.value = { personId: 'k', workspace: { id: 'w' } } as unknown as SignedInView;
      await turn('hidden');
      signedInAs = { personId: 'k', workspace: { id: 'another' } };
      await turn('visible');
      expect(assign).toHaveBeenCalledWith('/roster');
      assign.mockRestore();
      signedIn.value = null;
    });
  });
});
