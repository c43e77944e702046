import { fromMetres, type Shot } from '@tasche/core';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { lineOfRow, planImport, readClubText, splitTable, findHeads } from '../src/index.js';

const planned = (text: string) =>
  planImport(readClubText(text, { distanceUnit: 'yd', takenOn: '2026-12-01' }), []);
/** Each club with its loft and carry, as far as they are known. */
const clubs = (text: string) =>
  planned(text).adds.map(({ name, readings }) => {
    const loft = readings.find(({ key }) => key === 'loftStampedDeg')?.value as number | undefined;
    const shot = readings.find(({ key }) => key === 'shot.full')?.value as Shot | undefined;
    return [name, loft && `${loft}°`, shot && Math.round(fromMetres(shot.carryM, 'yd'))]
      .filter((part) => part !== undefined)
      .join(' ');
  });
const IRONS = ['4 iron', '5 iron', '6 iron', '7 iron', '8 iron', '9 iron', 'PW'];

describe('several clubs in one line', () => {
  it.each([
    '7i=165,8i=155,9i=145',
    '7i=165, 8i=155, 9i=145',
    '7i-165 8i-155 9i-145',
    '7i 165 8i 155 9i 145',
    '7i (165) 8i (155) 9i (145)',
    '7i 165\n8i 155 9i 145',
    '7i: 165; 8i: 155; 9i: 145',
    '7i: 165 / 8i: 155 / 9i: 145',
  ])('are read one by one: %j', (text) => {
    expect(clubs(text)).toEqual(['7i 165', '8i 155', '9i 145']);
    expect(planned(text).rejected).toEqual([]);
  });

  it('keep their names in other languages', () => {
    expect(clubs('Driver 210, Holz 3 190, Eisen 5 160')).toEqual(['Driver 210', 'Holz 3 190', 'Eisen 5 160']);
    expect(clubs('Driver 210 3er Holz 190 5er Eisen 160')).toEqual([
      'Driver 210',
      '3er Holz 190',
      '5er Eisen 160',
    ]);
    expect(clubs('Driver 210 Fer 5 160 Fer 7 140')).toEqual(['Driver 210', 'Fer 5 160', 'Fer 7 140']);
    expect(clubs('Fers 7 à PW : 140 130 120 105')).toEqual([
      '7 iron 140',
      '8 iron 130',
      '9 iron 120',
      'PW 105',
    ]);
  });

  it('may have a number before the word, a loft, and a name of several words', () => {
    expect(clubs('Driver (265) 3 wood (245) 7 iron (170)')).toEqual([
      'Driver 265',
      '3 wood 245',
      '7 iron 170',
    ]);
    expect(clubs('Driver 9.5 265 3w 15 240 7i 33 165')).toEqual([
      'Driver 9.5° 265',
      '3w 15° 240',
      '7i 33° 165',
    ]);
    expect(clubs('Dr-265,3w-240,h4-210,pw-135')).toEqual(['Dr 265', '3w 240', 'h4 210', 'pw 135']);
  });

  it.each([
    '4-PW: 200 190 180 170 160 150 135',
    'Irons 4-PW: 200/190/180/170/160/150/135',
    '4 - PW (200, 190, 180, 170, 160, 150, 135)',
    '4i-PW carries 200 190 180 170 160 150 135',
    'Eisen 4-PW 200 190 180 170 160 150 135',
    'irons: 4 200, 5 190, 6 180, 7 170, 8 160, 9 150, PW 135',
  ])('a set takes as many carries as it has clubs: %s', (text) => {
    const carries = [200, 190, 180, 170, 160, 150, 135];
    expect(clubs(text)).toEqual(IRONS.map((name, i) => `${name} ${carries[i]}`));
  });

  it('a set takes lofts, which rise; short carries behind long ones are none', () => {
    const lofts = [24, 27, 30, 34, 38, 42, 46];
    expect(clubs('Irons 4-PW (24,27,30,34,38,42,46)')).toEqual(
      IRONS.map((name, i) => `${name} ${lofts[i]}°`),
    );
    expect(clubs('7-SW: 100 90 80 70 60')).toEqual([
      '7 iron 100',
      '8 iron 90',
      '9 iron 80',
      'PW 70',
      'SW 60',
    ]);
  });

  it.each(['5-PW 26 30 34 38 42', '4-9 iron 200-150', '3-7 165', '7-9 150 165 140'])(
    'numbers that do not fit a set are left to be fixed, and are no shaft: %s',
    (text) => {
      const { adds, rejected } = planned(text);
      expect(adds.flatMap(({ readings }) => readings)).toEqual([]);
      expect(rejected).toHaveLength(1);
    },
  );

  it('clubs by their names alone, in a message that says more', () => {
    const text = 'My bag:\nDriver (9.5)\n3 wood\n5 hybrid\n8-PW\nGW SW LW\nputter';
    const sorted = [
      '3 wood',
      '5 hybrid',
      '8 iron',
      '9 iron',
      'Driver 9.5°',
      'GW',
      'LW',
      'PW',
      'SW',
      'putter',
    ];
    expect(clubs(text).sort()).toEqual(sorted.sort());
    expect(planned(text).rejected).toEqual([]);
    // One that says more is enough.
    expect(clubs('Driver 265\n3w\n7i\nputter')).toEqual(['Driver 265', '3w', '7i', 'putter']);
    // A name alone may be a player's.
    expect(planned('Davor:\nDriver 265\n3w 240').rejected).toMatchObject([{ text: 'Davor:' }]);
    // A column of names may be pasted over others.
    expect(() => planned('Driver\n3 wood\n5 iron')).toThrow('no row names the columns');
  });

  it.each([
    ['GW SW LW', ['GW', 'SW', 'LW']],
    ['PW, 52, 56 & 60', ['PW', '52 52°', '56 56°', '60 60°']],
    ['50/54/58', ['50 50°', '54 54°', '58 58°']],
    ['PW 46 SW 56', ['PW 46°', 'SW 56°']],
    // Two numbers are a loft and a carry.
    ['SW, 56, 60', ['SW 56° 60']],
    ['SW 56 45', ['SW 56° 45']],
  ])('wedges in one line: %s', (text, found) => {
    expect(clubs(`Driver 265\n${text}`)).toEqual(['Driver 265', ...found]);
  });

  it('a club and its carry in one word, and carry and total by a letter', () => {
    expect(clubs('D265\n3w240\n7i165\nPW=135')).toEqual(['D 265', '3w 240', '7i 165', 'PW 135']);
    const totals = planned('Driver 265c/285t\n7 iron c165 t175').adds.map(
      ({ readings }) => readings[0]!.value,
    );
    expect(totals).toMatchObject([
      { carryM: 242.316, totalM: 260.604 },
      { carryM: 150.876, totalM: 160.02 },
    ]);
    expect(clubs('10.5 driver 265\n15 3w 240\n33 7i 165\n11 wood 190')).toEqual([
      'driver 10.5° 265',
      '3w 15° 240',
      '7i 33° 165',
      '11 wood 190',
    ]);
    // "SW56" is a name, and "5-150" may be anything.
    expect(clubs('Driver 265\nSW56')).toEqual(['Driver 265', 'SW56 56°']);
    expect(clubs('Driver 9.5 deg, 45.25 in, D3, 265\n3w: 15 deg, 43 in, D2, 240')).toEqual([
      'Driver 9.5° 265',
      '3w 15° 240',
    ]);
  });

  it('below several in a line, one that cannot be read is named by its own', () => {
    const plan = planned('7-9: 150 140 130\nDriver 270/280\n3w 250');
    expect(plan.rejected.map(({ row }) => lineOfRow(plan, row))).toEqual([2]);
    expect(plan.adds.map(({ name, row }) => [name, lineOfRow(plan, row)])).toEqual([
      ...[7, 8, 9].map((number) => [`${number} iron`, 1]),
      ['Driver', 2],
      ['3w', 3],
    ]);
  });

  it('what only looks like several clubs stays one line', () => {
    expect(clubs('4-6 Tessel T4 Rohr 120')).toEqual(['4 iron', '5 iron', '6 iron']);
    expect(planned('4-6 Tessel T4 Rohr 120').adds[0]!.readings).toMatchObject([
      { key: 'shaft', value: 'Tessel T4 Rohr 120' },
    ]);
    expect(clubs('PW 120 SW 80 LW 60')).toEqual(['PW 120', 'SW 80', 'LW 60']);
    for (const line of [
      'SW 56 wedge 85',
      '7 iron Rohr 120 S 165',
      'Driver Siv 60 S 265',
      'Driver 9.5 Siv 60 S 265',
    ])
      expect(planned(line).adds, line).toHaveLength(1);
    // Not each of its clubs says how far it goes.
    expect(planned('Driver 265\n7i 165 8i 155 spin 7000').rejected).toMatchObject([
      { text: '165 8i 155 spin 7000' },
    ]);
    expect(clubs('PW 46 120\nGW 50 105')).toEqual(['PW 46° 120', 'GW 50° 105']);
  });
});

describe('a bag as a message', () => {
  /** Clubs from the longest on, each with a loft it may have; carries that fall. */
  const CLUBS = [
    ['Driver', 9.5],
    ['3w', 15],
    ['5 wood', 18],
    ['4h', 22],
    ['5 iron', 26],
    ['6i', 30],
    ['7 iron', 33],
    ['8i', 37],
    ['9 iron', 41],
    ['PW', 46],
    ['GW', 50],
    ['SW', 56],
  ] as const;
  const WITH_LOFT: readonly ((name: string, loft: number, carry: number) => string)[] = [
    (name, loft, carry) => `${name} ${loft} ${carry}`,
    (name, loft, carry) => `${name} ${loft}° ${carry}`,
    (name, loft, carry) => `${name} (${loft}) ${carry}`,
    (name, loft, carry) => `${name}: ${loft}° - ${carry} yd`,
  ];
  const WITHOUT: readonly ((name: string, carry: number) => string)[] = [
    (name, carry) => `${name} ${carry}`,
    (name, carry) => `${name}: ${carry}`,
    (name, carry) => `${name} - ${carry}`,
    (name, carry) => `${name} = ${carry}`,
  ];
  const bag = fc.record({
    carries: fc
      .uniqueArray(fc.integer({ min: 75, max: 280 }), { minLength: 12, maxLength: 12 })
      .map((all) => all.toSorted((a, b) => b - a)),
    in: fc.subarray([...CLUBS.keys()], { minLength: 3 }),
  });

  it('a line for each club is read as it is written, whatever the carries (property)', () => {
    fc.assert(
      fc.property(
        bag,
        fc.constantFrom(...WITH_LOFT),
        fc.constantFrom('- ', ''),
        ({ carries, in: which }, write, mark) => {
          const lines = which.map((i) => mark + write(CLUBS[i]![0], CLUBS[i]![1], carries[i]!));
          expect(clubs(lines.join('\n')), lines.join('\n')).toEqual(
            which.map((i) => `${CLUBS[i]![0]} ${CLUBS[i]![1]}° ${carries[i]}`),
          );
        },
      ),
    );
    fc.assert(
      fc.property(bag, fc.constantFrom(...WITHOUT), ({ carries, in: which }, write) => {
        const lines = which.map((i) => write(CLUBS[i]![0], carries[i]!));
        expect(clubs(lines.join('\n')), lines.join('\n')).toEqual(
          which.map((i) => `${CLUBS[i]![0]} ${carries[i]}`),
        );
      }),
    );
  });

  it('and so is the whole bag in one line, or some clubs to a line (property)', () => {
    const between = fc.constantFrom(', ', '; ', ' ');
    fc.assert(
      fc.property(bag, between, fc.integer({ min: 2, max: 12 }), ({ carries, in: which }, sign, toALine) => {
        const said = which.map((i) => `${CLUBS[i]![0]} ${carries[i]}`);
        const lines = Array.from({ length: Math.ceil(said.length / toALine) }, (_line, i) =>
          said.slice(i * toALine, (i + 1) * toALine).join(sign),
        );
        expect(clubs(lines.join('\n')), lines.join('\n')).toEqual(said);
      }),
    );
  });
});

describe('heads with blanks between', () => {
  it('tell what the last words of the lines beneath are', () => {
    expect(clubs('Club Loft Carry Total\nDriver 9.5 265 285\n7 iron 33 165 172\nPutter 3 - -')).toEqual([
      'Driver 9.5° 265',
      '7 iron 33° 165',
      'Putter 3°',
    ]);
    const { adds } = planned('Club Loft Length SW Carry\n7 iron 33 37 D2 165');
    expect(adds[0]!.readings.map(({ key }) => key)).toEqual([
      'loftStampedDeg',
      'lengthIn',
      'swingWeight',
      'shot.full',
    ]);
  });

  it('are none where the lines do not end in so many numbers, or a word is no head', () => {
    const columns = (text: string) => findHeads(splitTable(text))?.heads.length ?? 0;
    expect(columns('Club Loft Carry\nDriver 265\n3w 240\n7i 165')).toBeLessThan(3);
    expect(columns('My Loft Carry\nDriver 9 265')).toBeLessThan(3);
  });
});

it('a carry may say within how much it lies', () => {
  for (const text of ['Driver 265 ±8', 'Driver 265 +/- 8', 'Driver 265 +-8yd', 'Driver 265yd ± 8'])
    expect(planned(text).adds[0]!.readings, text).toMatchObject([
      { key: 'shot.full', value: { carryM: 242.316, plusMinusM: 7.3152 } },
    ]);
});
