import type { Chance } from './chance.js';

const DEEP = `${'['.repeat(300)}${']'.repeat(300)}`;
/** What stands where something sensible should. As JSON text. */
const NASTY_JSON = [
  'null',
  'true',
  '[]',
  '{}',
  '""',
  '0',
  '-1',
  '1e400',
  '-0',
  '1e-320',
  '9007199254740993',
  '"\\u0000"',
  '"\\ud800"',
  '"\\uffff"',
  '{"toString":1}',
  '{"toString":250}',
  '{"__proto__":{"x":1}}',
  '{"constructor":{"prototype":1}}',
  '{"length":1e9}',
  '[[[[1]]]]',
  DEEP,
  `"${'x'.repeat(5000)}"`,
  '"2026-13-45"',
  '"9999-99-99"',
  '"=1+1"',
  `"'); drop table club; --"`,
  '"${7*7}"',
  '"../../etc/passwd"',
  '[null,null]',
  `{"${'k'.repeat(300)}":1}`,
  '"\\u202e"',
  '1.7976931348623157e308',
  '"NaN"',
  '"Infinity"',
];
export const NASTY_TEXT = [
  '',
  ' ',
  '%00',
  '%ff',
  '%2e%2e',
  '../..',
  '1 or 1=1',
  '__proto__',
  'constructor',
  'undefined',
  'null',
  '-1',
  '0',
  '1e400',
  'NaN',
  '%F0%9F%8F%8C',
  '2026-02-30',
  '9999-99-99T99:99:99Z',
  'x'.repeat(3000),
  '{"a":1}',
  '[object Object]',
  '*',
  '%E0%A4%A',
  '00000000-0000-0000-0000-000000000000',
];

/** A document as JSON text, with some of its values, or its text itself, spoilt. */
export function brokenJson(chance: Chance, document: unknown): { body: string; type: string } {
  const slots: string[] = [];
  const text = JSON.stringify(document, (_key, value: unknown) => {
    if (value !== null && typeof value !== 'object' && chance.is(0.06)) {
      slots.push(chance.one(NASTY_JSON));
      return `\u0001${slots.length - 1}\u0001`;
    }
    return value;
  }).replace(/"\\u0001(\d+)\\u0001"/g, (_all, at: string) => slots[Number(at)]!);
  if (chance.is(0.03)) return { body: text.slice(0, chance.below(text.length)), type: 'application/json' };
  if (chance.is(0.03))
    return {
      body: text.replace(
        '{',
        `{"${chance.one(['__proto__', 'toString', 'extra'])}":${chance.one(NASTY_JSON)},`,
      ),
      type: 'application/json',
    };
  return { body: chance.is(0.02) ? chance.one(NASTY_JSON) : text, type: 'application/json' };
}
