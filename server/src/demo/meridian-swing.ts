import type { GapSettings, Lie } from '@tasche/core';
import { toMetres } from '@tasche/core';
import type { Hand, PlanChoosing, SeasonItem, TicketDetails, WishDetails } from '@tasche/contract';

/**
 * The Meridian Swing: a circuit, a rep and four players, all invented. Clubs are in the CSV files beside this
 * one.
 */
export const REP = 'Jonas Brandl';
export const WORKSPACE_NAME = 'Meridian Swing van';

export interface DemoPlayer {
  file: string;
  name: string;
  hand: Hand;
  distanceUnit: 'yd' | 'm';
  notes: string;
  /** Null where nobody entered one. */
  handicap: number | null;
  gapSettings: Partial<GapSettings>;
  /** The first is the gamer. */
  bags: readonly { name: string; note?: string; clubs: readonly string[] }[];
  /** What was done since the sheet was recorded, oldest first. */
  changes: readonly {
    club: string;
    key: 'loftSetDeg' | 'loftMeasuredDeg' | 'swingWeight' | 'lieDeg';
    value: number | string;
    daysAgo: number;
    why: string;
  }[];
  /** Swaps of the gamer since, oldest first; the gamer above is what came of them. */
  gamerSwaps?: readonly { out: string; in: string; daysAgo: number; why: string }[];
  /** Days from today. */
  season?: {
    items: readonly (Omit<SeasonItem, 'id' | 'from' | 'to'> & { inDays: number; lasts: number })[];
    trials: readonly { club: string; against: string; shots: number; inDays: number }[];
  };
  /** What is asked of the bench, wished for, and played. */
  bench?: {
    tickets?: readonly (Omit<TicketDetails, 'clubId' | 'eventId' | 'dueOn'> & {
      club: string;
      event?: string;
      dueInDays: number | null;
    })[];
    wishes?: readonly (Omit<WishDetails, 'clubId' | 'expected' | 'boughtOn'> & {
      /** The club it is about. */
      of?: string;
      expected?: WishDetails['expected'];
      boughtDaysAgo?: number;
    })[];
    /** Days ago it was taken up. */
    balls?: readonly { name: string; daysAgo: number }[];
  };
  /** Rounds outside any event, of which something was recorded. */
  rounds?: readonly {
    daysAgo: number;
    name: string;
    /** Null for one that is not among ours. */
    course: string | null;
    shots: readonly (readonly [club: string, yd: number, lie: Lie, hole: number])[];
    says: string;
    keep: string;
  }[];
  plan?: {
    name: string;
    course: string;
    inDays: number;
    lasts: number;
    ground: string;
    weather: string;
    swaps: readonly { out?: string; in?: string; why: string }[];
    /** Yards, how often a round, and what of it: the shots the course asks. */
    needs?: readonly (readonly [
      yd: number,
      times: number,
      what?: 'hold' | 'drive' | 'rough' | 'tee',
      leftYd?: number,
    ])[];
    /** By name; its rounds are then worked out from its courses. */
    event?: string;
    choosing?: Partial<PlanChoosing>;
  };
}

const yards = (value: number) => toMetres(value, 'yd');

export const DEMO_PLAYERS: readonly DemoPlayer[] = [
  {
    file: 'davor-kolar.csv',
    name: 'Davor Kolar',
    hand: 'right',
    distanceUnit: 'yd',
    notes: 'Long. Likes a low long club in wind. Wedges a touch heavier than the irons.',
    // His steps are wider all the way, so his limits are too.
    handicap: -5,
    gapSettings: { topStepMaxM: yards(30), scoringStepMaxM: yards(18) },
    bags: [
      {
        name: 'Gamer',
        clubs: [
          'Driver',
          '3 wood',
          'Hybrid 3',
          'Driving iron',
          '5 iron',
          '6 iron',
          '7 iron',
          '8 iron',
          '9 iron',
          'PW',
          '52',
          '56',
          '60',
          'Putter',
        ],
      },
      {
        name: 'Travel',
        note: 'What flies with him; fourteen make the cut on the first morning.',
        clubs: [
          'Driver',
          '3 wood',
          '3 wood tour',
          'Hybrid 3',
          'Driving iron',
          '4 iron',
          '5 iron',
          '6 iron',
          '7 iron',
          '8 iron',
          '9 iron',
          'PW',
          '48',
          '52',
          '56',
          '60',
          '60 low',
          'Putter',
        ],
      },
    ],
    changes: [
      { club: '9 iron', key: 'loftMeasuredDeg', value: 40.5, daysAgo: 24, why: 'weekly gauge check' },
      {
        club: '60',
        key: 'swingWeight',
        value: 'D6',
        daysAgo: 16,
        why: 'two grams of lead taken off the head',
      },
      { club: '56', key: 'loftSetDeg', value: 56.5, daysAgo: 3, why: 'sat too close to the 52' },
      { club: '56', key: 'loftMeasuredDeg', value: 56.5, daysAgo: 3, why: 'on the gauge after bending' },
    ],
    season: {
      items: [
        { kind: 'freeze', name: 'The spring events', inDays: 45, lasts: 70, repeats: 'yearly' },
        { kind: 'trip', name: 'To the lagoons', inDays: 28, lasts: 6, repeats: null },
      ],
      trials: [{ club: '5 wood', against: 'Hybrid 3', shots: 30, inDays: 20 }],
    },
    gamerSwaps: [
      { out: '4 iron', in: 'Driving iron', daysAgo: 34, why: 'a low one for the links weeks' },
      { out: '60 low', in: '60', daysAgo: 18, why: 'soft sand from here on' },
    ],
    bench: {
      tickets: [
        {
          club: '5 wood',
          job: 'grip',
          name: 'Regrip the 5 wood',
          wanted: [
            { key: 'grip', value: 'Moos Round' },
            { key: 'gripWraps', value: 2 },
          ],
          why: 'shiny at the top hand',
          dueInDays: 6,
        },
        {
          club: '60 low',
          job: 'weight',
          name: 'Bring the 60 low to D7',
          wanted: [
            { key: 'swingWeight', value: 'D7' },
            { key: 'leadG', value: 2 },
          ],
          why: 'as the 60 in the gamer was before',
          dueInDays: 12,
        },
      ],
      balls: [
        { name: 'Perl Tour', daysAgo: 300 },
        { name: 'Perl Tour X', daysAgo: 96 },
      ],
    },
    plan: {
      name: 'Skarvoy Links week',
      course: 'Skarvoy Links',
      inDays: 9,
      lasts: 3,
      ground: 'Firm, tight turf; greens run out',
      weather: '9 °C, wind about 8 m/s off the sea, gusts',
      swaps: [
        {
          out: 'Hybrid 3',
          in: '48',
          why: 'Low one stays for the wind; the 48 closes the hole under the PW.',
        },
        { out: '60', in: '60 low', why: 'Tight turf: less bounce.' },
      ],
      // Firm and windy: most approaches may run, the short ones must hold; the tees ask for length twice and
      // for the low club as often.
      needs: [
        [300, 6, 'drive', 135],
        [285, 4, 'drive', 150],
        [235, 4, 'drive', 165],
        [228, 1, 'tee'],
        [214, 1.5],
        [205, 1],
        [196, 1.5, 'tee'],
        [188, 1.5],
        [176, 2],
        [165, 2],
        [158, 1.5, 'hold'],
        [150, 1.5, 'hold'],
        [141, 1.5, 'hold'],
        [133, 1.5, 'hold'],
        [124, 1, 'hold'],
        [112, 1, 'hold'],
        [98, 1, 'hold'],
        [86, 1, 'hold'],
        [160, 0.8, 'rough'],
        [120, 0.8, 'rough'],
      ],
    },
  },
  {
    file: 'maren-tveit.csv',
    name: 'Maren Tveit',
    hand: 'right',
    distanceUnit: 'm',
    notes: 'Tour professional. Four degrees between the wedges. Nothing new in the week of an event.',
    handicap: -4,
    gapSettings: {},
    bags: [
      {
        name: 'Gamer',
        clubs: [
          'Driver',
          '3 wood',
          '5 wood',
          'Hybrid 4',
          '5 iron',
          '6 iron',
          '7 iron',
          '8 iron',
          '9 iron',
          'PW',
          '50',
          '54',
          '58',
          'Putter',
        ],
      },
    ],
    changes: [
      { club: '58', key: 'loftSetDeg', value: 57.5, daysAgo: 40, why: 'drifted weak; back by half a degree' },
      { club: '54', key: 'loftMeasuredDeg', value: 54.25, daysAgo: 6, why: 'weekly gauge check' },
    ],
    bench: {
      tickets: [
        {
          club: '58 wide',
          job: 'bend',
          name: 'Bend the 58 wide ½° strong',
          wanted: [{ key: 'loftSetDeg', value: 57.5 }],
          why: 'to play as the 58 does',
          event: 'Hochfirn Open',
          dueInDays: 14,
        },
      ],
      balls: [{ name: 'Perl Soft', daysAgo: 210 }],
    },
    plan: {
      name: 'Hochfirn Open',
      course: 'Hochfirn, 1,520 m',
      inDays: 16,
      lasts: 3,
      ground: 'Soft, fluffy sand',
      weather: 'Thin dry air, 12 to 19 °C, little wind',
      swaps: [{ out: '58', in: '58 wide', why: 'Soft turf and fluffy sand want more bounce.' }],
      event: 'Hochfirn Open',
    },
  },
  {
    file: 'oluchi-nwosu.csv',
    name: 'Oluchi Nwosu',
    hand: 'left',
    distanceUnit: 'yd',
    notes: 'Ambitious amateur. Budget of 250 for the winter: what would gain most?',
    handicap: 13,
    gapSettings: {},
    bags: [
      {
        name: 'Gamer',
        clubs: [
          'Driver',
          '3 wood',
          '5 wood',
          'Hybrid 3',
          '4 iron',
          '5 iron',
          '6 iron',
          '7 iron',
          '8 iron',
          '9 iron',
          'PW',
          'SW',
          '60',
          'Putter',
        ],
      },
    ],
    changes: [],
    bench: {
      wishes: [
        {
          name: 'A 50 wedge, new',
          purpose: 'buy',
          state: 'wished',
          price: 120,
          club: { kind: 'wedge', loftDeg: 50 },
          notes: 'for the step under the PW',
        },
        {
          name: 'A 5 hybrid',
          purpose: 'buy',
          state: 'on trial',
          price: 150,
          club: { kind: 'hybrid', loftDeg: 26 },
          notes: 'for the 5 iron that never gets up',
        },
        {
          name: 'A new driver',
          purpose: 'buy',
          state: 'wished',
          price: 380,
          club: { kind: 'driver', loftDeg: 12, carryM: yards(212) },
          notes: 'carried 212 on a trial day',
        },
        {
          name: 'A new shaft for the driver',
          purpose: 'fit',
          state: 'on trial',
          price: 160,
          club: null,
          of: 'Driver',
          expected: { shot: 'full', carryM: yards(207), scatterShare: 0.9 },
          notes: '207 and straighter on the trial day',
        },
        {
          name: 'Three-quarter 60',
          purpose: 'learn',
          state: 'wished',
          price: null,
          club: null,
          of: '60',
          expected: { shot: 'three-quarter' },
          notes: '',
        },
        {
          name: 'The hybrid',
          purpose: 'buy',
          state: 'bought',
          price: 140,
          club: null,
          of: 'Hybrid 3',
          boughtDaysAgo: 120,
          notes: '',
        },
        {
          name: 'New grips all round',
          purpose: 'repair',
          state: 'wished',
          price: 90,
          club: null,
          notes: 'two seasons old',
        },
      ],
    },
    rounds: [
      {
        daysAgo: 3,
        name: 'Club medal',
        course: null,
        shots: [
          ['Driver', 402, 'tee', 1],
          ['5 wood', 196, 'light rough', 1],
          ['Driver', 371, 'tee', 3],
          ['7 iron', 146, 'fairway', 3],
          ['Hybrid 3', 183, 'tee', 5],
          ['8 iron', 134, 'fairway', 7],
          ['Hybrid 3', 178, 'fairway', 9],
          ['SW', 62, 'fairway', 11],
          ['Hybrid 3', 181, 'light rough', 14],
          ['SW', 14, 'sand', 14],
          ['PW', 104, 'fairway', 16],
          ['9 iron', 121, 'fairway', 18],
        ],
        says: 'Four times between the 5 iron and the hybrid, and the hybrid every time.',
        keep: 'The 5 iron stayed in the bag all day.',
      },
      {
        daysAgo: 17,
        name: '',
        course: 'Lagoa Funda',
        shots: [
          ['Driver', 388, 'tee', 2],
          ['Hybrid 3', 176, 'fairway', 2],
          ['5 wood', 201, 'fairway', 6],
          ['60', 22, 'sand', 8],
          ['7 iron', 150, 'tee', 12],
        ],
        says: '',
        keep: '',
      },
    ],
  },
  {
    file: 'pim-hoekstra.csv',
    name: 'Pim Hoekstra',
    hand: 'right',
    distanceUnit: 'm',
    notes: 'Carries. Nine clubs from November to March, partial swings for the rest.',
    handicap: null,
    gapSettings: {},
    bags: [
      {
        name: 'Winter nine',
        clubs: ['3 wood', 'Hybrid 4', '5 iron', '7 iron', '9 iron', '50', 'Winter 56', '58', 'Putter'],
      },
      {
        name: 'Summer fourteen',
        clubs: [
          'Driver',
          '3 wood',
          '5 wood',
          'Hybrid 4',
          '5 iron',
          '6 iron',
          '7 iron',
          '8 iron',
          '9 iron',
          'PW',
          '50',
          '54',
          '58',
          'Putter',
        ],
      },
    ],
    changes: [
      {
        club: '8 iron',
        key: 'loftMeasuredDeg',
        value: 36.5,
        daysAgo: 12,
        why: 'half a degree weak on the gauge; leave until spring',
      },
    ],
    plan: {
      name: 'Winter fours',
      course: 'Skarvoy Links',
      inDays: 23,
      lasts: 0,
      ground: 'Soaked, short rough',
      weather: '4 °C, wind',
      swaps: [],
      event: 'Winter fours',
      choosing: { limit: 10, changeStrokes: 0 },
    },
  },
];
