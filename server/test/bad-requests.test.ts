import { v4 as newId } from 'uuid';
import { beforeAll, describe, expect, it } from 'vitest';
import { workbench, type Workbench } from './workbench.js';

let bench: Workbench;
let playerId: string;
beforeAll(async () => {
  bench = await workbench();
  playerId = await bench.player();
});

const nested = (depth: number) => `${'['.repeat(depth)}${']'.repeat(depth)}`;
const post = (body: string) => bench.http.post('/api/changes').type('application/json').send(body);
const editOf = (value: string) =>
  `{"id":"${newId()}","commands":[{"do":"editClub","clubId":"${newId()}","version":1,"readings":[{"key":"lieDeg","value":${value},"takenOn":"2026-01-01"}]}]}`;

describe('a bad document is answered in a few words, at once', () => {
  it.each([
    ['two megabytes of brackets', () => nested(1_000_000)],
    ['brackets where a number belongs', () => editOf(nested(10_000))],
    ['nested objects', () => editOf(`${'{"a":'.repeat(5000)}1${'}'.repeat(5000)}`)],
    ['a list of 700,000 nothings', () => `{"id":"${newId()}","commands":[${'[],'.repeat(650_000)}[]]}`],
    [
      '2,000 commands that are none',
      () =>
        `{"id":"${newId()}","commands":[${Array.from({ length: 2000 }, () => '{"do":"editClub"}').join()}]}`,
    ],
    ['an object for a number, with a method of its own', () => editOf('{"toString":1}')],
    ['an object for a number, with another', () => editOf('{"valueOf":{"toString":250},"toString":null}')],
    ['a prototype of its own', () => editOf('{"__proto__":{"constructor":1}}')],
    [
      'a NUL in a text',
      () =>
        `{"id":"${newId()}","commands":[{"do":"addPlayer","player":{"id":"${newId()}","name":"a\\u0000b","hand":"right","distanceUnit":"m"}}]}`,
    ],
    [
      'half a pair of surrogates',
      () =>
        `{"id":"${newId()}","commands":[{"do":"addPlayer","player":{"id":"${newId()}","name":"a\\ud800b","hand":"right","distanceUnit":"m"}}]}`,
    ],
    ['a NUL in the name of a field', () => `{"id":"${newId()}","comm\\u0000ands":[]}`],
    ['the name of a field of 100,000 characters', () => `{"id":"${newId()}","${'x'.repeat(100_000)}":[]}`],
    ['a text of 1.9 MB for an id', () => `{"id":"${'x'.repeat(1_900_000)}","commands":[]}`],
  ])('%s', async (_what, make) => {
    const response = await post(make());
    expect(response.status).toBe(400);
    expect(response.headers['content-type']).toContain('application/json');
    expect(response.text.length).toBeLessThan(20_000);
    expect(response.body.message.length).toBeLessThan(1001);
    expect(response.text).not.toMatch(/\/(server|contract|node_modules)\//);
    expect(response.body.fields.length).toBeLessThan(52);
  });

  it('a locker document of the wrong kind too', async () => {
    const url = `/api/players/${playerId}/import?take=all&changeId=${newId()}&takenOn=2026-11-24`;
    const response = await bench.http
      .post(url)
      .type('application/json')
      .send(`{"format":"tasche-locker","version":1,"clubs":${nested(200_000)}}`);
    expect(response.status).toBe(400);
    expect(response.body.message).toBe('the document is nested more than 32 deep');
  });
});

describe('an address that makes no sense is refused by name', () => {
  it.each([
    ['/api/players?__proto__=1', '__proto__ is not a parameter here'],
    ['/api/players?constructor=1', 'constructor is not a parameter here'],
    ['/api/players?today=2026-11-24&today=2026-11-25', 'today is given twice'],
    ['/api/players?after=nobody', 'after is not what an answer gave as next'],
    ['/api/players?limit=1e9', 'limit must be less than or equal to 200'],
    [
      `/api/players/${newId()}/changes?before=9999-99-99T99:99:99Z`,
      'before is not what an answer gave as next',
    ],
    [
      `/api/players/${newId()}/changes?before=2026-02-30T10:00:00.000000Z_${newId()}`,
      'before is not what an answer gave as next',
    ],
    [
      `/api/clubs/${newId()}/readings?before=2026-11-20_99999999999999999999`,
      'before is not what an answer gave as next',
    ],
    ['/api/file-mapping?heads=%00', 'heads holds a control character'],
    [`/api/players/${newId()}/sheet?asOf=2026-13-01`, 'asOf must be a date, YYYY-MM-DD'],
    [`/api/sessions/${newId()}/live?after=1e400`, 'after must be'],
  ])('%s', async (address, message) => {
    const response = await bench.http.get(address);
    expect(response.body.message).toContain(message);
    expect(response.status).toBe(400);
    expect(response.body.fields[0].field).not.toBe('');
  });

  it("broken escapes and strange paths are not the server's fault", async () => {
    for (const address of [
      '/api/players/%E0%A4%A/sheet',
      '/api/%',
      '/api//players',
      '/api/players/..%2f..%2fetc/sheet',
      '/api/changes/%00/undo',
    ]) {
      const { status, headers } = await bench.http.get(address);
      expect([400, 404]).toContain(status);
      expect(headers['content-type']).toContain('application/json');
    }
  });
});

describe('who may ask', () => {
  it('only requests for a name this server serves, for reading too', async () => {
    for (const host of ['evil.example', 'evil.example:4310', '127.0.0.1.evil.example', '']) {
      expect((await bench.http.get('/api/players').set('host', host)).status).toBe(403);
      expect((await bench.http.get('/').set('host', host)).status).toBe(403);
    }
    for (const host of ['127.0.0.1:4310', 'localhost', 'LOCALHOST:80', '[::1]:4310'])
      await bench.http.get('/api/signed-in').set('host', host).expect(200);
    const { default: request } = await import('supertest');
    await request(bench.app({ hosts: ['van.example'] }))
      .get('/api/signed-in')
      .set('host', 'van.example:443')
      .expect(200);
    await request(bench.app({ hosts: ['van.example'] }))
      .get('/api/signed-in')
      .set('host', 'bus.example')
      .expect(403);
  });

  it('a page of another port of this machine may not write', async () => {
    const write = (origin: string) =>
      bench.http
        .post('/api/changes')
        .set('host', '127.0.0.1:4310')
        .set('origin', origin)
        .send({ id: newId(), commands: [] });
    expect((await write('http://127.0.0.1:9999')).status).toBe(403);
    expect((await write('null')).status).toBe(403);
    expect((await write('http://127.0.0.1:4310')).status).toBe(400);
  });

  it('and nothing of the answers is kept in between', async () => {
    for (const address of ['/api/players', `/api/players/${playerId}/sheet`, '/api/nothing']) {
      expect((await bench.http.get(address)).headers['cache-control']).toBe('no-store');
    }
  });
});
