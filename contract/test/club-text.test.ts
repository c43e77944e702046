import { describe, expect, it } from 'vitest';
import { fromMetres, type Shot } from '@tasche/core';
import {
  clubsOfSet,
  findClubLines,
  findHeads,
  planImport,
  readClubText,
  splitTable,
  TableError,
} from '../src/index.js';

const options = { distanceUnit: 'yd', takenOn: '2026-11-24' } as const;
const read = (lines: readonly string[], player?: string) => readClubText(lines.join('\n'), options, player);
const planned = (lines: readonly string[], player?: string) => planImport(read(lines, player), []);
const namesOf = (lines: readonly string[], player?: string) =>
  planned(lines, player).adds.map(({ name }) => name);

describe('a file of clubs as people keep it', () => {
  it('may have a title and empty lines above its headers and among its rows; a row is named by its line in the file', () => {
    const lines = ['Winter bag;;', ';;', 'Club;Loft;Carry', 'Driver;10,5;265', ';;', 'PW;45;far'];
    const plan = planned(lines);
    expect(plan.adds.map(({ row, name }) => [row + plan.firstLine, name])).toEqual([
      [4, 'Driver'],
      [6, 'PW'],
    ]);
    expect(plan.rejected).toMatchObject([{ row: 2, head: 'Carry', text: 'far' }]);
    expect(plan.rejected[0]!.row + plan.firstLine).toBe(6);
  });

  it('may have its clubs side by side under a title', () => {
    const text = 'Bag of Ana, spring\n\nClub\t7 iron\t8 iron\nLoft\t32\t36\nCarry [m]\t150\t140\n';
    const { rows } = readClubText(text, { distanceUnit: 'm', takenOn: '2026-11-20' });
    expect(rows.map(({ name }) => name)).toEqual(['7 iron', '8 iron']);
  });

  it('may have its clubs side by side', () => {
    const plan = planned([',Driver,3w,7i', 'Loft,10.5,15,32', 'Carry,265,,172']);
    expect(plan.adds.map(({ name, readings }) => [name, readings.length])).toEqual([
      ['Driver', 2],
      ['3w', 1],
      ['7i', 2],
    ]);
    expect(findHeads(splitTable(',Driver\nLoft,10.5\nCarry,265'))!.isTurned).toBe(true);
  });

  it('may call the column of its clubs what it likes: most of it names clubs, as numbers of rows do not', () => {
    expect(namesOf(['No.,What,Loft,Carry', '1,Driver,9,280', '2,3 wood,15,240', '3,60V,60,80'])).toEqual([
      'Driver',
      '3 wood',
      '60V',
    ]);
    expect(namesOf([',Loft,Carry', '7i,31,170'])).toEqual(['7i']);
    expect(() => read(['Thing,Loft,Carry', 'Red,9,280'])).toThrow(
      'no column names the club; call one "club"',
    );
  });

  it.each([
    ['French', 'Club;Loft;Longueur (cm);Portée (m)', 'Fer 7;32;94;140 mètres', 'Bois 3;15;109;195'],
    ['Spanish', 'Palo;Loft;Longitud (cm);Vuelo', 'Hierro 7;33º;94;155 metros', 'Madera 3;15º;109;215'],
    ['Italian', 'Bastone;Loft;Lunghezza (cm);Volo (m)', 'Ferro 7;33;94;115', 'Legno 3;15;109;155'],
    ['Portuguese', 'Taco;Loft;Comprimento (cm);Voo (m)', 'Ferro 7;33;94;150', 'Madeira 3;15;109;200'],
    ['Dutch', 'Club;Loft;Lengte (cm);Afstand (m)', 'IJzer 7;33;94;150', 'Hout 3;15;109;200'],
    ['Swedish', 'Klubba;Loft;Längd (cm);Carry (m)', 'Järnsjua;34;94;150', 'Träfemma;18;107;205'],
    ['Danish', 'Kølle;Loft;Længde (cm);Carry (m)', 'Jern 7;34;94;150', 'Træ 3;15;107;205'],
  ])('may be in %s', (_language, heads, iron, wood) => {
    const plan = planned([heads, iron, wood]);
    expect(plan.unknownColumns).toEqual([]);
    expect(plan.rejected).toEqual([]);
    expect(plan.adds.map(({ name, kind, readings }) => [name, kind, readings.map(({ key }) => key)])).toEqual(
      [iron, wood].map((row, i) => [
        row.split(';')[0],
        i === 0 ? 'iron' : 'fairway',
        ['loftStampedDeg', 'lengthIn', 'shot.full'],
      ]),
    );
  });

  it('may be lines of a message in another language, and with clubs called by what they are sold as', () => {
    const lines = (text: string[]) => {
      const { adds, rejected } = planned(text);
      return {
        adds: adds.map(({ name, kind, readings }) => [name, kind, readings.map(({ key }) => key).join()]),
        asked: rejected.map(({ text: said, asks }) => [said, asks]),
      };
    };
    const both = 'loftStampedDeg,shot.full';
    expect(
      lines(['Driver 10.5 215', 'Bois 3 15 195', 'Hybride 4 22 175 mètres', 'Fer 7 145', 'Putter']),
    ).toEqual({
      adds: [
        ['Driver', 'driver', both],
        ['Bois 3', 'fairway', both],
        ['Hybride 4', 'hybrid', both],
        ['Fer 7', 'iron', 'shot.full'],
        ['Putter', 'putter', ''],
      ],
      asked: [],
    });
    expect(lines(['Fers 7-PW', 'Driver 230']).adds.map(([name]) => name)).toEqual([
      'Driver',
      '7 iron',
      '8 iron',
      '9 iron',
      'PW',
    ]);
    // Their numbers are read like their neighbours'; only the kind is asked for.
    const sold = ['Kvarn LS 9 265', 'Halm Z 15 240', 'Halm Z 7 145', '5 iron 26 190', 'Tessel 56 90'];
    for (const text of [
      sold,
      sold.filter((line) => !/Z 7/.test(line)).map((line) => line.replace(/ (\d+) (\d+)$/, '\t$1\t$2')),
    ]) {
      const { adds, asked } = lines(text);
      expect(adds).toEqual([['5 iron', 'iron', both]]);
      expect(asked).toEqual(
        ['Kvarn LS', 'Halm Z', ...(text === sold ? ['Halm Z 7'] : []), 'Tessel'].map((name) => [
          name,
          'kind',
        ]),
      );
    }
    const cells = findClubLines(splitTable(sold.join('\n')))!;
    expect(cells.cells.map((row) => row.slice(0, 3))).toEqual([
      ['Kvarn LS', '9', '265'],
      ['Halm Z', '15', '240'],
      ['Halm Z 7', '', '145'],
      ['5 iron', '26', '190'],
      ['Tessel', '56', '90'],
    ]);
    // Other text ends in numbers too: no club among it, no clubs.
    expect(findClubLines(splitTable('Monday 12 100\nTuesday 14 120\nWednesday 13 150'))).toBeUndefined();
  });

  it('may be listed by what several clubs are: irons as a set, wedges by their lofts', () => {
    const { adds, rejected } = planned([
      'Driver: Kvarn Q (10.5°)',
      'Hybrid: Halm H 21',
      'Irons: Tessel T4 5-PW, Rohr 120 stiff',
      'Wedges: Tessel W 50, 54 and 58',
      'Putter: Moos',
    ]);
    const said = (name: string) =>
      adds
        .find((add) => add.name === name)
        ?.readings.map(({ key, value }) => `${key} ${String(value)}`)
        .toSorted();
    expect(rejected).toEqual([]);
    const names = 'Driver,Hybrid,Putter,5 iron,6 iron,7 iron,8 iron,9 iron,PW,50,54,58'.split(',');
    expect(adds.map(({ name }) => name).toSorted()).toEqual(names.toSorted());
    expect(said('7 iron')).toEqual(['flex stiff', 'head Tessel T4', 'shaft Rohr 120']);
    expect(said('54')).toEqual(['head Tessel W', 'loftStampedDeg 54']);
    expect(said('Driver')).toEqual(['head Kvarn Q', 'loftStampedDeg 10.5']);
    expect(adds.map(({ kind }) => kind)).not.toContain(undefined);
    // A number more is no loft of a wedge: nothing is guessed.
    const unsure = planned(['Driver 250', '3w 230', 'Wedges: Tessel W 50, 54, 58 110']);
    expect(unsure.adds.map(({ name, readings }) => [name, readings.length])).toEqual([
      ['Driver', 1],
      ['3w', 1],
      ['Wedges', 0],
    ]);
    expect(unsure.rejected).toMatchObject([{ head: 'Carry', text: 'Tessel W 50, 54, 58 110' }]);
    const irons = planned(['Driver 250', '3w 230', 'Irons: 5 6 7 8 9 165']);
    expect(irons.rejected).toMatchObject([{ text: '5 6 7 8 9 165' }]);
    expect(planned(['iron 7 165', 'Driver 250']).rejected).toEqual([]);
  });

  it('may have the carry before the club, or in a line of its own, and a total behind it', () => {
    const carries = (lines: string[]) =>
      planned(lines).adds.map(({ name, readings }) => {
        const shot = readings.find(({ key }) => key === 'shot.full')?.value as Shot | undefined;
        const yards = (m: number | undefined) =>
          m === undefined ? '' : ` ${Math.round(fromMetres(m, 'yd'))}`;
        return `${name}${yards(shot?.carryM)}${yards(shot?.totalM)}`;
      });
    expect(carries(['250 driver', '230 3w', '165 7i', '120 pw'])).toEqual([
      'driver 250',
      '3w 230',
      '7i 165',
      'pw 120',
    ]);
    expect(carries(['7 iron', '165', '8 iron', '152', 'PW', '126'])).toEqual([
      '7 iron 165',
      '8 iron 152',
      'PW 126',
    ]);
    expect(carries(['driver=250 3w=230 7i=165'])).toEqual(['driver 250', '3w 230', '7i 165']);
    expect(carries(['Driver 250yds (228m)', '3wd (15*) 230 yards (210 m)', 'PW(46*) 125'])).toEqual([
      'Driver 250',
      '3wd 230',
      'PW 125',
    ]);
    const lofts = planned(['Driver', '10.5', '245', '7 iron', '33', '160']).adds;
    expect(lofts.map(({ name, readings }) => [name, readings.length])).toEqual([
      ['Driver', 2],
      ['7 iron', 2],
    ]);
    const totals = ['driver 250 270', '3w 230 245', '7i 165 172'];
    for (const said of [
      'driver 250 total 270',
      'driver — 250 yds carry / 270 total',
      'driver 270 total 250 carry',
      'driver 250 carry 270 total',
    ])
      expect(carries([said, '3w 230 carry 245 total', '7i 165 total 172'])).toEqual(totals);
    // A wedge may spin back: what is said of each number stands.
    expect(carries(['58° 90 carry 88 total', '7i 165 carry 172 total'])).toEqual(['58° 90 88', '7i 165 172']);
  });

  it('may be in German', () => {
    const plan = planned([
      'Schläger;Loft;Länge (cm);Schaft;Schwunggewicht;Weite (m);Anzahl;Bemerkung',
      'Eisen 7;32,5;94;Rohr 120;D2;140;12;gerade',
      'Holz 3;15;109,2;Siv 70;D1;205;8;',
    ]);
    expect(plan.unknownColumns).toEqual([]);
    expect(plan.rejected).toEqual([]);
    expect(plan.adds.map(({ name, kind }) => [name, kind])).toEqual([
      ['Eisen 7', 'iron'],
      ['Holz 3', 'fairway'],
    ]);
    const [iron] = plan.adds;
    expect(iron!.readings.map(({ key }) => key).sort()).toEqual(
      ['lengthIn', 'loftStampedDeg', 'notes', 'shaft', 'shot.full', 'swingWeight'].sort(),
    );
    expect(iron!.readings.find(({ key }) => key === 'shot.full')!.value).toMatchObject({
      carryM: 140,
      sampleSize: 12,
    });
  });

  it('says nothing where a cell says so, and keeps words where words belong', () => {
    const plan = planned([
      'Club,Loft,Carry,Swing weight,Grip,Notes',
      'Putter,3,n/a,-,N/A,?',
      'PW,45,–,TBD,,.',
    ]);
    expect(plan.rejected).toEqual([]);
    expect(plan.adds.map(({ readings }) => readings.map(({ key, value }) => [key, value]))).toEqual([
      [
        ['loftStampedDeg', 3],
        ['grip', 'N/A'],
        ['notes', '?'],
      ],
      [
        ['loftStampedDeg', 45],
        ['notes', '.'],
      ],
    ]);
  });

  it.each([
    ['a column of players', 'Player,Club,Loft'],
    ['a name beside the club', 'Name,Club,Loft'],
  ])('of several players gives the rows of the one that is wanted: %s', (_how, heads) => {
    const lines = [heads, 'Ann Bell,Driver,9', 'Ann Bell,7i,33', 'Bo Roe,Driver,10', 'bo roe,PW,46'];
    expect(namesOf(lines, 'Bo Roe')).toEqual(['Driver', 'PW']);
    expect(read(lines, 'Bo Roe').unknownColumns).toEqual([]);
    expect(() => read(lines, 'Cy Dent')).toThrow(
      'the rows are of 2 players (Ann Bell, Bo Roe), none of them called “Cy Dent”',
    );
    expect(namesOf(lines.slice(0, 3), 'Cy Dent')).toEqual(['Driver', '7i']);
  });

  it('may be a table drawn in text', () => {
    const plan = planned([
      '| Club | Loft | Carry |',
      '|:-----|-----:|---|',
      '| 7i | 31° | 165 yd |',
      '| PW | 45 | -- |',
    ]);
    expect(plan.adds.map(({ name, readings }) => [name, readings.length])).toEqual([
      ['7i', 2],
      ['PW', 1],
    ]);
    expect([plan.rejected, plan.unknownColumns]).toEqual([[], []]);
  });

  it('stamps a new wedge with the loft it is called by, where no cell gives one', () => {
    const lines = [
      'Club,Loft,Loft set,Carry',
      'SW 56,,,80',
      '60V,58,,70',
      '52,,51,',
      'PW,,,110',
      '7 iron,,,150',
    ];
    const loftsOf = ({ readings }: { readings: readonly { key: string; value: unknown }[] }) =>
      readings.filter(({ key }) => key.startsWith('loft')).map(({ key, value }) => `${key} ${String(value)}`);
    const plan = planned(lines);
    expect(plan.rejected).toEqual([]);
    expect(plan.adds.map((one) => [one.name, ...loftsOf(one)])).toEqual([
      ['SW 56', 'loftStampedDeg 56'],
      ['60V', 'loftStampedDeg 58'],
      ['52', 'loftSetDeg 51'],
      ['PW'],
      ['7 iron'],
    ]);
    // A wedge that is owned already keeps what is known of it.
    const owned = {
      id: '00000000-0000-4000-8000-000000000001',
      playerId: '00000000-0000-4000-8000-000000000000',
      version: 1,
      name: 'SW 56',
      kind: 'wedge' as const,
      spec: { loftSetDeg: { value: 55, takenOn: '2026-11-01' } },
      removed: false,
    };
    const [edit] = planImport(read(lines), [owned]).edits;
    expect(edit!.readings.map(({ key }) => key)).toEqual(['shot.full']);
  });

  it('may give the bounce and the length of a wedge behind its loft, and finds it under a longer name', () => {
    const said = (lines: string[]) =>
      planned(lines).adds.map(({ name, readings }) => [
        name,
        ...readings.flatMap(({ key, value }) => (typeof value === 'number' ? [`${key} ${value}`] : [])),
      ]);
    expect(said(['GW 50 12 105', 'SW 56 35.5 95', '60 8 80'])).toEqual([
      ['GW', 'loftStampedDeg 50', 'bounceDeg 12'],
      ['SW', 'loftStampedDeg 56', 'lengthIn 35.5'],
      ['60', 'bounceDeg 8', 'loftStampedDeg 60'],
    ]);
    const owned = (name: string) => ({
      id: '00000000-0000-4000-8000-000000000001',
      playerId: '00000000-0000-4000-8000-000000000000',
      version: 1,
      name,
      kind: 'wedge' as const,
      spec: {},
      removed: false,
    });
    for (const name of ['GW', 'GW 50', 'gw 12', 'GW 50 12', 'GW.12'])
      expect(planImport(read(['Driver 265', 'GW 50 12 105']), [owned(name)]).edits, name).toHaveLength(1);
    expect(planImport(read(['Driver 265', 'GW 50 12 105']), [owned('GW 52')]).edits).toEqual([]);
  });

  it('may be lines of a message: a club, its loft, its carry', () => {
    const plan = planned([
      'Driver 10,5° 265',
      '',
      '3 wood: 15 - 240 yd',
      '7i - 165',
      'PW 45',
      'hello there',
      '56 10 98',
    ]);
    expect(
      plan.adds.map(({ row, name, readings }) => [
        row + plan.firstLine,
        name,
        readings.map(({ key }) => key),
      ]),
    ).toEqual([
      [1, 'Driver', ['loftStampedDeg', 'shot.full']],
      [3, '3 wood', ['loftStampedDeg', 'shot.full']],
      [4, '7i', ['shot.full']],
      [5, 'PW', ['loftStampedDeg']],
      [7, '56', ['bounceDeg', 'shot.full', 'loftStampedDeg']],
    ]);
    expect(plan.rejected).toMatchObject([{ text: 'hello there', asks: 'kind' }]);
    // Three bare columns of a spreadsheet are the same; a length is no carry.
    expect(planned(['Driver\t9\t280', '7i\t31\t170']).adds.map(({ readings }) => readings.length)).toEqual([
      2, 2,
    ]);
    expect(findClubLines(splitTable('Driver\t9\t45\n7i\t31\t37'))).toBeUndefined();
    // A carry and a total, or a loft and a length: which is which is not guessed, and no club is called so.
    for (const line of ['Driver 230 250', 'Driver 270/295', '7 iron 31 97.5 165', 'Hybrid 22 39.5']) {
      const { adds, rejected } = planned([line]);
      expect(adds[0]).toMatchObject({ name: /^(Driver|7 iron|Hybrid)/.exec(line)![0], readings: [] });
      expect(rejected).toMatchObject([{ head: 'Carry', text: line.slice(adds[0]!.name.length + 1) }]);
    }
    expect(planned(['Hybrid 4 190', '5 wood 18']).adds.map(({ name }) => name)).toEqual([
      'Hybrid 4',
      '5 wood',
    ]);
    expect(findClubLines(splitTable('Rohr 120\nRohr 120'))).toBeUndefined();
    expect(findClubLines(splitTable('Driver\n3 wood\n7 iron'))).toBeUndefined();
  });

  it('may be lines of a list, a range or "about" for a carry, a loft in brackets', () => {
    const yards = (lines: string[]) =>
      planned(lines).adds.map(({ name, readings }) => {
        const loft = readings.find(({ key }) => key === 'loftStampedDeg')?.value;
        const shot = readings.find(({ key }) => key === 'shot.full')?.value as Shot | undefined;
        return [name, loft, shot && Math.round(fromMetres(shot.carryM, 'yd') * 10) / 10];
      });
    expect(yards(['Driver\t10.5\t180', '5 wood\t19\t165-170', '7 iron\t\t130', 'PW\t46\t'])).toEqual([
      ['Driver', 10.5, 180],
      ['5 wood', 19, 167.5],
      ['7 iron', undefined, 130],
      ['PW', 46, undefined],
    ]);
    expect(
      yards(['D 230', '3w 210 - 215 yd', '7i ca. 150', '6 Eisen etwa 165', '8i 140ish', '60 - 75', 'putter']),
    ).toEqual([
      ['D', undefined, 230],
      ['3w', undefined, 212.5],
      ['7i', undefined, 150],
      ['6 Eisen', undefined, 165],
      ['8i', undefined, 140],
      ['60', 60, 75],
      ['putter', undefined, undefined],
    ]);
    // No wedge has that much loft.
    expect(yards(['7i 150', 'SW 56', 'LW 70'])).toEqual([
      ['7i', undefined, 150],
      ['SW', 56, undefined],
      ['LW', undefined, 70],
    ]);
    expect(yards(['**Driver** (9°) – 285y', '3W (15) .... 260', '52 (08) 120'])).toEqual([
      ['Driver', 9, 285],
      ['3W', 15, 260],
      ['52 (08)', 52, 120],
    ]);
    const bag = [
      ['Driver', undefined, 250],
      ['3w', undefined, 230],
      ['7i', undefined, 155],
    ];
    expect(yards(['1. Driver 250', '2. 3w 230', '3. 7i 155'])).toEqual(bag);
    expect(yards(['1. Driver\t250', '2. 3w\t230', '3. 7i\t155'])).toEqual(bag);
    expect(yards(['- Driver 250', '- 3w 230', '- 7i 155'])).toEqual(bag);
    expect(yards(['Driver 250, 3w 230, 7i 155'])).toEqual(bag);
    expect(yards(['Driver 250; 3w 230; 7i 155'])).toEqual(bag);
    // Two lines of four cannot be read; no club is called by what it carries.
    const unread = planned(['Driver 250 if I catch it', '3w 230', '7i 155', 'PW 120 yds on a good day']);
    expect(unread.adds.map(({ name }) => name)).toEqual(['Driver', '3w', '7i', 'PW']);
    expect(unread.rejected).toMatchObject([{ text: '250 if I catch it' }, { text: '120yds on a good day' }]);
    // Cells side by side are what most of their column are, as short as a slow swing may be.
    const slow = ['Driver\t12\t150', '5h\t25\t120', '9i\t42\t80', 'PW\t47\t70', 'SW\t56\t45', 'LW\t60\t30'];
    for (const lines of [slow, slow.map((line) => line.replaceAll('\t', ' '))])
      expect(yards(lines).slice(-2)).toEqual([
        ['SW', 56, 45],
        ['LW', 60, 30],
      ]);
    expect(yards(['Driver\t150', '7i\t100', 'PW (46)\t70', 'SW\t45'])).toEqual([
      ['Driver', undefined, 150],
      ['7i', undefined, 100],
      ['PW', 46, 70],
      ['SW', undefined, 45],
    ]);
    expect(yards(['Driver\t12', '7i\t33', 'PW\t47', 'SW\t56']).at(-1)).toEqual(['SW', 56, undefined]);
    // Nor does a number become a carry because its neighbours are.
    expect(yards(['Driver 250', '3w 230', '7 iron 31', '8i 145', 'PW 46'])).toEqual([
      ['Driver', undefined, 250],
      ['3w', undefined, 230],
      ['7 iron', 31, undefined],
      ['8i', undefined, 145],
      ['PW', 46, undefined],
    ]);
    const mixed = ['Driver - 250', '3w - 230', '5w - 210', '7i - 165', '9i - 140', 'PW - 46', 'SW - 56'];
    expect(yards(mixed).slice(-2)).toEqual([
      ['PW', 46, undefined],
      ['SW', 56, undefined],
    ]);
    // A lob wedge has no loft of 50, in a list of carries.
    expect(yards(['Driver 230', '7 iron 145', 'PW 110', 'SW 75', 'LW 50']).slice(-2)).toEqual([
      ['SW', undefined, 75],
      ['LW', undefined, 50],
    ]);
    // So are the two sides of a dash: the 55 of this sand wedge is what it carries.
    expect(yards(['Driver - 160', '5er Holz - 135', '7i: 100', '9i … 84', 'PW - 74', 'SW - 55'])).toEqual([
      ['Driver', undefined, 160],
      ['5er Holz', undefined, 135],
      ['7i', undefined, 100],
      ['9i', undefined, 84],
      ['PW', undefined, 74],
      ['SW', undefined, 55],
    ]);
    expect(yards(['Driver - 12 Grad - 160', '15* 3w 255', '7w 21 degrees 230', '56 degree 90'])).toEqual([
      ['Driver', 12, 160],
      ['3w', 15, 255],
      ['7w', 21, 230],
      ['56°', 56, 90],
    ]);
    // A shaft's weight is no carry of a driver.
    const built = planned(['Driver 9 Siv 60', '3 wood 15 Siv 70', '7i 155', '8i 145']);
    expect(built.adds.map(({ name, readings }) => [name, readings.length])).toEqual([
      ['Driver', 0],
      ['3 wood', 0],
      ['7i', 1],
      ['8i', 1],
    ]);
    expect(built.rejected).toMatchObject([{ text: '9 Siv 60' }, { text: '15 Siv 70' }]);
    // Names are names, whatever numbers are in them.
    expect(findClubLines(splitTable('Driver Mk2\n3 wood V4\n7 iron 2024'))).toBeUndefined();
  });

  it('may be lines in parts: head, shaft, and what has a sign or a size of its own', () => {
    const rows = (text: string) => {
      const { heads, cells } = findClubLines(splitTable(text))!;
      return cells.map((row) =>
        heads
          .flatMap((head, i) => (row[i] ? [head === 'Club' ? row[i] : `${head} ${row[i]}`] : []))
          .join(', '),
      );
    };
    const lines = [
      'Here is my bag',
      'Driver - Kvarn Q 9° - Siv 60 S - 265 carry',
      '3W - Kvarn Q 15° - Siv 70 S - 240',
      '4H - Halm H 21° - 215',
      '5-PW Tessel T4 - Rohr 120 S',
      '50° Tessel W',
      '54° Tessel W, 110',
      'Putter - Moos',
    ];
    expect(rows(lines.join('\n'))).toEqual([
      '',
      'Driver, Loft 9°, Carry 265, Head Kvarn Q, Shaft Siv 60, Flex S',
      '3W, Loft 15°, Carry 240, Head Kvarn Q, Shaft Siv 70, Flex S',
      '4H, Loft 21°, Carry 215, Head Halm H',
      '5-PW, Head Tessel T4, Shaft Rohr 120, Flex S',
      '50°, Head Tessel W',
      '54°, Carry 110, Head Tessel W',
      'Putter, Head Moos',
    ]);
    expect(rows('Driver, Kvarn LS 10.5, 250\n3 wood, Kvarn LS, 230\n7 iron, Tessel, Rohr 105, 160')).toEqual([
      'Driver, Loft 10.5, Carry 250, Head Kvarn LS',
      '3 wood, Carry 230, Head Kvarn LS',
      '7 iron, Carry 160, Head Tessel, Shaft Rohr 105',
    ]);
    expect(rows('Driver: Kvarn 9.5 (stiff) 45" D3\n7i: Tessel 33 37" D2')).toEqual([
      'Driver, Loft 9.5, Length 45", Head Kvarn, Flex stiff, Swing weight D3',
      '7i, Loft 33, Length 37", Head Tessel, Swing weight D2',
    ]);
    expect(rows('Driver | 10.5 | Siv 60 | 245\n7i | 33 | Rohr 105 | 155')).toEqual([
      'Driver, Loft 10.5, Carry 245, Shaft Siv 60',
      '7i, Loft 33, Carry 155, Shaft Rohr 105',
    ]);
    expect(rows('SW, 56, D3, 85\nLW, 60, D4, 70')).toEqual([
      'SW, Loft 56, Carry 85, Swing weight D3',
      'LW, Loft 60, Carry 70, Swing weight D4',
    ]);
    // What all of it comes to: words around it are left out, what may be a name is asked about.
    const { adds, rejected } = planned([...lines, 'Old Faithful', 'Thanks!']);
    const names = 'Driver,3W,4H,5 iron,6 iron,7 iron,8 iron,9 iron,PW,50°,54°,Putter'.split(',');
    expect(adds.map(({ name }) => name).toSorted()).toEqual(names.toSorted());
    expect(rejected.map(({ text }) => text)).toEqual(['Old Faithful']);
    // The sheet's own columns stay what they are.
    expect(
      findClubLines(splitTable('Driver\t9\t45.25\tSiv 60\tD3\t302\n7i\t32\t37\tRohr 120\tD3\t196')),
    ).toBeUndefined();
    expect(rows('4 iron-PW: Tessel T3, Rohr 120 stiff\nDriver: 9.5° Kvarn Q, carry 255, total 275')).toEqual([
      '4 iron-PW, Head Tessel T3, Shaft Rohr 120, Flex stiff',
      'Driver, Loft 9.5°, Carry 255, Total 275, Head Kvarn Q',
    ]);
    expect(rows('4H - Halm H 21° - 215\n3W - 240\nDriver - 265')[0]).toBe(
      '4H, Loft 21°, Carry 215, Head Halm H',
    );
    expect(rows('Drv 245, 3w 225, 4i 190, 7i 160, Kvarn 9')).toHaveLength(5);
  });

  it('may have a column of lengths, told by how alike they are, in inches or centimetres', () => {
    const clubs = ['Driver', '3 wood', '5i', '7i', '9i', 'SW'];
    const lofts = ['10,5', '15', '26', '33', '41', '56'];
    const carries = [230, 210, 170, 152, 130, 85];
    const read = (lengths: readonly string[], ...columns: readonly (readonly unknown[])[]) =>
      planned(clubs.map((club, i) => [club, ...columns.map((column) => column[i])].join(';'))).adds.map(
        ({ readings }, i) => {
          const of = (key: string) => readings.find((one) => one.key === key)?.value;
          expect(of('lengthIn'), clubs[i]).toBeCloseTo(Number.parseFloat(lengths[i]!), 1);
          expect(of('shot.full'), clubs[i]).toMatchObject({ source: 'stated' });
          return of('loftStampedDeg');
        },
      );
    const inches = ['45.5', '43', '38', '37', '36', '35.25'];
    const cm = inches.map((length) => (Number(length) * 2.54).toFixed(1));
    const told = [10.5, 15, 26, 33, 41, 56];
    expect(read(inches, lofts, inches, carries)).toEqual(told);
    expect(read(inches, lofts, cm, carries)).toEqual(told);
    expect(read(inches, cm, carries)).toEqual(told.map(() => undefined));
    expect(read(inches, lofts, carries, cm)).toEqual(told);
  });

  it('has no column of lengths where the numbers may be lofts, or what a short hitter’s irons carry', () => {
    const keys = (lines: readonly string[]) =>
      planned(lines).adds.map(({ readings }) => readings.map(({ key }) => key));
    const both = Array(5).fill(['loftStampedDeg', 'shot.full']);
    expect(keys(['5i;26;105', '6i;29;100', '7i;33;95', '8i;37;90', '9i;41;84'])).toEqual(both);
    expect(keys(['6i;31;172', '7i;34;160', '8i;37;148', '9i;40;134', 'PW;43;120'])).toEqual(both);
  });

  it('of four wedges has no column of lengths: their lofts are as alike', () => {
    const { adds } = planned(['PW;46;120', 'GW;50;110', 'SW;54;98', 'LW;58;85']);
    expect(adds.map(({ readings }) => readings.map(({ key }) => key))).toEqual(
      Array(4).fill(['loftStampedDeg', 'shot.full']),
    );
  });

  it('may say a length between loft and carry, and one in centimetres by its unit', () => {
    const { adds, rejected } = planned([
      'Driver 10.5 X-stiff 45.25 D3 250',
      '7i 33 94cm 165',
      '9i 41 36 140',
    ]);
    expect(rejected).toEqual([]);
    expect(adds.map(({ readings }) => readings.find(({ key }) => key === 'lengthIn')?.value)).toEqual([
      45.25,
      expect.closeTo(37, 1),
      36,
    ]);
  });

  it('may be lines that say more of a club, each part by a word, a sign or its size', () => {
    const parts = (line: string) => {
      const { adds, rejected } = planned([line, '8i 150', '9i 138']);
      expect(rejected, line).toEqual([]);
      return [
        adds[0]!.name,
        ...adds[0]!.readings.map(({ key, value }) => {
          const shot = key.startsWith('shot.') ? (value as Shot) : undefined;
          const yards = (m: number) => Math.round(fromMetres(m, 'yd'));
          if (!shot) return `${key} ${String(value)}`;
          return `${key} ${yards(shot.carryM)}${shot.totalM === undefined ? '' : ` of ${yards(shot.totalM)}`}`;
        }),
      ].sort();
    };
    expect(parts('Driver 290 (9 degrees, stiff)')).toEqual(
      ['Driver', 'loftStampedDeg 9', 'flex stiff', 'shot.full 290'].sort(),
    );
    expect(parts('Driver 10.5 stiff 245')).toEqual(
      ['Driver', 'loftStampedDeg 10.5', 'flex stiff', 'shot.full 245'].sort(),
    );
    expect(parts('Driver 9° Siv 60 X 295')).toEqual(
      ['Driver', 'loftStampedDeg 9', 'shaft Siv 60', 'flex X', 'shot.full 295'].sort(),
    );
    expect(parts('Driver 250 carry, 270 total')).toEqual(['Driver', 'shot.full 250 of 270']);
    expect(parts('4i Rohr 120 225')).toEqual(['4i', 'shaft Rohr 120', 'shot.full 225']);
    expect(parts('PW 46 Rohr 125 128')).toEqual(
      ['PW', 'loftStampedDeg 46', 'shaft Rohr 125', 'shot.full 128'].sort(),
    );
    expect(parts('7 iron 37" 33° D2 160+')).toEqual(
      ['7 iron', 'lengthIn 37', 'loftStampedDeg 33', 'swingWeight D2', 'shot.full 160'].sort(),
    );
    expect(parts('7i full 165 3/4 150 half 120')).toEqual(
      ['7i', 'shot.full 165', 'shot.three-quarter 150', 'shot.half 120'].sort(),
    );
    expect(parts('⛳ Driving iron 2 18 235')).toEqual(
      ['Driving iron 2', 'loftStampedDeg 18', 'shot.full 235'].sort(),
    );
    // What could be two things is left to be fixed; no club is called by its speed, nor by its shaft.
    for (const line of ['7i 31 Rohr 120', 'Driver 105mph 250', '7 iron 85mph 160', '7 iron 150y 155y']) {
      const { adds, rejected } = planned([line, '8i 150', '9i 138']);
      expect(adds[0]!.name, line).toMatch(/^(7i|Driver|7 iron)$/);
      expect(rejected.length, line).toBe(1);
    }
  });

  it('may give the shots of a wedge side by side', () => {
    const [wedge] = planned(['Club,Full,3/4,1/2', '52,115,100,80']).adds;
    expect(wedge!.readings.map(({ key }) => key).sort()).toEqual(
      ['loftStampedDeg', 'shot.full', 'shot.half', 'shot.three-quarter'].sort(),
    );
  });

  it('may have a set of irons in one row: each of its clubs, with what they have in common', () => {
    expect(clubsOfSet('7-PW')).toEqual(['7 iron', '8 iron', '9 iron', 'PW']);
    expect(clubsOfSet('8 to 9 irons')).toEqual(['8 iron', '9 iron']);
    expect(clubsOfSet('8i-AW')).toEqual(['8 iron', '9 iron', 'PW', 'AW']);
    for (const text of ['7 iron', '56', '50-56', '9-5', '3-5 wood', '7-7'])
      expect(clubsOfSet(text), text).toBeUndefined();
    const named = (lines: readonly string[]) =>
      planned(lines).adds.map(({ name, kind, readings }) => [name, kind, ...readings.map(({ key }) => key)]);
    const lines = ['Club,Loft,Shaft,Carry', '8-PW,38,Rohr 120,150'];
    expect(named(lines)).toEqual([
      ['8 iron', 'iron', 'shaft'],
      ['9 iron', 'iron', 'shaft'],
      ['PW', 'wedge', 'shaft'],
    ]);
    // What cannot be true of every club, or of one that is there already, is not dropped without a word.
    expect(planned(lines).rejected.map(({ reason }) => reason)).toEqual([
      '8-PW is 3 clubs; give loft, length and carry club by club',
    ]);
    expect(planned(['Club,Shaft', '8-PW,Rohr 120']).rejected).toEqual([]);
    const owned = {
      id: '00000000-0000-4000-8000-000000000001',
      playerId: '00000000-0000-4000-8000-000000000000',
      version: 1,
      name: '8i',
      kind: 'iron' as const,
      spec: {},
      removed: false,
    };
    const over = planImport(read(['Club,Shaft', '8-PW,Rohr 120']), [owned]);
    expect(over.adds.map(({ name }) => name)).toEqual(['9 iron', 'PW']);
    expect(over.rejected[0]!.reason).toBe(
      '8 iron: in the locker already; give what is new of them club by club',
    );
    // A row of its own says more of one of them.
    expect(named(['Driver 250', '8-PW set, Rohr 120', '9i 150', '54 100'])).toEqual([
      ['Driver', 'driver', 'shot.full'],
      ['9i', 'iron', 'shot.full', 'shaft'],
      ['54', 'wedge', 'shot.full', 'loftStampedDeg'],
      ['8 iron', 'iron', 'shaft'],
      ['PW', 'wedge', 'shaft'],
    ]);
  });

  it('is refused where nothing names its columns', () => {
    expect(() => read(['Driver,9,45', '7i,31,37'])).toThrow(TableError);
    expect(() => read([])).toThrow('no row names the columns');
  });
});

describe('cells of a pasted text', () => {
  it('keep to their lines: an empty one in the middle stays, those at the end go', () => {
    expect(splitTable('31\n\n35\n\n\n')).toEqual([['31'], [''], ['35']]);
    expect(splitTable('\n31')).toEqual([[''], ['31']]);
    // Decimal commas part no columns; of words and numbers they do.
    expect(splitTable('31,5\r\n\r\n35\r\n')).toEqual([['31,5'], [''], ['35']]);
    expect(splitTable('PW,45\n52,50\n')).toEqual([
      ['PW', '45'],
      ['52', '50'],
    ]);
    // However few they are, and however many lines are empty.
    expect(splitTable('Loft\t31\nCarry\t150\n')).toEqual([
      ['Loft', '31'],
      ['Carry', '150'],
    ]);
    expect(splitTable('\n\n\nClub;Loft\n\n\n7 iron;31\n\n').slice(3)).toEqual([
      ['Club', 'Loft'],
      [''],
      [''],
      ['7 iron', '31'],
    ]);
    expect(splitTable('')).toEqual([]);
  });
});
