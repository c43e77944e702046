import {
  seasonVerdict,
  type Clash,
  type SeasonStrokes,
  type SeasonValue,
  type SeasonVerdict,
} from '../season/index.js';
import { decimals } from './counted.js';

/** What swapping is worth over a season, in a sentence a player can act on. */
export function seasonSentence(value: SeasonValue): string {
  const { played, swapping, fixed, changed } = value;
  const said = ({ strokes, low, high }: SeasonStrokes) =>
    `${decimals(strokes, 1)} strokes (${decimals(low, 1)} to ${decimals(high, 1)})`;
  const isNothing = ({ high }: SeasonStrokes) => decimals(high, 1) === '0.0';
  const over = `over ${played} ${played === 1 ? 'round' : 'rounds'}`;
  const more = isNothing(swapping) ? 'nothing' : `${said(swapping)}, no more than chance`;
  const sentences: Record<SeasonVerdict, string> = {
    gamer: isNothing(changed)
      ? `The gamer will do: no bag saves anything ${over}.`
      : `The gamer will do: the best bags save ${said(changed)} ${over}, no more than chance.`,
    'one bag':
      `One bag for all of them will do: it saves ${said(fixed)} ${over}; ` +
      `swapping from round to round adds ${more}.`,
    swapping:
      `Swapping is worth it: ${said(swapping)} ${over} against the best single bag, ` +
      `${said(changed)} against the gamer.`,
  };
  return sentences[seasonVerdict(value)];
}

/** A conflict. @param nameOf an event's, a freeze's, or what a new thing is called */
export function clashSentence({ code, ids, days }: Clash, nameOf: (id: string) => string): string {
  const [name, other] = ids.map(nameOf) as [string, string];
  switch (code) {
    case 'events overlap':
      return `${other} begins before ${name} is over.`;
    case 'in event':
      return `${name}: while ${other} is played.`;
    case 'in untouched':
      return `${name}: ${daysWords(days ?? 0)} before ${other}.`;
    case 'in freeze':
      return `${name}: in ${other}, when nothing new is wanted.`;
  }
}

function daysWords(days: number): string {
  const words = [
    'no',
    'one',
    'two',
    'three',
    'four',
    'five',
    'six',
    'seven',
    'eight',
    'nine',
    'ten',
    'eleven',
    'twelve',
  ];
  return `${words[days] ?? days} ${days === 1 ? 'day' : 'days'}`;
}
