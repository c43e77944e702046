import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  MIN_PASSWORD,
  RIGHTS,
  ROLES,
  emailSchema,
  hasRight,
  inviteSchema,
  mayDo,
  passwordSchema,
  plainEmail,
  shareSchema,
  tokenSchema,
  type Command,
} from '../src/index.js';

const good = (schema: { isValidSync: (value: unknown, options: object) => boolean }, value: unknown) =>
  schema.isValidSync(value, { strict: true });

describe('an e-mail address', () => {
  it.each(['a@b.example', 'Jonas.Brandl+van@tour.meridian.example', 'ä@bücher.example', "o'hara@x.example"])(
    '%s',
    (text) => {
      expect(good(emailSchema, text)).toBe(true);
    },
  );
  it.each([
    'jonas',
    'a@b',
    '@b.example',
    'a@',
    'a b@c.example',
    'a@b..',
    'a@b.example\nbcc: x@y.example',
    '<a@b.example>',
    'a,b@c.example',
    `${'x'.repeat(250)}@b.example`,
  ])('not %s', (text) => {
    expect(good(emailSchema, text)).toBe(false);
  });
  it('is the same in any case', () => {
    expect(plainEmail(' Jonas@Van.Example ')).toBe('jonas@van.example');
  });
});

describe('a password', () => {
  it('is long, of any signs, and not one sign over and over', () => {
    expect(good(passwordSchema, 'seven iron off wet turf')).toBe(true);
    expect(good(passwordSchema, '⛳🏌️ über 7 wood, 9-iron')).toBe(true);
    expect(good(passwordSchema, 'aaaaaaaaaaaaaaaaaaaa')).toBe(false);
    expect(good(passwordSchema, 'x'.repeat(MIN_PASSWORD - 1))).toBe(false);
    expect(good(passwordSchema, 'abcdefgh'.repeat(20))).toBe(false);
  });
});

describe('an invitation', () => {
  const player = '7a5c4e00-0001-4000-8000-000000000000';
  const invite = (more: object) =>
    good(inviteSchema, { name: 'Kari', email: 'kari@van.example', role: 'rep', ...more });
  it('names players for a player, may for a caddie, and for nobody else', () => {
    expect(invite({})).toBe(true);
    expect(invite({ role: 'player' })).toBe(false);
    expect(invite({ role: 'player', playerIds: [] })).toBe(false);
    expect(invite({ role: 'player', playerIds: [player] })).toBe(true);
    expect(invite({ role: 'caddie' })).toBe(true);
    expect(invite({ role: 'caddie', playerIds: [player] })).toBe(true);
    // Nobody named is not everybody.
    expect(invite({ role: 'caddie', playerIds: [] })).toBe(false);
    expect(invite({ role: 'assistant', playerIds: [player] })).toBe(false);
    expect(invite({ role: 'rep', playerIds: null })).toBe(true);
    expect(invite({ role: 'boss' })).toBe(false);
    expect(invite({ name: '  ' })).toBe(false);
    expect(invite({ extra: 1 })).toBe(false);
  });
});

describe('links and tokens', () => {
  it('end', () => {
    expect(good(shareSchema, { paper: 'card', days: 7 })).toBe(true);
    for (const days of [0, -1, 366, 1.5, null])
      expect(good(shareSchema, { paper: 'card', days })).toBe(false);
    expect(good(shareSchema, { paper: 'everything', days: 7 })).toBe(false);
    expect(good(tokenSchema, { name: 'x', scopes: ['read'], endsOn: '2027-01-01' })).toBe(true);
    expect(good(tokenSchema, { name: 'x', scopes: [], endsOn: '2027-01-01' })).toBe(false);
    expect(good(tokenSchema, { name: 'x', scopes: ['admin'], endsOn: '2027-01-01' })).toBe(false);
    expect(good(tokenSchema, { name: 'x', scopes: ['read'], endsOn: '2027-02-30' })).toBe(false);
  });
});

describe('roles', () => {
  it('an owner may do everything, and a caddie nothing but notes that an assistant or a player may not', () => {
    for (const right of RIGHTS) {
      expect(hasRight('owner', right)).toBe(true);
      for (const role of ROLES) if (hasRight(role, right)) expect(hasRight('owner', right)).toBe(true);
      if (hasRight('caddie', right)) expect(hasRight('player', right)).toBe(true);
    }
    expect(ROLES.filter((role) => hasRight(role, 'people'))).toEqual(['owner']);
  });

  it('a caddie writes notes and nothing that is sent beside them', () => {
    const id = '7a5c4e00-0001-4000-8000-000000000000';
    fc.assert(
      fc.property(
        fc.dictionary(fc.constantFrom('notes', 'name', 'hand', 'archived', 'handicap'), fc.constant('x')),
        (set) => {
          const command = { do: 'editPlayer', playerId: id, version: 1, set } as unknown as Command;
          expect(mayDo('caddie', command)).toBe(Object.keys(set).join() === 'notes');
          expect(mayDo('rep', command)).toBe(true);
          expect(mayDo('assistant', command)).toBe(false);
        },
      ),
    );
    const withReadings = {
      do: 'editBag',
      bagId: id,
      version: 1,
      set: { note: 'x' },
      clubIds: [],
    } as unknown as Command;
    expect(mayDo('caddie', withReadings)).toBe(false);
  });
});
