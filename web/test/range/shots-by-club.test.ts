import { describe, expect, it } from 'vitest';
import { lookAtFile } from '../../src/range/read-file';
import { shotsByClub } from '../../src/range/shots-by-club';

const rows = (text: string) => text.split('\n').map((line) => line.split(';'));
const listOf = (text: string) =>
  shotsByClub(rows(text), text)
    ?.slice(1)
    .map((row) => row.join(' '));

describe('carries written down by hand', () => {
  it('in a column for each club are a row for each shot', () => {
    expect(listOf('7 Iron;8 Iron;PW\n165;152;128\n163;;127\n168;155;\nAverage;153,5;127,5')).toEqual([
      '7 Iron 165',
      '8 Iron 152',
      'PW 128',
      '7 Iron 163',
      'PW 127',
      '7 Iron 168',
      '8 Iron 155',
    ]);
    expect(listOf('Shot;PW;SW;60;Kvarn\n1;128;98;88;75')).toEqual(['PW 128', 'SW 98', '60 88', 'Kvarn 75']);
    expect(listOf('#;Eisen 7;Eisen 8\n1;150,5;140\n2;149;141')).toHaveLength(4);
  });
  it('keep whose they are and the day they were hit on', () => {
    const text = 'Player;Date;7 Iron;8 Iron\nAnn Bell;1.10.2026;165;152\nBo Carr;2.10.2026;;131';
    expect(shotsByClub(rows(text), text)).toEqual([
      ['Player', 'Date', 'Club', 'Carry'],
      ['Ann Bell', '1.10.2026', '7 Iron', '165'],
      ['Ann Bell', '1.10.2026', '8 Iron', '152'],
      ['Bo Carr', '2.10.2026', '8 Iron', '131'],
    ]);
  });
  it('in a row for each club are so too', () => {
    expect(listOf('7i;165;163;168;170\n8i;152;150\nPW;128;;127;126')).toEqual([
      ...['7i 165', '7i 163', '7i 168', '7i 170', '8i 152', '8i 150', 'PW 128', 'PW 127', 'PW 126'],
    ]);
  });
  it('in lines of a message are so too', () => {
    expect(listOf('7i: 165, 163 168\n\n8 iron - 152/150,5\nPW: 128')).toEqual([
      ...['7i 165', '7i 163', '7i 168', '8 iron 152', '8 iron 150,5', 'PW 128'],
    ]);
    expect(listOf('7i: 165,163,168')).toEqual(['7i 165', '7i 163', '7i 168']);
    // A carry and a total, a remark: that is no list of shots.
    for (const text of ['7i: 165 172\n8i: 152 158', '7i: 165, 163, 168\ngood strikes today'])
      expect(listOf(text), text).toBeUndefined();
  });
  it.each([
    ['a list with heads', 'Club;Carry\n7 Iron;165\n8 Iron;152'],
    ['a carry and a total for each club', '7 Iron;165;172\n8 Iron;152;158'],
    ['several things of a shot', '7 Iron;118;16,4;165;172\n8 Iron;112;18;152;158'],
    ['what is measured beside the clubs', '7 Iron;8 Iron;Ball speed\n165;152;118'],
    ['words between the carries', '7 Iron;8 Iron\n165;152\nthin;150'],
    ['nothing under the clubs', '7 Iron;8 Iron\n;'],
    ['nothing', ''],
  ])('are not taken out of %s', (_what, text) => {
    expect(shotsByClub(rows(text), text)).toBeUndefined();
  });
  it('are looked at as the list they are made', async () => {
    const look = await lookAtFile(new Blob(['7 Iron\t8 Iron\n165\t152\n163\t150\n']), 'm');
    expect(look).toMatchObject({
      isListed: true,
      heads: ['Club', 'Carry'],
      guess: {
        columns: [
          { column: 0, field: 'club' },
          { column: 1, field: 'carryM', unit: 'm' },
        ],
      },
    });
    expect(await look.file.text()).toBe('Club,Carry\r\n7 Iron,165\r\n8 Iron,152\r\n7 Iron,163\r\n8 Iron,150');
    const list = new Blob(['Club,Carry\n7 Iron,165\n']);
    expect(await lookAtFile(list, 'm')).toMatchObject({ isListed: false, file: list });
  });
});
