import { kindFromName } from '@tasche/core';

/** Words of people's names that begin with a small letter. */
const NAME_PARTICLE =
  /^(de|del|della|des|du|la|le|van|der|den|ten|ter|von|zu|di|da|do|dos|das|el|al|bin|ibn|af|av)$/;
/** What is written above a bag; other languages from memory. */
const OF_A_BAG =
  /\b(?:bag|clubs?|set|gamers?|specs?|yardages?|distances?|carries|tasche|schläger|sac|bolsa|sacca|tas)\b/i;
/**
 * What is said around a bag, and is no club: "Here's my bag:", "Thanks!". A few words that may be a name, of a club or
 * of a player, are none.
 */
export function isRemark(line: string): boolean {
  if (/\d/.test(line) || kindFromName(line)) return false;
  const words = line.split(/\s+/);
  const isSaid = words.some((word) => /^\p{Ll}{2,}/u.test(word) && !NAME_PARTICLE.test(word));
  // "My bag:" stands above clubs; "davor:" may be a player.
  return /[!?]$/.test(line) || (words.length > 2 && isSaid) || (line.endsWith(':') && OF_A_BAG.test(line));
}
