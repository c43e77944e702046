import type { ClubView, TicketView } from '@tasche/contract';
import { BENCH_JOBS, type BenchJob, type Remedy } from '@tasche/core';
import { describe, expect, it } from 'vitest';
import { addTickets, bendTicket, readyTickets } from '../../src/bench/new-tickets';
import { loftTrial, remedyTrial, wishOfRemedy } from '../../src/bag/remedy-trial';
import {
  JOB_KEYS,
  becameWords,
  isOpen,
  missWords,
  nowOf,
  promiseWords,
  ticketsInOrder,
  usualName,
  wantedWords,
} from '../../src/bench/ticket-words';
import { clubView } from '../sheet';

const ON = '2026-10-01';
const fact = (value: number | string) => ({ value, takenOn: ON });
const pw: ClubView = {
  ...clubView('PW', { carryM: 114 }),
  kind: 'wedge',
  spec: {
    loftStampedDeg: fact(44),
    loftMeasuredDeg: fact(44.25),
    lieDeg: fact(63.5),
    bounceDeg: fact(6),
    'shot.full': { value: { carryM: 114, source: 'stated' }, takenOn: ON },
  },
};
const occasion = { why: 'even carries', eventId: null, dueOn: '2026-12-01' };
const ticket = (name: string, more: Partial<TicketView> = {}): TicketView => ({
  id: name,
  playerId: 'p',
  version: 1,
  name,
  job: 'bend',
  clubId: 'PW',
  wanted: [],
  why: '',
  eventId: null,
  dueOn: null,
  state: 'asked',
  became: [],
  misses: [],
  doneOn: null,
  removed: false,
  ...more,
});

describe('the words of a ticket', () => {
  it('say what a club is and what it is to be', () => {
    const wanted = [
      { key: 'loftSetDeg' as const, value: 45.5 },
      { key: 'lieSetDeg' as const, value: 63.5 },
      { key: 'swingWeight' as const, value: 'D4' },
    ];
    // The loft it is really at, not the stamp; a lie that is right already has no "from"; what nobody knows
    // has none either.
    expect(wantedWords(wanted, pw)).toBe('loft 44.25° to 45.5°, lie 63.5°, swing weight D4');
    expect(wantedWords(wanted, undefined)).toBe('loft 45.5°, lie 63.5°, swing weight D4');
    expect(nowOf(pw, 'swingWeight')).toBeNull();
  });

  it('say what was missed, with both figures', () => {
    expect(missWords([{ key: 'loftSetDeg', wanted: 45, became: 46.25 }])).toBe(
      'loft became 46.25° where 45.0° was wanted',
    );
  });

  it('say what it became beside what was asked', () => {
    const wanted = [
      { key: 'loftSetDeg' as const, value: 45 },
      { key: 'swingWeight' as const, value: 'D4' },
    ];
    const became = [
      { key: 'loftMeasuredDeg' as const, value: 45.25 },
      { key: 'swingWeight' as const, value: 'D4' },
      { key: 'lieDeg' as const, value: 63.5 },
    ];
    expect(becameWords({ wanted, became })).toBe(
      'loft became 45.25°, 0.25° over; swing weight became D4, as asked; lie became 63.5°',
    );
  });

  it('say what a done bend does to the carry against what it was to do, until the club is hit', () => {
    const before = { loftMeasuredDeg: fact(44.25) };
    const bent = (cameToDeg: number): ClubView => ({
      ...pw,
      spec: {
        ...pw.spec,
        loftSetDeg: fact(45),
        loftMeasuredDeg: fact(cameToDeg),
        'shot.full': { value: { carryM: 114, source: 'stated' }, takenOn: ON, build: before },
      },
    });
    const asked = (cameToDeg: number, job: BenchJob = 'bend') => ({
      job,
      wanted: [{ key: 'loftSetDeg' as const, value: 45 }],
      became: [{ key: 'loftMeasuredDeg' as const, value: cameToDeg }],
    });
    expect(promiseWords(asked(45), bent(45), 'm')).toMatch(
      /^carry 114 to 11[123] m, as promised; not hit since/,
    );
    expect(promiseWords(asked(47), bent(47), 'm')).toMatch(
      /^carry 114 to (\d+) m, where 11[123] was promised/,
    );
    // Hit since, no bend, or no carry known: nothing is said.
    expect(promiseWords(asked(45), pw, 'm')).toBe('');
    expect(promiseWords(asked(45, 'grip'), bent(45), 'm')).toBe('');
    expect(promiseWords(asked(45), undefined, 'm')).toBe('');
    // Bent again since, by another ticket.
    expect(promiseWords(asked(45), bent(47), 'm')).toBe('');
  });

  it('name every job, and know what it is about', () => {
    for (const job of BENCH_JOBS) {
      expect(usualName(job, 'PW')).toContain('PW');
      expect(JOB_KEYS[job]).toBeDefined();
    }
  });

  it('stand by the day they are due, the open ones first, the done ones newest first', () => {
    const order = ticketsInOrder([
      ticket('done before', { state: 'done', doneOn: '2026-10-01' }),
      ticket('no day'),
      ticket('done last', { state: 'done', doneOn: '2026-11-01' }),
      ticket('late', { dueOn: '2026-12-20' }),
      ticket('soon', { dueOn: '2026-11-28', state: 'on the bench' }),
    ]);
    expect(order.map(({ name }) => name)).toEqual(['soon', 'late', 'no day', 'done last', 'done before']);
    expect(order.filter(isOpen)).toHaveLength(3);
  });
});

describe('tickets made with one press', () => {
  it('bend an iron to a loft, and say what its bounce becomes', () => {
    const made = bendTicket(
      pw,
      { byDeg: 1, fromDeg: 44.25, toDeg: 45.25, bounceFromDeg: 6, bounceToDeg: 7 },
      occasion,
    );
    expect(made).toMatchObject({
      job: 'bend',
      name: 'Bend the PW 1° weak',
      wanted: [{ key: 'loftSetDeg', value: 45.25 }],
      why: 'from 44.25°; bounce becomes 7.0°; even carries',
      dueOn: '2026-12-01',
    });
    expect(addTickets('p', [made])[0]).toMatchObject({ do: 'addTicket', ticket: { playerId: 'p' } });
  });

  it('turn a wood’s sleeve to a position of its own table, with the direction spelled out', () => {
    const wood: ClubView = {
      ...clubView('3 wood', { carryM: 210 }),
      kind: 'fairway',
      spec: { loftStampedDeg: fact(15), setting: fact('A'), sleevePositions: fact('A 0, B +1 lie +0.5') },
    };
    expect(bendTicket(wood, { byDeg: 1, fromDeg: 15, toDeg: 16 }, occasion)).toMatchObject({
      job: 'sleeve',
      name: 'Turn the 3 wood’s sleeve to B',
      wanted: [
        { key: 'loftSetDeg', value: 16 },
        { key: 'setting', value: 'B' },
      ],
      why: 'loft up 1.0°, face shut 1.0°, lie 0.5° up; even carries',
    });
    // Nobody wrote its table down: the loft is asked for, and no position is made up.
    const generic = { ...wood, spec: { loftStampedDeg: fact(15), setting: fact('N') } };
    expect(bendTicket(generic, { byDeg: 1, fromDeg: 15, toDeg: 16 }, occasion).wanted).toEqual([
      { key: 'loftSetDeg', value: 16 },
    ]);
  });

  it('have clubs ready that a bag brings in', () => {
    const [made] = readyTickets([{ club: pw, why: 'soft turf' }], { eventId: 'e', dueOn: '2026-12-01' });
    expect(made).toMatchObject({ name: 'Have the PW ready', why: 'soft turf', eventId: 'e', wanted: [] });
  });
});

describe('a remedy looked at on the ladder', () => {
  const remedy = (more: Partial<Remedy>): Remedy =>
    ({
      kind: 'bend',
      bag: [],
      gain: 0.1,
      fixes: undefined,
      opens: [],
      ...more,
    }) as unknown as Remedy;
  const views = new Map([['PW', pw]]);

  it('is kept as tickets where it is work for the bench, and as a swap where it is one', () => {
    const bent = remedyTrial(
      remedy({ bends: [{ clubId: 'PW', fromDeg: 44.25, toDeg: 45.25 }] }),
      'Bend it',
      'bag',
      'p',
      views,
    );
    expect(bent.keepWords).toBe('Make the ticket');
    expect(bent.commands).toMatchObject([
      { do: 'addTicket', ticket: { clubId: 'PW', why: 'from 44.25°; Bend it' } },
    ]);
    expect(bent.caution).toContain('eye protection');
    const swapped = remedyTrial(remedy({ inId: 'a', outId: 'b' }), 'Swap', 'bag', 'p', views);
    expect(swapped.keepWords).toBeUndefined();
    expect(swapped.commands).toEqual([
      { do: 'takeOut', bagId: 'bag', clubId: 'b' },
      { do: 'putIn', bagId: 'bag', clubId: 'a' },
    ]);
    expect(remedyTrial(remedy({}), '', 'bag', 'p', views).commands).toBeUndefined();
  });

  it('is put on the wish list where it is a shot to learn, with what it is to carry', () => {
    const words = 'Learn a soft PW at 115 yd';
    const learns = { clubId: 'PW', shotKind: 'soft' as const, carryM: 105 };
    const trial = remedyTrial(remedy({ kind: 'learn a shot', learns }), words, 'bag', 'p', views);
    expect(trial.keepWords).toBe('Put it on the wish list');
    expect(trial.commands).toMatchObject([
      {
        do: 'addWish',
        wish: { name: words, purpose: 'learn', clubId: 'PW', expected: { shot: 'soft', carryM: 105 } },
      },
    ]);
    // Up in thin air the ladder's carry is none to keep.
    const there = remedyTrial(remedy({ kind: 'learn a shot', learns }), words, 'bag', 'p', views, {
      inAir: true,
    });
    expect(there.commands).toMatchObject([{ wish: { expected: { shot: 'soft' } } }]);
    expect(there.commands![0]).not.toHaveProperty('wish.expected.carryM');
  });

  it('a loft of one’s own makes a ticket too; a club without a loft has none to try', () => {
    const club = { id: 'PW', name: 'PW', kind: 'wedge' as const, loftDeg: 44.25, shots: {} };
    const trial = loftTrial(club, 45, [club], 'p', views)!;
    expect(trial.words).toBe('PW at 45.0°, 44.25° now');
    expect(trial.clubs[0]!.loftDeg).toBe(45);
    expect(trial.commands).toHaveLength(1);
    expect(loftTrial({ id: 'x', name: 'x', kind: 'wedge', shots: {} }, 45, [], 'p', views)).toBeUndefined();
  });

  it('what would be bought goes on the wish list, by kind and loft', () => {
    const buys = { id: 'wedge 48', name: 'wedge 48.0°', kind: 'wedge' as const, loftDeg: 48, shots: {} };
    expect(wishOfRemedy(remedy({ buys }), 'Buy a wedge', 'p')).toMatchObject([
      {
        do: 'addWish',
        wish: {
          name: 'a wedge of 48.0°',
          purpose: 'buy',
          club: { kind: 'wedge', loftDeg: 48 },
          price: null,
          notes: 'Buy a wedge',
        },
      },
    ]);
    expect(wishOfRemedy(remedy({}), 'Take it out', 'p')).toEqual([]);
  });
});
