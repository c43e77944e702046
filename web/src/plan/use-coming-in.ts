import { planRoundOf, type EventRound, type PlanView } from '@tasche/contract';
import { computed, type ComputedRef } from 'vue';
import { useRouter } from 'vue-router';
import { addTickets, readyTickets } from '../bench/new-tickets';
import { useSheet } from '../sheet/sheet-store';

/**
 * Clubs that a settled round brings in and that have no ticket yet, and the tickets that have them ready.
 */
export function useComingIn(plan: () => PlanView, rounds: ComputedRef<readonly EventRound[]>) {
  const store = useSheet();
  const router = useRouter();
  const comingIn = computed(() => {
    const { eventId: of } = plan();
    const asked = new Set(
      store.sheet!.tickets.filter(({ eventId }) => eventId === of).map(({ clubId }) => clubId),
    );
    const swaps = rounds.value.flatMap(({ id }) => planRoundOf(plan(), id).swaps);
    return swaps.filter(
      ({ inId }, i) =>
        inId !== undefined && !asked.has(inId) && swaps.findIndex((one) => one.inId === inId) === i,
    );
  });

  function makeTickets(): void {
    const { playerId, eventId, name } = plan();
    const clubs = comingIn.value.flatMap(({ inId, why }) => {
      const club = store.clubsById.get(inId!);
      return club ? [{ club, why: why ?? '' }] : [];
    });
    const dueOn = rounds.value.map(({ day }) => day).sort()[0] ?? null;
    store.change(addTickets(playerId, readyTickets(clubs, { eventId, dueOn })), `have ready for ${name}`);
    void router.push({ name: 'bench', params: { playerId } });
  }
  return { comingIn, makeTickets };
}
