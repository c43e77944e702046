import { describe, expect, it } from 'vitest';
import { planImport, readClubTable, severalPlayers } from '../src/index.js';

const OPTIONS = { distanceUnit: 'yd', takenOn: '2026-11-30' } as const;
/** Each player with their clubs, and the lines of what could not be read. */
function read(lines: readonly string[]) {
  const { players, unnamedLines } = severalPlayers(lines.join('\n'));
  const found = players.map(({ player, table, lineOf }) => {
    const plan = planImport(readClubTable(table.cells, table.columns, table.heads, OPTIONS), []);
    const clubs = plan.adds.map(({ name, readings }) => {
      const carried = readings.find(({ key }) => key === 'shot.full')?.value as
        { carryM: number } | undefined;
      return carried ? `${name} ${Math.round(carried.carryM / 0.9144)}` : name;
    });
    return [player, clubs, plan.rejected.map(({ row, text }) => `${lineOf(row)} ${text}`)] as const;
  });
  return { found, unnamedLines };
}
const ANN = ['Ann Bell', ['Driver 230', '7i 150'], []] as const;
const BO = ['Bo Roe', ['Driver 275', '3w 250'], []] as const;

describe('the bags of several players in one text', () => {
  it.each([
    [
      'a column that says whose a row is',
      ['Player,Club,Carry', 'Ann Bell,Driver,230', 'Bo Roe,Driver,275', 'Ann Bell,7i,150', 'Bo Roe,3w,250'],
    ],
    [
      'a player named once for the rows beneath, as merged cells leave it',
      ['Client;Club;Carry', 'Ann Bell;Driver;230', ';7i;150', '', 'Bo Roe;Driver;275', ';3w;250'],
    ],
    [
      'the player last, in rows that end before',
      ['Club,Carry,Player', 'Driver,230,Ann Bell', '7i,150', 'Driver,275,Bo Roe', '3w,250'],
    ],
    [
      'first and last names in columns of their own',
      [
        'First name,Last name,Club,Carry',
        'Ann,Bell,Driver,230',
        'Ann,Bell,7i,150',
        'Bo,Roe,Driver,275',
        'Bo,Roe,3w,250',
      ],
    ],
    [
      'each name above lines of a message',
      ['Ann Bell:', 'Driver 230', '- 7i 150', '', '## Bo Roe', 'Driver 275', '3w 250'],
    ],
    [
      'each name above rows under heads, which are said again or not',
      [
        'Ann Bell,,',
        'Club,Loft,Carry',
        'Driver,,230',
        '7i,,150',
        'Bo Roe,,',
        'Club,Loft,Carry',
        'Driver,,275',
        '3w,,250',
      ],
    ],
    [
      'rows without heads',
      ['Ann Bell,Driver,10.5,230', ',7i,,150', 'Bo Roe,Driver,9,275', 'Bo Roe,3w,15,250'],
    ],
    [
      'carries, clubs by players',
      ['Carries 2026', '', 'Club,Ann Bell,Bo Roe', 'Driver,230,275', '3w,-,250 yd', '7i,~150,'],
    ],
    [
      'a grid with empty columns beside it',
      ['Club,Ann Bell,Bo Roe,,', 'Driver,230,275,,', '3w,,250,,', '7i,150,,,'],
    ],
    [
      'a grid with an empty row in it',
      ['Player,Driver,3w,7i', 'Ann Bell,230,,150', ',,,', 'Bo Roe,275,250,'],
    ],
    ['carries, players by clubs', ['Player,Driver,3w,7i', 'Ann Bell,230,,150', 'Bo Roe,275,250,']],
  ])('%s', (_how, lines) => {
    expect(read(lines)).toEqual({ found: [ANN, BO], unnamedLines: [] });
  });

  it('are told apart by any name above them, with words around them', () => {
    const names = ['Maria de la Cruz', 'Jo van der Berg', 'Ann B.', 'Łukasz Żak'];
    const { found } = read([
      'Hi all, here are the bags',
      ...names.flatMap((name) => [name, 'Driver 230', '7i 150', '']),
      'Thanks!',
    ]);
    expect(found.map(([player, clubs]) => [player, clubs])).toEqual(
      names.map((name) => [name, ['Driver 230', '7i 150']]),
    );
  });

  it.each([
    'Spieler;Schläger;Weite\nAnn Bell;Eisen 7;145\nBo Carr;Eisen 7;150',
    'Joueuse;Club;Portée\nAnn Bell;Fer 7;145\nBo Carr;Fer 7;150',
    'Prénom;Nom;Club;Portée\nAnn;Bell;Fer 7;145\nBo;Carr;Fer 7;150',
    'Spelare;Klubba;Carry\nAnn Bell;Järn 7;145\nBo Carr;Järn 7;150',
    'Spieler;Driver;Eisen 7\nAnn Bell;220;145\nBo Carr;230;150',
  ])('are told apart in other languages: %j', (text) => {
    expect(severalPlayers(text).players.map(({ player }) => player)).toEqual(['Ann Bell', 'Bo Carr']);
  });
  it('a cell that cannot be read is named by its line in the text', () => {
    expect(read(['Player,Driver,7i,PW', 'Ann Bell,230,far,110', 'Bo Roe,275,170,x']).found).toMatchObject([
      ['Ann Bell', ['Driver 230', '7i', 'PW 110'], ['2 far']],
      ['Bo Roe', ['Driver 275', '7i 170', 'PW'], ['3 x']],
    ]);
    expect(read(['Team', 'Club,Ann Bell,Bo Roe', 'Driver,230,275', '7i,far,170']).found).toMatchObject([
      ['Ann Bell', ['Driver 230', '7i'], ['4 far']],
      ['Bo Roe', ['Driver 275', '7i 170'], []],
    ]);
    expect(
      read(['Ann Bell', 'Driver 230', 'PW 110', 'Bo Roe', 'Driver 270/280', '7i 170']).found,
    ).toMatchObject([
      ['Ann Bell', ['Driver 230', 'PW 110'], []],
      ['Bo Roe', ['Driver', '7i 170'], ['5 270/280']],
    ]);
  });

  it.each([
    ['beneath their names', ['Ann Bell:', 'Driver 230 7i 150', 'bo roe:', 'Driver 275, 3w 250']],
    ['behind their names', ['Ann Bell: Driver 230, 7i 150', 'Bo Roe: Driver 275, 3w 250']],
    ['behind a dash', ['Ann Bell - Driver 230 7i 150', '', 'Bo Roe - Driver 275 3w 250']],
    ['in cells', ['Ann Bell, Driver 230 7i 150', 'Bo Roe, Driver 275 3w 250']],
  ])('with several clubs in a line, %s', (_where, lines) => {
    expect(
      read(lines).found.map(([player, clubs, rejected]) => [player.toLowerCase(), clubs, rejected]),
    ).toEqual([
      ['ann bell', ANN[1], []],
      ['bo roe', BO[1], []],
    ]);
  });

  it('a line that cannot be read is named as it stands, below one with several clubs', () => {
    const lines = ['Ann Bell', '7-9: 150 140 130', 'Driver 270/280', 'Bo Roe', 'Driver 275', '3w 250'];
    expect(read(lines).found).toEqual([
      ['Ann Bell', ['7 iron 150', '8 iron 140', '9 iron 130', 'Driver'], ['3 270/280']],
      BO,
    ]);
  });

  it('rows above the first name are of nobody, and said to be', () => {
    const lines = ['Player,Club,Carry', ',PW,110', 'Ann Bell,Driver,230', ',7i,150', 'Bo Roe,Driver,275'];
    expect(read(lines)).toMatchObject({ found: [ANN, ['Bo Roe', ['Driver 275'], []]], unnamedLines: [2] });
  });

  it.each([
    ['a table without names', ['Club,Loft,Carry', 'Driver,9,280', '7i,33,165']],
    ['parts of one bag', ['Woods', 'Driver 280', '3w 250', 'Irons', '7i 165', '8i 150', 'Backup', '5w 230']],
    ['one player’s lines under their name', ['Ann Bell', 'Driver 280', '3w 250', '7i 165']],
    ['columns of numbers that are no carries', ['Club,Smash,Spin', 'Driver,1.48,2400', '7i,1.35,7100']],
  ])('%s: nothing says whose a row is', (_what, lines) => {
    expect(() => read(lines)).toThrow('no column says whose club a row is');
  });

  it('that are no clubs at all are no list', () => {
    expect(() => read(['Dear all,', 'see you at nine.'])).toThrow('no row names the columns');
  });
});
