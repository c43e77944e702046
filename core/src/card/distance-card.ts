import { isFullSwing, shotKindsIn, type Shot, type ShotKind } from '../clubs/index.js';
import { placedClubs } from '../carry/index.js';
import type { Conditions } from '../conditions/index.js';
import type { CourseGround } from '../courses/index.js';
import { bagOrder, gaps, type GapOptions, type StepReport } from '../gaps/index.js';
import {
  moveShot,
  movedShot,
  swingOf,
  type MovedShot,
  type PlayingConditions,
  type SwungShot,
} from '../plays-like/index.js';
import type { LadderClub } from '../spec/index.js';

/**
 * Where the numbers of a card are to hold: a day's air without its wind, which turns from hole to hole, and
 * the ground.
 */
export interface CardDay {
  still: Conditions;
  ground: CourseGround;
}

/** What the helpers of a card are for: so much wind, so much higher or lower, so much warmer or colder. */
export interface CardSteps {
  windMps: number;
  elevationChangeM: number;
  temperatureC: number;
}

export interface CardRequest {
  /** The whole locker, as it is recorded: clubs without a carry are placed by the others. */
  clubs: readonly LadderClub[];
  bagIds: readonly string[];
  /** Where the carries are known from. */
  from: PlayingConditions;
  day: CardDay;
  steps: CardSteps;
  gapOptions?: GapOptions;
}

/** A shot on a card. Metres. */
export interface CardShot {
  kind: ShotKind;
  /** Carry where it is known from, and there. */
  homeM: number;
  carryM: number;
  source: Shot['source'];
  /** Half the 95 % interval of the carry there. */
  plusMinusM: number;
  /** As the shot says it. */
  startDeg?: number;
  curveM?: number;
}

/**
 * What a helper's step does to a club's stock shot: metres of carry, and sideways for the wind across;
 * undefined where it does not get there.
 */
export interface CardHelpers {
  into?: number;
  behind?: number;
  across?: number;
  higher?: number;
  lower?: number;
  colder?: number;
  warmer?: number;
}

export interface CardClub {
  id: string;
  name: string;
  kind: LadderClub['kind'];
  loftDeg?: number;
  /** In the order of `shotKindsIn`; those not recorded are left out. */
  shots: readonly CardShot[];
  /**
   * The flag a normal swing stops beside: carry there and run on these greens; for a driver the run of the
   * fairway. Metres.
   */
  perfectM?: number;
  apexM?: number;
  helpers: CardHelpers;
  /** Swung slower than the tables the flight model is held to: it has no helper for the wind. */
  isSlow: boolean;
}

/** A card for a pocket. */
export interface DistanceCard {
  /** Longest first; those without a carry last. */
  clubs: readonly CardClub[];
  /** Steps in this air that no shot of the bag's divides, widest first. */
  uncovered: readonly Pick<StepReport, 'upperId' | 'lowerId' | 'widestGapM'>[];
  /** Pairs of clubs of which a loft or a carry must be wrong, the farther first. */
  mixedUp: readonly (readonly string[])[];
}

/** Every shot of a bag's clubs as it carries on a day: the same figures as the ladder read in that air. */
export function distanceCard({ clubs, bagIds, from, day, steps, gapOptions }: CardRequest): DistanceCard {
  const placed = placedClubs(clubs, from.conditions);
  const there: PlayingConditions = {
    conditions: { ...day.still, windMps: 0, targetElevationM: 0 },
    surface: { area: 'fairway', firmness: day.ground.fairways, grass: day.ground.grass },
  };
  const inBag = bagIds.flatMap((id) => placed.find((club) => club.id === id) ?? []);
  const made = inBag
    .filter(({ kind }) => isFullSwing(kind))
    .map((club) => clubThere(club, from, there, day, steps));
  const movedClubs = made.map(({ moved }) => moved);
  const cards = new Map(made.map(({ card }) => [card.id, card]));
  const report = gaps(movedClubs, gapOptions);
  return {
    clubs: bagOrder(movedClubs).map(({ id }) => cards.get(id)!),
    uncovered: report.steps
      .filter(({ word }) => word === 'wide')
      .map(({ upperId, lowerId, widestGapM }) => ({ upperId, lowerId, widestGapM }))
      .sort((a, b) => b.widestGapM - a.widestGapM),
    mixedUp: report.flags.flatMap(({ code, clubIds }) => (code === 'mixed-up' ? [clubIds] : [])),
  };
}

function clubThere(
  club: LadderClub,
  from: PlayingConditions,
  there: PlayingConditions,
  day: CardDay,
  steps: CardSteps,
): { card: CardClub; moved: LadderClub } {
  const shots: CardShot[] = [];
  const moved: Partial<Record<ShotKind, Shot>> = {};
  let stock: { swung: SwungShot; stillThere: MovedShot } | undefined;
  for (const kind of shotKindsIn(club.shots)) {
    const shot = club.shots[kind]!;
    const swung = swingIfAny(club, shot, from);
    const stillThere = swung && movedIfAny(swung, there);
    if (kind === 'full' && swung && stillThere) stock = { swung, stillThere };
    moved[kind] = stillThere ? movedShot(shot, stillThere) : shot;
    shots.push({
      kind,
      homeM: shot.carryM,
      carryM: moved[kind].carryM,
      source: shot.source,
      plusMinusM: stillThere?.plusMinusM ?? shot.plusMinusM ?? 0,
      ...(shot.startDeg !== undefined && { startDeg: shot.startDeg }),
      ...(shot.curveM !== undefined && { curveM: shot.curveM }),
    });
  }
  const perfectM = stock && perfectOf(club, stock, there, day.ground);
  return {
    card: {
      id: club.id,
      name: club.name,
      kind: club.kind,
      ...(club.loftDeg !== undefined && { loftDeg: club.loftDeg }),
      shots,
      ...(perfectM !== undefined && { perfectM }),
      ...(stock && { apexM: stock.stillThere.apexM }),
      helpers: stock ? helpersOf(stock, there, steps) : {},
      isSlow: stock?.swung.isSlow ?? false,
    },
    moved: { ...club, shots: moved },
  };
}

function perfectOf(
  { kind }: LadderClub,
  { swung, stillThere }: { swung: SwungShot; stillThere: MovedShot },
  there: PlayingConditions,
  ground: CourseGround,
): number | undefined {
  if (kind === 'driver') return stillThere.totalM;
  const green = { area: 'green', firmness: ground.greens, grass: ground.grass } as const;
  return movedIfAny(swung, { ...there, surface: green })?.totalM;
}

function helpersOf(
  { swung, stillThere }: { swung: SwungShot; stillThere: MovedShot },
  there: PlayingConditions,
  { windMps, elevationChangeM, temperatureC }: CardSteps,
): CardHelpers {
  const inAir = (part: Partial<Conditions>) =>
    movedIfAny(swung, { ...there, conditions: { ...there.conditions, ...part } });
  const carry = (moved: MovedShot | undefined) => moved && moved.carryM - stillThere.carryM;
  const { temperatureC: now } = there.conditions;
  const all: Partial<Record<keyof CardHelpers, number | undefined>> = {
    // What wind does to a swing no table knows would be a guess, and looks like one.
    ...(!swung.isSlow && {
      into: carry(inAir({ windMps, windFromDeg: 0 })),
      behind: carry(inAir({ windMps, windFromDeg: 180 })),
      across: inAir({ windMps, windFromDeg: 270 })?.lateralM,
    }),
    higher: carry(inAir({ targetElevationM: elevationChangeM })),
    lower: carry(inAir({ targetElevationM: -elevationChangeM })),
    colder: carry(inAir({ temperatureC: now - temperatureC })),
    warmer: carry(inAir({ temperatureC: now + temperatureC })),
  };
  return Object.fromEntries(Object.entries(all).filter(([, value]) => value !== undefined));
}

/** A carry no swing makes stays as it was written. */
function swingIfAny(club: LadderClub, shot: Shot, from: PlayingConditions): SwungShot | undefined {
  try {
    return swingOf(club, shot, from);
  } catch {
    return undefined;
  }
}

/** Undefined where it does not get up to the target. */
function movedIfAny(swung: SwungShot, to: PlayingConditions): MovedShot | undefined {
  try {
    return moveShot(swung, to);
  } catch {
    return undefined;
  }
}
