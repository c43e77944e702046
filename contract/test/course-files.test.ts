import { lineOfHole, usualHole } from '@tasche/core';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  isScorecard,
  readHolesTable,
  readHolesGeoJson,
  seasonOn,
  seasonOnCourse,
  writeHolesTable,
  writeHolesGeoJson,
} from '../src/index.js';

const eighteen = Array.from({ length: 18 }, (_one, i) => ({
  ...usualHole([4, 3, 5][i % 3]!, [[380, 165, 500][i % 3]!, [350, 140, 460][i % 3]!]),
  bearingDeg: (i * 35) % 360,
  elevationChangeM: i - 9,
  hazards: i % 4 === 0 ? [{ kind: 'water' as const, side: 'left' as const, fromM: 200, toM: 240 }] : [],
}));
const course = {
  name: 'Here',
  tees: ['Back', 'Middle'],
  holes: eighteen,
  latitudeDeg: 63.1,
  longitudeDeg: -8.9,
};
const none = { tees: ['Back'], holes: [] };
const lineFeature = (properties: object, coordinates: unknown) => ({
  type: 'Feature',
  properties,
  geometry: { type: 'LineString', coordinates },
});
const collection = (features: readonly object[]) => JSON.stringify({ type: 'FeatureCollection', features });
const east = (hole: number, metres = 380) =>
  lineFeature({ hole }, [
    [hole, 0],
    [hole + metres / 111_195.08, 0],
  ]);

describe('holes as GeoJSON', () => {
  it('out and in again are the same holes; a drawn line has the length and bearing of its hole', () => {
    const text = writeHolesGeoJson(course);
    const { holes, problems, place } = readHolesGeoJson(text, { tees: course.tees, holes: [] });
    expect(problems).toEqual([]);
    expect(place![1]).toBeCloseTo(63.1, 5);
    holes.forEach(({ line: _line, bearingDeg, ...hole }, i) => {
      const { bearingDeg: before, ...rest } = eighteen[i]!;
      expect(hole).toEqual(rest);
      expect(Math.abs(((bearingDeg! - before + 540) % 360) - 180)).toBeLessThan(0.2);
    });
    const { features } = JSON.parse(text) as {
      features: { geometry: { coordinates: [number, number][] } }[];
    };
    features.forEach(({ geometry }, i) => {
      expect(lineOfHole(geometry.coordinates).lengthM).toBeCloseTo(eighteen[i]!.lengthsM[0]!, 0);
    });
  });

  it('a line alone is enough: length, bearing and the usual par come of it, and what a course has of its own stays', () => {
    const { holes, problems, passed } = readHolesGeoJson(
      collection([
        ...Array.from({ length: 9 }, (_one, i) => east(i + 1)),
        { type: 'Feature', geometry: { type: 'Point', coordinates: [0, 0] } },
      ]),
      { tees: ['Back'], holes: [{ ...usualHole(4, [300]), corridorM: 21 }] },
    );
    expect(problems).toEqual([]);
    expect(passed).toEqual(['feature 10 is not a line']);
    expect(holes[0]).toMatchObject({ par: 4, lengthsM: [380], bearingDeg: 90, corridorM: 21 });
    expect(holes[1]).toMatchObject({ par: 4, corridorM: 27 });
  });

  it.each<[string, string, RegExp]>([
    ['what is no JSON', '{oops', /is not JSON/],
    ['what is no collection', '{"type":"Feature"}', /not a GeoJSON FeatureCollection/],
    ['a list', '[]', /not a GeoJSON/],
    ['nothing', 'null', /not a GeoJSON/],
    [
      'seven holes',
      collection(Array.from({ length: 7 }, (_one, i) => east(i + 1))),
      /holes must be 9 or 18, not 7/,
    ],
    [
      'a gap in the numbers',
      collection([1, 2, 3, 4, 5, 6, 7, 8, 10].map((hole) => east(hole))),
      /numbered 1 to 9; 10 is the last/,
    ],
    [
      'a hole twice',
      collection([...Array.from({ length: 9 }, (_one, i) => east(i + 1)), east(3)]),
      /hole 3 has two lines/,
    ],
    ['hole 40', collection([east(40)]), /hole must be between 1 and 18, not 40/],
    [
      'a hole of nothing',
      collection(Array.from({ length: 9 }, (_one, i) => east(i + 1, 0))),
      /hole 1: length from Back must be between 40 and 700 m, not 0/,
    ],
    [
      'a place that is none',
      collection(
        Array.from({ length: 9 }, (_one, i) =>
          i === 4
            ? lineFeature({ hole: 5 }, [
                [0, 0],
                ['x', 1],
              ])
            : east(i + 1),
        ),
      ),
      /hole 5: line holds a place that is none/,
    ],
    [
      'a front nobody knows',
      collection(
        Array.from({ length: 9 }, (_one, i) => {
          const one = east(i + 1);
          return i === 1 ? { ...one, properties: { hole: 2, front: 'lava' } } : one;
        }),
      ),
      /hole 2: front must be one of open, sand, water/,
    ],
    [
      'a hazard that is no list',
      collection(
        Array.from({ length: 9 }, (_one, i) => {
          const one = east(i + 1);
          return i === 1 ? { ...one, properties: { hole: 2, hazards: 'much' } } : one;
        }),
      ),
      /hole 2: hazards must be a list/,
    ],
  ])('%s is said by name', (_what, text, message) => {
    expect(readHolesGeoJson(text, none).problems.join('; ')).toMatch(message);
  });

  it('never throws, whatever it is given', () => {
    fc.assert(
      fc.property(
        fc.oneof(
          fc.string(),
          fc.json(),
          fc
            .array(
              fc.record({
                properties: fc.anything(),
                geometry: fc.record({ type: fc.constant('LineString'), coordinates: fc.anything() }),
              }),
            )
            .map((features) => JSON.stringify({ type: 'FeatureCollection', features })),
        ),
        (text) => {
          const { holes, problems } = readHolesGeoJson(text, none);
          expect(problems.length > 0 || holes.length === 9 || holes.length === 18).toBe(true);
        },
      ),
    );
  });
});

describe('holes as a yardage list', () => {
  it('out and in again are the same, in yards and in metres', () => {
    for (const unit of ['yd', 'm'] as const) {
      const { holes, tees, problems } = readHolesTable(
        writeHolesTable(course, unit),
        { tees: course.tees, holes: eighteen },
        'm',
      );
      expect(problems).toEqual([]);
      expect(tees).toEqual(course.tees);
      holes.forEach((hole, i) => {
        expect(hole).toMatchObject({
          par: eighteen[i]!.par,
          front: 'open',
          slope: 'flat',
          bearingDeg: eighteen[i]!.bearingDeg,
          hazards: eighteen[i]!.hazards,
        });
        hole.lengthsM.forEach((m, t) => expect(m).toBeCloseTo(eighteen[i]!.lengthsM[t]!, 0));
        expect(hole.elevationChangeM).toBeCloseTo(eighteen[i]!.elevationChangeM, 0);
      });
    }
  });

  const row = (hole: number, more = '') => `${hole};4;${380 + hole}${more}`;
  const list = (head: string, rows: readonly string[]) => [head, ...rows].join('\n');
  const nine = Array.from({ length: 9 }, (_one, i) => row(i + 1));
  it('semicolons, decimal commas, totals, a stroke index and an empty column are read too', () => {
    const { holes, tees, problems, passed } = readHolesTable(
      list('Hole;Par;White (m);Index;Notes', [
        ...Array.from({ length: 9 }, (_one, i) => `${i + 1};4;${380 + i},5;${9 - i};`),
        'Out;36;3460;;',
      ]),
      none,
      'yd',
    );
    expect(problems).toEqual([]);
    expect(tees).toEqual(['White']);
    expect(holes[0]!.lengthsM).toEqual([380.5]);
    expect(passed.join()).toMatch(/column "Index",column "Notes",row "Out/);
  });
  describe('holes of a message, one a line', () => {
    const of = (line: (hole: number) => string) =>
      readHolesTable(Array.from({ length: 9 }, (_one, i) => line(i + 1)).join('\n'), none, 'yd');
    const inMetres = (metres: number) => Array.from({ length: 9 }, (_one, i) => [metres + i + 1]);
    it.each<[string, (hole: number) => string]>([
      ['1: par 4, 301m', (n) => `${n}: par 4, ${300 + n}m`],
      ['Hole 1 par 4 301 m', (n) => `Hole ${n} par 4 ${300 + n} m`],
      ['Loch 1 Par 4 - 301 m', (n) => `Loch ${n} Par 4 - ${300 + n} m`],
      ['#1  Par 4  301 metres', (n) => `#${n}  Par 4  ${300 + n} metres`],
    ])('%s', (_line, line) => {
      const { holes, tees, problems, isUnitGuessed, isParGuessed } = of(line);
      expect([tees, problems, isUnitGuessed, isParGuessed]).toEqual([['Tee'], [], false, false]);
      expect(holes.map(({ lengthsM }) => lengthsM)).toEqual(inMetres(300));
    });
    it('are in the reader’s unit where they name none, also as bare numbers with an index behind', () => {
      const { holes, problems, isUnitGuessed } = of((n) => `${n} 4 ${400 + n} ${10 - n}`);
      expect([problems, isUnitGuessed]).toEqual([[], true]);
      expect(holes[8]!.lengthsM[0]).toBeCloseTo(409 * 0.9144, 0);
      expect(of((n) => `Hole ${n} par 3 ${150 + n}`).holes[0]!.par).toBe(3);
    });
    it('are none where holes are left out, units are mixed, or it is something else', () => {
      expect(of((n) => `${2 * n} 4 380`).problems).toEqual([expect.stringContaining('No column is headed')]);
      expect(of((n) => `${n}: par 4, 300 ${n % 2 ? 'm' : 'yd'}`).holes).toEqual([]);
      expect(isScorecard('7 4 150\n8 4 140')).toBe(false);
    });
    it.each(['Hål;Par;Vit', 'Hul;Par;Hvid', 'Hull;Par;Hvit', 'Buraco;Par;Brancas', 'Hoyo;Par;Blancas'])(
      'in a table headed %s',
      (head) => {
        expect(readHolesTable(list(head, nine), none, 'm')).toMatchObject({ problems: [] });
      },
    );
  });
  describe('a scorecard as it is printed or copied', () => {
    const lengths = Array.from({ length: 18 }, (_one, i) => 150 + 20 * i);
    const pars = lengths.map((_one, i) => [4, 3, 5][i % 3]!);
    const reads = (lines: readonly (readonly (string | number)[])[]) =>
      readHolesTable(lines.map((cells) => cells.join('\t')).join('\n'), none, 'm');
    const nine = (of: readonly number[], second: boolean) => (second ? of.slice(9) : of.slice(0, 9));
    const isWhole = ({ holes, tees, problems, isParGuessed }: ReturnType<typeof reads>) => {
      expect(problems).toEqual([]);
      expect(tees).toEqual(['Blue', 'Red']);
      expect(holes.map(({ lengthsM }) => lengthsM)).toEqual(lengths.map((m) => [m, m - 20]));
      expect(holes.map(({ par }) => par)).toEqual(pars);
      expect(isParGuessed).toBe(false);
    };
    const numbers = lengths.map((_one, i) => i + 1);
    const red = lengths.map((m) => m - 20);
    const upright = (from: number, to: number) =>
      numbers.slice(from, to).map((n, i) => [n, pars[from + i]!, lengths[from + i]!, red[from + i]!]);
    const HEADS = ['Hole', 'Par', 'Blue', 'Red'];

    it('stands in rows under its name and an empty line', () => {
      isWhole(reads([['Föhrenau Golf'], [''], HEADS, ...upright(0, 18)]));
      // Its rows may be counted as well.
      isWhole(reads([['No.', ...HEADS], ...upright(0, 18).map((row) => [row[0]!, ...row])]));
    });

    it('stands in columns, with what is out, in and altogether', () => {
      const row = (head: string, of: readonly number[]) => {
        const sum = (some: readonly number[]) => some.reduce((all, one) => all + one, 0);
        return [
          head,
          ...nine(of, false),
          sum(nine(of, false)),
          ...nine(of, true),
          sum(nine(of, true)),
          sum(of),
        ];
      };
      const card = reads([
        ['HOLE', ...nine(numbers, false), 'OUT', ...nine(numbers, true), 'IN', 'TOT'],
        row('Blue 73.1/134', lengths),
        row('Handicap', numbers),
        row('Red', red),
        row("Men's par", pars),
        row("Ladies' par", pars),
      ]);
      isWhole(card);
      expect(card.passed.join()).toMatch(
        /column "Handicap",column "Ladies' par",row "OUT .*row "IN .*row "TOT/,
      );
    });

    it('has its second nine under the first, or beside it', () => {
      const block = (second: boolean) => [
        ['Hole', ...nine(numbers, second)],
        ['Blue', ...nine(lengths, second)],
        ['Red', ...nine(red, second)],
        ['Par', ...nine(pars, second)],
      ];
      isWhole(reads([...block(false), [''], ...block(true)]));
      isWhole(reads([...block(false), ...block(true)].map((cells) => ['', ...cells])));
      const [front, back] = [upright(0, 9), upright(9, 18)];
      isWhole(reads([[...HEADS, ...HEADS], ...front.map((row, i) => [...row, ...back[i]!])]));
      isWhole(reads([HEADS, ...front, ['Out', 36, 2000, 1900], HEADS, ...back]));
    });

    it('has blanks between its cells, as copied off a page', () => {
      const row = (head: string, of: readonly number[]) => [head, ...of].join(' ');
      const card = [
        'Föhrenau Golf, since 1921',
        row('Hole', nine(numbers, false)) + ' Out ' + row('', nine(numbers, true)).trim() + ' In Total',
        row('Blue 73.1/134', [...nine(lengths, false), 2070, ...nine(lengths, true), 3690, 5760]),
        row("Men's Par", [...nine(pars, false), 36, ...nine(pars, true), 36, 72]),
        row('Red', [...nine(red, false), 1890, ...nine(red, true), 3510, 5400]),
      ];
      isWhole(readHolesTable(card.join('\n'), none, 'm'));
      expect(isScorecard(card.join('\n'))).toBe(true);
      // A line without totals is none the less hole by hole.
      const [title, heads, blue, , reds] = card;
      const lines = [title, heads, blue, row('Par', pars), reds, row('Handicap', numbers)];
      isWhole(readHolesTable(lines.join('\n'), none, 'm'));
      const upright18 = ['Hole Par Blue Red', ...upright(0, 18).map((cells) => cells.join('  '))];
      isWhole(readHolesTable(upright18.join('\n'), none, 'm'));
    });

    it('is told from other things that are pasted', () => {
      for (const text of [
        'Hole',
        'the 4th hole\nis long',
        '380\t4\n410\t5',
        'Hole\tPar\n1\t4',
        'a "quote\nopen',
      ])
        expect(isScorecard(text), text).toBe(false);
      expect(isScorecard(['Hole;White', ...numbers.map((n) => `${n};300`)].join('\n'))).toBe(true);
    });

    it('names its unit in a bracket or a word, or it is the reader’s, and said to be', () => {
      const of = (head: string) =>
        readHolesTable([`Hole,${head}`, ...numbers.map((n) => `${n},200`)].join('\n'), none, 'yd');
      expect(of('White')).toMatchObject({ isUnitGuessed: true, isParGuessed: true });
      expect(of('White').holes[0]!.lengthsM).toEqual([182.9]);
      for (const head of ['White [m]', 'White (metres)', 'White meters', 'Metres']) {
        expect(of(head), head).toMatchObject({ isUnitGuessed: false });
        expect(of(head).holes[0]!.lengthsM, head).toEqual([200]);
      }
      expect(of('White yards').isUnitGuessed).toBe(false);
      expect(of('White yards').holes[0]!.lengthsM).toEqual([182.9]);
    });
  });

  it.each<[string, string, RegExp]>([
    ['no head "hole"', 'a;b\n1;2', /No column is headed "hole"/],
    ['no lengths', 'hole;par\n1;4', /No column holds lengths/],
    ['seven holes', list('hole;par;Back', nine.slice(0, 7)), /holes must be 9 or 18, not 7/],
    [
      'a length that is none',
      list('hole;par;Back', nine.with(2, '3;4;long')),
      /hole 3: Back must be a length, not "long"/,
    ],
    [
      'a hole of nothing',
      list('hole;par;Back', nine.with(2, '3;4;0')),
      /hole 3: length from Back must be between 40 and 700 m, not 0/,
    ],
    ['par nine', list('hole;par;Back', nine.with(2, '3;9;380')), /hole 3: par must be between 3 and 6/],
    ['hole 3 twice', list('hole;par;Back', [...nine, row(3)]), /hole 3 is there twice/],
    ['nothing', ' ', /list is empty/],
    ['heads alone', 'hole;par;Back', /no rows under its headers/],
    ['what is no table', '"oops', /not a table: row 1/],
  ])('%s is said by name', (_what, text, message) => {
    expect(readHolesTable(text, none, 'm').problems.join('; ')).toMatch(message);
  });
});

it('says a length that cannot be in the unit it was written in, each tee of its own', () => {
  const lines = ['hole;par;Back;Front', ...Array.from({ length: 9 }, (_one, i) => `${i + 1};4;400;380`)];
  const { problems } = readHolesTable(lines.with(2, '2;4;790;20').join('\n'), none, 'yd');
  expect(problems).toEqual([
    'hole 2: length from Back must be between 44 and 766 yd, not 790',
    'hole 2: length from Front must be between 44 and 766 yd, not 20',
  ]);
});

it('takes tees named Front and Green for tees, and a front and a depth of green for what they are', () => {
  const holes = (row: (i: number) => string) => Array.from({ length: 9 }, (_one, i) => row(i + 1));
  const tees = readHolesTable(
    ['hole;par;Back;Front;Green', ...holes((i) => `${i};4;400;380;310`)].join('\n'),
    none,
    'm',
  );
  expect(tees).toMatchObject({ problems: [], tees: ['Back', 'Front', 'Green'] });
  expect(tees.holes[0]!.lengthsM).toEqual([400, 380, 310]);
  const facts = readHolesTable(
    ['hole;par;Back;Front;Green', ...holes((i) => `${i};4;400;sand;28`)].join('\n'),
    none,
    'm',
  );
  expect(facts).toMatchObject({ problems: [], tees: ['Back'] });
  expect(facts.holes[0]).toMatchObject({ front: 'sand', greenM: 28 });
});

describe('whatever is pasted as a scorecard', () => {
  it('is read or refused, and never thrown at', () => {
    const cell = fc.constantFrom(
      'Hole',
      'No.',
      '1',
      '2',
      '9',
      '10',
      '18',
      '400',
      'Par',
      'White',
      'Out',
      '',
      'x',
    );
    const sign = fc.constantFrom('\t', ',', ' ');
    fc.assert(
      fc.property(fc.array(fc.array(cell, { maxLength: 12 }), { maxLength: 12 }), sign, (rows, between) => {
        const text = rows.map((row) => row.join(between)).join('\n');
        const { holes, problems } = readHolesTable(text, none, 'm');
        expect(problems.length > 0 || holes.length === 9 || holes.length === 18).toBe(true);
        isScorecard(text);
      }),
    );
  });
});

describe('seasons', () => {
  const seasons = [
    { name: 'spring', fromMonth: 3 },
    { name: 'summer', fromMonth: 6 },
    { name: 'winter', fromMonth: 12 },
  ];
  it('a day falls in the last to begin before it, round the year', () => {
    expect(
      ['2026-01-10', '2026-03-01', '2026-08-31', '2026-12-01'].map((day) => seasonOn(seasons, day)!.name),
    ).toEqual(['winter', 'spring', 'summer', 'winter']);
    expect(seasonOn([], '2026-01-10')).toBeUndefined();
  });
  it("a template takes on a course's grass and sand", () => {
    const made = seasonOnCourse(
      {
        name: 'winter',
        fromMonth: 12,
        temperatureC: 4,
        humidityPct: 80,
        windMps: 5,
        ground: { fairways: 'soft', greens: 'soft', rough: 'short', wet: true, greenSpeedM: 2.4 },
      },
      { grass: 'fescue', sand: 'hard' },
    );
    expect(made).toMatchObject({
      name: 'winter',
      air: { temperatureC: 4, windFromDeg: 0 },
      ground: { grass: 'fescue', sand: 'hard', wet: true },
    });
  });
});
