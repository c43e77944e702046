import type { CourseDetails, CourseSeason, SeasonDetails } from '@tasche/contract';
import type {
  CourseGround,
  Firmness,
  Front,
  Grass,
  Hole,
  RoughLength,
  Sand,
  Slope,
  Hazard,
  HazardKind,
} from '@tasche/core';

/**
 * Par, lengths of the two tees, bearing, rise, corridor, depth of the green, what is before it, its tilt, and
 * hazards.
 */
type Row = readonly [
  par: number,
  back: number,
  front: number,
  bearing: number,
  rise: number,
  corridor: number,
  green: number,
  before: Front,
  slope: Slope,
  ...hazards: (readonly [HazardKind, Hazard['side'], number, number])[],
];

const holes = (rows: readonly Row[]): Hole[] =>
  rows.map(
    ([par, back, front, bearingDeg, elevationChangeM, corridorM, greenM, before, slope, ...hazards]) => ({
      par,
      lengthsM: [back, front],
      bearingDeg,
      elevationChangeM,
      corridorM,
      greenM,
      front: before,
      slope,
      hazards: hazards.map(([kind, side, fromM, toM]) => ({ kind, side, fromM, toM })),
    }),
  );

/** Out along the shore and home again; open fronts, pots where a drive ends. */
const SKARVOY = holes([
  [4, 398, 360, 300, 1, 30, 30, 'open', 'flat', ['bunker', 'left', 225, 260], ['bunker', 'right', 262, 290]],
  [4, 431, 392, 290, -2, 28, 32, 'open', 'flat', ['bunker', 'right', 240, 275]],
  [3, 192, 168, 340, 2, 30, 28, 'sand', 'flat'],
  [5, 538, 492, 285, 0, 30, 34, 'open', 'flat', ['bunker', 'left', 250, 280], ['bunker', 'across', 400, 415]],
  [
    4,
    372,
    341,
    310,
    3,
    26,
    26,
    'open',
    'towards',
    ['bunker', 'left', 210, 245],
    ['bunker', 'right', 235, 268],
  ],
  [4, 455, 410, 275, -1, 30, 33, 'open', 'flat', ['out of bounds', 'right', 180, 330]],
  [3, 164, 148, 20, -3, 30, 24, 'sand', 'flat'],
  [4, 412, 380, 300, 0, 28, 30, 'open', 'flat', ['bunker', 'across', 288, 305]],
  [4, 446, 402, 280, 2, 28, 31, 'open', 'away', ['bunker', 'left', 248, 278]],
  [4, 389, 352, 120, 0, 28, 27, 'sand', 'flat', ['bunker', 'right', 230, 262]],
  [4, 420, 383, 105, -1, 30, 30, 'open', 'flat', ['bunker', 'left', 255, 285]],
  [3, 208, 180, 75, 0, 30, 31, 'open', 'flat'],
  [
    5,
    521,
    480,
    110,
    1,
    30,
    33,
    'open',
    'flat',
    ['out of bounds', 'right', 200, 360],
    ['bunker', 'left', 262, 290],
  ],
  [
    4,
    365,
    334,
    130,
    2,
    24,
    24,
    'sand',
    'towards',
    ['bunker', 'left', 205, 240],
    ['bunker', 'right', 205, 240],
  ],
  [4, 438, 401, 95, -2, 30, 32, 'open', 'flat', ['bunker', 'right', 252, 284]],
  [3, 176, 155, 200, 1, 30, 26, 'sand', 'flat'],
  [4, 462, 418, 115, 0, 28, 34, 'open', 'flat', ['bunker', 'left', 250, 282]],
  [
    4,
    429,
    391,
    120,
    3,
    30,
    30,
    'open',
    'flat',
    ['bunker', 'across', 300, 318],
    ['out of bounds', 'left', 150, 320],
  ],
]);

/** Up and down a mountain; small greens behind sand, trees at the sides. */
const HOCHFIRN = holes([
  [
    4,
    402,
    365,
    45,
    -12,
    34,
    24,
    'sand',
    'towards',
    ['trees', 'left', 150, 330],
    ['trees', 'right', 150, 330],
  ],
  [3, 171, 150, 120, 8, 30, 22, 'sand', 'towards'],
  [4, 441, 398, 210, 6, 32, 25, 'sand', 'flat', ['trees', 'right', 160, 340]],
  [5, 556, 508, 30, -18, 34, 26, 'sand', 'flat', ['trees', 'left', 180, 420], ['water', 'across', 455, 480]],
  [4, 386, 350, 270, 10, 30, 22, 'sand', 'towards', ['trees', 'left', 140, 300]],
  [3, 203, 176, 350, -14, 30, 25, 'sand', 'flat'],
  [4, 428, 390, 180, 4, 32, 24, 'sand', 'flat', ['bunker', 'left', 250, 280]],
  [5, 533, 486, 60, 12, 32, 24, 'open', 'towards', ['trees', 'right', 170, 400]],
  [4, 409, 372, 240, -8, 34, 24, 'sand', 'away', ['trees', 'left', 150, 320]],
  [4, 451, 405, 15, -15, 34, 26, 'sand', 'flat', ['trees', 'left', 160, 350], ['trees', 'right', 160, 350]],
  [3, 158, 140, 100, 5, 30, 20, 'water', 'flat'],
  [4, 395, 360, 200, 9, 30, 23, 'sand', 'towards', ['bunker', 'right', 235, 262]],
  [4, 418, 379, 330, -6, 32, 24, 'sand', 'flat', ['trees', 'right', 150, 320]],
  [5, 548, 500, 150, 14, 32, 25, 'sand', 'flat', ['trees', 'left', 180, 420], ['bunker', 'right', 265, 295]],
  [4, 377, 342, 260, -10, 30, 21, 'sand', 'flat', ['water', 'right', 220, 260]],
  [3, 186, 163, 40, 3, 30, 23, 'sand', 'away'],
  [4, 434, 394, 190, 7, 32, 24, 'sand', 'towards', ['trees', 'left', 150, 330]],
  [5, 562, 515, 80, -20, 34, 26, 'sand', 'flat', ['trees', 'right', 170, 430], ['water', 'across', 470, 495]],
]);

/** Lagoons on half the holes, long wet rough on all. */
const LAGOA = holes([
  [4, 408, 372, 80, 0, 30, 28, 'sand', 'flat', ['water', 'left', 200, 320]],
  [5, 529, 485, 160, 1, 30, 28, 'water', 'flat', ['water', 'right', 240, 330]],
  [3, 168, 148, 250, 0, 30, 25, 'water', 'flat'],
  [4, 425, 386, 340, 2, 28, 27, 'sand', 'flat', ['bunker', 'left', 245, 275]],
  [4, 392, 356, 70, 0, 28, 26, 'sand', 'towards', ['water', 'across', 255, 290]],
  [4, 447, 405, 180, -1, 30, 30, 'open', 'flat', ['bunker', 'right', 250, 285]],
  [3, 197, 172, 300, 0, 30, 28, 'sand', 'flat'],
  [4, 371, 338, 20, 1, 26, 24, 'water', 'flat', ['water', 'left', 200, 280]],
  [5, 545, 498, 110, 0, 30, 29, 'sand', 'flat', ['bunker', 'left', 260, 290], ['water', 'right', 380, 470]],
  [4, 416, 378, 280, 0, 28, 27, 'sand', 'flat', ['trees', 'left', 160, 320]],
  [4, 436, 396, 200, 2, 30, 28, 'open', 'flat', ['bunker', 'right', 252, 282]],
  [3, 181, 158, 90, 0, 30, 24, 'water', 'flat'],
  [
    4,
    384,
    349,
    350,
    -1,
    26,
    25,
    'sand',
    'towards',
    ['bunker', 'left', 220, 255],
    ['bunker', 'right', 235, 265],
  ],
  [5, 518, 474, 240, 0, 30, 28, 'water', 'flat', ['water', 'across', 300, 335]],
  [4, 429, 390, 130, 1, 28, 27, 'sand', 'flat', ['trees', 'right', 160, 330]],
  [4, 403, 366, 30, 0, 28, 26, 'sand', 'flat', ['water', 'right', 210, 300]],
  [3, 206, 178, 310, 0, 30, 29, 'sand', 'flat'],
  [4, 452, 408, 60, 0, 30, 30, 'water', 'flat', ['water', 'left', 230, 330]],
]);

/** Wide, hot and hard; waste sand, greens that run. */
const ERG = holes([
  [4, 425, 388, 60, 3, 40, 32, 'open', 'flat'],
  [4, 398, 362, 140, -4, 38, 30, 'open', 'flat', ['bunker', 'left', 270, 310]],
  [5, 571, 522, 200, 2, 40, 34, 'open', 'flat', ['bunker', 'across', 330, 360]],
  [3, 183, 160, 290, 4, 34, 28, 'sand', 'flat'],
  [4, 452, 410, 20, 0, 38, 33, 'open', 'away', ['bunker', 'right', 280, 320]],
  [4, 376, 342, 95, 5, 36, 26, 'sand', 'towards', ['bunker', 'across', 285, 305]],
  [3, 214, 186, 250, -3, 34, 32, 'open', 'flat'],
  [4, 437, 399, 330, 1, 38, 31, 'open', 'flat'],
  [5, 554, 507, 170, -6, 40, 34, 'open', 'flat', ['bunker', 'left', 285, 330]],
  [4, 411, 373, 240, 4, 38, 29, 'sand', 'flat', ['bunker', 'right', 265, 300]],
  [4, 446, 404, 10, 0, 38, 32, 'open', 'flat'],
  [3, 169, 149, 120, 2, 34, 26, 'sand', 'flat'],
  [4, 389, 353, 300, -2, 36, 28, 'open', 'away', ['bunker', 'left', 255, 290]],
  [5, 563, 515, 80, 3, 40, 33, 'open', 'flat', ['bunker', 'across', 310, 340]],
  [4, 430, 391, 190, 0, 38, 30, 'open', 'flat', ['bunker', 'right', 275, 310]],
  [4, 404, 368, 45, 6, 36, 28, 'sand', 'towards'],
  [3, 199, 174, 340, -4, 34, 30, 'open', 'flat'],
  [4, 461, 417, 220, 0, 38, 34, 'open', 'flat', ['bunker', 'left', 285, 325]],
]);

const season = (
  name: string,
  fromMonth: number,
  air: readonly [temperatureC: number, humidityPct: number, windMps: number, windFromDeg: number],
  [fairways, greens, rough, wet, sand, greenSpeedM]: readonly [
    Firmness,
    Firmness,
    RoughLength,
    boolean,
    Sand,
    number,
  ],
  grass: Grass,
): CourseSeason => ({
  name,
  fromMonth,
  air: { temperatureC: air[0], humidityPct: air[1], windMps: air[2], windFromDeg: air[3] },
  ground: { fairways, greens, rough, wet, sand, greenSpeedM, grass } satisfies CourseGround,
});

const TEES = ['Back', 'Middle'] as const;

/** The four courses of the Meridian Swing. All invented; their islands are on no chart. */
export const DEMO_COURSES: readonly CourseDetails[] = [
  {
    name: 'Skarvoy Links',
    altitudeM: 6,
    latitudeDeg: 63.1,
    longitudeDeg: -8.9,
    grass: 'fescue',
    sand: 'hard',
    tees: TEES,
    holes: SKARVOY,
    notes: 'Out along the shore, home across the wind.',
    seasons: [
      season('spring', 3, [8, 78, 8, 265], ['firm', 'firm', 'short', false, 'hard', 2.9], 'fescue'),
      season('summer', 6, [14, 72, 6, 265], ['baked', 'firm', 'medium', false, 'hard', 3.1], 'fescue'),
      season('autumn', 9, [9, 82, 10, 240], ['medium', 'medium', 'medium', true, 'hard', 2.8], 'fescue'),
      season('winter', 12, [4, 84, 9, 250], ['soft', 'soft', 'short', true, 'hard', 2.4], 'fescue'),
    ],
  },
  {
    name: 'Hochfirn',
    altitudeM: 1520,
    latitudeDeg: 46.4,
    longitudeDeg: -20.2,
    grass: 'bent',
    sand: 'fluffy',
    tees: TEES,
    holes: HOCHFIRN,
    notes: 'Thin air; the ball goes a club and a half farther and sits down soft.',
    seasons: [
      season('summer', 6, [19, 45, 2, 200], ['soft', 'soft', 'medium', false, 'fluffy', 3], 'bent'),
      season('autumn', 9, [11, 55, 3, 200], ['soft', 'soft', 'medium', true, 'fluffy', 2.9], 'bent'),
    ],
  },
  {
    name: 'Lagoa Funda',
    altitudeM: 40,
    latitudeDeg: 33.2,
    longitudeDeg: -33.5,
    grass: 'bermuda',
    sand: 'fluffy',
    tees: TEES,
    holes: LAGOA,
    notes: 'Grass to the ankles and water to the knees.',
    seasons: [
      season('spring', 3, [24, 80, 3, 110], ['soft', 'medium', 'long', true, 'fluffy', 3.2], 'bermuda'),
      season('summer', 6, [30, 88, 2, 110], ['soaked', 'soft', 'long', true, 'fluffy', 3], 'bermuda'),
    ],
  },
  {
    name: 'Erg Chebka',
    altitudeM: 420,
    latitudeDeg: 27.6,
    longitudeDeg: -40.1,
    grass: 'bermuda',
    sand: 'hard',
    tees: TEES,
    holes: ERG,
    notes: 'The ball runs until it meets something.',
    seasons: [
      season('winter', 11, [21, 30, 4, 50], ['firm', 'firm', 'short', false, 'hard', 3.4], 'bermuda'),
      season('spring', 3, [34, 15, 5, 50], ['baked', 'baked', 'short', false, 'hard', 3.6], 'bermuda'),
    ],
  },
];

const template = (
  name: string,
  fromMonth: number,
  temperatureC: number,
  humidityPct: number,
  windMps: number,
  fairways: Firmness,
  greens: Firmness,
  rough: RoughLength,
  wet: boolean,
  greenSpeedM: number,
): SeasonDetails => ({
  name,
  fromMonth,
  temperatureC,
  humidityPct,
  windMps,
  ground: { fairways, greens, rough, wet, greenSpeedM },
});

/** What a season does to a course of no particular place. */
export const DEMO_SEASONS: readonly SeasonDetails[] = [
  template('early spring', 3, 9, 75, 4, 'soft', 'soft', 'short', true, 2.6),
  template('summer', 6, 23, 55, 3, 'firm', 'firm', 'medium', false, 3.2),
  template('autumn', 9, 13, 80, 4, 'soft', 'medium', 'long', true, 2.9),
  template('winter', 12, 5, 85, 4, 'soaked', 'soft', 'short', true, 2.3),
];

/** Events of the circuit: rounds a day from the day they begin, counted from today. */
export const DEMO_EVENTS: readonly {
  name: string;
  inDays: number;
  courses: readonly string[];
  season: string;
  tee: number;
  clubs: number;
  lengthIn: number;
  notes: string;
  windShare?: readonly number[];
  /** Where its clocks are, and when rounds begin, as far as it is known. */
  zone: string | null;
  teeTimes?: readonly string[];
}[] = [
  {
    name: 'Skarvoy Links Open',
    inDays: 9,
    courses: ['Skarvoy Links', 'Skarvoy Links', 'Skarvoy Links', 'Skarvoy Links'],
    season: 'spring',
    tee: 0,
    clubs: 14,
    lengthIn: 46,
    notes: 'The committee holds clubs to 46 in.',
    windShare: [1, 0.6, 1.2, 0.9],
    zone: 'Atlantic/Faroe',
  },
  {
    name: 'Hochfirn Open',
    inDays: 16,
    courses: ['Hochfirn', 'Hochfirn', 'Hochfirn', 'Hochfirn'],
    season: 'summer',
    tee: 0,
    clubs: 14,
    lengthIn: 46,
    notes: '',
    zone: 'Europe/Vienna',
    teeTimes: ['07:50', '12:35'],
  },
  {
    name: 'Two Lagoons',
    inDays: 30,
    courses: ['Lagoa Funda', 'Erg Chebka', 'Lagoa Funda'],
    season: 'spring',
    tee: 0,
    clubs: 14,
    lengthIn: 48,
    notes: 'Two courses, one set of clubs on the boat.',
    zone: 'Atlantic/Azores',
  },
  {
    name: 'Winter fours',
    inDays: 23,
    courses: ['Skarvoy Links'],
    season: 'winter',
    tee: 1,
    clubs: 10,
    lengthIn: 48,
    notes: 'Ten clubs, carried.',
    zone: null,
  },
];
