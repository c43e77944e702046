import { STRIKE_BOUNDS } from '@tasche/core';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  STRIKE_FIELDS,
  givenOf,
  guessMapping,
  strikeFieldOf,
  strikeRowReader,
  type FileMapping,
  type StrikeField,
} from '../src/index.js';

describe('heads in other languages', () => {
  const FIELDS = [
    ...(['at', 'time', 'club', 'clubSpeedMps', 'ballSpeedMps', 'launchDeg', 'azimuthDeg'] as const),
    ...(['spinRpm', 'spinAxisDeg', 'apexM', 'descentDeg', 'carryM', 'offlineM', 'totalM'] as const),
  ];
  it.each([
    'Datum;Uhrzeit;Schläger;Schlägerkopfgeschwindigkeit [km/h];Ballgeschwindigkeit;Abflugwinkel;Abflugrichtung;Spinrate [U/min];Spinachse;Scheitelhöhe;Landewinkel;Carry;Seite;Gesamt',
    'Datum;Zeit;Schläger;Schlagkopfgeschwindigkeit;Ballgeschwindigkeit;Abschlagwinkel;Startrichtung;Rückwärtsdrall;Drehachse;Max. Höhe;Auftreffwinkel;Flugweite;Ablage;Gesamtlänge',
    "Date;Heure;Club;Vitesse de club;Vitesse de balle (km/h);Angle de lancement;Direction de départ;Spin (tr/min);Axe de spin;Hauteur max (m);Angle d'atterrissage (°);Portée;Écart latéral;Distance totale",
    'Fecha;Hora;Palo;Velocidad del palo;Velocidad de bola;Ángulo de lanzamiento;Dirección de salida;Efecto;Eje de giro;Altura máxima;Ángulo de caída;Vuelo;Lateral;Distancia total',
    'Data;Ora;Bastone;Velocità bastone;Velocità palla;Angolo di lancio;Direzione di lancio;Spin;Asse di spin;Altezza massima;Angolo di atterraggio;Distanza di volo;Laterale;Totale',
    'Data;Hora;Taco;Velocidade do taco;Velocidade da bola;Ângulo de lançamento;Direção;Spin;Eixo de rotação;Altura;Ângulo de descida;Voo;Desvio;Distância total',
    'Datum;Tijd;Club;Clubsnelheid;Balsnelheid;Lanceerhoek;Startrichting;Spin;Spinas;Maximale hoogte;Landingshoek;Carry-afstand;Zijwaarts;Totaal',
    'Datum;Tid;Klubba;Klubbhastighet;Bollhastighet;Utgångsvinkel;Startriktning;Spinn;Spinnaxel;Maxhöjd;Landningsvinkel;Carrylängd;Sida;Totalt',
    'Dato;Tid;Kølle;Køllehastighed;Boldhastighed;Udgangsvinkel;Retning;Spin;Spinakse;Højde;Landingsvinkel;Carry;Side;Total',
    'Dato;Klokkeslett;Kølle;Køllehastighet;Ballhastighet;Utskytningsvinkel;Retning;Spinn;Spinnakse;Høyde;Landingsvinkel;Carry;Side;Totalt',
  ])('are read whole: %s', (heads) => {
    expect(heads.split(';').map((head) => strikeFieldOf(head))).toEqual(FIELDS);
  });
  it.each([
    ...['Flight Time', 'Hang Time (s)', 'Flugzeit', 'Temps de vol', 'Tempo di volo', 'Distance to target'],
    ...['Club Path', 'Face Angle', 'Face to Path', 'Dynamic Loft', 'Spin Loft', 'Swing Direction', 'Tempo'],
    ...['Wind direction', 'Windrichtung', 'Low Point', 'Impact Height', 'Ball', 'Ball type', 'Score', 'Nr.'],
    ...['Spin Efficiency', 'Spin type', 'Lateral Face Impact', 'Horizontal Swing Plane Angle', 'Seitenwind'],
  ])('do not make a column of "%s"', (head) => {
    expect(strikeFieldOf(head)).toBeUndefined();
  });
  it('say a speed by the unit alone; what another column holds is not said twice', () => {
    expect(strikeFieldOf('Ball (mph)')).toBe('ballSpeedMps');
    expect(strikeFieldOf('Club [km/h]')).toBe('clubSpeedMps');
    expect(strikeFieldOf('Club')).toBe('club');
    const of = (...heads: string[]) => guessMapping(heads, [heads.map(() => '1')], 'm').columns;
    expect(of('Carry (yd)', 'Carry (m)')).toEqual([{ column: 0, field: 'carryM', unit: 'yd' }]);
    expect(of('Carry Deviation', 'Total Deviation Distance').map(({ column }) => column)).toEqual([0]);
  });
  it('in English stay what they were, whatever other languages call it (property)', () => {
    fc.assert(
      fc.property(fc.constantFrom(...STRIKE_FIELDS), ({ field, label }) => {
        const known: Partial<Record<StrikeField, string>> = { at: 'Date', time: 'Time', shot: 'Shot type' };
        expect(strikeFieldOf(known[field] ?? label)).toBe(field);
      }),
    );
  });
});

describe('units nobody named', () => {
  const unitOf = (field: StrikeField, heads: readonly string[], row: readonly string[], unit: 'yd' | 'm') =>
    guessMapping(heads, [row, row], unit).columns.find((one) => one.field === field)?.unit;
  it.each([
    ['a driver’s', ['270', '168', '113'], 'yd', 'mph'],
    ['a 7 iron’s', ['150', '188', '140'], 'm', 'km/h'],
    ['a 7 iron’s', ['150', '52', '39'], 'm', 'm/s'],
    ['a 7 iron’s', ['165', '118', '87'], 'yd', 'mph'],
    ['a pitching wedge’s', ['110', '102', '78'], 'm', 'mph'],
    ['a slow driver’s', ['130', '160', '110'], 'm', 'km/h'],
  ] as const)('of %s speeds %j go with the carry in %s: %s', (_club, row, unit, speed) => {
    const heads = ['Carry', 'Ball speed', 'Club speed'];
    expect(unitOf('ballSpeedMps', heads, row, unit)).toBe(speed);
    expect(unitOf('clubSpeedMps', heads, row, unit)).toBe(speed);
  });
  it('of a distance are those of another in the file', () => {
    expect(unitOf('carryM', ['Carry', 'Side [m]'], ['150', '1'], 'yd')).toBe('m');
    expect(unitOf('totalM', ['Carry (yd)', 'Total'], ['150', '160'], 'm')).toBe('yd');
  });
  it('in one cell of many are that cell’s alone', () => {
    const rows = [['165'], ['164'], ['152 m'], ['166']];
    const guess = guessMapping(['Carry'], rows, 'yd');
    expect(guess.columns).toEqual([{ column: 0, field: 'carryM', unit: 'yd' }]);
    expect(guess.unsure).toEqual(['carryM']);
  });
  it('stand in the cells: those of the column, and of a cell that has another', () => {
    const heads = ['Club', 'Ball speed', 'Carry', 'Spin'];
    const rows = [
      ['7 iron', '118 mph', '165 yd', '6,400 rpm'],
      ['7 iron', '119 mph', '152 m', '6,500 rpm'],
      ['8 iron', '53.2 m/s', '150 yd', '7,100 rpm'],
    ];
    const guess = guessMapping(heads, rows, 'm');
    expect(guess.columns.map(({ unit }) => unit)).toEqual([undefined, 'mph', 'yd', 'rpm']);
    expect(guess.unsure).toEqual([]);
    const read = strikeRowReader(guess, heads);
    const given = rows.map((row) => {
      const answer = read(row);
      return answer?.ok ? answer.row.given : undefined;
    });
    expect(given.map((one) => one?.carryM)).toEqual([150.876, 152, 137.16]);
    expect(given.map((one) => one?.ballSpeedMps)).toEqual([52.7507, 53.1978, 53.2]);
    const far = read(['7 iron', '118 mph', '900 ft', '']);
    expect(far?.ok && far.row.given.carryM).toBe(274.32);
    expect(read(['7 iron', '118 mph', '900 m', ''])).toMatchObject({
      ok: false,
      refusal: { reason: 'must be between 1 and 411 m' },
    });
  });
});

describe('dates that could be read in two ways', () => {
  const guess = (days: readonly string[], times: readonly string[] = []) => {
    const { dates, areDatesUnsure } = guessMapping(
      ['Date', 'Time', 'Carry'],
      days.map((day, i) => [day, times[i] ?? '', '150']),
      'yd',
    );
    return [dates, areDatesUnsure];
  };
  it('are read so that the days lie close together', () => {
    expect(guess(['11/05/2026', '11/06/2026', '11/07/2026'])).toEqual(['month first', true]);
    expect(guess(['05/11/2026', '06/11/2026', '07/11/2026'])).toEqual(['day first', true]);
  });
  it('of one day are with the month first where the clock has halves', () => {
    expect(guess(['11/05/2026'])).toEqual(['day first', true]);
    expect(guess(['11/05/2026'], ['2:31:04 PM'])).toEqual(['month first', true]);
    expect(guess(['11/05/2026 2:31 pm'])).toEqual(['month first', true]);
  });
  it('are sure where they can be read in one way', () => {
    expect(guess(['20/11/2026'])).toEqual(['day first', false]);
    expect(guess(['11/20/2026'])).toEqual(['month first', false]);
    expect(guess(['05.11.2026'])).toEqual(['day first', false]);
    expect(guess(['2026-11-05'])).toEqual(['day first', false]);
    expect(guess(['11/11/2026'])).toEqual(['day first', false]);
  });
});

describe('side spin', () => {
  const read = (heads: readonly string[], row: readonly string[]) => {
    const guess = guessMapping(heads, [row, row], 'yd');
    const answer = strikeRowReader(guess, heads)(row);
    return { guess, given: answer?.ok ? givenOf(answer.row) : answer };
  };
  it('and back spin are the two parts of the spin: its axis and its size follow', () => {
    const { given } = read(['Carry', 'Backspin', 'Sidespin'], ['165', '4000', '-3000']);
    expect(given).toMatchObject({ spinRpm: 5000, spinAxisDeg: -36.8699 });
    const letter = read(['Carry', 'Backspin', 'Sidespin'], ['165', '4000', '3000 L']).given;
    expect(letter).toMatchObject({ spinAxisDeg: -36.8699 });
  });
  it('is taken with the back spin where the whole is said too, and not beside an axis', () => {
    const heads = ['Carry', 'Total spin', 'Back spin', 'Side spin'];
    expect(read(heads, ['165', '5000', '4000', '3000']).given).toMatchObject({ spinRpm: 5000 });
    const withAxis = read(['Carry', 'Side spin', 'Spin', 'Spin axis'], ['165', '700', '6000', '4']);
    expect(withAxis.guess.columns.map(({ field }) => field)).toEqual(['carryM', 'spinRpm', 'spinAxisDeg']);
    expect(withAxis.given).toMatchObject({ spinRpm: 6000, spinAxisDeg: 4 });
  });
  it('beside the whole of the spin is a part of it: nothing is added', () => {
    expect(read(['Carry', 'Total Spin', 'Side Spin'], ['165', '5000', '3000']).given).toMatchObject({
      spinRpm: 5000,
      spinAxisDeg: 36.8699,
    });
    expect(read(['Carry', 'Spin Rate', 'Side Spin'], ['165', '2000', '3000']).given).toEqual({
      carryM: 150.876,
      spinRpm: 2000,
    });
  });
  it('without a back spin says nothing, and more than any ball has is refused', () => {
    const heads = ['Carry', 'Backspin', 'Sidespin'];
    expect(read(heads, ['165', '', '300']).given).toEqual({ carryM: 150.876 });
    expect(read(heads, ['165', '2000', '30000']).given).toMatchObject({
      refusal: { column: 'Sidespin', reason: 'must be between -15000 and 15000 rpm' },
    });
  });
  it('never makes more of the spin than a ball can have (property)', () => {
    const part = fc.integer({ min: 0, max: STRIKE_BOUNDS.spinRpm[1] });
    fc.assert(
      fc.property(part, part, fc.boolean(), (spinRpm, sideSpinRpm, isBackSpin) => {
        const row = { club: '', shot: undefined, day: undefined, time: undefined, given: { spinRpm } };
        const given = givenOf({ ...row, sideSpinRpm, isBackSpin });
        expect(given.spinRpm).toBeLessThanOrEqual(STRIKE_BOUNDS.spinRpm[1]);
        if (given.spinAxisDeg !== undefined)
          expect(given.spinRpm! * Math.sin((given.spinAxisDeg * Math.PI) / 180)).toBeCloseTo(sideSpinRpm, 0);
      }),
    );
  });
});

describe('rows of several players', () => {
  const mapping: FileMapping = {
    columns: [
      { column: 1, field: 'carryM', unit: 'm' },
      { column: 0, field: 'player' },
    ],
    decimal: '.',
    dates: 'day first',
    unitRows: 0,
    leftIsPositive: false,
  };
  it('say whose they are, also where they cannot be read', () => {
    const read = strikeRowReader(mapping, ['Player', 'Carry']);
    expect(read(['Ann Bell', '150'])).toMatchObject({ ok: true, row: { player: 'Ann Bell' } });
    expect(read(['Bo Carr', 'far'])).toMatchObject({ ok: false, player: 'Bo Carr' });
    expect(read(['Bo Carr', ''])).toMatchObject({ ok: false, player: 'Bo Carr' });
    // Named once, as in a sheet whose cells were merged.
    expect(read(['', '140'])).toMatchObject({ ok: true, row: { player: 'Bo Carr' } });
    expect(strikeRowReader(mapping, [])(['', '140'])).toMatchObject({ ok: true, row: { player: '' } });
  });
  it.each(['Moyenne', 'Écart-type', 'Promedio', 'Media', 'Gemiddelde', 'Genomsnitt', 'Gjennomsnitt'])(
    'are no shots where they sum up: %s',
    (word) => {
      expect(strikeRowReader(mapping, [])([word, '150'])).toMatchObject({
        ok: false,
        refusal: { reason: 'a line about the shots, not a shot' },
      });
    },
  );
});
