import { COMMANDS } from '@tasche/contract';
import { createRequire } from 'node:module';
import type * as yup from 'yup';
import { benchAsks } from '../bench/routes.js';
import { cardAsks } from '../card/routes.js';
import { changeAsks } from '../changes/routes.js';
import { gaugeAsks } from '../gauge/routes.js';
import { historyAsks } from '../history/routes.js';
import { newsAsks } from '../news/news-routes.js';
import { accountAsks } from '../people/account-routes.js';
import { passkeyAsks } from '../people/passkey-routes.js';
import { peopleAsks } from '../people/people-routes.js';
import { signInAsks } from '../people/sign-in-routes.js';
import { planAsks } from '../plans/routes.js';
import { playerAsks } from '../players/routes.js';
import { printAsks } from '../print/routes.js';
import { scheduleAsks } from '../schedule/routes.js';
import { seasonAsks } from '../season/routes.js';
import { sessionAsks } from '../sessions/routes.js';
import { handOverAsks } from '../players/hand-over.js';
import { playerFileAsks } from '../players/player-file-routes.js';
import { shareAsks } from '../shares/routes.js';
import { sheetAsks } from '../sheet/routes.js';
import { strikeAsks } from '../strikes/routes.js';
import { tokenAsks } from '../tokens/routes.js';
import { CALLS_A_MINUTE, ROUTES, type Asks, type RouteName, type Wanted } from './route-list.js';

// Its own types say what yup's are, and not as yup says it.
const { convertSchema } = createRequire(import.meta.url)('@sodaru/yup-to-json-schema') as {
  convertSchema: (schema: yup.Schema) => object;
};

/** What every route is asked with, from the schemas it checks with. */
export const ASKS: Asks = {
  ...accountAsks,
  ...benchAsks,
  ...cardAsks,
  ...changeAsks,
  ...gaugeAsks,
  ...handOverAsks,
  ...playerFileAsks,
  ...historyAsks,
  ...newsAsks,
  ...passkeyAsks,
  ...peopleAsks,
  ...planAsks,
  ...playerAsks,
  ...printAsks,
  ...scheduleAsks,
  ...seasonAsks,
  ...sessionAsks,
  ...shareAsks,
  ...sheetAsks,
  ...signInAsks,
  ...strikeAsks,
  ...tokenAsks,
};

type Json = Record<string, unknown>;

const PROBLEM: Json = {
  type: 'object',
  required: ['error', 'message'],
  properties: {
    error: { type: 'string' },
    message: { type: 'string', description: 'What is wrong, for people.' },
    fields: {
      type: 'array',
      items: {
        type: 'object',
        required: ['field', 'message'],
        properties: { field: { type: 'string' }, message: { type: 'string' } },
      },
    },
  },
};

let made: Json | undefined;

/** Every route as an OpenAPI 3.1 document, made from the schemas the routes check with. */
export function openApi(): Json {
  return (made ??= {
    openapi: '3.1.0',
    info: {
      title: 'Tasche',
      version: '1',
      description:
        'A script says who it is by a token: `Authorization: Bearer tasche_…`. Every write is one or more commands, done whole or not at all; the caller makes the ids, so that a repeated request is done once.',
    },
    servers: [{ url: '/api' }],
    paths: pathsOf(Object.keys(ROUTES) as RouteName[]),
    components: {
      securitySchemes: {
        token: { type: 'http', scheme: 'bearer' },
        session: { type: 'apiKey', in: 'cookie', name: '__Host-tasche' },
      },
      schemas: {
        Problem: PROBLEM,
        ...Object.fromEntries(
          Object.entries(COMMANDS).map(([name, { schema }]) => [name, commandSchema(name, schema)]),
        ),
      },
    },
  });
}

function commandSchema(name: string, schema: yup.AnyObjectSchema): Json {
  const { properties, required = [] } = plain(schema) as { properties: Json; required?: string[] };
  return {
    type: 'object',
    properties: { do: { const: name }, ...properties },
    required: ['do', ...required],
    additionalProperties: false,
  };
}

function pathsOf(names: readonly RouteName[]): Record<string, Json> {
  const paths: Record<string, Json> = {};
  for (const name of names) {
    const [method, path] = name.split(' ') as [string, string];
    (paths[path.replace(/:(\w+)/g, '{$1}')] ??= {})[method.toLowerCase()] = operationOf(name, path);
  }
  return paths;
}

function operationOf(name: RouteName, path: string): Json {
  const { wants, calls, about } = ROUTES[name];
  const { query, body, takes, answers } = ASKS[name] ?? {};
  return {
    operationId: name.replace(/[^A-Za-z]+/g, '_'),
    summary: about,
    description: `${WHO[wants] ?? `Needs the right to ${wants}.`} At most ${CALLS_A_MINUTE[calls]} a minute.`,
    security: wants === 'anybody' ? [] : [...(isForScripts(wants) ? [{ token: [] }] : []), { session: [] }],
    parameters: [
      ...[...path.matchAll(/:(\w+)/g)].map(([, id]) => ({
        name: id,
        in: 'path',
        required: true,
        schema: id === 'key' ? { type: 'string' } : { type: 'string', format: 'uuid' },
      })),
      ...(query ? parametersOf(query) : []),
    ],
    ...(body && {
      requestBody: {
        required: true,
        content: { 'application/json': { schema: name === 'POST /changes' ? changeSchema() : plain(body) } },
      },
    }),
    ...(takes && {
      requestBody: {
        required: true,
        content: Object.fromEntries(takes.map((type) => [type, { schema: { type: 'string' } }])),
      },
    }),
    responses: {
      200: { description: 'Done.', content: { [answers ?? 'application/json']: {} } },
      '4XX': {
        description: 'Refused, with what is wrong.',
        content: { 'application/json': { schema: { $ref: '#/components/schemas/Problem' } } },
      },
      503: {
        description:
          'Not now: the database cannot be reached, or is busy. Try again after `Retry-After` seconds.',
      },
    },
  };
}

const WHO: Partial<Record<Wanted, string>> = {
  anybody: 'Anybody.',
  'signed-in': 'Anyone who is signed in.',
  self: 'Somebody with an account, at a browser.',
  people: 'An owner, at a browser.',
};

function isForScripts(wants: Wanted): boolean {
  return wants !== 'self' && wants !== 'people';
}

function changeSchema(): Json {
  return {
    type: 'object',
    required: ['id', 'commands'],
    additionalProperties: false,
    properties: {
      id: { type: 'string', format: 'uuid' },
      why: { type: 'string', maxLength: 500 },
      commands: {
        type: 'array',
        minItems: 1,
        items: { oneOf: Object.keys(COMMANDS).map((name) => ({ $ref: `#/components/schemas/${name}` })) },
      },
    },
  };
}

function parametersOf(query: yup.AnyObjectSchema): Json[] {
  const { properties, required = [] } = plain(query) as {
    properties: Record<string, Json>;
    required?: string[];
  };
  return Object.entries(properties).map(([name, schema]) => ({
    name,
    in: 'query',
    required: required.includes(name),
    ...(schema.type === 'array' ? { explode: false } : {}),
    schema,
  }));
}

/** A schema as JSON Schema says it, without the defaults the library makes up for objects. */
function plain(schema: yup.AnyObjectSchema): Json {
  return withoutEmptyDefaults(convertSchema(schema)) as Json;
}

function withoutEmptyDefaults(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(withoutEmptyDefaults);
  if (value === null || typeof value !== 'object') return value;
  return Object.fromEntries(
    Object.entries(value)
      .filter(([key, one]) => key !== 'default' || one === null || typeof one !== 'object')
      .map(([key, one]) => [key, withoutEmptyDefaults(one)]),
  );
}
