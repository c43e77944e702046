import type { LadderClub } from '../spec/index.js';
import { DEFAULT_GAP_SETTINGS, type GapSettings } from '../gaps/index.js';

/**
 * A reminder about a bag: what stands in the Rules, or what looks like a mistake. The committee decides;
 * `bagFindingSentence` says it.
 */
export interface BagFinding {
  code: 'over-limit' | 'too-long' | 'too-short' | 'no-putter' | 'duplicate';
  /** 'rule' keeps a bag from being ready; 'reminder' does not. */
  severity: 'rule' | 'reminder';
  clubIds: readonly string[];
  /** Clubs, inches or degrees that were found, and the most or least of them there may be. */
  value?: number;
  limit?: number;
  /** The rule's number, where there is one. */
  rule?: string;
}

/** Equipment Rules: no club under 18 in, none but a putter over 48 in; Model Local Rule: 46 in. */
const LENGTH_MIN_IN = 18;

/** Two clubs of one kind this close in loft and of one name are probably one club written twice. */
const SAME_LOFT_DEG = 0.25;

/** How many clubs must leave before the bag is within its limit. */
export function clubsTooMany(count: number, clubLimit: number): number {
  return Math.max(0, count - clubLimit);
}

/**
 * Checks a bag as a whole. Rules of Golf 4.1b (fourteen clubs); Equipment Rules Part 2 (length).
 * An empty list means nothing was found, not that the bag is approved.
 */
export function bagFindings(clubs: readonly LadderClub[], settings: Partial<GapSettings> = {}): BagFinding[] {
  const { clubLimit, lengthMaxIn } = { ...DEFAULT_GAP_SETTINGS, ...settings };
  const findings: BagFinding[] = [];
  if (clubsTooMany(clubs.length, clubLimit) > 0) {
    findings.push({
      code: 'over-limit',
      severity: 'rule',
      clubIds: [],
      rule: '4.1b',
      value: clubs.length,
      limit: clubLimit,
    });
  }
  for (const { id, kind, lengthIn } of clubs) {
    if (lengthIn === undefined) continue;
    if (lengthIn > lengthMaxIn && kind !== 'putter') {
      findings.push({
        code: 'too-long',
        severity: 'rule',
        clubIds: [id],
        rule: 'Equipment Rules, length',
        value: lengthIn,
        limit: lengthMaxIn,
      });
    }
    if (lengthIn < LENGTH_MIN_IN) {
      findings.push({
        code: 'too-short',
        severity: 'rule',
        clubIds: [id],
        rule: 'Equipment Rules, length',
        value: lengthIn,
        limit: LENGTH_MIN_IN,
      });
    }
  }
  if (clubs.length > 0 && !clubs.some((club) => club.kind === 'putter')) {
    findings.push({ code: 'no-putter', severity: 'reminder', clubIds: [] });
  }
  findings.push(...duplicates(clubs));
  return findings;
}

function duplicates(clubs: readonly LadderClub[]): BagFinding[] {
  return clubs.flatMap((club, i) =>
    clubs
      .slice(i + 1)
      .filter(
        (other) =>
          other.kind === club.kind &&
          other.name.trim().toLowerCase() === club.name.trim().toLowerCase() &&
          Math.abs((other.loftDeg ?? 0) - (club.loftDeg ?? 0)) <= SAME_LOFT_DEG,
      )
      .map((other): BagFinding => ({
        code: 'duplicate',
        severity: 'reminder',
        clubIds: [club.id, other.id],
        ...(club.loftDeg !== undefined && { value: club.loftDeg }),
      })),
  );
}
