import { v4 as newId } from 'uuid';
import { beforeAll, describe, expect, it } from 'vitest';
import { workbench, type Workbench } from './workbench.js';

describe('how a bag is to be spaced', () => {
  let bench: Workbench;
  let playerId: string;
  let bagId: string;
  const strategyOf = async (id: string) =>
    (await bench.sheet(playerId)).bags.find((bag) => bag.id === id)!.strategy;
  const setStrategy = async (strategy: 'even-lofts-6' | 'minimal') => {
    const bag = (await bench.sheet(playerId)).bags.find(({ id }) => id === bagId)!;
    return bench.done([{ do: 'editBag', bagId, version: bag.version, set: { strategy } }]);
  };

  beforeAll(async () => {
    bench = await workbench();
    playerId = await bench.player();
    const clubIds: string[] = [];
    // Exact 6 degrees, and carries nobody would call even.
    for (const [name, loft, carryM] of [
      ['48', 48, 110],
      ['54', 54, 88],
      ['60', 60, 72],
      ['9 iron', 42, 126],
      ['7 iron', 36, 138],
    ] as const)
      clubIds.push(
        await bench.club(playerId, name, [
          { key: 'loftMeasuredDeg', value: loft, takenOn: '2026-01-05' },
          { key: 'shot.full', value: { carryM, source: 'stated' }, takenOn: '2026-01-05' },
        ]),
      );
    bagId = await bench.bag(playerId, 'Gamer', clubIds);
  });

  it('is even carries until it is changed, is kept with the bag, and undone', async () => {
    expect(await strategyOf(bagId)).toBe('even-carries');
    const { change } = await setStrategy('even-lofts-6');
    expect(change.summary).toContain('spaced by even lofts, 6°');
    expect(await strategyOf(bagId)).toBe('even-lofts-6');
    await bench.undo(change.id).expect(200);
    expect(await strategyOf(bagId)).toBe('even-carries');
  });

  it('is what the roster judges by: exact 6 degree wedges are no fault there', async () => {
    const faults = async () => {
      const { body } = await bench.http.get('/api/players').expect(200);
      return (body.rows as { player: { id: string }; gamer: { faults: number; looks: number } }[]).find(
        ({ player }) => player.id === playerId,
      )!.gamer;
    };
    await setStrategy('even-lofts-6');
    expect(await faults()).toMatchObject({ faults: 0 });
  });

  it('is taken over by a plan made from it', async () => {
    const planBag = newId();
    await bench.done([
      {
        do: 'addPlan',
        plan: {
          id: newId(),
          playerId,
          bagId: planBag,
          name: 'Week',
          course: '',
          startsOn: '2026-03-02',
          endsOn: '2026-03-05',
          ground: '',
          weather: '',
        },
      },
    ]);
    expect(await strategyOf(planBag)).toBe('even-lofts-6');
  });

  it('goes out with the locker and comes in with it', async () => {
    const { text } = await bench.http.get(`/api/players/${playerId}/locker.json`).expect(200);
    expect((JSON.parse(text) as { bags: { strategy: string }[] }).bags[0]!.strategy).toBe('even-lofts-6');
  });

  it('that is unknown is refused by name', async () => {
    const bag = (await bench.sheet(playerId)).bags.find(({ id }) => id === bagId)!;
    const { body } = await bench
      .change([{ do: 'editBag', bagId, version: bag.version, set: { strategy: 'by feel' as 'minimal' } }])
      .expect(400);
    expect(JSON.stringify(body)).toContain('strategy');
  });
});
