import {
  clubWordsInEnglish,
  kindFromName,
  playingLoft,
  withDegreeSign,
  type ClubKind,
  type ShotKind,
  type Spec,
} from '@tasche/core';

/** A club of the locker, as a label of a file may mean it. */
export interface LabelledClub {
  id: string;
  name: string;
  kind: ClubKind;
  spec: Spec;
}

/** What the clubs of a file are in the locker: a club and a shot, or null to leave its rows out. */
export type ClubMatch = { clubId: string; shot: ShotKind } | null;

/** A label as it is compared: lower case, the signs of degrees and quotes gone. */
export function labelKey(label: string): string {
  return withDegreeSign(label)
    .toLowerCase()
    .replace(/[°"'’]/g, '')
    .replace(/[\s_-]+/g, ' ')
    .trim();
}

const SHOT_WORDS: readonly [RegExp, ShotKind][] = [
  [/\b(three quarter|3 ?\/ ?4|¾)\b/, 'three-quarter'],
  [/\b(half|1 ?\/ ?2|½)\b/, 'half'],
  [/\b(choked?|choked down|grip down)\b/, 'choked'],
  [/\b(soft|easy)\b/, 'soft'],
  [/\b(hard)\b/, 'hard'],
  [/\b(full|stock)\b/, 'full'],
];
const WEDGE_WORDS: Record<string, string> = {
  'pitching wedge': 'pw',
  pitching: 'pw',
  'gap wedge': 'gw',
  'approach wedge': 'aw',
  'sand wedge': 'sw',
  'sand iron': 'sw',
  'lob wedge': 'lw',
};
/**
 * Lofts these usually are, for finding the wedge that is meant by loft where none bears the name. Common
 * practice, no source.
 */
const WEDGE_LOFT_DEG: Record<string, number> = { pw: 46, gw: 50, aw: 50, uw: 50, sw: 56, lw: 60 };

/** How devices and other languages write what a locker calls otherwise. */
const OTHER_WORDS: readonly [RegExp, string][] = [
  [/^drv?r?$|^1 ?w(ood)?$/, 'driver'],
  // "Sandwedge" is one word in several languages.
  [/^(pitching|gap|approach|sand|lob)wedge$/, '$1 wedge'],
  [/^wedge (\d{2}(?:[.,]\d)?)( deg)?$/, '$1'],
  [/^(\d{2}(?:[.,]\d)?) ?(deg|degrees?|grad|grader|graden|degrés?|grados|gradi|graus)$/, '$1'],
  [/^(?:e|fe) ?(\d)$/, '$1 iron'],
  [/(\d) ?iron|iron ?(\d)/, '$1$2 iron'],
  [/(\d) ?wood|wood ?(\d)/, '$1$2 wood'],
  [/^(\d+) ?wd$/, '$1 wood'],
  [/^(\d+) ?(ir|irn)$/, '$1 iron'],
];
const inUsualWords = (key: string) =>
  OTHER_WORDS.reduce((text, [word, usual]) => text.replace(word, usual), clubWordsInEnglish(key));

/** The shot a label names beside its club, and what is left of the label. */
function shotIn(key: string): { shot: ShotKind; club: string } {
  for (const [pattern, shot] of SHOT_WORDS)
    if (pattern.test(key)) return { shot, club: key.replace(pattern, '').replace(/\s+/g, ' ').trim() };
  return { shot: 'full', club: key };
}

/** No name of a club has more words, and no number or loft in one is larger. */
export const MAX_NAME_WORDS = 6;
export const MAX_NUMBER_IN_NAME = 72;

/**
 * The club of a locker that a label most likely means ("7i", "7 Iron soft", "Sand Wedge", "56"), or null when
 * none, or more than one, could be it. A guess: a person can always say otherwise.
 */
export function guessClub(label: string, clubs: readonly LabelledClub[]): ClubMatch {
  const { shot, club } = shotIn(inUsualWords(labelKey(label)));
  const found =
    named(club, clubs) ?? byKindAndNumber(club, clubs) ?? byLoft(club, clubs) ?? lettersAndLoft(club, clubs);
  return found ? { clubId: found.id, shot } : null;
}

function only<T>(list: readonly T[]): T | undefined {
  return list.length === 1 ? list[0] : undefined;
}

function named(key: string, clubs: readonly LabelledClub[]): LabelledClub | undefined {
  const words = WEDGE_WORDS[key] ?? key;
  const own = (club: LabelledClub) => inUsualWords(labelKey(club.name));
  return (
    only(clubs.filter((club) => own(club) === key)) ??
    only(clubs.filter((club) => (WEDGE_WORDS[own(club)] ?? own(club)) === words))
  );
}

/** "SW 54": the wedge of that loft, else the one called so. */
function lettersAndLoft(key: string, clubs: readonly LabelledClub[]): LabelledClub | undefined {
  const [, letters, loft] = /^([pgasl]w) (\d{2})$/.exec(key) ?? [];
  return letters === undefined ? undefined : (byLoft(loft!, clubs) ?? named(letters, clubs));
}

function byKindAndNumber(key: string, clubs: readonly LabelledClub[]): LabelledClub | undefined {
  const kind = kindFromName(key);
  if (!kind || kind === 'wedge') return undefined;
  const number = /\d+/.exec(key)?.[0];
  const same = clubs.filter(
    (club) => club.kind === kind && (number === undefined || /\d+/.exec(club.name)?.[0] === number),
  );
  // Of several, the one in play.
  return only(same) ?? only(same.filter((club) => club.spec.state?.value === 'gamer'));
}

function byLoft(key: string, clubs: readonly LabelledClub[]): LabelledClub | undefined {
  const word = WEDGE_WORDS[key] ?? key;
  const loft = WEDGE_LOFT_DEG[word] ?? Number(/^(\d{2}(\.\d+)?)( wedge| deg)?$/.exec(key)?.[1] ?? NaN);
  if (Number.isNaN(loft)) return undefined;
  const near = (within: number) =>
    clubs.filter(
      (club) => club.kind === 'wedge' && Math.abs((playingLoft(club.spec)?.deg ?? NaN) - loft) <= within,
    );
  const gamers = (list: readonly LabelledClub[]) => list.filter((club) => club.spec.state?.value === 'gamer');
  return only(near(1)) ?? only(gamers(near(1))) ?? only(gamers(near(2)));
}
