import { STRIKE_BOUNDS, type DistanceUnit, type Strike } from '@tasche/core';
import { storedMetres } from '@tasche/contract';

/** Shots read off a line typed by hand, or what is wrong with it. */
type HandShots = { ok: true; strikes: Strike[] } | { ok: false; reason: string };

const CARRY = /^(\d+(?:[.,]\d+)?)$/;
const SIDE = /^(\d+(?:[.,]\d+)?)([lr])$/i;

/**
 * "152 148 3L 150": carries in the player's unit, each with how far left or right it came down where that
 * follows it.
 */
export function readHandShots(text: string, unit: DistanceUnit): HandShots {
  const strikes: Strike[] = [];
  const [min, max] = STRIKE_BOUNDS.carryM;
  const number = (part: string) => storedMetres(Number(part.replace(',', '.')), unit);
  for (const word of text
    .trim()
    .split(/[;\s]+|,\s+/)
    .filter((part) => part !== '')) {
    const carry = CARRY.exec(word);
    const side = SIDE.exec(word);
    if (carry) {
      const carryM = number(carry[1]!);
      if (carryM < min || carryM > max) return { ok: false, reason: `${word} ${unit} is no carry` };
      strikes.push({ carryM });
    } else if (side) {
      const last = strikes.at(-1);
      if (!last) return { ok: false, reason: `${word} follows no carry` };
      last.offlineM = number(side[1]!) * (side[2]!.toLowerCase() === 'l' ? -1 : 1);
    } else return { ok: false, reason: `"${word}" is neither a carry nor a side such as 3L` };
  }
  return strikes.length > 0 ? { ok: true, strikes } : { ok: false, reason: 'nothing written' };
}
