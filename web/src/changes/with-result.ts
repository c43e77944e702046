import type { ChangeResult, SheetView } from '@tasche/contract';

/** The sheet with what the server says put over it. */
export function withResult(sheet: SheetView, result: ChangeResult): SheetView {
  return {
    ...sheet,
    player: result.players.find((player) => player.id === sheet.player.id) ?? sheet.player,
    clubs: merged(
      sheet.clubs,
      result.clubs.filter((club) => club.playerId === sheet.player.id),
    ),
    bags: merged(
      sheet.bags,
      result.bags.filter((bag) => bag.playerId === sheet.player.id),
    ),
    plans: merged(
      sheet.plans,
      result.plans.filter((plan) => plan.playerId === sheet.player.id),
    ),
    tickets: merged(
      sheet.tickets,
      result.tickets.filter((ticket) => ticket.playerId === sheet.player.id),
    ),
    wishes: merged(
      sheet.wishes,
      result.wishes.filter((wish) => wish.playerId === sheet.player.id),
    ),
    roundsPlayed: merged(
      sheet.roundsPlayed,
      result.roundsPlayed.filter((round) => round.playerId === sheet.player.id),
    ),
    lastChange:
      result.change.undoes || result.change.playerId !== sheet.player.id ? sheet.lastChange : result.change,
  };
}

function merged<T extends { id: string; removed: boolean }>(
  standing: readonly T[],
  fresh: readonly T[],
): T[] {
  const byId = new Map(fresh.map((row) => [row.id, row]));
  const kept = standing.map((row) => byId.get(row.id) ?? row);
  const added = fresh.filter((row) => !standing.some((one) => one.id === row.id));
  return [...kept, ...added].filter((row) => !row.removed);
}
