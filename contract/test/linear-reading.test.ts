import type { Hole } from '@tasche/core';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  JsonLimitError,
  checkJsonLimits,
  guarded,
  readHolesTable,
  recogniseHead,
  splitBracket,
  splitHead,
  unguarded,
  writeHolesTable,
} from '../src/index.js';

describe('a text written for a spreadsheet', () => {
  const wild = fc
    .array(fc.constantFrom('=', '+', '-', '@', "'", ';', ',', '|', '\t', '\n', '\r', 'a', '1', ' ', '"'))
    .map((parts) => parts.join(''));

  it('comes back as it was (property)', () => {
    fc.assert(
      fc.property(wild, (text) => {
        expect(unguarded(guarded(text))).toBe(text);
      }),
      { numRuns: 5000 },
    );
  });

  it('has nothing a spreadsheet would run, whatever it takes for the end of a cell (property)', () => {
    fc.assert(
      fc.property(wild, (text) => {
        expect(guarded(text)).not.toMatch(/(^|[;,|\t\r\n])[=+\-@]/);
      }),
      { numRuns: 5000 },
    );
  });

  it('leaves ordinary words alone', () => {
    for (const text of ['Halm 58 low', 'D3', '9 °C; wind', "Pim's gamer", 'a-b=c'])
      expect(guarded(text)).toBe(text);
  });
});

describe('heads', () => {
  it('are cut at their last bracket, whatever stands in it', () => {
    expect(splitBracket('Carry  [ yd ]')).toEqual({ words: 'Carry', bracketed: 'yd' });
    expect(splitBracket('Carry (flat) [m]')).toEqual({ words: 'Carry (flat)', bracketed: 'm' });
    expect(splitBracket('a(((((')).toEqual({ words: 'a(((((', bracketed: '' });
    expect(splitHead('Ball speed, m/s')).toEqual({ words: 'ball speed', unit: 'm/s' });
    expect(splitHead('Apex Height - ft')).toEqual({ words: 'apex height', unit: 'ft' });
    expect(recogniseHead(`carry ${' '.repeat(5000)}(yd)`)).toBeUndefined();
  });
});

describe('a course in a file', () => {
  it('has headers that no spreadsheet executes, and reads back unchanged', () => {
    const hole = {
      par: 4,
      lengthsM: [350],
      bearingDeg: null,
      elevationChangeM: 0,
      corridorM: 30,
      greenM: 25,
      front: 'open',
      slope: 'flat',
      hazards: [],
    } as unknown as Hole;
    const known = { tees: ['=1+1;=2'], holes: Array.from({ length: 9 }, () => hole) };
    const text = writeHolesTable(known, 'm');
    expect(text.split('\n')[0]).not.toMatch(/(^|[,;"])=/);
    expect(readHolesTable(text, known, 'm').tees).toEqual(known.tees);
  });
});

describe('a JSON document', () => {
  const nested = (depth: number): unknown => (depth === 0 ? 1 : [nested(depth - 1)]);
  it.each<[string, unknown, string]>([
    ['nested too deep', { a: nested(40) }, 'nested more than 32 deep'],
    ['too long a list', { a: Array.from({ length: 10_001 }, () => 1) }, 'a holds more than 10000 entries'],
    [
      'too many values',
      Array.from({ length: 9000 }, () => Array.from({ length: 40 }, () => 1)),
      'more than 300000 values',
    ],
    ['NUL', { a: [{ b: 'x\u0000' }] }, 'a[0].b holds a character that is not text'],
    ['half a pair', { a: '\ud800' }, 'a holds a character that is not text'],
    ['a method of its own', { a: { toString: 1 } }, 'no field may be called toString (in a)'],
    ['a prototype of its own', JSON.parse('{"__proto__":{}}'), 'no field may be called __proto__'],
    ['NUL in a name', { 'a\u0000': 1 }, "a field's name in the document holds a character that is not text"],
  ])('%s is refused by place', (_what, document, message) => {
    expect(() => {
      checkJsonLimits(document);
    }).toThrow(JsonLimitError);
    expect(() => {
      checkJsonLimits(document);
    }).toThrow(message);
  });
  it('of the usual kind passes, whole pairs too', () => {
    expect(() => {
      checkJsonLimits({ name: 'Ø 🏌️ \n', list: [[[[1]]]], nothing: null });
    }).not.toThrow();
    expect(() => {
      checkJsonLimits(null);
    }).not.toThrow();
  });
});
