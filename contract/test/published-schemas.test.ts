import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { describe, expect, it } from 'vitest';
import { basketDocument } from '../src/basket-document.js';
import { bendDocument } from '../src/bend-document.js';
import { carryDocument } from '../src/carry-document.js';
import { chooseDocument } from '../src/choose-document.js';
import { needsDocument } from '../src/needs-document.js';
import { travelDocument } from '../src/travel-document.js';
import { conditionsDocument } from '../src/conditions-document.js';
import { launchSchema } from '../src/flight-document.js';
import { gapsDocument } from '../src/gaps-document.js';
import { remediesDocument } from '../src/remedies-document.js';
import { lockerSchema } from '../src/sheet-json.js';

// Its own types say what yup's are, and not as yup says it.
const { convertSchema } = createRequire(import.meta.url)('@sodaru/yup-to-json-schema') as {
  convertSchema: (schema: unknown, options: { value: unknown }) => Shape;
};

/** The part of JSON Schema that is compared. */
interface Shape {
  type?: string | string[];
  const?: unknown;
  enum?: unknown[];
  minimum?: number;
  maximum?: number;
  minLength?: number;
  maxLength?: number;
  minItems?: number;
  maxItems?: number;
  required?: string[];
  properties?: Record<string, Shape>;
  /** A list of them is a tuple: its places are not compared. */
  items?: Shape | Shape[];
  $ref?: string;
  $defs?: Record<string, Shape>;
  oneOf?: Shape[];
  anyOf?: Shape[];
}

const published = (name: string) =>
  JSON.parse(
    readFileSync(new URL(`../../docs/formats/${name}.schema.json`, import.meta.url), 'utf8'),
  ) as Shape;

/** A document that has every part whose schema depends on what is given. */
const shot = { carryM: 150, source: 'stated' };
const clubs = [{ id: 'a', name: 'a', kind: 'iron', shots: { full: shot } }];

describe('the published schemas, beside those generated from what the border checks', () => {
  it.each([
    ['gaps-input', gapsDocument, { clubs }],
    ['bend-input', bendDocument, { clubs }],
    ['remedies-input', remediesDocument, { clubs }],
    ['basket-input', basketDocument, { clubs }],
    ['choose-input', chooseDocument, { clubs }],
    ['needs-input', needsDocument, { clubs }],
    ['travel-input', travelDocument, { clubs }],
    ['flight-input', launchSchema, {}],
    ['carry-input', carryDocument, { clubs }],
    ['conditions-input', conditionsDocument, { clubs }],
    ['locker', lockerSchema, {}],
  ] as const)('%s has the same fields, with the same bounds', (name, schema, value) => {
    const root = published(name);
    const generated = convertSchema(schema, { value });
    expect(differences(generated, root, root, '')).toEqual([]);
  });
});

/** What differs between two shapes, by the path of each. */
function differences(generated: Shape, said: Shape, root: Shape, path: string): string[] {
  const one = resolved(said, root, typeOf(generated));
  if (!one) return [];
  const found: string[] = [];
  const compare = (what: string, ours: unknown, theirs: unknown) => {
    if (JSON.stringify(ours) !== JSON.stringify(theirs))
      found.push(`${path} ${what}: checked ${JSON.stringify(ours)}, published ${JSON.stringify(theirs)}`);
  };
  const choices = one.enum ?? (one.const === undefined ? undefined : [one.const]);
  compare('choices', sorted(generated.enum), sorted(choices));
  if (!choices) compare('type', typeOf(generated), typeOf(one));
  for (const key of ['minimum', 'maximum', 'maxLength', 'minItems', 'maxItems'] as const)
    compare(key, generated[key], one[key]);
  if (generated.properties) {
    compare('fields', sorted(Object.keys(generated.properties)), sorted(Object.keys(one.properties ?? {})));
    const { required = [], oneOf = [], anyOf = [] } = one;
    // One of two that may stand for each other is required of the border alone.
    const either = new Set([...oneOf, ...anyOf].flatMap((way) => way.required ?? []));
    const ours = (generated.required ?? []).filter((key) => required.includes(key) || !either.has(key));
    compare('required', sorted(ours), sorted(required));
    for (const [key, part] of Object.entries(generated.properties))
      if (one.properties?.[key])
        found.push(...differences(part, one.properties[key], root, `${path}.${key}`));
  }
  const [ours, theirs] = [generated.items, one.items];
  if (ours && theirs && !Array.isArray(ours) && !Array.isArray(theirs))
    found.push(...differences(ours, theirs, root, `${path}[]`));
  return found;
}

/**
 * Its references followed; of several ways to write it the one of the same type, and nothing where there are
 * several of them: those hang on another field, which no type tells.
 */
function resolved(shape: Shape, root: Shape, type: string | undefined): Shape | undefined {
  if (shape.$ref) return resolved(root.$defs![shape.$ref.replace('#/$defs/', '')]!, root, type);
  const ways = shape.oneOf ?? shape.anyOf;
  if (!ways || shape.type !== undefined) return shape;
  const same = ways.map((way) => resolved(way, root, type)).filter((way) => way && typeOf(way) === type);
  return same.length === 1 ? same[0] : undefined;
}

function typeOf({ type }: Shape): string | undefined {
  return Array.isArray(type) ? type.filter((one) => one !== 'null').join() : type;
}

function sorted(values: readonly unknown[] | undefined): unknown[] | undefined {
  return values && [...values].filter((one) => one !== null).sort();
}
