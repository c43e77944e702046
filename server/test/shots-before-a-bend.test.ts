import { changeSince, ladderClub, placedClubs } from '@tasche/core';
import { beforeAll, describe, expect, it } from 'vitest';
import { workbench, type Workbench } from './workbench.js';

describe('a carry measured before the club was changed', () => {
  let bench: Workbench;
  let playerId: string;
  const full = { carryM: 120, source: 'measured', sampleSize: 20, spreadM: 3, totalM: 124 } as const;

  beforeAll(async () => {
    bench = await workbench();
    playerId = await bench.player();
  });
  const clubOf = async (id: string, asOf?: string) =>
    (await bench.sheet(playerId, asOf)).clubs.find((club) => club.id === id)!;
  const write = async (
    id: string,
    key: 'loftSetDeg' | 'lengthIn' | 'shaft',
    value: number | string,
    takenOn: string,
  ) =>
    bench.done([
      {
        do: 'editClub',
        clubId: id,
        version: (await clubOf(id)).version,
        readings: [{ key, value, takenOn }],
      },
    ]);
  const wedge = () =>
    bench.club(playerId, 'PW', [
      { key: 'loftStampedDeg', value: 46, takenOn: '2026-01-05' },
      { key: 'lengthIn', value: 35.75, takenOn: '2026-01-05' },
      { key: 'shot.full', value: full, takenOn: '2026-02-01' },
    ]);

  it('is moved by the model after a bend, marked, and its own again when that is undone', async () => {
    const id = await wedge();
    expect(changeSince((await clubOf(id)).spec, 'shot.full')).toBeUndefined();
    const { change } = await write(id, 'loftSetDeg', 44, '2026-03-01');
    const bent = await clubOf(id);
    expect(changeSince(bent.spec, 'shot.full')).toEqual({ bendDeg: -2, takenOn: '2026-02-01' });
    const [placed] = placedClubs([ladderClub(bent)]);
    expect(placed!.shots.full).toMatchObject({ source: 'modelled' });
    expect(placed!.shots.full!.carryM).toBeGreaterThan(122);
    expect(placed!.shots.full!.carryM).toBeLessThan(128);
    // What was measured is not written over.
    expect(bent.spec['shot.full']!.value).toEqual(full);
    await bench.undo(change.id).expect(200);
    expect(changeSince((await clubOf(id)).spec, 'shot.full')).toBeUndefined();
  });

  it('is as it was on a day before the bend, and in force again once it is measured again', async () => {
    const id = await wedge();
    await write(id, 'loftSetDeg', 44, '2026-03-01');
    expect(changeSince((await clubOf(id, '2026-02-15')).spec, 'shot.full')).toBeUndefined();
    await bench.done([
      {
        do: 'editClub',
        clubId: id,
        version: (await clubOf(id)).version,
        readings: [{ key: 'shot.full', value: { ...full, carryM: 125 }, takenOn: '2026-03-10' }],
      },
    ]);
    const rebuilt = await clubOf(id);
    expect(changeSince(rebuilt.spec, 'shot.full')).toBeUndefined();
    expect(placedClubs([ladderClub(rebuilt)])[0]!.shots.full).toMatchObject({
      carryM: 125,
      source: 'measured',
    });
  });

  it('knows a new length and shaft, but not one that was only written down at last', async () => {
    const id = await wedge();
    await write(id, 'shaft', 'Rohr 120', '2026-03-01');
    expect(changeSince((await clubOf(id)).spec, 'shot.full')).toBeUndefined();
    await write(id, 'shaft', 'Rohr 125', '2026-03-02');
    await write(id, 'lengthIn', 36, '2026-03-03');
    expect(changeSince((await clubOf(id)).spec, 'shot.full')).toEqual({
      longerIn: 0.25,
      takenOn: '2026-02-01',
    });
  });

  it('and what is recorded of one day belongs together', async () => {
    const id = await bench.club(playerId, 'Typed up', [
      { key: 'shot.full', value: full, takenOn: '2026-02-01' },
      { key: 'loftStampedDeg', value: 46, takenOn: '2026-02-01' },
      { key: 'loftSetDeg', value: 44.5, takenOn: '2026-02-01' },
    ]);
    expect(changeSince((await clubOf(id)).spec, 'shot.full')).toBeUndefined();
  });
});
