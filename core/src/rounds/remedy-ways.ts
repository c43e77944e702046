import { carryCurve, modelledShot, type CarryCurve } from '../carry/index.js';
import { isWedge, type ClubKind, type ShotKind } from '../clubs/index.js';
import type { Conditions } from '../conditions/index.js';
import { bentClub, carryLadder, isBendable, type StepReport } from '../gaps/index.js';
import { InvalidInputError } from '../invalid-input-error.js';
import type { LadderClub } from '../spec/index.js';
import { formatDegrees } from '../units/index.js';
import { partialToLearn } from './partial-to-learn.js';

/** What may be done to a bag, cheapest first. */
export type RemedyKind = 'learn a shot' | 'turn a sleeve' | 'bend' | 'take out' | 'swap' | 'buy';
export const REMEDY_KINDS: readonly RemedyKind[] = [
  'learn a shot',
  'turn a sleeve',
  'bend',
  'take out',
  'swap',
  'buy',
];

/** One thing that may be done, and the bag it makes. */
export interface RemedyWay {
  bag: readonly LadderClub[];
  outId?: string;
  inId?: string;
  /** The shot to learn. */
  learns?: { clubId: string; shotKind: ShotKind; carryM: number };
  /** The lofts clubs are bent or turned to. */
  bends?: readonly { clubId: string; fromDeg: number; toDeg: number }[];
  /** The club to buy, as the model expects it; and whose place it takes where there is no room. */
  buys?: LadderClub;
  insteadOfId?: string;
}

interface WaysRequest {
  bag: readonly LadderClub[];
  /** Owned, and not in it. */
  leftOut: readonly LadderClub[];
  /** The step that is to be fixed; undefined where none is at fault. */
  worst: StepReport | undefined;
  /** Clubs that are not to go, by id. */
  stays: ReadonlySet<string | undefined>;
  /** Clubs there may be. */
  limit: number;
  /** Strokes a round of a bag. */
  costOf: (clubs: readonly LadderClub[]) => number;
  /** The air the carries are known in. */
  conditions: Conditions;
}

/**
 * Half-degree steps are what a bench can hold; one degree is within what most heads allow. Common practice,
 * no source.
 */
const BENDS_DEG = [-1, -0.5, 0.5, 1] as const;
const SLEEVE_DEG = [-1, 1] as const;
const SLEEVED: readonly ClubKind[] = ['driver', 'fairway', 'hybrid'];
/** No club is bought within so many degrees of one that is in the locker. Our choice. */
const OWNED_DEG = 1.5;
/**
 * Everything of each kind that may be done to a bag, whatever it is worth. Where a step is at fault it is done
 * to the clubs of that step. A club whose carry is not known is neither turned nor hit softer nor, without a
 * step at fault, bent, nor put in for a club of that step whose carry is told. Without a step at fault a
 * sleeve is turned of a measured club only: what it does hangs on how high the ball flies.
 * @throws InvalidInputError
 */
export function remedyWays({
  bag,
  leftOut,
  worst,
  stays,
  limit,
  costOf,
  conditions,
}: WaysRequest): Record<RemedyKind, () => RemedyWay[]> {
  const full = bag.filter((club) => club.shots.full);
  const rungs = carryLadder(bag);
  // One object for a club bent one way: what it costs is worked out once for each.
  const bentClubs = new Map<string, LadderClub>();
  const bent = (club: LadderClub, deg: number) => {
    const key = `${club.id} ${deg}`;
    const known = bentClubs.get(key) ?? bentClub(club, deg);
    bentClubs.set(key, known);
    return known;
  };
  const instead = (...changed: readonly (readonly [LadderClub, LadderClub])[]) =>
    bag.map((one) => changed.find(([was]) => was === one)?.[1] ?? one);

  /** Clubs a change of which may help: the two of the step at fault, where there is one. */
  const concerned = full.filter((club) => !worst || isOfStep(club, worst));

  return {
    'learn a shot': () => concerned.filter(isKnown).flatMap(learnt),
    'turn a sleeve': () =>
      concerned
        .filter((club) => SLEEVED.includes(club.kind) && club.loftDeg !== undefined && isKnown(club))
        .filter(({ shots }) => worst !== undefined || shots.full!.source === 'measured')
        .flatMap((club) =>
          SLEEVE_DEG.map((deg) => ({
            bag: instead([club, bent(club, deg)]),
            bends: [bendOf(club, deg)],
          })),
        ),
    bend: () => [
      ...bends(concerned.filter((club) => isBendable(club) && (worst !== undefined || isKnown(club)))),
      ...bothEnds(),
    ],
    // No wide step is fixed by it.
    'take out': () =>
      bag
        .filter(({ id, kind }) => !worst && kind !== 'putter' && !stays.has(id))
        .map((out) => ({
          bag: bag.filter((one) => one !== out),
          outId: out.id,
        })),
    swap: () =>
      leftOut.flatMap((club): RemedyWay[] =>
        bag.length < limit && club.kind !== 'putter'
          ? [{ bag: [...bag, club], inId: club.id }]
          : bag
              .filter((out) => !stays.has(out.id) && (out.kind === 'putter') === (club.kind === 'putter'))
              .filter((out) => isKnown(club) || !isKnown(out) || !isOfStep(out, worst))
              .map((out) => ({
                bag: instead([out, club]),
                inId: club.id,
                outId: out.id,
              })),
      ),
    buy: buys,
  };

  /** A shot the player does not own yet, for the middle of the step below its club where there is one. */
  function learnt(club: LadderClub): RemedyWay[] {
    const { carryM } = club.shots.full!;
    const learns = partialToLearn(
      club,
      worst?.upperId === club.id && !worst.cover ? carryM - worst.carryM / 2 : undefined,
    );
    if (!learns) return [];
    const { shotKind, shot } = learns;
    return [
      {
        bag: instead([club, { ...club, shots: { ...club.shots, [shotKind]: shot } }]),
        learns: { clubId: club.id, shotKind, carryM: shot.carryM },
      },
    ];
  }

  function bends(clubs: readonly LadderClub[]): RemedyWay[] {
    return clubs.flatMap((club) =>
      BENDS_DEG.map((deg) => ({
        bag: instead([club, bent(club, deg)]),
        bends: [bendOf(club, deg)],
      })),
    );
  }

  /** The two clubs of the step at fault, each towards the other. */
  function bothEnds(): RemedyWay[] {
    const [upper, lower] = [worst?.upperId, worst?.lowerId].map((id) => bag.find((club) => club.id === id));
    if (!upper || !lower || !isBendable(upper) || !isBendable(lower)) return [];
    return [0.5, 1].flatMap((weaker) =>
      [-0.5, -1].map((stronger) => ({
        bag: instead([upper, bent(upper, weaker)], [lower, bent(lower, stronger)]),
        bends: [bendOf(upper, weaker), bendOf(lower, stronger)],
      })),
    );
  }

  /**
   * A club for the middle of each of the widest steps; where there is no room, in the place of the one that
   * would be missed least.
   */
  function buys(): RemedyWay[] {
    const steps = rungs
      .slice(1)
      .map((lower, i) => ({ upper: rungs[i]!, lower, carryM: rungs[i]!.carryM - lower.carryM }))
      .sort((a, b) => b.carryM - a.carryM)
      .slice(0, 2);
    let curve: CarryCurve | undefined;
    const room = bag.length < limit;
    const missed = full
      .filter(({ id, kind }) => kind !== 'putter' && !stays.has(id))
      .map((club) => ({ club, cost: costOf(bag.filter((one) => one !== club)) }))
      .sort((a, b) => a.cost - b.cost)[0]?.club;
    return steps.flatMap(({ upper, lower }) => {
      const clubs = [upper.id, lower.id].map((id) => bag.find((club) => club.id === id)!);
      const [above, below] = clubs.map(({ loftDeg }) => loftDeg);
      if (above === undefined || below === undefined || !missed) return [];
      const loftDeg = Math.round(above + below) / 2;
      // An iron of a wedge's loft is bought as a wedge, and is owned where such a wedge is.
      const bought = clubs
        .map(({ kind }) => (isWedge({ kind, loftDeg }) ? 'wedge' : kind))
        .filter((kind) => kind !== 'driver');
      return [...new Set(bought)].flatMap((kind): RemedyWay[] => {
        const owns = leftOut.some(
          (club) =>
            (club.kind === kind || (kind === 'wedge' && isWedge(asPlaced(club)))) &&
            Math.abs((club.loftDeg ?? Infinity) - loftDeg) <= OWNED_DEG,
        );
        const found = owns ? undefined : clubOfCurve(kind, loftDeg);
        return found
          ? [
              {
                bag: room ? [...bag, found] : instead([missed, found]),
                buys: found,
                ...(!room && { insteadOfId: missed.id }),
              },
            ]
          : [];
      });
    });

    function clubOfCurve(kind: ClubKind, loftDeg: number): LadderClub | undefined {
      try {
        curve ??= carryCurve([...bag, ...leftOut], conditions);
        return {
          id: `${kind} ${loftDeg}`,
          name: `${kind} ${formatDegrees(loftDeg)}`,
          kind,
          loftDeg,
          shots: { full: modelledShot(curve.at(kind, loftDeg)) },
        };
      } catch (error) {
        if (error instanceof InvalidInputError) return undefined;
        throw error;
      }
    }
  }
}

function asPlaced({ kind, loftDeg }: LadderClub): Parameters<typeof isWedge>[0] {
  return { kind, ...(loftDeg !== undefined && { loftDeg }) };
}

/** Its carry was measured or stated. */
function isKnown({ shots }: LadderClub): boolean {
  return shots.full !== undefined && shots.full.source !== 'modelled';
}

function isOfStep({ id }: LadderClub, step: StepReport | undefined): boolean {
  return id === step?.upperId || id === step?.lowerId;
}

function bendOf({ id, loftDeg }: LadderClub, deg: number) {
  return { clubId: id, fromDeg: loftDeg!, toDeg: loftDeg! + deg };
}
