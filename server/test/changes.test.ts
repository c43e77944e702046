import { v4 as newId } from 'uuid';
import { beforeAll, describe, expect, it } from 'vitest';
import { carry, on, workbench, workbenchIn, type Workbench } from './workbench.js';

let bench: Workbench;
beforeAll(async () => {
  bench = await workbench();
});

describe('readings', () => {
  it('are appended: the sheet can be shown as of any day, and two days compared', async () => {
    const playerId = await bench.player();
    const clubId = await bench.club(playerId, '56', [
      on('loftStampedDeg', 56, '2026-01-10'),
      on('loftSetDeg', 57, '2026-03-01'),
    ]);
    await bench.done(
      [{ do: 'editClub', clubId, version: 1, readings: [on('loftSetDeg', 56.5, '2026-06-01')] }],
      'sat too close',
    );
    expect((await bench.sheet(playerId)).clubs[0]!.spec.loftSetDeg).toEqual({
      value: 56.5,
      takenOn: '2026-06-01',
    });
    expect((await bench.sheet(playerId, '2026-05-31')).clubs[0]!.spec.loftSetDeg!.value).toBe(57);
    expect((await bench.sheet(playerId, '2026-01-01')).clubs[0]!.spec).toEqual({});
    const differences = await bench.http
      .get(`/api/players/${playerId}/differences?from=2026-04-01&to=2026-07-01`)
      .expect(200);
    expect(differences.body).toEqual([
      {
        clubId,
        clubName: '56',
        key: 'loftSetDeg',
        before: { value: 57, takenOn: '2026-03-01' },
        after: { value: 56.5, takenOn: '2026-06-01' },
        by: { at: expect.any(String) as string, who: 'Jonas Brandl', why: 'sat too close' },
      },
    ]);
    const history = (await bench.http.get(`/api/clubs/${clubId}/readings`)).body.rows as {
      value: unknown;
      who: string;
      why: string;
    }[];
    expect(history.map((one) => one.value)).toEqual([56.5, 57, 56]);
    expect(history[0]).toMatchObject({ who: 'Jonas Brandl', why: 'sat too close' });
  });

  it('written down late do not overrule a newer one, and null takes one back', async () => {
    const playerId = await bench.player();
    const clubId = await bench.club(playerId, '7 iron', [on('lieDeg', 62, '2026-06-01')]);
    await bench.done([{ do: 'editClub', clubId, version: 1, readings: [on('lieDeg', 61, '2026-05-01')] }]);
    expect((await bench.sheet(playerId)).clubs[0]!.spec.lieDeg!.value).toBe(62);
    await bench.done([{ do: 'editClub', clubId, version: 2, readings: [on('lieDeg', null, '2026-07-01')] }]);
    expect((await bench.sheet(playerId)).clubs[0]!.spec.lieDeg).toBeUndefined();
    expect((await bench.sheet(playerId, '2026-06-15')).clubs[0]!.spec.lieDeg!.value).toBe(62);
  });

  it('keep texts that look like numbers as texts', async () => {
    const playerId = await bench.player();
    await bench.club(playerId, '56', [
      on('serial', '0042'),
      on('swingWeight', 'D3'),
      on('head', '"quoted" null'),
    ]);
    const { spec } = (await bench.sheet(playerId)).clubs[0]!;
    expect([spec.serial!.value, spec.swingWeight!.value, spec.head!.value]).toEqual([
      '0042',
      'D3',
      '"quoted" null',
    ]);
  });

  it('a modelled carry never takes the place of a measured one', async () => {
    const playerId = await bench.player();
    const clubId = await bench.club(playerId, '7 iron', [
      carry(146, { source: 'measured', sampleSize: 20, spreadM: 4 }),
    ]);
    const refused = await bench
      .change([
        { do: 'editClub', clubId, version: 1, readings: [carry(150, { source: 'modelled', plusMinusM: 5 })] },
      ])
      .expect(422);
    expect(refused.body.message).toContain('is measured; a modelled number does not replace it');
    expect((await bench.sheet(playerId)).clubs[0]!.spec['shot.full']!.value).toMatchObject({ carryM: 146 });
  });

  it('are not dated into the future', async () => {
    const playerId = await bench.player();
    const clubId = await bench.club(playerId, '7 iron');
    const refused = await bench
      .change([{ do: 'editClub', clubId, version: 1, readings: [on('lieDeg', 62, '2199-01-01')] }])
      .expect(400);
    expect(refused.body.message).toContain('in the future');
  });
});

describe('two people at one club', () => {
  it('the second save gets a 409 with both values, nothing is lost, and can be saved after all', async () => {
    const playerId = await bench.player();
    const clubId = await bench.club(playerId, '56', [on('loftSetDeg', 56)]);
    const other = workbenchIn(bench.orm, bench.workspaceId, 'Maren Tveit');
    await bench.done([{ do: 'editClub', clubId, version: 1, readings: [on('loftSetDeg', 56.5)] }]);
    const second = await other
      .change([{ do: 'editClub', clubId, version: 1, readings: [on('loftSetDeg', 57), on('lieDeg', 64)] }])
      .expect(409);
    expect(second.body.conflicts).toEqual([
      { id: clubId, name: '56', version: 2, field: 'loftSetDeg', yours: 57, theirs: 56.5 },
      { id: clubId, name: '56', version: 2, field: 'lieDeg', yours: 64, theirs: null },
    ]);
    expect((await bench.sheet(playerId)).clubs[0]!.spec.lieDeg).toBeUndefined();
    await other.done([
      {
        do: 'editClub',
        clubId,
        version: second.body.conflicts[0].version,
        readings: [on('loftSetDeg', 57), on('lieDeg', 64)],
      },
    ]);
    expect((await bench.sheet(playerId)).clubs[0]!.spec.loftSetDeg!.value).toBe(57);
  });

  it('at the same moment: one saves, one is refused', async () => {
    const playerId = await bench.player();
    const clubId = await bench.club(playerId, '7 iron');
    const both = await Promise.all(
      [61, 62].map((lie) =>
        bench.change([{ do: 'editClub', clubId, version: 1, readings: [on('lieDeg', lie)] }]),
      ),
    );
    expect(both.map((response) => response.status).sort()).toEqual([200, 409]);
  });

  it('a change sent twice is done once', async () => {
    const playerId = await bench.player();
    const id = newId();
    const clubId = newId();
    const commands = [
      {
        do: 'addClub',
        club: { id: clubId, playerId, name: '7 iron', kind: 'iron' },
        readings: [on('lieDeg', 62)],
      },
    ] as const;
    const answers = await Promise.all([1, 2, 3].map(() => bench.change(commands, { id })));
    expect(answers.map((answer) => answer.status)).toEqual([200, 200, 200]);
    expect(new Set(answers.map((answer) => JSON.stringify(answer.body.clubs))).size).toBe(1);
    expect((await bench.http.get(`/api/clubs/${clubId}/readings`)).body.rows).toHaveLength(1);
  });
});

describe('bags', () => {
  async function clubs(playerId: string, count: number) {
    const ids = Array.from({ length: count }, () => newId());
    await bench.done(
      ids.map(
        (id, i) =>
          ({ do: 'addClub', club: { id, playerId, name: `club ${i}`, kind: 'iron' }, readings: [] }) as const,
      ),
    );
    return ids;
  }

  it('the first is the gamer; one being worked on may hold more, but not be ready or the gamer', async () => {
    const playerId = await bench.player();
    const ids = await clubs(playerId, 16);
    const gamer = await bench.bag(playerId, 'Gamer', ids.slice(0, 14));
    const travel = await bench.bag(playerId, 'Travel', ids);
    const sheet = await bench.sheet(playerId);
    expect(sheet.bags.map((bag) => bag.gamer)).toEqual([true, false]);
    const ready = await bench
      .change([{ do: 'editBag', bagId: travel, version: 1, set: { ready: true } }])
      .expect(422);
    expect(ready.body.message).toBe(
      'Travel is marked ready and would hold 16 clubs, 14 allowed: 2 must go (Rule 4.1b; the committee decides).',
    );
    await bench.change([{ do: 'makeGamer', bagId: travel }]).expect(422);
    await bench.change([{ do: 'putIn', bagId: gamer, clubId: ids[14]! }]).expect(422);
    expect((await bench.sheet(playerId)).bags.map((bag) => [bag.gamer, bag.clubIds.length])).toEqual([
      [true, 14],
      [false, 16],
    ]);
    await bench.done([
      { do: 'putIn', bagId: gamer, clubId: ids[14]! },
      { do: 'takeOut', bagId: gamer, clubId: ids[0]! },
    ]);
    await bench.done([
      { do: 'takeOut', bagId: travel, clubId: ids[0]! },
      { do: 'takeOut', bagId: travel, clubId: ids[1]! },
    ]);
    await bench.done([{ do: 'makeGamer', bagId: travel }]);
    expect((await bench.sheet(playerId)).bags.map((bag) => bag.gamer)).toEqual([false, true]);
  });

  it('fourteen at the same moment never becomes fifteen', async () => {
    const playerId = await bench.player();
    const ids = await clubs(playerId, 16);
    const gamer = await bench.bag(playerId, 'Gamer', ids.slice(0, 13));
    const both = await Promise.all(
      [13, 14, 15].map((i) => bench.change([{ do: 'putIn', bagId: gamer, clubId: ids[i]! }])),
    );
    expect(both.map((response) => response.status).sort()).toEqual([200, 422, 422]);
    expect((await bench.sheet(playerId)).bags[0]!.clubIds).toHaveLength(14);
  });

  it("hold a club once, and only the player's own", async () => {
    const playerId = await bench.player();
    const [a] = await clubs(playerId, 1);
    const bagId = await bench.bag(playerId, 'Gamer', [a!]);
    expect((await bench.change([{ do: 'putIn', bagId, clubId: a! }]).expect(422)).body.message).toContain(
      'a club is in a bag once',
    );
    await bench
      .change([{ do: 'addBag', bag: { id: newId(), playerId, name: 'Two' }, clubIds: [a!, a!] }])
      .expect(422);
    const foreign = await bench.club(await bench.player(), 'theirs');
    await bench.change([{ do: 'putIn', bagId, clubId: foreign }]).expect(404);
  });
});

describe('undo', () => {
  it('takes any change back, redo brings it again, and the history says both', async () => {
    const playerId = await bench.player();
    const clubId = await bench.club(playerId, '56', [on('loftSetDeg', 56)]);
    const bagId = await bench.bag(playerId, 'Gamer', [clubId]);
    const removal = await bench.done([{ do: 'removeClub', clubId, version: 1 }], 'by mistake');
    expect((await bench.sheet(playerId)).clubs).toEqual([]);
    expect((await bench.sheet(playerId)).bags[0]!.clubIds).toEqual([]);
    const undone = await bench.undo(removal.change.id).expect(200);
    expect((await bench.sheet(playerId)).clubs[0]!.spec.loftSetDeg!.value).toBe(56);
    expect((await bench.sheet(playerId)).bags[0]).toMatchObject({ id: bagId, clubIds: [clubId] });
    await bench.undo(undone.body.change.id).expect(200);
    expect((await bench.sheet(playerId)).clubs).toEqual([]);
    const history = (await bench.http.get(`/api/players/${playerId}/changes`)).body.rows as {
      summary: string;
      why: string;
      undone: boolean;
    }[];
    expect(history[0]).toMatchObject({ summary: '56 deleted', why: 'by mistake', undone: false });
  });

  it('withdraws readings without wiping them, and twice is once', async () => {
    const playerId = await bench.player();
    const clubId = await bench.club(playerId, '56', [on('loftSetDeg', 56)]);
    const bent = await bench.done([
      { do: 'editClub', clubId, version: 1, readings: [on('loftSetDeg', 57)], set: { name: '56 bent' } },
    ]);
    const id = newId();
    await bench.undo(bent.change.id, id).expect(200);
    await bench.undo(bent.change.id, id).expect(200);
    await bench.undo(bent.change.id).expect(409);
    expect((await bench.sheet(playerId)).clubs[0]).toMatchObject({
      name: '56',
      spec: { loftSetDeg: { value: 56 } },
    });
    const readings = (await bench.http.get(`/api/clubs/${clubId}/readings`)).body.rows as {
      value: number;
      undone: boolean;
    }[];
    expect(readings.map((one) => [one.value, one.undone])).toEqual([
      [57, true],
      [56, false],
    ]);
  });

  it('is refused where later work stands in the way, and says which', async () => {
    const playerId = await bench.player();
    const clubId = await bench.club(playerId, '56');
    const first = await bench.done([{ do: 'editClub', clubId, version: 1, set: { name: '57' } }]);
    await bench.done([{ do: 'editClub', clubId, version: 2, set: { name: '58' } }]);
    const refused = await bench.undo(first.change.id).expect(409);
    expect(refused.body.message).toContain('58 was changed since');
  });

  it('keeps the limit: a club put back into a full gamer is refused', async () => {
    const playerId = await bench.player();
    const ids = Array.from({ length: 15 }, () => newId());
    await bench.done(
      ids.map(
        (id, i) =>
          ({ do: 'addClub', club: { id, playerId, name: `c${i}`, kind: 'iron' }, readings: [] }) as const,
      ),
    );
    const bagId = await bench.bag(playerId, 'Gamer', ids.slice(0, 14));
    const out = await bench.done([{ do: 'takeOut', bagId, clubId: ids[0]! }]);
    await bench.done([{ do: 'putIn', bagId, clubId: ids[14]! }]);
    await bench.undo(out.change.id).expect(422);
  });

  it('undoes a making of the gamer', async () => {
    const playerId = await bench.player();
    const [one, two] = [await bench.bag(playerId, 'One'), await bench.bag(playerId, 'Two')];
    const made = await bench.done([{ do: 'makeGamer', bagId: two }]);
    await bench.undo(made.change.id).expect(200);
    expect((await bench.sheet(playerId)).bags.find((bag) => bag.gamer)!.id).toBe(one);
  });
});

describe('a plan', () => {
  it('starts as the gamer, changes by swaps, becomes the gamer on the day, and is undone after', async () => {
    const playerId = await bench.player('m');
    const ids = await Promise.all(
      ['7 iron', '8 iron', '48'].map((name, i) => bench.club(playerId, name, [carry(150 - 12 * i)])),
    );
    const gamerId = await bench.bag(playerId, 'Gamer', ids.slice(0, 2));
    const [planId, bagId] = [newId(), newId()];
    await bench.done([
      {
        do: 'addPlan',
        plan: {
          id: planId,
          bagId,
          playerId,
          name: 'Skarvoy week',
          course: 'Skarvoy Links',
          startsOn: '2026-12-03',
          endsOn: '2026-12-06',
          ground: 'firm',
          weather: 'wind',
        },
      },
    ]);
    expect((await bench.sheet(playerId)).bags[1]).toMatchObject({ planId, clubIds: ids.slice(0, 2) });
    await bench.change([{ do: 'putIn', bagId, clubId: ids[2]! }]).expect(422);
    await bench.change([{ do: 'setSwaps', planId, version: 1, swaps: [{ outId: ids[2]! }] }]).expect(400);
    await bench.done([
      { do: 'setSwaps', planId, version: 1, swaps: [{ outId: ids[0]!, inId: ids[2]!, why: 'low wind' }] },
    ]);
    expect((await bench.sheet(playerId)).bags[1]!.clubIds).toEqual([ids[2], ids[1]]);
    const stale = await bench.change([{ do: 'setSwaps', planId, version: 1, swaps: [] }]).expect(409);
    expect(stale.body.conflicts[0]).toMatchObject({
      field: 'swaps',
      yours: [],
      theirs: [{ why: 'low wind' }],
    });
    // The gamer changes meanwhile: the plan starts from it when it is told to, and its swap stays.
    await bench.done([{ do: 'takeOut', bagId: gamerId, clubId: ids[1]! }]);
    await bench.change([{ do: 'rebasePlan', planId, version: 1 }]).expect(409);
    const rebased = await bench.done([{ do: 'rebasePlan', planId, version: 2 }]);
    expect((await bench.sheet(playerId)).plans[0]).toMatchObject({
      baseClubIds: [ids[0]],
      swaps: [{ outId: ids[0], inId: ids[2] }],
    });
    expect((await bench.sheet(playerId)).bags[1]!.clubIds).toEqual([ids[2]]);
    await bench.undo(rebased.change.id).expect(200);
    expect((await bench.sheet(playerId)).bags[1]!.clubIds).toEqual([ids[2], ids[1]]);
    await bench.done([{ do: 'putIn', bagId: gamerId, clubId: ids[1]! }]);
    const made = await bench.done([{ do: 'makeGamer', bagId }]);
    await bench.change([{ do: 'rebasePlan', planId, version: 4 }]).expect(422);
    expect((await bench.sheet(playerId)).bags.find((bag) => bag.gamer)!.id).toBe(bagId);
    await bench.change([{ do: 'removePlan', planId, version: 4 }]).expect(422);
    await bench.undo(made.change.id).expect(200);
    expect((await bench.sheet(playerId)).bags.find((bag) => bag.gamer)!.id).toBe(gamerId);
    await bench.done([{ do: 'removePlan', planId, version: 4 }]);
    expect((await bench.sheet(playerId)).plans).toEqual([]);
  });
});

describe("a player's handicap", () => {
  it('is kept, said in the history as golfers write it, undone, and refused by name where it is not one', async () => {
    const bench = await workbench();
    const playerId = await bench.player();
    expect((await bench.sheet(playerId)).player.handicap).toBeNull();
    const { change } = await bench.done([
      { do: 'editPlayer', playerId, version: 1, set: { handicap: -2.3 } },
    ]);
    expect(change.summary).toContain('handicap +2.3');
    expect((await bench.sheet(playerId)).player.handicap).toBe(-2.3);
    const refused = await bench.change([{ do: 'editPlayer', playerId, version: 2, set: { handicap: 60 } }]);
    expect(refused.status).toBe(400);
    expect(JSON.stringify(refused.body)).toContain('set.handicap');
    await bench.undo(change.id).expect(200);
    expect((await bench.sheet(playerId)).player.handicap).toBeNull();
  });
});

describe("a player's baseline", () => {
  it('is kept, shown, said in the history and undone; half an air is refused by name', async () => {
    const bench = await workbench();
    const playerId = await bench.player();
    const high = {
      temperatureC: 12,
      altitudeM: 1520,
      humidityPct: 45,
      windMps: 0,
      windFromDeg: 0,
      targetElevationM: 0,
    };
    expect((await bench.sheet(playerId)).player.baseline).toBeNull();
    const { change } = await bench.done([
      { do: 'editPlayer', playerId, version: 1, set: { baseline: high } },
    ]);
    expect(change.summary).toContain('carries are known at 12 °C and 1520 m');
    expect((await bench.sheet(playerId)).player.baseline).toEqual(high);
    const { altitudeM: _altitude, ...half } = high;
    const refused = await bench.change([
      { do: 'editPlayer', playerId, version: 2, set: { baseline: half as typeof high } },
    ]);
    expect(refused.status).toBe(400);
    expect(JSON.stringify(refused.body)).toContain('set.baseline.altitudeM is missing');
    await bench.undo(change.id).expect(200);
    expect((await bench.sheet(playerId)).player.baseline).toBeNull();
  });
});

describe('what a week’s bag is chosen for', () => {
  it('is kept with the plan, refused by name where it cannot be, and undone', async () => {
    const bench = await workbench();
    const playerId = await bench.player();
    const clubId = await bench.club(playerId, '7 iron', [carry(157)]);
    await bench.bag(playerId, 'Gamer', [clubId]);
    const planId = newId();
    await bench.done([
      {
        do: 'addPlan',
        plan: {
          id: planId,
          bagId: newId(),
          playerId,
          name: 'Week',
          course: '',
          startsOn: '2026-12-01',
          endsOn: '2026-12-03',
          ground: '',
          weather: '',
        },
      },
    ]);
    const choosing = {
      needs: [
        {
          name: '155, to hold',
          to: 'green' as const,
          distanceM: 155,
          lie: 'fairway' as const,
          mustHold: true,
          weight: 2,
        },
      ],
      limit: 14,
      changeStrokes: 0.02,
      always: [clubId],
      never: [],
    };
    const done = await bench.done([{ do: 'editPlan', planId, version: 1, set: { choosing } }]);
    const kept = async () => (await bench.sheet(playerId)).plans[0]!.choosing;
    expect(await kept()).toEqual(choosing);
    const refuse = async (bad: object, message: RegExp) => {
      const { body } = await bench
        .change([{ do: 'editPlan', planId, version: 2, set: { choosing: { ...choosing, ...bad } } }])
        .expect(400);
      expect((body as { message: string }).message).toMatch(message);
    };
    await refuse({ limit: 40 }, /limit must be between 1 and 14/);
    await refuse({ needs: [{ ...choosing.needs[0], distanceM: -5 }] }, /distanceM must be between 1 and 600/);
    await refuse({ needs: Array.from({ length: 301 }, () => choosing.needs[0]) }, /more than 300 needs/);
    await refuse({ always: ['me'] }, /must be an id/);
    expect(await kept()).toEqual(choosing);
    await bench.undo(done.change.id).expect(200);
    expect(await kept()).toBeNull();
  });
});
