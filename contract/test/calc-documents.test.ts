import { readFileSync } from 'node:fs';
import { Ajv2020 } from 'ajv/dist/2020.js';
import { describe, expect, it } from 'vitest';
import {
  calcBasket,
  calcBend,
  calcCarry,
  calcChoose,
  calcConditions,
  calcFlight,
  calcNeeds,
  calcRemedies,
  calcTravel,
  type FlightAnswer,
} from '../src/index.js';

const ajv = new Ajv2020({ strict: true, strictRequired: false, allowUnionTypes: true });
const schemaOf = (name: string) =>
  ajv.compile(
    JSON.parse(
      readFileSync(new URL(`../../docs/formats/${name}.schema.json`, import.meta.url), 'utf8'),
    ) as object,
  );
const conditions = {
  temperatureC: 21,
  altitudeM: 0,
  humidityPct: 50,
  windMps: 0,
  windFromDeg: 0,
  targetElevationM: 0,
};
const launch = { ballSpeedMps: 53.6, launchDeg: 16.3, spinRpm: 7097, conditions };
const plain = <T>(value: T) => JSON.parse(JSON.stringify(value)) as T;

describe('calc flight', () => {
  const validInput = schemaOf('flight-input');
  const validOutput = schemaOf('flight-output');

  it.each([
    ['one launch', launch],
    ['a surface by its firmness', { ...launch, surface: 'baked' }],
    ['a surface by its parts', { ...launch, surface: { area: 'green', firmness: 'soft', grass: 'bermuda' } }],
    [
      'a pressure for an altitude',
      { ...launch, conditions: { ...conditions, altitudeM: undefined, pressureHpa: 930 } },
    ],
    ['a list', [launch, { ...launch, azimuthDeg: 3, spinAxisDeg: -5 }]],
    ['an empty list', []],
  ])('takes %s, and answers as published', (_what, document) => {
    expect(validInput(plain(document)), JSON.stringify(validInput.errors)).toBe(true);
    const answer = plain(calcFlight(document));
    expect(validOutput(answer), JSON.stringify(validOutput.errors)).toBe(true);
    expect(Array.isArray(answer)).toBe(Array.isArray(document));
  });

  it('runs out by the surface, along the line for a total', () => {
    const total = (surface: unknown) => (calcFlight({ ...launch, surface }) as FlightAnswer).totalM;
    expect(total('soaked')).toBeLessThan(total('medium'));
    expect(total('medium')).toBeLessThan(total('baked'));
    expect(total('medium')).toBe(total(undefined));
  });

  it.each([
    ['a missing speed', { ...launch, ballSpeedMps: undefined }, 'ballSpeedMps is missing'],
    ['a spin nobody makes', { ...launch, spinRpm: 99_999 }, 'spinRpm must be between 0 and 15000'],
    ['text for a number', { ...launch, launchDeg: '12' }, 'launchDeg must be a number'],
    ['an unknown field', { ...launch, sidespin: 1 }, 'unknown field: sidespin'],
    ['no conditions', { ...launch, conditions: undefined }, 'conditions is missing'],
    [
      'an unknown part of the air',
      { ...launch, conditions: { ...conditions, fog: 1 } },
      'conditions has an unknown field: fog',
    ],
    [
      'air without height or pressure',
      { ...launch, conditions: { ...conditions, altitudeM: undefined } },
      'conditions.altitudeM is missing (or give pressureHpa)',
    ],
    [
      'ground nobody knows',
      { ...launch, surface: 'mud' },
      'surface must be one of soaked, soft, medium, firm, baked',
    ],
    ['grass nobody knows', { ...launch, surface: { firmness: 'firm', grass: 'moss' } }, 'surface.grass'],
    ['a bad one in a list', [launch, { ...launch, spinRpm: -1 }], '[1].spinRpm must be between 0 and 15000'],
    ['nothing', null, 'the document is missing'],
    ['a number', 7, 'the document must be a JSON object'],
  ])('refuses %s by name', (_what, document, message) => {
    expect(validInput(plain(document))).toBe(false);
    expect(() => calcFlight(document)).toThrow(message);
  });

  it('names the place in a list of a target that is not reached', () => {
    expect(() =>
      calcFlight([launch, { ...launch, conditions: { ...conditions, targetElevationM: 59 } }]),
    ).toThrow('[1].conditions.targetElevationM is never reached');
  });
});

const clubs = [
  {
    id: '7',
    name: '7 iron',
    kind: 'iron',
    loftDeg: 32,
    shots: {
      full: { carryM: 147, source: 'measured', sampleSize: 20, spreadM: 4 },
      soft: { carryM: 139, source: 'stated' },
    },
  },
  {
    id: 'pw',
    name: 'PW',
    kind: 'iron',
    loftDeg: 44,
    shots: { full: { carryM: 114, source: 'measured', sampleSize: 12, spreadM: 3 } },
  },
  { id: 'putter', name: 'Putter', kind: 'putter', shots: {} },
];

describe('calc carry', () => {
  const document = {
    clubs,
    lofts: [
      { kind: 'iron', loftDeg: 38 },
      { kind: 'wedge', loftDeg: 56 },
    ],
    tweaks: [
      { clubId: '7', bendDeg: 1 },
      { clubId: 'pw', longerIn: 0.5 },
    ],
  };

  it('takes a good document, and answers as published', () => {
    const [validInput, validOutput] = [schemaOf('carry-input'), schemaOf('carry-output')];
    expect(validInput(document), JSON.stringify(validInput.errors)).toBe(true);
    const answer = plain(calcCarry(document));
    expect(validOutput(answer), JSON.stringify(validOutput.errors)).toBe(true);
    expect(answer.clubs).toBe(2);
    expect(answer.estimates[0]!.carryM.value).toBeGreaterThan(114);
    expect(answer.estimates[0]!.carryM.value).toBeLessThan(147);
    expect(answer.tweaks[0]!.carryM).toBeLessThan(0);
  });

  it('refuses by name', () => {
    expect(() => calcCarry({ ...document, lofts: [{ kind: 'wedge', loftDeg: 20 }] })).toThrow(
      'lofts[0].loftDeg must be between 40 and 68, not 20',
    );
    expect(() => calcCarry({ ...document, tweaks: [{ clubId: 'putter', bendDeg: 1 }] })).toThrow(
      'tweaks name a club without a loft or a full carry',
    );
    expect(() => calcCarry({ ...document, tweaks: [{ clubId: '7', bendDeg: 12 }] })).toThrow(
      'tweaks[0].bendDeg must be between -6 and 6',
    );
    expect(() => calcCarry({ lofts: [] })).toThrow('clubs is missing');
  });
});

describe('calc conditions', () => {
  const document = {
    clubs,
    to: { conditions: { ...conditions, windMps: 6, temperatureC: 10 }, surface: 'firm' },
    playsLike: [{ kind: 'iron', loftDeg: 32, distanceM: 140 }],
  };

  it('takes a good document, and answers as published', () => {
    const [validInput, validOutput] = [schemaOf('conditions-input'), schemaOf('conditions-output')];
    expect(validInput(document), JSON.stringify(validInput.errors)).toBe(true);
    const answer = plain(calcConditions(document));
    expect(validOutput(answer), JSON.stringify(validOutput.errors)).toBe(true);
    expect(answer.shots.map(({ clubId, shot }) => `${clubId} ${shot}`)).toEqual([
      '7 full',
      '7 soft',
      'pw full',
    ]);
    expect(answer.shots.every((shot) => shot.shiftCarryM < -5)).toBe(true);
    expect(answer.playsLike[0]!.playsLikeM).toBeGreaterThan(150);
  });

  it('moves nothing where nothing differs', () => {
    const { shots } = calcConditions({ clubs, from: { conditions }, to: { conditions } });
    for (const { shiftCarryM, shiftTotalM } of shots) {
      expect(shiftCarryM).toBeCloseTo(0, 9);
      expect(shiftTotalM).toBeCloseTo(0, 9);
    }
  });

  it('refuses by name', () => {
    expect(() => calcConditions({ clubs })).toThrow('to is missing');
    expect(() => calcConditions({ ...document, to: { conditions: { ...conditions, windMps: 90 } } })).toThrow(
      'to.conditions.windMps must be between 0 and 30',
    );
    expect(() =>
      calcConditions({ ...document, playsLike: [{ kind: 'wedge', loftDeg: 60, distanceM: 300 }] }),
    ).toThrow('playsLike[0].distanceM is farther than any wedge carries');
    expect(() =>
      calcConditions({
        ...document,
        clubs: [{ ...clubs[0], shots: { full: { carryM: 400, source: 'stated' } } }],
      }),
    ).toThrow('clubs[0].shots.full.carryM is farther than any');
  });
});

describe('calc choose', () => {
  const iron = (id: string, loftDeg: number, carryM: number, more: object = {}) => ({
    id,
    name: `${id} iron`,
    kind: 'iron',
    loftDeg,
    shots: { full: { carryM, totalM: carryM + 6, source: 'measured', sampleSize: 20, spreadM: 4, ...more } },
  });
  const green = (name: string, distanceM: number, mustHold = true) => ({
    name,
    to: 'green',
    distanceM,
    lie: 'fairway',
    mustHold,
    weight: 1,
  });
  const locker = [
    iron('5', 26, 170),
    iron('6', 29, 160),
    iron('7', 33, 150),
    iron('8', 37, 140),
    iron('9', 41, 128),
    { id: 'p', name: 'Putter', kind: 'putter', shots: {} },
    { id: 'q', name: 'Other putter', kind: 'putter', shots: {} },
  ];
  const document = {
    clubs: locker,
    needs: [green('the 2nd', 155), green('the 4th', 145), green('the 9th', 133)],
    limit: 4,
  };

  it('takes a good document, and answers as published: three irons for the needs, and one putter', () => {
    const [validInput, validOutput] = [schemaOf('choose-input'), schemaOf('choose-output')];
    expect(validInput(document), JSON.stringify(validInput.errors)).toBe(true);
    const answer = plain(calcChoose(document));
    expect(validOutput(answer), JSON.stringify(validOutput.errors)).toBe(true);
    expect(answer.best.ids).toEqual(['7', '8', '9', 'p']);
    expect(answer.proof.proved).toBe(true);
    expect(answer.runnersUp).toHaveLength(4);
    for (const [i, bag] of answer.runnersUp.entries())
      expect(bag.strokes).toBeGreaterThanOrEqual((answer.runnersUp[i - 1] ?? answer.best).strokes - 1e-9);
    expect(answer.why.join(' ')).toMatch(
      /7 iron: best for 1 shot, most of all the 2nd\. Without it the round costs \d\.\d\d strokes more\./,
    );
    expect(answer.why.join(' ')).toMatch(/6 iron for the \d iron would cost \d\.\d\d strokes a round\./);
  });

  it('a lower running club for a green that may be run up, a higher one for a green that must hold', () => {
    const pair = [iron('high', 33, 150, { totalM: 152 }), iron('low', 30, 135, { totalM: 152 })];
    const best = (mustHold: boolean) =>
      calcChoose({ clubs: pair, needs: [green('one', 152, mustHold)], limit: 1 }).best.ids[0];
    expect(best(true)).toBe('high');
    const cost = (id: string, mustHold: boolean) =>
      calcChoose({
        clubs: pair.filter((club) => club.id === id),
        needs: [green('one', 152, mustHold)],
        limit: 1,
      }).best.strokes;
    const lost = (id: string) => cost(id, true) - cost(id, false);
    expect(lost('low')).toBeGreaterThan(1);
    // A mis-hit of either club finds the sand.
    expect(lost('high')).toBeLessThan(lost('low') - 1);
  });

  it('comfort, locks and groups are kept; doubling all weights changes nothing', () => {
    const with_ = (more: object) => calcChoose({ ...document, ...more }).best;
    expect(with_({ always: ['5'] }).ids).toContain('5');
    expect(with_({ never: ['8'] }).ids).not.toContain('8');
    expect(with_({ prices: { 6: -9 } }).ids).toContain('6');
    expect(
      with_({ groups: [{ ids: ['7', '8', '9'], most: 1 }] }).ids.filter((id) => ['7', '8', '9'].includes(id))
        .length,
    ).toBeLessThan(2);
    expect(with_({ kinds: [{ kind: 'iron', most: 1 }] }).ids).toHaveLength(2);
    expect(with_({ mustCover: [{ distanceM: 171, withinM: 2 }] }).ids).toContain('5');
    const doubled = with_({ needs: document.needs.map((demand) => ({ ...demand, weight: 2 })) });
    expect(doubled.ids).toEqual(with_({}).ids);
    expect(doubled.strokes).toBeCloseTo(with_({}).strokes, 9);
  });

  it.each([
    [
      { ...document, always: ['5'], never: ['5'] },
      'rules contradict each other: "always the 5 iron" and "never the 5 iron"',
    ],
    [{ ...document, always: ['3'] }, 'clubs hold no "3", which a rule names'],
    [{ ...document, needs: [{ ...green('x', 900) }] }, 'needs[0].distanceM must be between 1 and 600'],
    [{ ...document, mustCover: [{ distanceM: 300, withinM: 3 }] }, 'a shot within 3 m of 300 m'],
    [{ ...document, limit: 0 }, 'limit must be between 1 and 60'],
    [{ ...document, clubs: [] }, 'clubs is empty'],
    [{ ...document, colour: 1 }, 'unknown field: colour'],
    [{ ...document, prices: { 5: 'much' } }, 'prices.5 must be a number'],
  ])('refuses by name', (bad, message) => {
    expect(() => calcChoose(bad)).toThrow(message);
  });
});

describe('calc needs and calc travel', () => {
  const club = (id: string, kind: string, loftDeg: number, carryM: number) => ({
    id,
    name: id,
    kind,
    loftDeg,
    shots: { full: { carryM, source: 'measured', sampleSize: 20, spreadM: carryM * 0.03 } },
  });
  const clubs = [
    club('Driver', 'driver', 10, 230),
    club('5 wood', 'fairway', 18, 200),
    club('5 iron', 'iron', 26, 170),
    club('7 iron', 'iron', 33, 150),
    club('9 iron', 'iron', 41, 128),
    club('54', 'wedge', 54, 90),
    { id: 'p', name: 'Putter', kind: 'putter', shots: {} },
  ];
  const hole = (par: number, lengthM: number, bearingDeg: number) => ({
    par,
    lengthsM: [lengthM],
    bearingDeg,
    elevationChangeM: 0,
    corridorM: 30,
    hazards: [],
    greenM: 26,
    front: 'sand',
    slope: 'flat',
  });
  const holes = Array.from({ length: 9 }, (_one, i) =>
    hole([4, 3, 5][i % 3]!, [360, 150, 480][i % 3]!, i * 40),
  );
  const ground = {
    grass: 'bent',
    fairways: 'firm',
    greens: 'medium',
    rough: 'medium',
    wet: false,
    sand: 'medium',
    greenSpeedM: 3,
  };
  const air = { temperatureC: 12, humidityPct: 70, windMps: 6, windFromDeg: 270 };
  const document = { clubs, course: { tees: ['Back'], holes, altitudeM: 10 }, air, ground, seed: 3 };

  it("a round's needs are as published, the same for one seed, and their strokes are a round's", () => {
    const [validInput, validOutput] = [schemaOf('needs-input'), schemaOf('needs-output')];
    expect(validInput(document), JSON.stringify(validInput.errors)).toBe(true);
    const answer = plain(calcNeeds(document));
    expect(validOutput(answer), JSON.stringify(validOutput.errors)).toBe(true);
    expect(plain(calcNeeds(document))).toEqual(answer);
    expect(plain(calcNeeds({ ...document, seed: 4 }))).not.toEqual(answer);
    expect(answer.needs.filter(({ hole: at, lie }) => at === 2 && lie === 'tee')).toMatchObject([
      { distanceM: 150, weight: 2, to: 'green', mustHold: true },
    ]);
    expect(answer.strokes).toBeGreaterThan(30);
  });

  it("the clubs that travel are as published, and hold every scenario's bag; or as few as lose no more than is said", async () => {
    const { needs } = calcNeeds(document);
    const day = (windMps: number) => ({
      air: {
        temperatureC: 12,
        altitudeM: 10,
        humidityPct: 70,
        windMps: 0,
        windFromDeg: 0,
        targetElevationM: 0,
      },
      ground: { ...ground, fairways: windMps > 4 ? 'firm' : 'soft' },
    });
    const travel = {
      clubs,
      size: 5,
      limit: 4,
      scenarios: [
        { name: 'calm', needs: needs.map((demand) => ({ ...demand, windMps: 0 })), day: day(0) },
        { name: 'windy', needs, day: day(6), weight: 2 },
      ],
    };
    const [validInput, validOutput] = [schemaOf('travel-input'), schemaOf('travel-output')];
    expect(validInput(plain(travel)), JSON.stringify(validInput.errors)).toBe(true);
    const answer = plain(await calcTravel(plain(travel)));
    expect(validOutput(answer), JSON.stringify(validOutput.errors)).toBe(true);
    expect(answer.ids).toHaveLength(5);
    for (const bag of answer.bags) {
      expect(bag.ids.length).toBeLessThanOrEqual(4);
      for (const id of bag.ids) expect(answer.ids).toContain(id);
    }
    expect(answer.bound).toBeLessThanOrEqual(answer.strokes + 1e-9);
    const { size: _size, ...some } = travel;
    const few = { ...some, loss: 0.05 };
    expect(validInput(plain(few)), JSON.stringify(validInput.errors)).toBe(true);
    const fewest = plain(await calcTravel(plain(few)));
    expect(validOutput(fewest), JSON.stringify(validOutput.errors)).toBe(true);
    expect(fewest.strokes - fewest.wholeLocker).toBeLessThanOrEqual(0.05);
    expect(fewest.sizes!.slice(0, -1).every(({ loses }) => loses > 0.05)).toBe(true);
    expect(fewest.ids).toHaveLength(fewest.sizes!.at(-1)!.size);
    for (const bad of [some, { ...few, size: 5 }]) {
      expect(validInput(plain(bad))).toBe(false);
      await expect(calcTravel(plain(bad))).rejects.toThrow('size or loss must be given, and not both');
    }
  });

  it.each([
    [
      { ...document, course: { ...document.course, holes: holes.slice(0, 7) } },
      'course.holes must be 9 or 18, or none yet',
    ],
    [{ ...document, course: { ...document.course, holes: [] } }, 'holes must be 9 or 18, not 0'],
    [
      { ...document, course: { ...document.course, holes: holes.with(0, hole(4, 0, 0)) } },
      'course.holes[0].lengthsM[0] must be between 40 and 700 m',
    ],
    [{ ...document, air: { ...air, windMps: 90 } }, 'air.windMps must be between 0 and 30'],
    [{ ...document, ground: { ...ground, sand: 'pink' } }, 'ground.sand must be one of hard, medium, fluffy'],
    [{ ...document, tee: 3 }, 'tee must be one of Back'],
    [{ ...document, clubs: [clubs[6]] }, 'clubs hold none that has a carry'],
  ])('refuses by name', (bad, message) => {
    expect(() => calcNeeds(bad)).toThrow(message);
  });

  it('a travel set without scenarios, or too small for their rules, is refused', async () => {
    await expect(calcTravel({ clubs, size: 3, scenarios: [] })).rejects.toThrow('scenarios is empty');
    await expect(calcTravel({ clubs, loss: -1, scenarios: [{ name: 'one', needs: [] }] })).rejects.toThrow(
      'loss must be between 0 and 100',
    );
    await expect(
      calcTravel({ clubs, size: 1, limit: 4, always: ['Driver'], scenarios: [{ name: 'one', needs: [] }] }),
    ).rejects.toThrow(/leaves some scenario without a bag/);
  });
});

describe('calc basket and calc remedies', () => {
  const published = Object.fromEntries(
    ['basket', 'remedies'].map((name) => [
      name,
      [schemaOf(`${name}-input`), schemaOf(`${name}-output`)] as const,
    ]),
  );
  const few = { clubs, bag: ['7', 'pw', 'putter'], limit: 3, unit: 'm' as const };
  const locker = [
    ...clubs,
    { id: '9', name: '9 iron', kind: 'iron', loftDeg: 40, shots: {} },
    {
      id: '5',
      name: '5 iron',
      kind: 'iron',
      loftDeg: 25,
      shots: { full: { carryM: 165, source: 'stated' } },
    },
  ];

  it.each([
    ['basket', calcBasket, { ...few, clubs: locker, balls: 30, handicap: 8 }],
    ['basket', calcBasket, { clubs: [clubs[2]], bag: [], balls: 3 }],
    ['remedies', calcRemedies, { ...few, clubs: locker, limit: 14 }],
    ['remedies', calcRemedies, { clubs: [clubs[2]], bag: ['putter'] }],
  ])('%s takes a good document, and answers as published', (name, calc, document) => {
    const [validInput, validOutput] = published[name]!;
    expect(validInput(document), JSON.stringify(validInput.errors)).toBe(true);
    const answer = plain(calc(document));
    expect(validOutput(answer), JSON.stringify(validOutput.errors)).toBe(true);
  });

  it('puts a club of the locker into a bag that has room and a hole', () => {
    const { remedies } = calcRemedies({ ...few, clubs: locker, limit: 14 });
    expect(remedies.map(({ text }) => text)).toContain('Put the 9 iron in');
  });

  it('names a club to buy in the bag it makes as it says it', () => {
    const stated = (carryM: number) => ({ full: { carryM, source: 'stated' } });
    const short = [
      { id: '8', name: '8', kind: 'iron', loftDeg: 36, shots: stated(136) },
      { id: 'PW', name: 'PW', kind: 'iron', loftDeg: 44, shots: stated(114) },
      { id: '56', name: '56', kind: 'wedge', loftDeg: 56, shots: stated(80) },
    ];
    const buy = calcRemedies({ clubs: short, bag: ['8', 'PW', '56'] }).remedies.find(
      ({ kind }) => kind === 'buy',
    )!;
    const bought = buy.bag.find((id) => !['8', 'PW', '56'].includes(id))!;
    expect(bought).toMatch(/^an? (iron|wedge) of \d/);
    expect(buy.text).toContain(`Buy ${bought}`);
  });

  it('refuses by name', () => {
    expect(() => calcBasket({ ...few, balls: 2 })).toThrow('balls must be between 3 and 300');
    expect(() => calcBasket({ ...few, balls: 10.5 })).toThrow('balls must be a whole number');
    expect(() => calcRemedies({ ...few, bag: ['3 wood'] })).toThrow('bag names a club that is not there');
    expect(() => calcRemedies({ clubs })).toThrow('bag is missing');
  });
});

describe('calc bend', () => {
  const [validInput, validOutput] = [schemaOf('bend-input'), schemaOf('bend-output')];
  const stated = (carryM: number) => ({ full: { carryM, source: 'stated' } });
  const wedges = [
    { id: '8', name: '8', kind: 'iron', loftDeg: 36, shots: stated(136) },
    { id: '9', name: '9', kind: 'iron', loftDeg: 40, shots: stated(125) },
    { id: 'PW', name: 'PW', kind: 'iron', loftDeg: 44, shots: stated(114) },
    { id: '52', name: '52', kind: 'wedge', loftDeg: 52, bounceDeg: 10, shots: stated(92) },
    { id: '56', name: '56', kind: 'wedge', loftDeg: 56, bounceDeg: 12, shots: stated(80) },
  ];

  it.each([
    ['a bag with a gap', { clubs: wedges }],
    [
      'limits, a sleeve and a window',
      {
        clubs: [{ id: 'w', name: '3 wood', kind: 'fairway', loftDeg: 15, shots: stated(210) }, ...wedges],
        limits: [
          { clubId: 'PW', weakerDeg: 2, strongerDeg: 0 },
          { clubId: 'w', turnsDeg: [-1, 1] },
        ],
        bounce: { minDeg: 6, maxDeg: 12 },
      },
    ],
    [
      'lofts alone, by lofts',
      { clubs: wedges.map((club) => ({ ...club, shots: {} })), school: 'even-lofts-4' },
    ],
    ['no clubs', { clubs: [] }],
  ])('takes %s, and answers as published', (_what, document) => {
    expect(validInput(plain(document)), JSON.stringify(validInput.errors)).toBe(true);
    const answer = plain(calcBend(document));
    expect(validOutput(answer), JSON.stringify(validOutput.errors)).toBe(true);
  });

  it('bends towards the gap, no farther than it may, and keeps bounce in its window', () => {
    const limits = [{ clubId: 'PW', weakerDeg: 0.5, strongerDeg: 0 }];
    const { plans } = calcBend({ clubs: wedges, limits, bounce: { minDeg: 10, maxDeg: 12 } });
    for (const { bends } of plans) {
      expect(bends.find(({ clubId }) => clubId === 'PW')?.byDeg ?? 0).toBeLessThanOrEqual(0.5);
      expect(bends.find(({ clubId }) => clubId === '52')?.byDeg ?? 0).toBeGreaterThanOrEqual(0);
    }
    expect(plans.length).toBeGreaterThan(1);
  });

  it('refuses by name', () => {
    expect(() => calcBend({ clubs: wedges, limits: [{ clubId: 'x' }] })).toThrow(
      'limits names a club that is not there',
    );
    expect(() => calcBend({ clubs: wedges, limits: [{ clubId: '8', weakerDeg: 9 }] })).toThrow(
      'limits[0].weakerDeg must be between 0 and 6',
    );
    expect(() => calcBend({ clubs: wedges, more: 1 })).toThrow('unknown field: more');
  });
});
