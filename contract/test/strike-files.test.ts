import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  strikeFieldOf,
  guessClub,
  guessMapping,
  guessWithoutHeads,
  headsKey,
  readMonitorLine,
  splitHead,
  strikeRowReader,
  givenOf,
  writeLine,
  type FileMapping,
  type LabelledClub,
  type StrikeField,
} from '../src/index.js';
import { clubOfLine } from '../src/club-of-line.js';

const club = (name: string, kind: LabelledClub['kind'], loft?: number, state = 'gamer'): LabelledClub => ({
  id: name,
  name,
  kind,
  spec: {
    ...(loft !== undefined && { loftMeasuredDeg: { value: loft, takenOn: '2026-01-01' } }),
    state: { value: state, takenOn: '2026-01-01' },
  },
});
const LOCKER = [
  club('Driver', 'driver', 9),
  club('Old driver', 'driver', 10, 'retired'),
  club('3 wood', 'fairway', 15),
  club('Hybrid 3', 'hybrid', 19),
  club('7 iron', 'iron', 33),
  club('7 iron old', 'iron', 31, 'retired'),
  club('PW', 'wedge', 45),
  club('52', 'wedge', 52),
  club('56', 'wedge', 56.5),
  club('60', 'wedge', 60),
  club('60 low', 'wedge', 60, 'backup'),
];

describe('clubs by what files call them', () => {
  it.each([
    ['7i', '7 iron', 'full'],
    ['7 Iron', '7 iron', 'full'],
    ['I7', '7 iron', 'full'],
    ['7-Eisen', '7 iron', 'full'],
    ['Fer 7', '7 iron', 'full'],
    ['Järn 7', '7 iron', 'full'],
    ['DR', 'Driver', 'full'],
    ['Drv', 'Driver', 'full'],
    ['3W', '3 wood', 'full'],
    ['3H', 'Hybrid 3', 'full'],
    ['Pitching Wedge', 'PW', 'full'],
    ['SW', '56', 'full'],
    ['LW', '60', 'full'],
    ['56°', '56', 'full'],
    ['52 deg', '52', 'full'],
    ['7 iron soft', '7 iron', 'soft'],
    ['PW 3/4', 'PW', 'three-quarter'],
    ['Pitchingwedge', 'PW', 'full'],
    ['1W', 'Driver', 'full'],
    ['Sandwedge', '56', 'full'],
    ['Wedge 52°', '52', 'full'],
    ['52 Grad', '52', 'full'],
    ['SW 52', '52', 'full'],
    ['PW 44', 'PW', 'full'],
    ['E7', '7 iron', 'full'],
    ['60 low', '60 low', 'full'],
  ] as const)('%s is the %s, %s', (label, name, shot) => {
    expect(guessClub(label, LOCKER)).toEqual({ clubId: name, shot });
  });
  it.each(['banana', '', '4 iron', '2'])(
    '"%s" could be none, or several, and is left to the person',
    (label) => {
      expect(guessClub(label, LOCKER)).toBeNull();
    },
  );
});

describe('files as people keep them', () => {
  const inYards = { decimal: '.', dates: 'day first', unitRows: 0, leftIsPositive: false } as const;
  it.each([
    [['165', '6,900'], '.', 'thousands'],
    [['165', '6.900'], ',', 'thousands the other way'],
    [['165,4', '6900'], ',', 'a decimal comma'],
    [['165.4', '6,900'], '.', 'both'],
    [['165.254', '6900'], '.', 'three decimals'],
    [['165,254', '6900'], ',', 'three decimals after a comma'],
  ] as const)('%j has the decimal sign %s: %s', (row, decimal, _why) => {
    const guess = guessMapping(['Carry (yd)', 'Spin Rate'], [row, row], 'yd');
    expect(guess.decimal).toBe(decimal);
    const read = strikeRowReader(guess, guess.heads)(row);
    expect(read?.ok && read.row.given.spinRpm).toBe(6900);
  });
  it('have their decimal sign beside letters too', () => {
    const side = (cells: readonly string[]) =>
      guessMapping(
        ['Carry', 'Side'],
        cells.map((cell) => ['150', cell]),
        'yd',
      ).decimal;
    expect(side(['R 3.2', '3.2 L', '1,152'])).toBe('.');
    expect(side(['R 3,2', '3,2L', '4,1 m'])).toBe(',');
  });
  it('have German headers', () => {
    const heads = ['Schläger', 'Startwinkel [°]', 'Spinachse', 'Seite [m]', 'Landewinkel', 'Angriffswinkel'];
    const { columns } = guessMapping(heads, [['Eisen 7', '16', '1', '3 L', '45', '-3']], 'm');
    expect(columns.map(({ field }) => field)).toEqual([
      'club',
      'launchDeg',
      'spinAxisDeg',
      'offlineM',
      'descentDeg',
      'attackDeg',
    ]);
  });
  it.each([
    [['Average', '7i', '165'], false],
    [['', 'Std. Dev.', '4'], false],
    [['', '7i', 'Mittelwert', '165'], false],
    [['Max', '7i', '170'], false],
    [['3', '7i max', '170'], true],
    [['3', 'Max', '170'], true],
  ] as const)('sum shots up in lines that are no shots: %j', (row, isShot) => {
    const mapping: FileMapping = {
      ...inYards,
      columns: [
        { column: 1, field: 'club' },
        { column: 2, field: 'carryM', unit: 'yd' },
      ],
    };
    const read = strikeRowReader(mapping, [])(row);
    expect(read?.ok).toBe(isShot);
    if (!isShot) expect(read?.ok === false && read.refusal.reason).toBe('a line about the shots, not a shot');
  });
  it('may have no headers: words are the club, the only numbers the carry', () => {
    expect(
      guessWithoutHeads(
        [
          ['7 iron', '151'],
          ['8i', '140'],
          ['', '139'],
        ],
        'm',
      ),
    ).toMatchObject({
      heads: ['column 1', 'column 2'],
      columns: [
        { column: 0, field: 'club' },
        { column: 1, field: 'carryM', unit: 'm' },
      ],
      unsure: ['carryM'],
    });
    expect(guessWithoutHeads([['1', '7 iron', '151']], 'm').columns).toEqual([{ column: 1, field: 'club' }]);
  });
});

describe('files with a part for each club', () => {
  const heads = ['Shot', 'Carry (yd)', 'Offline'];
  const lines = [
    ['Session 29 Nov 2026'],
    [''],
    ['Club: 7 Iron'],
    heads,
    ['1', '166.5', '3.2 L'],
    ['2', '163.8', '1.2 R'],
    ['Average', '165.2', ''],
    ['PW', '', ''],
    heads,
    ['1', '127.5', '0'],
  ];
  const guess = guessMapping(heads, lines.slice(4), 'yd', lines.slice(0, 3));

  it('are seen to name the club over its rows, where no column does', () => {
    expect(guess.clubLines).toBe(true);
    expect(
      guessMapping(['Club', ...heads], [['7i', '1', '166', '']], 'yd', lines.slice(0, 3)).clubLines,
    ).toBe(false);
    expect(guessMapping(heads, lines.slice(4, 6), 'yd').clubLines).toBe(false);
  });

  it('are read part by part; repeated headers are neither shots nor errors', () => {
    const read = strikeRowReader(guess, heads);
    const found = lines.map((cells) => read(cells)).slice(4);
    expect(found.map((one) => (one?.ok ? one.row.club : one?.refusal.reason))).toEqual([
      '7 Iron',
      '7 Iron',
      'a line about the shots, not a shot',
      undefined,
      undefined,
      'PW',
    ]);
  });

  it.each([
    [['Club: 7 Iron'], '7 Iron'],
    [['Club', '7 Iron', ''], '7 Iron'],
    [['Schläger = Eisen 7'], 'Eisen 7'],
    [['Palo: Hierro 7'], 'Hierro 7'],
    [['Fer 7'], 'Fer 7'],
    [['', '', '60V'], '60V'],
    [['56', '', ''], undefined],
    [['165', '3 L'], undefined],
    [['Club speed average: 85'], undefined],
    [['Club Speed', '85'], undefined],
    [['S'], undefined],
    [['Session 29 Nov 2026'], undefined],
    [['7 Iron', '166', '3 L'], undefined],
  ])('%j names %s', (cells, club) => {
    expect(clubOfLine(cells)).toBe(club);
  });
});

describe('smash and attack angle', () => {
  const mapping: FileMapping = {
    columns: [
      { column: 0, field: 'ballSpeedMps', unit: 'mph' },
      { column: 1, field: 'smash' },
      { column: 2, field: 'attackDeg', unit: 'deg' },
      { column: 3, field: 'clubSpeedMps', unit: 'mph' },
    ],
    decimal: '.',
    dates: 'day first',
    unitRows: 0,
    leftIsPositive: false,
  };
  const read = strikeRowReader(mapping, ['Ball', 'Smash', 'Attack', 'Club']);
  const row = (...cells: string[]) => {
    const found = read(cells);
    if (!found?.ok) throw new Error(found?.refusal.reason ?? 'no row of shots');
    return found.row;
  };

  it('are kept, and the speed that is missing follows from the other', () => {
    const told = row('150', '1.5', '-1.2', '');
    expect(told).toMatchObject({ smash: 1.5, given: { attackDeg: -1.2 } });
    expect(givenOf(told).clubSpeedMps).toBeCloseTo(100 * 0.44704, 3);
    expect(givenOf(row('', '1.4', '', '100')).ballSpeedMps).toBeCloseTo(140 * 0.44704, 3);
  });

  it('say nothing where both speeds were measured, or none', () => {
    const both = row('150', '1.3', '', '100');
    expect(givenOf(both)).toBe(both.given);
    expect(givenOf(row('150', '', '', ''))).toEqual({
      ballSpeedMps: expect.closeTo(67.056, 3) as number,
    });
  });

  it('are refused where no ball does that', () => {
    expect(read(['150', '2.4', '', ''])).toMatchObject({ ok: false, refusal: { column: 'Smash' } });
    expect(read(['150', '', '45', ''])).toMatchObject({ ok: false, refusal: { column: 'Attack' } });
  });
});

describe('columns by their headers', () => {
  it.each([
    ['Ball Speed (mph)', 'ballSpeedMps', 'mph'],
    ['Club Speed [m/s]', 'clubSpeedMps', 'm/s'],
    ['Carry Distance (yd)', 'carryM', 'yd'],
    ['Total Distance', 'totalM', undefined],
    ['Launch Angle', 'launchDeg', undefined],
    ['Launch Direction', 'azimuthDeg', undefined],
    ['Spin Rate (rpm)', 'spinRpm', 'rpm'],
    ['Spin Axis', 'spinAxisDeg', undefined],
    ['Apex Height, ft', 'apexM', 'ft'],
    ['Land. Angle', 'descentDeg', undefined],
    ['Lateral (m)', 'offlineM', 'm'],
    ['total_spin', 'spinRpm', undefined],
    ['ballSpeed', 'ballSpeedMps', undefined],
    ['Carry Flat - Length', 'carryM', undefined],
    ['Carry Flat - Side', 'offlineM', undefined],
    ['Est. Total Flat - Length', 'totalM', undefined],
    ['Launch H', 'azimuthDeg', undefined],
    ['Launch V', 'launchDeg', undefined],
    ['Smash Factor', 'smash', undefined],
    ['Attack', 'attackDeg', undefined],
    ['Angle of Attack (deg)', 'attackDeg', 'deg'],
    ['Club Type', 'club', undefined],
    ['Date', 'at', undefined],
  ] as const)('%s is %s in %s', (head, field, unit) => {
    const split = splitHead(head);
    expect(strikeFieldOf(head)).toBe(field);
    expect(split.unit).toBe(unit);
  });
  it('a row of units under the headers is a row of units', () => {
    expect(
      guessMapping(
        ['Club', 'Carry'],
        [
          ['', '[m]'],
          ['7i', '150'],
        ],
        'yd',
      ),
    ).toMatchObject({
      unitRows: 1,
      columns: [{ field: 'club' }, { field: 'carryM', unit: 'm' }],
      unsure: [],
    });
  });
  it('a number over 12 tells whether the day or the month comes first', () => {
    const dates = (cell: string) => guessMapping(['Date', 'Carry'], [[cell, '150']], 'yd').dates;
    expect(dates('11/20/2026')).toBe('month first');
    expect(dates('20/11/2026')).toBe('day first');
  });
  it('the same headers are one source, whatever their spacing', () => {
    expect(headsKey(['Ball  Speed', 'Carry'])).toBe(headsKey(['ball speed', 'CARRY']));
  });
});

const mapping = (field: StrikeField, more: Partial<FileMapping> = {}, unit?: 'yd' | 'm'): FileMapping => ({
  columns: [
    { column: 0, field, ...(unit && { unit }) },
    ...(field === 'carryM' ? [] : [{ column: 1, field: 'carryM' as const, unit: 'm' as const }]),
  ],
  decimal: '.',
  dates: 'day first',
  unitRows: 0,
  leftIsPositive: false,
  ...more,
});

describe('cells of a file', () => {
  it('any carry goes through yards, and a decimal comma, and comes back', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 5, max: 350, noNaN: true }),
        fc.constantFrom('.', ','),
        (carryM, decimal) => {
          const text = (carryM / 0.9144).toFixed(3).replace('.', decimal);
          const read = strikeRowReader(mapping('carryM', { decimal: decimal as '.' }, 'yd'), ['carry'])([
            text,
          ]);
          expect(read?.ok && read.row.given.carryM).toBeCloseTo(carryM, 2);
        },
      ),
    );
  });
  it.each([
    ['3.1 L', -3.1],
    ['L 3.1', -3.1],
    ['2R', 2],
    ['-4', -4],
    ['−4', -4],
    ['0', 0],
  ])('a side of %s is %s m', (text, offlineM) => {
    const read = strikeRowReader(mapping('offlineM', {}, 'm'), ['side', 'carry'])([text, '150']);
    expect(read).toMatchObject({ ok: true, row: { given: { offlineM } } });
  });
  it('where left is positive a bare number turns round, a letter does not', () => {
    const read = strikeRowReader(mapping('offlineM', { leftIsPositive: true }, 'm'), ['side', 'carry']);
    expect(read(['4', '150'])).toMatchObject({ row: { given: { offlineM: -4 } } });
    expect(read(['4 R', '150'])).toMatchObject({ row: { given: { offlineM: 4 } } });
  });
  it.each([
    ['', true],
    ['n/a', true],
    ['--', true],
    ['1,234.5', true],
    ['12;3', false],
    ['1e5', false],
    ['ten', false],
    ['15 000', false],
  ])('spin of "%s" is %s', (text, ok) => {
    expect(strikeRowReader(mapping('spinRpm'), ['spin', 'carry'])([text, '150'])?.ok).toBe(ok);
  });
  it.each([
    ['2026-11-18T10:01:00', '2026-11-18', '10:01:00'],
    ['18.11.2026 7:05', '2026-11-18', '07:05:00'],
    ['18/11/26 12:30 AM', '2026-11-18', '00:30:00'],
    ['18-11-2026', '2026-11-18', undefined],
  ])('%s is %s at %s', (text, day, time) => {
    expect(strikeRowReader(mapping('at'), ['at', 'carry'])([text, '150'])).toMatchObject({
      ok: true,
      row: { day, time },
    });
  });
  it.each(['31.02.2026', '2026-13-01', 'yesterday', '10:75'])('%s is refused', (text) => {
    expect(strikeRowReader(mapping('at'), ['at', 'carry'])([text, '150'])?.ok).toBe(false);
  });
});

describe('lines of a launch monitor', () => {
  it('go there and back', () => {
    const line = {
      type: 'strike' as const,
      number: 7,
      at: '2026-11-20T10:00:00.000Z',
      club: null,
      strike: { ballSpeedMps: 53.6, launchDeg: 16.3 },
    };
    expect(readMonitorLine(writeLine(line))).toEqual(line);
    expect(
      readMonitorLine(
        '{"type":"strike","number":7,"at":"2026-11-20T10:00:00+01:00","club":"7i","carryM":150,"spinRpm":null}',
      ),
    ).toMatchObject({ strike: { carryM: 150 } });
  });
  it.each([
    ['[]', 'not a JSON object'],
    ['{"type":"shout"}', 'type must be one of'],
    ['{"type":"beat","loud":1}', 'unknown field: loud'],
    ['{"type":"strike","number":1.5,"at":"2026-11-20T10:00:00Z","club":null,"carryM":150}', 'whole number'],
    ['{"type":"strike","number":1,"at":"2026-11-20T10:00:00Z","club":null}', 'must hold one of'],
    ['{"type":"hello","device":"","simulated":true}', 'device'],
  ])('%s: %s', (text, reason) => {
    expect(() => readMonitorLine(text)).toThrow(reason);
  });
});
