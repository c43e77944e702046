import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { beginsWith, contains, isSameName, isSamePerson, plainForms, plainLetters } from '../src/index.js';

describe('names', () => {
  it.each([
    ['José Núñez', 'jose nunez'],
    ['Søren Ægir Łoś', 'Soren Aegir Los'],
    ['Müller', 'Mueller'],
    ['Müller', 'MULLER'],
    ['Mueller', 'müller'],
    ['Åsa Öst', 'Aasa Oest'],
    ['Åsa Öst', 'Asa Ost'],
    ['  Ann   Bell ', 'ann bell'],
    ['O’Neil', "O'Neil"],
    ['Ann-Marie Bell', 'ann_marie bell'],
  ])('"%s" is "%s"', (a, b) => {
    expect(isSameName(a, b)).toBe(true);
    expect(isSameName(b, a)).toBe(true);
  });

  it.each([
    ['Ann Bell', 'Anna Bell'],
    ['Ann Bell', 'Bell Ann'],
    ['Muller', 'Mueller'],
    ['', 'Ann'],
  ])('"%s" is not "%s"', (a, b) => {
    expect(isSameName(a, b)).toBe(false);
  });

  it('of people may have the last name first, behind it a comma', () => {
    expect(isSamePerson('Núñez, José', 'Jose Nunez')).toBe(true);
    expect(isSamePerson('Núñez,José', 'Nunez, Jose')).toBe(true);
    expect(isSamePerson('Nunez Jose', 'Jose Nunez')).toBe(false);
    expect(isSamePerson('Bell, Ann, Jr', 'Ann Bell')).toBe(false);
  });

  it('are found by a part of them, however it is written', () => {
    expect(contains('mueller')('Jürgen Müller')).toBe(true);
    expect(contains('Mull')('Jürgen Müller')).toBe(true);
    expect(contains('müller')('Jurgen Mueller')).toBe(true);
    expect(contains(' ')('Ann Bell')).toBe(true);
    expect(contains('bella')('Ann Bell')).toBe(false);
    expect(beginsWith('mül')('Mueller')).toBe(true);
    expect(beginsWith('ueller')('Müller')).toBe(false);
  });

  it('are the same as themselves, found by themselves, and plain once they are plain', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'grapheme' }), (name) => {
        expect(isSameName(name, name)).toBe(true);
        expect(isSameName(name, name.normalize('NFD'))).toBe(true);
        expect(contains(name)(`of ${name}`)).toBe(true);
        for (const form of plainForms(name)) expect(plainLetters(form)).toBe(form);
      }),
    );
  });
});
