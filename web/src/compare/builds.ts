import type { SessionEntry, StrikeView } from '@tasche/contract';
import {
  numberIn,
  playingLoft,
  textIn,
  type BuildParts,
  type ClubKind,
  type ShotKind,
  type Spec,
} from '@tasche/core';

/** Everything hit with one club in one build and one ball. */
export interface HitBuild {
  id: string;
  clubId: string;
  name: string;
  kind: ClubKind;
  parts: BuildParts;
  strikes: readonly StrikeView[];
  /** The first and the last day it was hit. */
  days: readonly [string, string];
}

const PARTS = ['head', 'shaft', 'setting', 'loftDeg', 'lengthIn', 'ball'] as const;

/**
 * The build of a club on a day, with the ball of the session. What the sheet does not say of it is not part of
 * it.
 */
function partsOf(spec: Spec, ball: string): BuildParts {
  return {
    head: textIn(spec, 'head'),
    shaft: textIn(spec, 'shaft'),
    setting: textIn(spec, 'setting'),
    loftDeg: playingLoft(spec)?.deg,
    lengthIn: numberIn(spec, 'lengthIn'),
    ball: ball.trim() || undefined,
  };
}

/**
 * The builds that were hit with one kind of shot, longest in use first. The same club with another shaft, or
 * another ball, is another build; where a club has several, its name says what tells them apart.
 * @param specOf the club as it was built when the strike was hit, or as it is now
 */
export function hitBuilds(
  sessions: readonly SessionEntry[],
  strikesOf: ReadonlyMap<string, readonly StrikeView[]>,
  clubs: ReadonlyMap<string, { name: string; kind: ClubKind }>,
  specOf: (strike: StrikeView) => Spec,
  shot: ShotKind,
): HitBuild[] {
  const builds = new Map<
    string,
    { clubId: string; parts: BuildParts; strikes: StrikeView[]; days: [string, string] }
  >();
  for (const session of sessions) {
    for (const strike of strikesOf.get(session.id) ?? []) {
      if (strike.shot !== shot || strike.clubId === null || !clubs.has(strike.clubId)) continue;
      const parts = partsOf(specOf(strike), session.ball);
      const id = `${strike.clubId}~${shortHash(JSON.stringify(PARTS.map((part) => parts[part] ?? null)))}`;
      const build = builds.get(id) ?? {
        clubId: strike.clubId,
        parts,
        strikes: [],
        days: [session.heldOn, session.heldOn],
      };
      builds.set(id, build);
      build.strikes.push(strike);
      build.days = [
        session.heldOn < build.days[0] ? session.heldOn : build.days[0],
        session.heldOn > build.days[1] ? session.heldOn : build.days[1],
      ];
    }
  }
  const all = [...builds];
  return all
    .map(([id, build]): HitBuild => {
      const club = clubs.get(build.clubId)!;
      const others = all
        .filter(([other, one]) => other !== id && one.clubId === build.clubId)
        .map(([, one]) => one.parts);
      const telling = PARTS.filter((part) => others.some((one) => one[part] !== build.parts[part])).map(
        (part) => partWords(part, build.parts[part]),
      );
      return {
        ...build,
        id,
        name: telling.length > 0 ? `${club.name}, ${telling.join(', ')}` : club.name,
        kind: club.kind,
      };
    })
    .sort((a, b) => a.days[0].localeCompare(b.days[0]) || b.strikes.length - a.strikes.length);
}

function partWords(part: (typeof PARTS)[number], value: string | number | undefined): string {
  if (value === undefined)
    return `${part === 'loftDeg' ? 'loft' : part === 'lengthIn' ? 'length' : part} not known`;
  return part === 'loftDeg' ? `${value}°` : part === 'lengthIn' ? `${value} in` : String(value);
}

/** FNV-1a, 32 bits (G. Fowler, L. Noll, K. Vo; from memory): short enough for an address. */
function shortHash(text: string): string {
  let hash = 0x811c9dc5;
  for (let i = 0; i < text.length; i++) hash = Math.imul(hash ^ text.charCodeAt(i), 0x01000193) >>> 0;
  return hash.toString(36);
}
