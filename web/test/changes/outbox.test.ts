import type { ChangeRequest, ChangeResult, Command, TicketView } from '@tasche/contract';
import { setActivePinia } from 'pinia';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { useOutbox, type Sent } from '../../src/changes/outbox';
import { clubView } from '../sheet';
import { freshPinia } from '../pinia';
import { until } from '../until';

/** The network is played here; everything of ours is real. */
type Answer = { status: number; body: unknown } | { status: number; text: string } | 'nobody';
let script: Answer[] = [];
let asked: { path: string; body: ChangeRequest }[] = [];

const change = {
  id: 'x',
  playerId: 'p',
  at: '2026-11-25T10:00:00Z',
  who: 'Jonas',
  why: '',
  summary: '',
  undoes: null,
  undone: false,
};
const done = (more: Partial<ChangeResult> = {}): Answer => ({
  status: 200,
  body: {
    change,
    players: [],
    clubs: [],
    bags: [],
    plans: [],
    sessions: [],
    courses: [],
    seasons: [],
    events: [],
    tickets: [],
    wishes: [],
    roundsPlayed: [],
    ...more,
  },
});
const edit = (id: string, version: number): { kind: 'change'; playerId: string; request: ChangeRequest } => ({
  kind: 'change',
  playerId: 'p',
  request: {
    id,
    commands: [
      {
        do: 'editClub',
        clubId: 'a',
        version,
        readings: [{ key: 'loftSetDeg', value: 31, takenOn: '2026-11-25' }],
      },
    ],
  },
});
const versionOf = (body: ChangeRequest) => (body.commands[0] as Extract<Command, { do: 'editClub' }>).version;

beforeEach(() => {
  localStorage.clear();
  freshPinia();
  script = [];
  asked = [];
  vi.stubGlobal('fetch', (path: string, init: RequestInit) => {
    asked.push({ path, body: JSON.parse(String(init.body)) as ChangeRequest });
    const answer = script.shift() ?? done();
    return answer === 'nobody'
      ? Promise.reject(new TypeError('fetch failed'))
      : Promise.resolve(
          new Response('text' in answer ? answer.text : JSON.stringify(answer.body), {
            status: answer.status,
          }),
        );
  });
});
afterEach(() => {
  vi.unstubAllGlobals();
});

async function emptied(outbox: ReturnType<typeof useOutbox>): Promise<void> {
  await until(() => {
    expect(outbox.count).toBe(0);
  });
}

describe('the outbox', () => {
  it('sends one after the other, in the order things were done', async () => {
    const outbox = useOutbox();
    for (const id of ['1', '2', '3'])
      outbox.push({ ...edit(id, 1), request: { id, commands: [{ do: 'putIn', bagId: id, clubId: 'a' }] } });
    await emptied(outbox);
    expect(asked.map(({ body }) => body.id)).toEqual(['1', '2', '3']);
  });

  it('has what was done at once, and sends it a moment later, so that it is drawn first', async () => {
    const outbox = useOutbox();
    outbox.push(edit('1', 1));
    await Promise.resolve();
    expect(outbox.pending('p')).toHaveLength(1);
    expect(asked).toEqual([]);
    await emptied(outbox);
    expect(asked.map(({ body }) => body.id)).toEqual(['1']);
  });

  it('keeps what was not accepted, says so, and sends the same thing again', async () => {
    const outbox = useOutbox();
    script = ['nobody', { status: 503, body: { error: 'away', message: 'The database is away.' } }, done()];
    outbox.push(edit('1', 1));
    await until(() => {
      expect(outbox.away).toBe('The server does not answer.');
    });
    expect(outbox.count).toBe(1);
    outbox.tryNow();
    await until(() => {
      expect(outbox.away).toBe('The database is away.');
    });
    outbox.tryNow();
    await emptied(outbox);
    expect(outbox.away).toBeNull();
    expect(asked.map(({ body }) => body.id)).toEqual(['1', '1', '1']);
  });

  it('carries on for a job handed in twice before the first answer came', async () => {
    const outbox = useOutbox();
    const ticket = { id: 't', version: 2 } as TicketView;
    script = [done({ tickets: [ticket] }), done({ tickets: [{ ...ticket, version: 3 }] })];
    for (const id of ['1', '2'])
      outbox.push({
        kind: 'change',
        playerId: 'p',
        request: {
          id,
          commands: [{ do: 'finishTicket', ticketId: 't', version: 1, takenOn: '2026-11-26', became: [] }],
        },
      });
    await emptied(outbox);
    expect(asked.map(({ body }) => (body.commands[0] as { version: number }).version)).toEqual([1, 2]);
  });

  it('carries on from the version the answer gave, for what was typed on top', async () => {
    const outbox = useOutbox();
    script = [
      done({ clubs: [{ ...clubView('a'), version: 4 }] }),
      done({ clubs: [{ ...clubView('a'), version: 5 }] }),
    ];
    outbox.push(edit('1', 3));
    outbox.push(edit('2', 3));
    await emptied(outbox);
    expect(asked.map(({ body }) => versionOf(body))).toEqual([3, 4]);
  });

  it('does not lift what stood on an older version than was sent: that is a conflict to be shown', async () => {
    const outbox = useOutbox();
    script = [
      done({ clubs: [{ ...clubView('a'), version: 8 }] }),
      { status: 409, body: { error: 'conflict', message: 'Someone else changed this.' } },
    ];
    const heard: Sent[] = [];
    outbox.onSent((sent) => heard.push(sent));
    outbox.push(edit('1', 7));
    outbox.push(edit('2', 3));
    await emptied(outbox);
    expect(asked.map(({ body }) => versionOf(body))).toEqual([7, 3]);
    expect(heard.map((sent) => 'problem' in sent && sent.problem.error)).toEqual([false, 'conflict']);
  });

  it("a conflict that no page shows is kept with what was not saved; one that a page shows is that page's", async () => {
    const outbox = useOutbox();
    const conflict: Answer = {
      status: 409,
      body: { error: 'conflict', message: 'Someone else changed this.' },
    };
    script = [conflict, conflict];
    outbox.push(edit('1', 1));
    await emptied(outbox);
    expect(outbox.returned.map(({ outgoing }) => outgoing)).toEqual([edit('1', 1)]);
    outbox.onSent(() => true);
    outbox.push(edit('2', 1));
    await emptied(outbox);
    expect(outbox.returned).toHaveLength(1);
  });

  it('reads again what was read while a change was answered, and not for ever', async () => {
    const outbox = useOutbox();
    let reads = 0;
    const read = async () => {
      reads += 1;
      if (reads === 1) {
        outbox.push(edit('1', 1));
        await emptied(outbox);
      }
      return reads;
    };
    expect(await outbox.readCurrent(read)).toBe(2);
    expect(
      await outbox.readCurrent(async () => {
        outbox.push(edit(`again ${(reads += 1)}`, 1));
        await emptied(outbox);
        return reads;
      }),
    ).toBe(6);
  });

  it('keeps what was refused to be fixed, with the reason, and goes on with the rest', async () => {
    const outbox = useOutbox();
    script = [{ status: 400, body: { error: 'bad-input', message: 'no' } }, done()];
    outbox.push(edit('1', 1));
    outbox.push({ kind: 'undo', playerId: 'p', changeId: '0', id: '2' });
    await emptied(outbox);
    expect(asked[1]).toEqual({ path: '/api/changes/0/undo', body: { id: '2' } });
    expect(outbox.returned).toEqual([
      { outgoing: edit('1', 1), problem: { error: 'bad-input', message: 'no' } },
    ]);
    freshPinia();
    const afterReload = useOutbox();
    expect(afterReload.returned).toHaveLength(1);
    afterReload.discard('1');
    expect(afterReload.returned).toEqual([]);
  });

  it.each<[string, Answer]>([
    [
      'a fault of the server',
      { status: 500, body: { error: 'internal', message: 'Something went wrong on our side.' } },
    ],
    ['a refusal some proxy wrote', { status: 403, text: '<html>Forbidden</html>' }],
    ['an answer that is no JSON', { status: 200, text: "<html>Sign in to the hotel's network</html>" }],
    ['too many at once', { status: 429, body: { error: 'too-many-requests', message: 'Too many.' } }],
    ['a problem without words', { status: 400, body: {} }],
  ])('never drops a value on %s', async (_what, answer) => {
    const outbox = useOutbox();
    script = [answer, done()];
    outbox.push(edit('1', 1));
    await until(() => {
      expect(outbox.away).not.toBeNull();
    });
    expect(outbox.count).toBe(1);
    outbox.tryNow();
    await emptied(outbox);
    expect(asked.map(({ body }) => body.id)).toEqual(['1', '1']);
    expect(outbox.returned).toEqual([]);
  });

  it('of two tabs each keeps what it pushed, and nothing is overwritten', async () => {
    const [one, other] = [freshPinia(), freshPinia()];
    script = ['nobody', 'nobody', 'nobody', 'nobody'];
    setActivePinia(one);
    const first = useOutbox();
    setActivePinia(other);
    const second = useOutbox();
    first.push(edit('1', 1));
    second.push(edit('2', 1));
    first.push(edit('3', 1));
    const stored = Object.keys(localStorage)
      .filter((key) => key.startsWith('tasche.outbox/'))
      .map((key) => key.split('/').at(-1))
      .sort();
    expect(stored).toEqual(['1', '2', '3']);
    await until(() => {
      expect(first.away).not.toBeNull();
    });
    script = [];
    first.tryNow();
    second.tryNow();
    await until(() => {
      expect(Object.keys(localStorage).filter((key) => key.startsWith('tasche.outbox/'))).toEqual([]);
    });
  });
});
