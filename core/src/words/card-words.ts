import { GREEN_HALF_M, type CaddieAnswer, type CaddieOption, type DistanceCard } from '../card/index.js';
import { isTie } from '../choosing/index.js';
import { ownShotName } from '../clubs/index.js';
import { distanceNumber, type DistanceUnit } from '../units/index.js';
import { factorSentence } from './bag-words.js';
import { counted } from './counted.js';
import { listed } from './listed.js';
import { shapeWords, shotKindWords, shotName } from './shot-words.js';

/**
 * "The 7: pitches 152, stops by the flag. Or the soft 6: pitches 150, stops 5 yd past, 0.05 strokes behind."
 */
export function caddieLine(
  { options, question: { distanceM }, because }: CaddieAnswer,
  unit: DistanceUnit,
): string {
  const [first, second] = options;
  if (!first) return 'No club of this bag has a carry yet.';
  if (first.shot && first.restM < distanceM - 2 * GREEN_HALF_M)
    return `Out of reach: the ${swingName(first)} stops ${away(distanceM - first.restM)} ${unit} short.`;
  const says = `The ${swingName(first)}: ${whereWords(first)}.`;
  if (!second) return says;
  const behind = second.strokes - first.strokes;
  const or = `Or the ${swingName(second)}: ${whereWords(second)}, ${isTie(behind) ? 'a tie' : `${behind.toFixed(2)} strokes behind`}.`;
  return [says, or, because && factorSentence(because)].filter(Boolean).join(' ');

  function away(metres: number): string {
    return distanceNumber(Math.abs(metres), unit);
  }
  function whereWords({ shot, carryM, restM }: CaddieOption): string {
    if (!shot) return 'by feel';
    const rest = restM - distanceM;
    const stops = away(rest) === '0' ? 'by the flag' : `${away(rest)} ${unit} ${rest < 0 ? 'short' : 'past'}`;
    return `pitches ${away(carryM)}, stops ${stops}`;
  }
}

function swingName({ name, shot }: CaddieOption): string {
  return shot ? shotName(shot, name) : name;
}

/**
 * The shots of a player's own on a card, a line each: "7 iron, choked, into the wind: 142, starts 2° left".
 * Carries are what they are there.
 */
export function ownShotLines({ clubs }: DistanceCard, unit: DistanceUnit): string[] {
  return clubs.flatMap((club) =>
    club.shots
      .filter(({ kind }) => ownShotName(kind) !== undefined)
      .map((shot) =>
        [
          `${club.name}, ${shotKindWords(shot.kind)}: ${distanceNumber(shot.carryM, unit)}`,
          shapeWords(shot, unit),
        ]
          .filter(Boolean)
          .join(', '),
      ),
  );
}

/** More clubs are counted, not named. */
const MAX_NAMED = 3;

/**
 * What is to be known of clubs that are swung slower than the tables the flight model is held to; empty where
 * none is.
 * @param wind whether what the wind does to them is a guess that is shown, or one that is left out
 */
export function slowSwingWords(
  clubs: readonly { name: string; isSlow: boolean }[],
  wind: 'guessed' | 'left out',
): string {
  const names = clubs.filter(({ isSlow }) => isSlow).map(({ name }) => name);
  if (names.length === 0) return '';
  const who =
    names.length === clubs.length && names.length > 1
      ? 'all of these clubs'
      : names.length > MAX_NAMED
        ? `${names.length} of these ${counted(clubs.length, 'club')}`
        : `the ${listed(names)}`;
  const are = names.length === 1 ? 'it is' : 'they are';
  return `What wind does to ${who} is ${wind === 'guessed' ? 'a guess' : wind}: ${are} swung slower than the tables the flights are held to.`;
}
