import {
  quantityOf,
  shotIn,
  shotKindOf,
  type Reading,
  type ReadingValue,
  type Shot,
  MAX_OWN_SHOTS,
  ownShotName,
  shotKeysIn,
  shotKindWords,
  typedDistance,
  type DistanceUnit,
} from '@tasche/core';
import { MAX_CLUBS_A_PLAYER, isRebuilt, showQuantity } from '@tasche/contract';
import { v4 as newId } from 'uuid';
import { takeOutOfEveryBag } from '../bags/commands.js';
import { requireVersion, type ChangeContext, type Handlers } from '../changes/handlers.js';
import { badInput, notFound, ruleBroken } from '../http/http-error.js';
import { ReadingRow, type Club } from './club.js';

export const clubCommands: Handlers<'addClub' | 'editClub' | 'removeClub'> = {
  async addClub({ club, readings }, context) {
    const { recorder } = context;
    const player = await recorder.load('player', club.playerId);
    if (!player) throw notFound('player');
    if ((await recorder.clubsOwned(club.playerId)) >= MAX_CLUBS_A_PLAYER) {
      throw ruleBroken(`${player.name}'s locker holds ${MAX_CLUBS_A_PLAYER} clubs; that is the limit.`);
    }
    const row = recorder.create('club', { ...club, spec: {} });
    await recordReadings(row, readings, context);
    return { playerId: club.playerId, summary: `${club.name} added to ${player.name}'s locker` };
  },

  async editClub({ clubId, version, set, readings = [] }, context) {
    const { recorder } = context;
    const club = await recorder.load('club', clubId);
    if (!club || club.removedAt) throw notFound('club');
    requireVersion(club, version, club.name, [
      ...Object.entries(set ?? {}).map(([field, yours]) => ({
        field,
        yours,
        theirs: club[field as 'name' | 'kind'],
      })),
      ...readings.map(({ key, value }) => ({
        field: key,
        yours: value,
        theirs: club.spec[key]?.value ?? null,
      })),
    ]);
    const player = await recorder.load('player', club.playerId);
    if (!player) throw notFound('player');
    const words = readings.map((reading) =>
      readingWords(reading, club.spec[reading.key]?.value, player.distanceUnit),
    );
    if (set?.name !== undefined && set.name !== club.name) words.unshift(`renamed ${set.name}`);
    if (set?.kind !== undefined && set.kind !== club.kind) words.unshift(`now of the kind ${set.kind}`);
    const name = club.name;
    if (set && Object.keys(set).length > 0) recorder.edit('club', club, set);
    await recordReadings(club, readings, context);
    const parts =
      words.length > 3 ? `${words.slice(0, 2).join(', ')} and ${words.length - 2} more` : words.join(', ');
    return { playerId: club.playerId, summary: `${name}: ${parts || 'nothing changed'}` };
  },

  async removeClub({ clubId, version }, { recorder }) {
    const club = await recorder.load('club', clubId);
    if (!club || club.removedAt) throw notFound('club');
    requireVersion(club, version, club.name, []);
    await removeClub(recorder, club);
    return { playerId: club.playerId, summary: `${club.name} deleted` };
  },
};

/** Takes a club out of the locker and of every bag; its readings stay for the day it comes back. */
export async function removeClub(recorder: ChangeContext['recorder'], club: Club): Promise<void> {
  await takeOutOfEveryBag(recorder, club);
  recorder.edit('club', club, { removedAt: new Date() });
}

/** Appends readings to a club. */
export async function recordReadings(
  club: Club,
  readings: readonly Reading[],
  { recorder, changeId, latestDay }: ChangeContext,
): Promise<void> {
  if (readings.length === 0) return;
  const lastDay = await latestDay();
  requireFewOwnShots(club, readings);
  for (const { key, value, takenOn } of readings) {
    if (takenOn > lastDay)
      throw badInput(`${club.name}: a reading dated ${takenOn} is in the future`, [
        { field: 'takenOn', message: 'in the future' },
      ]);
    requireNoWorseSource(club, key, value);
    if (isRebuilt(club.spec, { key, value, takenOn })) recorder.rebuilt.add(club.id);
    recorder.em.create(
      ReadingRow,
      {
        id: newId(),
        workspaceId: recorder.workspaceId,
        clubId: club.id,
        changeId,
        key,
        value,
        takenOn,
      },
      { persist: true },
    );
  }
  recorder.reread.add(club.id);
  recorder.bump('club', club);
}

/** A club's own shots are bounded, as everything is. */
function requireFewOwnShots(club: Club, readings: readonly Reading[]): void {
  const isOwn = (key: string) => ownShotName(shotKindOf(key) ?? 'full') !== undefined;
  const own = new Set<string>(shotKeysIn(club.spec).filter(isOwn));
  const before = own.size;
  for (const { key, value } of readings)
    if (value === null) own.delete(key);
    else if (isOwn(key)) own.add(key);
  if (own.size > Math.max(before, MAX_OWN_SHOTS))
    throw ruleBroken(`${club.name} has ${MAX_OWN_SHOTS} shots of the player's own; that is the limit.`);
}

/** A modelled number never takes the place of a measured one. */
function requireNoWorseSource(club: Club, key: Reading['key'], value: ReadingValue): void {
  const kind = shotKindOf(key);
  const standing = kind && shotIn(club.spec, key);
  if (standing?.source === 'measured' && (value as Shot | null)?.source === 'modelled') {
    throw ruleBroken(
      `The ${shotKindWords(shotKindOf(key)!)} carry of ${club.name} is measured; a modelled number does not replace it.`,
    );
  }
}

/**
 * "58 bent to 57.5", the trade's way of saying what changed.
 * @param unit the player's own: a history has many readers, and what it says is written once
 */
function readingWords({ key, value }: Reading, before: ReadingValue | undefined, unit: DistanceUnit): string {
  const quantity = quantityOf(key);
  if (!quantity) {
    const kind = shotKindWords(shotKindOf(key)!);
    return value === null
      ? `${kind} carry cleared`
      : `${kind} carry ${typedDistance((value as Shot).carryM, unit)}, ${(value as Shot).source}`;
  }
  if (value === null) return `${quantity.label.toLowerCase()} cleared`;
  const shown = showQuantity(quantity, value);
  if (key === 'loftSetDeg')
    return `${before == null ? '' : `${showQuantity(quantity, before)} `}bent or set to ${shown}`;
  const from = before == null ? '' : ` from ${showQuantity(quantity, before)}`;
  return `${quantity.label.toLowerCase()} ${shown}${from}`;
}
