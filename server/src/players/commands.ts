import { handicapText } from '@tasche/core';
import { MAX_PLAYERS, type PlayerSet } from '@tasche/contract';
import { requireVersion, type Handlers } from '../changes/handlers.js';
import { plain } from '../changes/change-recorder.js';
import { badInput, notFound, ruleBroken } from '../http/http-error.js';
import { Player } from './player.js';

export const playerCommands: Handlers<'addPlayer' | 'editPlayer'> = {
  async addPlayer({ player }, { recorder }) {
    if ((await recorder.em.count(Player, { removedAt: null })) + recorder.created('player') >= MAX_PLAYERS) {
      throw ruleBroken(`A workspace holds at most ${MAX_PLAYERS} players.`);
    }
    if (await recorder.load('player', player.id))
      throw badInput('player.id: a player with that id exists already');
    recorder.create('player', {
      notes: '',
      ...player,
      handicap: null,
      gapSettings: {},
      baseline: null,
      preferences: null,
      balls: [],
      season: null,
      archived: false,
    });
    return { playerId: player.id, summary: `${player.name} added to the roster` };
  },

  async editPlayer({ playerId, version, set }, { recorder }) {
    const player = await recorder.load('player', playerId);
    if (!player) throw notFound('player');
    requireVersion(
      player,
      version,
      player.name,
      Object.entries(set).map(([field, yours]) => ({
        field,
        yours,
        theirs: plain(player[field as keyof typeof player]),
      })),
    );
    recorder.edit('player', player, set as never);
    return { playerId, summary: summaryOf(player.name, set) };
  },
};

function summaryOf(name: string, set: PlayerSet): string {
  if (set.archived !== undefined)
    return set.archived ? `${name} taken off the roster` : `${name} back on the roster`;
  if (set.handicap !== undefined)
    return set.handicap === null
      ? `${name}: no handicap entered; it is estimated from the clubs`
      : `${name}: handicap ${handicapText(set.handicap)}`;
  if (set.gapSettings) return `${name}: gap settings changed`;
  if (set.baseline !== undefined)
    return set.baseline
      ? `${name}: carries are known at ${set.baseline.temperatureC.toFixed(0)} °C and ${set.baseline.altitudeM.toFixed(0)} m`
      : `${name}: carries are known in the usual air`;
  if (set.preferences !== undefined)
    return set.preferences
      ? `${name}: what the player wants is saved`
      : `${name}: what the player wants is cleared`;
  if (set.balls) {
    const last = set.balls.toSorted((a, b) => b.from.localeCompare(a.from))[0];
    return last ? `${name}: plays ${last.name} since ${last.from}` : `${name}: no ball recorded`;
  }
  if (set.season !== undefined) return `${name}: season changed`;
  if (set.distanceUnit) return `${name} now reads ${set.distanceUnit === 'yd' ? 'yards' : 'metres'}`;
  return `${name}: ${Object.keys(set).join(', ')} changed`;
}
