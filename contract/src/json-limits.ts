/** Brackets within brackets of a JSON document. Ours need eight. */
const MAX_JSON_DEPTH = 32;
/** Entries of one list in a JSON document. Ours hold at most 5,000. */
const MAX_JSON_LIST = 10_000;
/** Values of all kinds in a JSON document. A change of 2 MB holds about half as many. */
const MAX_JSON_VALUES = 300_000;
/** Fields of one object that a client may make up itself. Ours have at most 60; a file's club names are 300. */
const MAX_JSON_FIELDS = 1000;
/** What a text or the name of a field may not hold: half of a pair, or the sign for "no text". */
const BAD_TEXT = /[\u0000\p{Surrogate}]/u;
const MAX_KEY_SHOWN = 40;

/** A JSON document that is refused before its fields are looked at. */
export class JsonLimitError extends Error {
  override readonly name = 'JsonLimitError';

  /** @param field where in the document, such as `commands[0].set` */
  constructor(
    readonly field: string,
    message: string,
  ) {
    super(message);
  }
}

interface Place {
  value: object;
  path: string;
  depth: number;
}

/**
 * Refuses parsed JSON that no schema should be let loose on: nested too deep, too large, or with text a
 * database cannot keep (NUL, half a surrogate pair). Takes time in proportion to the document, and no stack.
 * @param document what `JSON.parse` gave
 * @throws JsonLimitError naming the place
 * @example checkJsonLimits({ name: 'a\u0000b' }) // throws: name holds a character that is not text
 */
export function checkJsonLimits(document: unknown): void {
  if (typeof document === 'string') checkText(document, 'the document', '');
  if (typeof document !== 'object' || document === null) return;
  const open: Place[] = [{ value: document, path: '', depth: 1 }];
  let values = 0;
  for (let place = open.pop(); place; place = open.pop()) {
    const { value, path, depth } = place;
    const isList = Array.isArray(value);
    const keys = Object.keys(value);
    if (depth > MAX_JSON_DEPTH)
      throw new JsonLimitError(path, `the document is nested more than ${MAX_JSON_DEPTH} deep`);
    const max = isList ? MAX_JSON_LIST : MAX_JSON_FIELDS;
    if (keys.length > max) {
      throw new JsonLimitError(
        path,
        `${path || 'the document'} holds more than ${max} ${isList ? 'entries' : 'fields'}`,
      );
    }
    values += keys.length;
    if (values > MAX_JSON_VALUES)
      throw new JsonLimitError('', `the document holds more than ${MAX_JSON_VALUES} values`);
    for (const key of keys) {
      const at = isList
        ? `${path}[${key}]`
        : path
          ? `${path}.${key.slice(0, MAX_KEY_SHOWN)}`
          : key.slice(0, MAX_KEY_SHOWN);
      if (!isList) checkName(key, path);
      const inner = (value as Record<string, unknown>)[key];
      if (typeof inner === 'string') checkText(inner, at, at);
      else if (typeof inner === 'object' && inner !== null)
        open.push({ value: inner, path: at, depth: depth + 1 });
    }
  }
}

/**
 * Fields that would take the place of what every object has: comparing or printing such a value runs into them.
 */
const NO_NAMES = new Set([
  '__proto__',
  'constructor',
  'prototype',
  'toString',
  'valueOf',
  'toJSON',
  'hasOwnProperty',
  'then',
]);

function checkName(name: string, path: string): void {
  if (NO_NAMES.has(name))
    throw new JsonLimitError(path, `no field may be called ${name}${path && ` (in ${path})`}`);
  checkText(name, `a field's name in ${path || 'the document'}`, path);
}

function checkText(text: string, what: string, field: string): void {
  if (BAD_TEXT.test(text)) throw new JsonLimitError(field, `${what} holds a character that is not text`);
}
