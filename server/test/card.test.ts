import { CALM, USUAL_GROUND } from '@tasche/core';
import { v4 as newId } from 'uuid';
import { beforeAll, describe, expect, it } from 'vitest';
import { textOf } from './paper.js';
import { carry, on, workbench, type Workbench } from './workbench.js';

describe('a card as a PDF', () => {
  let bench: Workbench;
  let playerId: string;
  let planId: string;
  const roundIds = [newId(), newId()];

  beforeAll(async () => {
    bench = await workbench();
    playerId = await bench.player('yd');
    const ids = [
      await bench.club(playerId, '6 iron', [
        on('loftStampedDeg', 28),
        carry(160),
        on('shot.soft', { carryM: 150, source: 'stated' }),
      ]),
      await bench.club(playerId, '8 iron', [on('loftStampedDeg', 36)]),
    ];
    await bench.bag(playerId, 'Gamer', ids);
    const course = {
      id: newId(),
      name: 'High Common',
      altitudeM: 1800,
      latitudeDeg: 46,
      longitudeDeg: 8,
      grass: 'bent' as const,
      sand: 'medium' as const,
      tees: ['Back'],
      holes: [],
      seasons: [],
      notes: '',
    };
    const round = (id: string, name: string, temperatureC: number) => ({
      id,
      name,
      day: '2026-12-04',
      courseId: course.id,
      tee: 0,
      air: { ...CALM, temperatureC },
      ground: USUAL_GROUND,
      forecast: null,
    });
    const event = {
      id: newId(),
      name: 'Test Open',
      rounds: [round(roundIds[0]!, 'Round 1', 20), round(roundIds[1]!, 'Round 2', 5)],
      limits: { clubs: 14, lengthIn: 46 },
      notes: '',
    };
    planId = newId();
    await bench.done([{ do: 'addCourse', course }]);
    await bench.done([
      { do: 'addEvent', event },
      {
        do: 'addPlan',
        plan: {
          id: planId,
          bagId: newId(),
          playerId,
          name: 'Test Open',
          course: '',
          startsOn: '2026-12-04',
          endsOn: '2026-12-05',
          ground: '',
          weather: '',
          eventId: event.id,
        },
      },
    ]);
  });
  const card = async (query = '') =>
    (
      await bench.http
        .get(`/api/players/${playerId}/card.pdf${query}`)
        .buffer(true)
        .expect('content-type', /pdf/)
        .expect(200)
    ).body as Buffer;

  it('at home says the carries as they are known, modelled ones too', async () => {
    const text = textOf(await card());
    expect(text).toContain('Davor');
    expect(text).toMatch(/6 iron\s+175\s+164\s+1\d\d/);
    expect(text).toMatch(/8 iron\s+1[345]\d/);
    expect(text).toContain('10 mph');
    expect(textOf(await card('?unit=m&size=phone'))).toMatch(/6 iron\s+160\s+150/);
  });

  it('cuts a name that would lie on its numbers', async () => {
    const other = await bench.player('m');
    const club = await bench.club(other, '7 iron of the second set', [on('loftStampedDeg', 33), carry(150)]);
    await bench.bag(other, 'Gamer', [club]);
    const { body } = await bench.http.get(`/api/players/${other}/card.pdf`).buffer(true).expect(200);
    expect(textOf(body as Buffer)).toMatch(/7 iron of the…\s+150/);
  });

  it('of a plan has a page for each round that differs, farther up high, shorter in the cold', async () => {
    const text = textOf(await card(`?plan=${planId}`));
    const carries = [...text.matchAll(/6 iron\s+(\d+)\s+(\d+)\s+175/g)].map(([, stock]) => Number(stock));
    expect(carries).toHaveLength(2);
    expect(carries[0]).toBeGreaterThan(175);
    expect(carries[1]).toBeLessThan(carries[0]!);
    expect(text).toContain('no bag settled');
    const one = textOf(await card(`?plan=${planId}&round=${roundIds[1]}`));
    expect(one).toContain('Round 2');
    expect(one).not.toContain('Round 1');
  });

  it('and its swap sheet says the bag of each round, and which of its carries were never measured', async () => {
    const { plans, clubs } = await bench.sheet(playerId);
    const { version } = plans.find(({ id }) => id === planId)!;
    await bench.done([
      {
        do: 'setRoundBag',
        planId,
        version,
        roundId: roundIds[0]!,
        bagId: newId(),
        clubIds: clubs.map(({ id }) => id),
        swaps: [],
        triggers: [],
      },
    ]);
    const { body } = await bench.http
      .get(`/api/print.pdf?players=${playerId}&papers=swaps`)
      .buffer(true)
      .expect(200);
    const text = textOf(body as Buffer).replace(/\s+/g, ' ');
    expect(text).toMatch(/6 iron 1[78]\d, 8 iron 1[345]\d \(yd, stock carry/);
    expect(text).toContain('without its wind; in italics where modelled)');
    expect(text).toContain('No bag is settled for this round yet.');
  });

  it('says what is wrong of an address that cannot be', async () => {
    const bad = (query: string, status: number) =>
      bench.http.get(`/api/players/${playerId}/card.pdf${query}`).expect(status);
    await bad('?size=poster', 400);
    await bad(`?plan=${newId()}`, 404);
    await bad(`?plan=${planId}&round=${newId()}`, 404);
    const empty = await bench.player();
    await bench.http.get(`/api/players/${empty}/card.pdf`).expect(400);
    // Another workspace's player is nobody here.
    const other = await workbench();
    await other.http.get(`/api/players/${playerId}/card.pdf`).expect(404);
  });
});
