import type { ChangeRequest, ChangeResult, Command } from '@tasche/contract';
import { createPinia, setActivePinia } from 'pinia';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { useOutbox, type Sent } from '../../src/changes/outbox';
import { clubView } from '../sheet';

/** The network is played here; everything of ours is real. */
type Answer = { status: number; body: unknown } | 'nobody';
let script: Answer[] = [];
let asked: { path: string; body: ChangeRequest }[] = [];

const change = { id: 'x', playerId: 'p', at: '2026-11-25T10:00:00Z', who: 'Jonas', why: '', summary: '', undoes: null, undone: false };
const done = (more: Partial<ChangeResult> = {}): Answer => ({ status: 200, body: { change, players: [], clubs: [], bags: [], plans: [], sessions: [], courses: [], seasons: [], events: [], ...more } });
const edit = (id: string, version: number): { kind: 'change'; playerId: string; request: ChangeRequest } => ({
  kind: 'change', playerId: 'p',
  request: { id, commands: [{ do: 'editClub', clubId: 'a', version, readings: [{ key: 'loftSetDeg', value: 31, takenOn: '2026-11-25' }] }] },
});
const versionOf = (body: ChangeRequest) => (body.commands[0] as Extract<Command, { do: 'editClub' }>).version;

beforeEach(() => {
  setActivePinia(createPinia());
  script = [];
  asked = [];
  vi.stubGlobal('fetch', (path: string, init: RequestInit) => {
    asked.push({ path, body: JSON.parse(String(init.body)) as ChangeRequest });
    const answer = script.shift() ?? done();
    return answer === 'nobody' ? Promise.reject(new TypeError('fetch failed')) : Promise.resolve(new Response(JSON.stringify(answer.body), { status: answer.status }));
  });
});
afterEach(() => { vi.unstubAllGlobals(); });

async function emptied(outbox: ReturnType<typeof useOutbox>): Promise<void> {
  await vi.waitFor(() => { expect(outbox.count).toBe(0); }, { timeout: 4000 });
}

describe('the outbox', () => {
  it('sends one after the other, in the order things were done', async () => {
    const outbox = useOutbox();
    for (const id of ['1', '2', '3']) outbox.push({ ...edit(id, 1), request: { id, commands: [{ do: 'putIn', bagId: id, clubId: 'a' }] } });
    await emptied(outbox);
    expect(asked.map(({ body }) => body.id)).toEqual(['1', '2', '3']);
  });

  it('keeps what nobody took, says so, and sends the same thing again', async () => {
    const outbox = useOutbox();
    script = ['nobody', { status: 503, body: { error: 'away', message: 'The database is away.' } }, done()];
    outbox.push(edit('1', 1));
    await vi.waitFor(() => { expect(outbox.away).toBe('The server does not answer.'); });
    expect(outbox.count).toBe(1);
    outbox.tryNow();
    await vi.waitFor(() => { expect(outbox.away).toBe('The database is away.'); });
    outbox.tryNow();
    await emptied(outbox);
    expect(outbox.away).toBeNull();
    expect(asked.map(({ body }) => body.id)).toEqual(['1', '1', '1']);
  });

  it('carries on from the version the answer gave, for what was typed on top', async () => {
    const outbox = useOutbox();
    script = [done({ clubs: [{ ...clubView('a'), version: 4 }] }), done({ clubs: [{ ...clubView('a'), version: 5 }] })];
    outbox.push(edit('1', 3));
    outbox.push(edit('2', 3));
    await emptied(outbox);
    expect(asked.map(({ body }) => versionOf(body))).toEqual([3, 4]);
  });

  it('does not lift what stood on an older version than was sent: that is a conflict to be shown', async () => {
    const outbox = useOutbox();
    script = [done({ clubs: [{ ...clubView('a'), version: 8 }] }), { status: 409, body: { error: 'conflict', message: 'Someone else changed this.' } }];
    const heard: Sent[] = [];
    outbox.onSent((sent) => heard.push(sent));
    outbox.push(edit('1', 7));
    outbox.push(edit('2', 3));
    await emptied(outbox);
    expect(asked.map(({ body }) => versionOf(body))).toEqual([7, 3]);
    expect(heard.map((sent) => 'problem' in sent && sent.problem.error)).toEqual([false, 'conflict']);
  });

  it('drops what was refused and goes on with the rest', async () => {
    const outbox = useOutbox();
    script = [{ status: 400, body: { error: 'bad-input', message: 'no' } }, done()];
    outbox.push(edit('1', 1));
    outbox.push({ kind: 'undo', playerId: 'p', changeId: '0', id: '2' });
    await emptied(outbox);
    expect(asked[1]).toEqual({ path: '/api/changes/0/undo', body: { id: '2' } });
  });
});
