import { describe, expect, it } from 'vitest';
import { lookAtFile } from '../../src/range/read-file';

const TABLE =
  'About the device\nplayer;someone\nSchläger;Ball Speed;Carry\nEisen 7;118,2;171,5\nEisen 7;117,9;170,2\n';
const look = (part: BlobPart) => lookAtFile(new Blob([part]), 'yd');

describe('the beginning of a file', () => {
  it('gives away its encoding, its delimiter, and the header line', async () => {
    expect(await look(TABLE)).toMatchObject({
      encoding: 'utf-8',
      delimiter: ';',
      skipLines: 2,
      heads: ['Schläger', 'Ball Speed', 'Carry'],
    });
    expect(await look(Buffer.from(TABLE, 'latin1'))).toMatchObject({
      encoding: 'windows-1252',
      heads: ['Schläger', 'Ball Speed', 'Carry'],
    });
    expect(await look(Buffer.from(`\uFEFF${TABLE}`, 'utf16le'))).toMatchObject({
      encoding: 'utf-16le',
      skipLines: 2,
    });
  });
  it('is guessed at: decimal comma, and a unit from the size of the numbers, which is said to be a guess', async () => {
    const { guess } = await look(TABLE);
    expect(guess).toMatchObject({
      decimal: ',',
      columns: [{ field: 'club' }, { field: 'ballSpeedMps', unit: 'mph' }, { field: 'carryM', unit: 'yd' }],
    });
    expect(guess.unsure).toEqual(['ballSpeedMps', 'carryM']);
  });
  it('is rows from the start where there are no headers', async () => {
    const list = await look('7 iron,151\n7 iron,149\n8 iron,140\n');
    expect(list.rows).toHaveLength(3);
    expect(list).toMatchObject({
      hasHeads: false,
      heads: ['column 1', 'column 2'],
      guess: { columns: [{ field: 'club' }, { field: 'carryM', unit: 'yd' }] },
    });
    expect((await look(TABLE)).hasHeads).toBe(true);
    // Heads nobody knows are heads all the same.
    expect((await look('Wer,Wie weit\nEisen 7,151\n')).heads).toEqual(['Wer', 'Wie weit']);
  });
  it('of two columns parts them by whatever sign, with an empty line at its end', async () => {
    for (const sign of [';', '\t', '|', ','])
      expect(await look(`Club${sign}Carry\n7i${sign}165\n\n`)).toMatchObject({
        delimiter: sign,
        heads: ['Club', 'Carry'],
      });
  });
  it('that is empty, no text, or has no rows is refused in words', async () => {
    await expect(look('')).rejects.toThrow('empty');
    await expect(
      look(new Uint8Array(Array.from({ length: 4000 }, (_one, i) => (i * 37) % 256))),
    ).rejects.toThrow('not a text file');
    await expect(look('Club,Carry\n')).rejects.toThrow('No rows');
  });
});
