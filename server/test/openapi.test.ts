import { Validator } from '@seriousme/openapi-schema-validator';
import { v4 as newId } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { ASKS, openApi } from '../src/http/openapi.js';
import { ROUTES, type RouteName } from '../src/http/route-list.js';
import { signInServer, type SignInServer } from './sign-in-server.js';

let door: SignInServer;
beforeAll(async () => {
  door = await signInServer();
});
afterAll(() => door.close());

interface Operation {
  parameters: { name: string; in: string; required: boolean }[];
  requestBody?: { content: Record<string, { schema: { required?: string[] } }> };
}
const document = openApi() as {
  paths: Record<string, Record<string, Operation>>;
  components: { schemas: object };
};
const operations = Object.entries(document.paths).flatMap(([path, methods]) =>
  Object.entries(methods).map(([method, operation]) => ({
    name: `${method.toUpperCase()} ${path}`,
    method,
    path,
    operation,
  })),
);
/** Streams stay open, and signing out ends what the others go on with. */
const asked = operations.filter(({ name }) => !/live|\/news|sign-out/.test(name));
const filled = (path: string) => path.replace(/\{\w+\}/g, () => newId());

describe('the document of the routes', () => {
  it('is OpenAPI 3.1, by a validator of others, and is what is served', async () => {
    const result = await new Validator().validate(structuredClone(openApi()));
    expect(result.errors).toBeUndefined();
    expect(result.valid).toBe(true);
    expect((await door.browser().get('/openapi.json').expect(200)).body).toEqual(openApi());
  });

  it('holds every route once, and everything that is written has a body', () => {
    expect(operations).toHaveLength(Object.keys(ROUTES).length);
    const without = operations
      .filter(({ method, operation }) => method === 'post' && !operation.requestBody)
      .map(({ name }) => name);
    // These say all there is to say by their address.
    expect(without.sort()).toEqual([
      'POST /account/passkeys/start',
      'POST /shares/{shareId}/revoke',
      'POST /sign-in/passkey/start',
      'POST /sign-out',
      'POST /tokens/{tokenId}/revoke',
    ]);
  });
});

describe('the routes keep to it', () => {
  const withQuery = asked.filter(({ operation }) => operation.parameters.some((one) => one.in === 'query'));
  it.each(withQuery.map((one) => [one.name, one] as const))(
    '%s: its parameters and no others',
    async (_name, one) => {
      const ask = (query: string) => door.owner[one.method as 'get' | 'post'](`${filled(one.path)}?${query}`);
      expect((await ask('nothing-of-the-kind=1')).status).toBe(400);
      for (const { name, required } of one.operation.parameters.filter((each) => each.in === 'query')) {
        // Twice is refused by its name, so it is known.
        const twice = await ask(`${name}=1&${name}=1`);
        expect([twice.status, JSON.stringify(twice.body.fields)]).toEqual([
          400,
          expect.stringContaining(name),
        ]);
        if (required) {
          const missing = await ask('');
          expect([missing.status, JSON.stringify(missing.body)]).toEqual([
            400,
            expect.stringMatching(/missing|required/),
          ]);
        }
      }
    },
  );

  const withBody = asked.filter(
    ({ operation }) => operation.requestBody?.content['application/json']?.schema.required?.length,
  );
  it.each(withBody.map((one) => [one.name, one] as const))(
    '%s: asks for what it says it must have',
    async (_name, one) => {
      const { required } = one.operation.requestBody!.content['application/json']!.schema;
      const answer = await door.owner.post(filled(one.path), {});
      expect(answer.status).toBe(400);
      const named = JSON.stringify(answer.body.fields);
      expect(required!.some((field) => named.includes(field))).toBe(true);
      const unknown = await door.owner.post(filled(one.path), { nothingOfTheKind: 1 });
      expect(unknown.status).toBe(400);
    },
  );

  it('nothing is asked of a route that is not there', () => {
    expect(Object.keys(ASKS).filter((name) => !(name in ROUTES))).toEqual([]);
    expect(ASKS['GET /players' as RouteName]?.query).toBeDefined();
  });
});
