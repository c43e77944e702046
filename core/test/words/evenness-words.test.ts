import { describe, expect, it } from 'vitest';
import { gaps, type LadderClub } from '../../src/index.js';
import {
  bagEvennessWords,
  bagHeadline,
  evennessChangeWords,
  headlineWords,
  stepSentence,
} from '../../src/words/index.js';

/** A bag of irons from carries in yards; null where nobody has hit the club. */
const clubs = (carries: readonly (number | null)[]) =>
  carries.map((yards, i): LadderClub => ({
    id: `${i}`,
    name: `${i + 3} iron`,
    kind: 'iron',
    loftDeg: 20 + 4 * i,
    shots: yards === null ? {} : { full: { carryM: yards * 0.9144, source: 'stated' } },
  }));
const report = (carries: readonly (number | null)[]) => gaps(clubs(carries));
const even = report([200, 188, 176, 164, 152]);
const uneven = report([200, 196, 176, 172, 152]);
const unknown = report([null, null, null, null, null]);
const one = report([200]);

describe('how even a bag was, and is', () => {
  it('is two figures with the unit said once', () => {
    const words = evennessChangeWords(uneven, report([200, 190, 176, 164, 152]), 'yd')!;
    expect(words.before).toMatch(/^uneven by \d\.\d yd$/);
    expect(words.after).toMatch(/^\d\.\d yd$/);
  });

  it('is "even" and not a zero', () => {
    expect(evennessChangeWords(uneven, even, 'yd')!.after).toBe('even');
    expect(evennessChangeWords(even, uneven, 'm')).toEqual({
      before: 'even',
      after: bagEvennessWords(uneven, 'm'),
    });
  });

  it('says where one of the two is not known, and nothing where neither is', () => {
    expect(evennessChangeWords(unknown, even, 'yd')).toEqual({ before: 'not known yet', after: 'even' });
    expect(evennessChangeWords(uneven, one, 'yd')!.after).toBe('not known yet');
    expect(evennessChangeWords(unknown, one, 'yd')).toBeUndefined();
  });
});

describe('what is said of a bag without a fault', () => {
  it('is "even" where its steps are near their targets, and no more than that elsewhere', () => {
    const title = (carries: readonly (number | null)[]) => headlineWords(report(carries), 'yd').title;
    expect(title([200, 188, 176, 164, 152])).toBe('An even bag.');
    expect(title([200, 186, 176, 162, 152])).toBe('An even bag.');
    expect(title([200, 184.5, 176, 160.5, 152])).toBe('No step at fault.');
  });

  it('is not said of a bag that is still being entered, on a page; a question about few clubs is answered', () => {
    const two = report([200, 150]);
    expect(headlineWords(two, 'yd').title).toBe('One gap too wide.');
    expect(bagHeadline(two, 'yd')).toEqual({
      title: '2 clubs so far.',
      text: 'The bag as a whole is judged from 5 on.',
      severity: 'unknown',
    });
    expect(bagHeadline(one, 'yd').title).toBe('No ladder yet.');
    expect(bagHeadline(even, 'yd')).toMatchObject({ title: 'An even bag.', severity: 'fine' });
    // A number that must be wrong is said at once.
    expect(bagHeadline(report([150, 200]), 'yd')).toMatchObject({
      title: 'One pair mixed up.',
      severity: 'error',
    });
  });

  it('counts the steps that are judged: the one below a driver has no target', () => {
    const irons = [200, 186, 176, 162, 152];
    expect(headlineWords(report(irons), 'yd').text).toMatch(
      /^Its 4 steps are usually within \d\.\d yd of their targets\.$/,
    );
    const driver: LadderClub = {
      id: 'driver',
      name: 'Driver',
      kind: 'driver',
      shots: { full: { carryM: 220 * 0.9144, source: 'stated' } },
    };
    expect(headlineWords(gaps([driver, ...clubs(irons)]), 'yd').text).toMatch(
      /^The 4 steps with a target are usually within /,
    );
  });

  it('is that a step is not known where a club without a carry belongs into it', () => {
    const divided = report([200, 188, 176, null, 152, null, null, 115]);
    expect(headlineWords(divided, 'yd')).toEqual({
      title: 'Two steps not known yet.',
      text: '5 iron to 7 iron is 8.0° and 24 yd; the 6 iron belongs between them and has no carry yet.',
    });
    const { steps } = divided;
    expect(stepSentence(steps.at(-1)!, divided, 'yd')).toBe(
      '7 iron to 10 iron is 12.0° and 37 yd; the 8 iron and the 9 iron belong between them and have no carry yet.',
    );
  });
});
