import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { daysInText, slashedOrder } from '@tasche/contract';
import { MAX_LIST_CHARACTERS, readEventList } from '../../src/season/read-event-list';

const COURSES = ['Skarvoy Links', 'Hochfirn', 'Lagoa Funda', 'Erg Chebka'];
const read = (text: string, isMonthFirst = false) =>
  readEventList(text, { today: '2026-11-30', isMonthFirst, courses: COURSES });
/** "2027-03-12 2027-03-15 Spring Open @ Harbour Links" */
const said = (text: string, isMonthFirst = false) =>
  read(text, isMonthFirst).rows.map(({ from, to, name, place, time, problem }) =>
    [problem ? `■ ${problem}:` : from === to ? from : `${from} ${to}`, name, place && `@ ${place}`, time]
      .filter(Boolean)
      .join(' '),
  );

describe('days in a line', () => {
  const days = (line: string, isMonthFirst = false) => {
    const found = daysInText(line, { isMonthFirst });
    const written = ({ day, month, year }: { day: number; month: number; year?: number }) =>
      [day, month, year].filter((one) => one !== undefined).join('.');
    return found && `${written(found.from)} to ${written(found.to)}`;
  };

  it.each([
    ['12-15 Mar', '12.3 to 15.3'],
    ['12th–15th of March 2027', '12.3 to 15.3.2027'],
    ['Mar 12 to 15, 2027', '12.3 to 15.3.2027'],
    ['March 12 - April 2', '12.3 to 2.4'],
    ['Thu 9 – Sun 12 April', '9.4 to 12.4'],
    ['Sat 5 & Sun 6 September', '5.9 to 6.9'],
    ['30 Apr - 3 May ’27', '30.4 to 3.5.2027'],
    ['12.-15.03.2027', '12.3 to 15.3.2027'],
    ['28.02. bis 02.03.', '28.2 to 2.3'],
    ['Sa, 4. April', '4.4 to 4.4'],
    ['du 3 au 5 janvier 2027', '3.1 to 5.1.2027'],
    ['del 3 al 5 de marzo', '3.3 to 5.3'],
    ['2027-03-12, 2027-03-15', '12.3.2027 to 15.3.2027'],
    ['14/15 August', '14.8 to 15.8'],
    ['12-03-2027', '12.3.2027 to 12.3.2027'],
    ['12 Mar - 18 holes', '12.3 to 12.3'],
    ['the 5th of June', '5.6 to 5.6'],
  ])('%s', (line, expected) => {
    expect(days(line)).toBe(expected);
  });

  it('with the month first where that is so', () => {
    expect(days('3/12', true)).toBe('12.3 to 12.3');
    expect(days('3/12')).toBe('3.12 to 3.12');
    expect(slashedOrder('3/4 and 5/6')).toBe('either');
    expect(slashedOrder('3/14 and 5/6')).toBe('month first');
    expect(slashedOrder('13/4')).toBe('day first');
    expect(slashedOrder('12 March')).toBe('none');
  });

  it.each(['Spring Open', 'May Ball', '36 holes', 'Round 1-2', 'tee at 10:30', 'Top 10 of 2027', ''])(
    'are not in "%s"',
    (line) => {
      expect(daysInText(line, { isMonthFirst: false })).toBeUndefined();
    },
  );
});

describe('a list of events', () => {
  it('is read a line an event, with its course', () => {
    expect(
      said(`12-15 Mar Spring Open, Harbour Links
Thu 9 – Sun 12 April: Skarvoy Classic @ Skarvoy Links
April 23-26, 2027 Lagoon Masters
- 30 Apr - 3 May Hill Cup at Hochfirn
5 Jun Summer fours Erg Chebka
Club medal 12 June 08:40
Hochfirn, 20 June`),
    ).toEqual([
      '2027-03-12 2027-03-15 Spring Open @ Harbour Links',
      '2027-04-09 2027-04-12 Skarvoy Classic @ Skarvoy Links',
      '2027-04-23 2027-04-26 Lagoon Masters',
      '2027-04-30 2027-05-03 Hill Cup @ Hochfirn',
      '2027-06-05 Summer fours @ Erg Chebka',
      '2027-06-12 Club medal 08:40',
      '2027-06-20 Hochfirn @ Hochfirn',
    ]);
  });

  it('stands under its months and years; it goes on over New Year; without a year the next time is meant', () => {
    expect(said('Season 2028\n\nMarch\n12-15 Spring Open\n20 Medal\nApril:\n3-5 Fours')).toEqual([
      '2028-03-12 2028-03-15 Spring Open',
      '2028-03-20 Medal',
      '2028-04-03 2028-04-05 Fours',
    ]);
    expect(said('3 Nov 2027 Cup\n28 Dec - 2 Jan Fours\n9 Jan Medal')).toEqual([
      '2027-11-03 Cup',
      '2027-12-28 2028-01-02 Fours',
      '2028-01-09 Medal',
    ]);
    expect(said('29 Nov Gone by\n30 Nov Today')).toEqual(['2027-11-29 Gone by', '2027-11-30 Today']);
    expect(said('Spring Open 2028, 12-15 March')).toEqual(['2028-03-12 2028-03-15 Spring Open 2028']);
  });

  it('may be a table, whatever its heads and however its cells are parted', () => {
    expect(said('Event\tFrom\tTo\tVenue\nSpring Open\t12.03.2027\t15.03.2027\tHarbour')).toEqual([
      '2027-03-12 2027-03-15 Spring Open @ Harbour',
    ]);
    const tour = read(
      'Schedule 2027\n#;Dates;Tournament;Course;Purse\n1;Mar 4 - Mar 7;Harbour Open;Hochfirn;1,000',
    );
    expect(tour.rows).toMatchObject([
      { from: '2027-03-04', to: '2027-03-07', name: 'Harbour Open', place: 'Hochfirn' },
    ]);
    expect(tour.ignored).toEqual([]);
    expect(said('1\tMar 4 - 7\tHarbour Open\tHarbour Links\t$1,000,000')).toEqual([
      '2027-03-04 2027-03-07 Harbour Open @ Harbour Links',
    ]);
    expect(said('Date,Event\n12/03/2027,"Fours, mixed"\n13/04/2027,Cup')).toEqual([
      '2027-03-12 Fours, mixed',
      '2027-04-13 Cup',
    ]);
  });

  it('keeps every row of a table with heads, though its date is a month or still open', () => {
    expect(said('Event,Date\nTrophy,TBC\nSpring Open,March 2027\nCup,12 Mar 2027')).toEqual([
      '■ has no date: Trophy',
      '■ has no date: Spring Open',
      '2027-03-12 Cup',
    ]);
  });

  it('takes a name that begins with a course’s for a name, and a name that is a course’s for the course', () => {
    expect(said('12 Mar Hochfirn Open, North Course\n13 Mar Hochfirn, Spring fours')).toEqual([
      '2027-03-12 Hochfirn Open @ North Course',
      '2027-03-13 Spring fours @ Hochfirn',
    ]);
  });

  it('has a time as people write one, with what is said before it and when it ends', () => {
    expect(
      said(`12 Mar Spring Open 1:15 pm
13 Mar Spring Open, tee off 8:40
14 Mar Spring Open, tee time: 8.40 Uhr
15 Mar 9am Spring Open
16 Mar Spring Open at 13h15
17 Mar Spring Open 8:40-12:30
18 Mar Spring Open 7
19 Mar 9:00 a.m. Spring Open @ Harbour Links
20 Mar Cup 2027 am Rhein
21 Mar 4 hr Scramble
22 Mar Fours 1340 hrs`),
    ).toEqual([
      '2027-03-12 Spring Open 13:15',
      '2027-03-13 Spring Open 08:40',
      '2027-03-14 Spring Open 08:40',
      '2027-03-15 Spring Open 09:00',
      '2027-03-16 Spring Open 13:15',
      '2027-03-17 Spring Open 08:40',
      '2027-03-18 Spring Open 7',
      '2027-03-19 Spring Open @ Harbour Links 09:00',
      '2027-03-20 Cup 2027 am Rhein',
      '2027-03-21 4 hr Scramble',
      '2027-03-22 Fours 13:40',
    ]);
    expect(said('event,from,time\nCup,2027-03-12,840\nCup,2027-03-13,1:15 pm\nCup,2027-03-14,late')).toEqual([
      '2027-03-12 Cup 08:40',
      '2027-03-13 Cup 13:15',
      '2027-03-14 Cup',
    ]);
  });

  it('may be the file a season is saved as: its events come back, what else is in it is ignored', () => {
    const { rows, ignored } = read(
      'what,name,from,to,time,time zone\nevent,Skarvoy Open,2026-12-03,2026-12-06,,\nround,Round 1,2026-12-03,2026-12-03,08:40,Europe/Oslo\n',
    );
    expect(rows).toMatchObject([
      { name: 'Skarvoy Open', from: '2026-12-03', to: '2026-12-06', problem: null },
    ]);
    expect(ignored).toEqual(['Round 1 (round)']);
  });

  it('says what is wrong with a line, and loses none', () => {
    expect(
      said(`1 May Cup
TBC Summer Trophy
31 Feb Nothing
2-20 Oct Long
5.5.27 - 3.5.27 Back
Dec 5
3 Dec Practice, 4-7 Dec Open`),
    ).toEqual([
      '2027-05-01 Cup',
      '■ has no date: TBC Summer Trophy',
      '■ has a day that is in no calendar: Nothing',
      '■ is longer than 8 days: Long',
      '■ ends before it begins: Back',
      '■ has no name:',
      expect.stringContaining('■ has two dates: write each event on a line of its own: Practice'),
    ]);
    expect(read('just words\nand others')).toEqual({
      rows: [],
      isOrderGuessed: false,
      ignored: ['just words', 'and others'],
    });
    expect(read('8/5 Cup "unclosed').rows).toMatchObject([{ from: '2027-05-08', name: 'Cup "unclosed' }]);
  });

  it('asks which number is the month only where its dates do not tell', () => {
    expect(read('3/4 Medal').isOrderGuessed).toBe(true);
    expect(said('3/4 Medal', true)).toEqual(['2027-03-04 Medal']);
    expect(read('3/4 Medal\n13/4 Cup').isOrderGuessed).toBe(false);
    expect(said('3/4 Medal\n13/4 Cup', true)).toEqual(['2027-04-03 Medal', '2027-04-13 Cup']);
  });

  it('is refused where it is no season', () => {
    expect(() => read('x'.repeat(MAX_LIST_CHARACTERS + 1))).toThrow(/at most 200000 are read/);
    expect(() => read('1 May Cup\n'.repeat(501))).toThrow('This list has 501 lines; at most 500 are read.');
  });

  it('never throws at a text, and gives days in order or says what is wrong (property)', () => {
    const word = fc.oneof(
      fc.constantFrom(
        '12',
        'Mar',
        '-',
        'to',
        '2027',
        ',',
        '\t',
        '\n',
        '3/4',
        '31.',
        'Sat',
        'Open',
        '"',
        ';',
        '08:40',
      ),
      fc.string({ maxLength: 5 }),
    );
    fc.assert(
      fc.property(fc.array(word, { maxLength: 25 }), (words) => {
        for (const row of read(words.join(' ')).rows)
          if (row.problem === null) {
            expect(row.from <= row.to).toBe(true);
            expect(row.from).toMatch(/^\d{4}-\d\d-\d\d$/);
            expect(row.name).not.toBe('');
          }
      }),
      { numRuns: 300 },
    );
  });
});
