import { carryCurve } from '../carry/index.js';
import { isWedge, type ClubKind } from '../clubs/index.js';
import type { LadderClub } from '../spec/index.js';
import { BASELINE, type Conditions } from '../conditions/index.js';
import { bentClub, isBendable, carryLadder, formatDegrees } from '../gaps/index.js';
import { InvalidInputError } from '../invalid-input-error.js';
import { distanceNumber, type DistanceUnit } from '../units/index.js';

/** What may be done to a bag for a round, cheapest first. */
export type RoundRemedyKind = 'learn a partial shot' | 'turn a sleeve' | 'bend' | 'swap' | 'buy';
export const ROUND_REMEDY_KINDS: readonly RoundRemedyKind[] = [
  'learn a partial shot',
  'turn a sleeve',
  'bend',
  'swap',
  'buy',
];

/** The best of its kind, and what it gains. */
export interface RoundRemedy {
  kind: RoundRemedyKind;
  text: string;
  /** Strokes a round. */ gain: number;
  /** The bag it makes. */ clubs: readonly LadderClub[];
}

/** A partial carries this share of the full shot; it scatters as the player's unmeasured shots do. Ours. */
const PARTIAL_SHARE = { 'three-quarter': 0.86, soft: 0.95 } as const;
const A: Record<ClubKind, string> = {
  driver: 'a driver',
  fairway: 'a fairway wood',
  hybrid: 'a hybrid',
  'driving iron': 'a driving iron',
  iron: 'an iron',
  wedge: 'a wedge',
  chipper: 'a chipper',
  putter: 'a putter',
};
const BENDS_DEG = [-1, -0.5, 0.5, 1] as const;
const SLEEVE_DEG = [-1, 1] as const;
const SLEEVED: readonly ClubKind[] = ['driver', 'fairway', 'hybrid'];

/**
 * The best remedy of each kind for a bag on the day it is asked about, cheapest kind first; kinds that gain nothing are left out. What is
 * bent or bought carries what the model says.
 * @param costOf strokes a round of a bag
 * @param leftOut owned, and not in it
 * @param limit clubs there may be; while there is room nothing has to go for what comes in
 * @param keep clubs that are not to go, by id
 * @param conditions the carries are known in
 */
export function roundRemedies(
  bag: readonly LadderClub[],
  leftOut: readonly LadderClub[],
  costOf: (clubs: readonly LadderClub[]) => number,
  {
    limit,
    unit,
    keep = [],
    conditions = BASELINE,
  }: { limit: number; unit: DistanceUnit; keep?: readonly string[]; conditions?: Conditions },
): RoundRemedy[] {
  const now = costOf(bag);
  const instead = (club: LadderClub, other: LadderClub) => bag.map((one) => (one === club ? other : one));
  const best = (
    kind: RoundRemedyKind,
    ways: readonly { text: string; clubs: readonly LadderClub[] }[],
  ): RoundRemedy[] => {
    const costed = ways
      .map((way) => ({ kind, ...way, gain: now - costOf(way.clubs) }))
      .sort((a, b) => b.gain - a.gain);
    return costed[0] && costed[0].gain > 0.001 ? [costed[0]] : [];
  };
  const full = bag.filter((club) => club.shots.full);
  const said = (m: number) => `${distanceNumber(m, unit)} ${unit}`;

  const partials = full.flatMap((club) => {
    const kind = isWedge({ kind: club.kind, ...(club.loftDeg !== undefined && { loftDeg: club.loftDeg }) })
      ? 'three-quarter'
      : 'soft';
    if (club.kind === 'driver' || club.shots[kind]) return [];
    const { totalM, spreadM: _spread, sideSpreadM: _side, ...shot } = club.shots.full!;
    const share = PARTIAL_SHARE[kind];
    const carryM = shot.carryM * share;
    const learnt: LadderClub = {
      ...club,
      shots: {
        ...club.shots,
        [kind]: {
          ...shot,
          carryM,
          source: 'modelled',
          ...(totalM !== undefined && { totalM: totalM * share }),
        },
      },
    };
    return [{ text: `learn a ${kind} ${club.name} at ${said(carryM)}`, clubs: instead(club, learnt) }];
  });
  const turned = full
    .filter(({ kind, loftDeg }) => SLEEVED.includes(kind) && loftDeg !== undefined)
    .flatMap((club) =>
      SLEEVE_DEG.map((deg) => ({
        text: `turn the ${club.name}’s sleeve ${formatDegrees(Math.abs(deg))} ${deg > 0 ? 'weaker' : 'stronger'}, from ${formatDegrees(club.loftDeg!)} to ${formatDegrees(club.loftDeg! + deg)}, if it has one`,
        clubs: instead(club, bentClub(club, deg)),
      })),
    );
  const bent = full.filter(isBendable).flatMap((club) =>
    BENDS_DEG.map((deg) => ({
      text: `bend the ${club.name} from ${formatDegrees(club.loftDeg!)} to ${formatDegrees(club.loftDeg! + deg)}`,
      clubs: instead(club, bentClub(club, deg)),
    })),
  );
  const room = bag.length < limit;
  const swaps = leftOut.flatMap((club) =>
    room && club.kind !== 'putter'
      ? [{ text: `the ${club.name} as well`, clubs: [...bag, club] }]
      : bag
          .filter((out) => !keep.includes(out.id) && (out.kind === 'putter') === (club.kind === 'putter'))
          .map((out) => ({ text: `the ${club.name} for the ${out.name}`, clubs: instead(out, club) })),
  );
  return [
    ...best('learn a partial shot', partials),
    ...best('turn a sleeve', turned),
    ...best('bend', bent),
    ...best('swap', swaps),
    ...best('buy', buys()),
  ];

  /** A club for the middle of each of the widest steps; where there is no room, in the place of the one that would be missed least. */
  function buys(): { text: string; clubs: readonly LadderClub[] }[] {
    const ladder = carryLadder(bag);
    const steps = ladder
      .slice(1)
      .map((lower, i) => ({ upper: ladder[i]!, lower, carryM: ladder[i]!.carryM - lower.carryM }))
      .sort((a, b) => b.carryM - a.carryM)
      .slice(0, 2);
    const curve = carryCurve([...bag, ...leftOut], conditions);
    const min = full
      .filter(({ id, kind }) => kind !== 'putter' && !keep.includes(id))
      .map((club) => ({ club, cost: costOf(bag.filter((one) => one !== club)) }))
      .sort((a, b) => a.cost - b.cost)[0]?.club;
    return steps.flatMap(({ upper, lower }) => {
      const clubs = [upper.id, lower.id].map((id) => bag.find((club) => club.id === id)!);
      const lofts = clubs.map(({ loftDeg }) => loftDeg);
      if (lofts[0] === undefined || lofts[1] === undefined || !min) return [];
      const loftDeg = Math.round(lofts[0] + lofts[1]) / 2;
      return [...new Set(clubs.map(({ kind }) => kind).filter((kind) => kind !== 'driver'))].flatMap(
        (kind) => {
          try {
            const { carryM, apexM, landDeg } = curve.at(kind, loftDeg);
            const bought: LadderClub = {
              id: `${A[kind]} of ${loftDeg}`,
              name: `${A[kind]} of ${formatDegrees(loftDeg)}`,
              kind,
              loftDeg,
              shots: {
                full: {
                  carryM: carryM.value,
                  plusMinusM: carryM.plusMinus,
                  apexM: apexM.value,
                  landDeg: landDeg.value,
                  source: 'modelled',
                },
              },
            };
            return [
              {
                text: `buy ${bought.name} (about ${said(carryM.value)})${room ? '' : `, for the ${min.name}`}`,
                clubs: room ? [...bag, bought] : instead(min, bought),
              },
            ];
          } catch (error) {
            if (error instanceof InvalidInputError) return [];
            throw error;
          }
        },
      );
    });
  }
}
