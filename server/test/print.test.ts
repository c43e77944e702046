import { v4 as newId } from 'uuid';
import { beforeAll, describe, expect, it } from 'vitest';
import { textOf } from './paper.js';
import { carry, on, workbench, type Workbench } from './workbench.js';

describe('a print run', () => {
  let bench: Workbench;
  const players: string[] = [];

  beforeAll(async () => {
    bench = await workbench();
    for (const metres of [150, 160]) {
      const playerId = await bench.player('m');
      const seven = await bench.club(playerId, '7 iron', [on('loftStampedDeg', 33), carry(metres)]);
      await bench.bag(playerId, 'Gamer', [seven]);
      players.push(playerId);
    }
    const [first] = players;
    const clubId = (await bench.sheet(first!)).clubs[0]!.id;
    await bench.done([
      {
        do: 'addTicket',
        ticket: {
          id: newId(),
          playerId: first!,
          clubId,
          job: 'bend',
          name: 'Bend the 7',
          wanted: [{ key: 'loftSetDeg', value: 34 }],
          why: 'too strong',
          eventId: null,
          dueOn: '2026-12-01',
        },
      },
    ]);
  });
  const run = async (ids: readonly string[], papers: string) =>
    (
      await bench.http
        .get(`/api/print.pdf?players=${ids.join(',')}&papers=${papers}`)
        .buffer(true)
        .expect('content-type', /pdf/)
        .expect(200)
    ).body as Buffer;

  it('is one document of all that was chosen, player by player; what there is not is left out', async () => {
    const pages = textOf(await run(players, 'sheet,card,tickets'))
      .split('\f')
      .filter((page) => page.trim() !== '');
    expect(pages).toHaveLength(5);
    expect(pages[0]).toContain('Gamer');
    expect(pages[1]).toMatch(/7 iron\s+150/);
    expect(pages[2]).toContain('Bend the 7');
    expect(pages[2]).toContain('Eye protection');
    expect(pages[4]).toMatch(/7 iron\s+160/);
    // Whoever has no event has no swap sheet.
    await bench.http.get(`/api/print.pdf?players=${players[0]}&papers=swaps`).expect(400);
  });

  it('refuses what cannot be by its field, and knows no one from another workspace', async () => {
    const bad = (query: string, status: number) => bench.http.get(`/api/print.pdf?${query}`).expect(status);
    expect(JSON.stringify((await bad('papers=sheet', 400)).body)).toContain('players');
    expect(JSON.stringify((await bad(`players=${players[0]}&papers=poster`, 400)).body)).toContain('papers');
    await bad(`players=${Array.from({ length: 41 }, () => newId()).join(',')}&papers=sheet`, 400);
    await bad(`players=${newId()}&papers=sheet`, 404);
    const other = await workbench();
    await other.http.get(`/api/print.pdf?players=${players[0]}&papers=sheet`).expect(404);
  });
});
