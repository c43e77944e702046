import type { SeasonEntry } from '@tasche/contract';
import type { RouteLocationRaw } from 'vue-router';

/** Where something of a player's season is looked after. */
export function entryLink(
  playerId: string,
  { kind, eventId, planId, clubId }: SeasonEntry,
): RouteLocationRaw | undefined {
  const params = { playerId };
  switch (kind) {
    case 'event':
      return planId
        ? { name: 'plan', params: { ...params, planId } }
        : { name: 'plan', params, ...(eventId && { query: { event: eventId } }) };
    case 'round':
      return { name: 'plan', params: { ...params, ...(planId && { planId }) } };
    case 'ticket':
      return { name: 'bench', params };
    case 'check':
      return { name: 'check', params };
    case 'grooves':
      return { name: 'wear', params };
    case 'trial':
      return clubId ? { name: 'club-life', params: { ...params, clubId } } : undefined;
    default:
      return undefined;
  }
}
