import { expect, it } from 'vitest';
import { DELETED_CLUB, beginning, clubName, theClub } from '../src/index.js';

const CLUBS = [{ id: '7', name: '7 iron' }];

it('a club is called what it is called, and a deleted one is called that, in a list and in a sentence', () => {
  expect(clubName(CLUBS, '7')).toBe('7 iron');
  expect(clubName(new Map(CLUBS.map((club) => [club.id, club])), '8')).toBe(DELETED_CLUB);
  expect(theClub(clubName(CLUBS, '7'))).toBe('the 7 iron');
  expect(theClub(clubName(CLUBS, '8'))).toBe('a deleted club');
  expect(['the 7 iron', DELETED_CLUB, '60°', 'élan', ''].map(beginning)).toEqual([
    'The 7 iron',
    'A deleted club',
    '60°',
    'Élan',
    '',
  ]);
});
