import type { ChangeResult, Command, PlanView, SheetView } from '@tasche/contract';
import { describe, expect, it } from 'vitest';
import { emptyRound, withCommands } from '@tasche/contract';
import { withResult } from '../../src/changes/with-result';
import { clubView, sheetOf } from '../sheet';

const start = () => sheetOf([clubView('a'), clubView('b'), clubView('c')], ['a', 'b']);
const gamerOf = (sheet: SheetView) => sheet.bags.find((bag) => bag.gamer)!.clubIds;

describe('the sheet before the server has answered', () => {
  it('takes out and puts in', () => {
    const after = withCommands('sheet', start(), [
      { do: 'takeOut', bagId: 'gamer', clubId: 'a' },
      { do: 'putIn', bagId: 'gamer', clubId: 'c' },
    ]);
    expect(gamerOf(after)).toEqual(['b', 'c']);
  });

  it('changes nothing in what it was given', () => {
    const before = start();
    withCommands('sheet', before, [
      { do: 'takeOut', bagId: 'gamer', clubId: 'a' },
      { do: 'removeClub', clubId: 'b', version: 3 },
    ]);
    expect(before).toEqual(start());
  });

  it('comes to the same when commands are laid over an answer that holds them already', () => {
    const commands: Command[] = [
      {
        do: 'addClub',
        club: { id: 'd', playerId: 'p', name: 'd', kind: 'wedge' },
        readings: [{ key: 'loftStampedDeg', value: 56, takenOn: '2026-11-01' }],
      },
      { do: 'putIn', bagId: 'gamer', clubId: 'd' },
      { do: 'takeOut', bagId: 'gamer', clubId: 'b' },
      { do: 'editPlayer', playerId: 'p', version: 1, set: { gapSettings: { clubLimit: 10 } } },
      {
        do: 'addPlan',
        plan: {
          id: 'week',
          bagId: 'week-bag',
          playerId: 'p',
          name: 'Week',
          course: '',
          startsOn: '2026-12-01',
          endsOn: '2026-12-04',
          ground: '',
          weather: '',
        },
      },
      { do: 'setSwaps', planId: 'week', version: 1, swaps: [{ outId: 'a', inId: 'c', why: 'wind' }] },
    ];
    const once = withCommands('sheet', start(), commands);
    expect(withCommands('sheet', once, commands)).toEqual(once);
    expect(once.bags.find((bag) => bag.id === 'week-bag')!.clubIds).toEqual(
      expect.arrayContaining(['c', 'd']),
    );
    expect(once.bags.find((bag) => bag.id === 'week-bag')!.clubIds).not.toContain('a');
  });

  it('has a plan start from the gamer as it is now: its swaps stay as far as they can, a settled bag by others', () => {
    const base = start();
    const gamer = base.bags.find((bag) => bag.gamer)!;
    const [first, second] = gamer.clubIds;
    const round = {
      ...emptyRound('r1'),
      bagId: 'round-bag',
      swaps: [{ outId: first!, inId: 'c', why: 'wind' }],
    };
    const plan = {
      id: 'week',
      bagId: 'week-bag',
      baseClubIds: gamer.clubIds,
      swaps: [{ outId: first!, inId: 'c', why: 'wind' }, { outId: second! }],
      rounds: [round, emptyRound('r2')],
    } as unknown as PlanView;
    const sheet = {
      ...base,
      bags: [
        { ...gamer, clubIds: [first!, 'new'] },
        { ...gamer, id: 'week-bag', gamer: false, planId: 'week', clubIds: [] },
        { ...gamer, id: 'round-bag', gamer: false, planId: 'week', clubIds: ['c', second!] },
      ],
      plans: [plan],
    };
    const after = withCommands('sheet', sheet, [{ do: 'rebasePlan', planId: 'week', version: 1 }]);
    expect(after.plans[0]).toMatchObject({
      baseClubIds: [first, 'new'],
      swaps: [{ outId: first, inId: 'c', why: 'wind' }],
      rounds: [
        {
          swaps: [
            { outId: first, inId: 'c', why: 'wind' },
            { outId: 'new', inId: second },
          ],
        },
        { roundId: 'r2', swaps: [] },
      ],
    });
    expect(after.bags.find(({ id }) => id === 'week-bag')!.clubIds).toEqual(['c', 'new']);
    expect(after.bags.find(({ id }) => id === 'round-bag')!.clubIds).toEqual(['c', second]);
  });

  it('keeps a newer reading when an older one is recorded late', () => {
    const newer = withCommands('sheet', start(), [
      {
        do: 'editClub',
        clubId: 'a',
        version: 3,
        readings: [{ key: 'loftSetDeg', value: 29, takenOn: '2026-11-01' }],
      },
    ]);
    const late = withCommands('sheet', newer, [
      {
        do: 'editClub',
        clubId: 'a',
        version: 4,
        readings: [{ key: 'loftSetDeg', value: 31, takenOn: '2026-09-01' }],
      },
    ]);
    expect(late.clubs[0]!.spec.loftSetDeg?.value).toBe(29);
  });

  it('takes a quantity back to not known', () => {
    const after = withCommands('sheet', start(), [
      {
        do: 'editClub',
        clubId: 'a',
        version: 3,
        readings: [{ key: 'loftStampedDeg', value: null, takenOn: '2026-11-01' }],
      },
    ]);
    expect(after.clubs[0]!.spec.loftStampedDeg).toBeUndefined();
  });

  it("takes a deleted plan's bag along", () => {
    const planned = withCommands('sheet', start(), [
      {
        do: 'addPlan',
        plan: {
          id: 'week',
          bagId: 'week-bag',
          playerId: 'p',
          name: 'Week',
          course: '',
          startsOn: '2026-12-01',
          endsOn: '2026-12-04',
          ground: '',
          weather: '',
        },
      },
    ]);
    expect(
      withCommands('sheet', planned, [{ do: 'removePlan', planId: 'week', version: 1 }]).bags.map(
        (bag) => bag.id,
      ),
    ).toEqual(['gamer']);
  });
});

describe("the server's answer over the sheet", () => {
  const change = {
    id: 'x',
    playerId: 'p',
    at: '2026-11-25T10:00:00Z',
    who: 'Jonas',
    why: '',
    summary: 'a out',
    undoes: null,
    undone: false,
  };
  const answer = (more: Partial<ChangeResult>): ChangeResult => ({
    change,
    players: [],
    clubs: [],
    bags: [],
    plans: [],
    tickets: [],
    wishes: [],
    roundsPlayed: [],
    sessions: [],
    courses: [],
    seasons: [],
    events: [],
    ...more,
  });

  it("replaces rows by id, drops removed ones, adds new ones, and leaves other players' rows alone", () => {
    const after = withResult(
      start(),
      answer({
        clubs: [
          { ...clubView('a'), name: 'renamed' },
          { ...clubView('b'), removed: true },
          clubView('d'),
          { ...clubView('z'), playerId: 'somebody else' },
        ],
      }),
    );
    expect(after.clubs.map((club) => club.name)).toEqual(['renamed', 'c', 'd']);
    expect(after.lastChange).toEqual(change);
  });

  it('does not call an undo the last change', () => {
    expect(withResult(start(), answer({ change: { ...change, undoes: 'w' } })).lastChange).toBeNull();
  });
});
