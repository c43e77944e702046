import type { ClubView, Command, GaugedLoft, TicketDetails } from '@tasche/contract';
import {
  GAUGED,
  GAUGE_KEYS,
  formatDegrees,
  gaugeCheck,
  loftDrift,
  loftPlace,
  sheetLie,
  type Gauged,
  type GaugeVerdict,
} from '@tasche/core';
import { shortDay } from '../app/day';
import type { TicketOccasion } from './new-tickets';

/** An angle of a club in a check: what is wanted, what it was, and what it is now. */
export interface CheckedAngle {
  gauged: Gauged;
  wanted: string;
  last: string;
  /** Measured in this check; null before that. */
  value: number | null;
  verdict: GaugeVerdict | undefined;
  /** Measured less wanted, degrees. */
  off: number | undefined;
}
export interface CheckedClub {
  club: ClubView;
  done: boolean;
  angles: readonly CheckedAngle[];
}

/** By the loft that is wanted, so that no row moves while it is read; putters last. */
export function inCheckOrder(clubs: readonly ClubView[]): ClubView[] {
  const orderOf = (club: ClubView) =>
    (club.kind === 'putter' ? undefined : gaugeCheck(club.spec, 'loft').wantedDeg) ?? loftPlace(club);
  return clubs.toSorted((a, b) => orderOf(a) - orderOf(b));
}

/** A club in a check that began on a day: what was measured since then is of it. */
export function checkedClub(club: ClubView, since: string): CheckedClub {
  return {
    club,
    done: (club.spec.loftMeasuredDeg?.takenOn ?? '') >= since,
    angles: GAUGED.map((gauged): CheckedAngle => {
      const { wantedDeg, measuredDeg, takenOn, verdict, offDeg } = gaugeCheck(club.spec, gauged, since);
      const isFresh = (takenOn ?? '') >= since;
      const before =
        measuredDeg === undefined ? 'never' : `${formatDegrees(measuredDeg)} on ${shortDay(takenOn!)}`;
      return {
        gauged,
        wanted: wantedDeg === undefined ? '–' : formatDegrees(wantedDeg),
        last: isFresh ? '' : before,
        value: isFresh ? (measuredDeg ?? null) : null,
        verdict: isFresh ? verdict : undefined,
        off: offDeg,
      };
    }),
  };
}

/** A club this far off was mistyped, or the wrong club was in the gauge. Our choice. */
const MISTYPED_DEG = 4;

/** A club to bend back: off in an angle, and not by so much that it was mistyped. */
export function isOff({ verdict, off }: CheckedAngle): boolean {
  return verdict === 'off' && !isMistyped(off);
}
function isMistyped(off: number | undefined): boolean {
  return Math.abs(off ?? 0) > MISTYPED_DEG;
}

/** "0.5° over". */
function offWords(off: number | undefined): string {
  return off === undefined ? '' : `${formatDegrees(Math.abs(off))} ${off > 0 ? 'over' : 'under'}`;
}

/** What an angle that was measured now comes to. */
export function angleWords({ verdict, off }: CheckedAngle): string {
  if (verdict === 'right') return 'right';
  if (isMistyped(off)) return `${offWords(off)}: mistyped, or another club?`;
  return verdict === 'off' ? offWords(off) : `${offWords(off)}, measure again`;
}

/**
 * Records a measured angle. The lie on the sheet is what is wanted; it is recorded as set before the
 * reading takes its place.
 */
export function angleMeasured(
  { id, version, spec }: ClubView,
  gauged: Gauged,
  value: number,
  { since, takenOn }: { since: string; takenOn: string },
): Command {
  const wanted = sheetLie(spec, gauged, since);
  return {
    do: 'editClub',
    clubId: id,
    version,
    readings: [
      ...(wanted ? [{ key: 'lieSetDeg' as const, ...wanted }] : []),
      { key: GAUGE_KEYS[gauged].measured, value, takenOn },
    ],
  };
}

/** The ticket that bends a club back to what is wanted. */
export function backTicket(
  { club, angles }: CheckedClub,
  since: string,
  occasion: Omit<TicketOccasion, 'why'>,
): TicketDetails {
  const off = angles.filter(({ verdict }) => verdict === 'off');
  return {
    job: 'bend',
    name: `Bend the ${club.name} back`,
    clubId: club.id,
    wanted: off.filter(isOff).flatMap(({ gauged }) => {
      const { wantedDeg } = gaugeCheck(club.spec, gauged, since);
      return wantedDeg === undefined
        ? []
        : [{ key: gauged === 'loft' ? ('loftSetDeg' as const) : ('lieSetDeg' as const), value: wantedDeg }];
    }),
    why: off.map(({ gauged, off: by }) => `${gauged} ${offWords(by)}`).join(', '),
    ...occasion,
  };
}

/**
 * How the loft of a club moves by itself since it was last set; nothing where it stands, or too little is
 * known.
 */
export function movingLoftWords(
  { id, name, spec }: ClubView,
  lofts: readonly GaugedLoft[],
): string | undefined {
  const setOn = spec.loftSetDeg?.takenOn ?? '';
  const drift = loftDrift(lofts.filter(({ clubId, takenOn }) => clubId === id && takenOn >= setOn));
  if (!drift?.moves) return undefined;
  const size = `${Math.abs(drift.perMonthDeg).toFixed(2)}° ${drift.perMonthDeg > 0 ? 'weaker' : 'stronger'} a month`;
  return `The ${name} moves: ${size}, ±${drift.plusMinusDeg.toFixed(2)}°, over ${drift.readings} readings.`;
}
