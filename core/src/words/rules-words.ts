import { clubsTooMany, type BagFinding } from '../bags/index.js';

/** A reminder about a bag. @param nameOf a club's, by its id */
export function bagFindingSentence(
  { code, clubIds: [clubId], value, limit }: BagFinding,
  nameOf: (clubId: string) => string,
): string {
  const name = clubId === undefined ? '' : nameOf(clubId);
  switch (code) {
    case 'over-limit':
      return `${value} clubs, ${limit} allowed: ${clubsTooMany(value!, limit!)} must go.`;
    case 'too-long':
      return `${name} is ${value} in long, over ${limit} in.`;
    case 'too-short':
      return `${name} is ${value} in long, under ${limit} in.`;
    case 'no-putter':
      return 'No putter in the bag.';
    case 'duplicate':
      return `${name} is in the bag twice${value === undefined ? '' : ` at ${value}°`}: by mistake?`;
  }
}
