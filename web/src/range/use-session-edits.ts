import type { SessionDetails, SessionEntry } from '@tasche/contract';
import type { PlayingConditions } from '@tasche/core';
import { v4 as newId } from 'uuid';
import { ref, type ComputedRef } from 'vue';
import { useRouter } from 'vue-router';
import { isDraftKept } from '../fields/kept-draft';
import { useRange } from './range-store';

/** What is done to sessions: opened, changed, deleted. */
export function useSessionEdits(
  playerId: () => string,
  session: ComputedRef<SessionEntry | undefined>,
  baseline: () => PlayingConditions,
) {
  const range = useRange();
  const router = useRouter();
  /** What the form of a session is open for; one that was left half written is open again. */
  const forming = ref<'new' | 'edit' | null>(isDraftKept(`session/${playerId()}/new`) ? 'new' : null);

  const open = (id: string | undefined) =>
    router.push({ name: 'range', params: { playerId: playerId(), ...(id && { sessionId: id }) }, query: {} });
  function edit(set: Partial<SessionEntry>): void {
    if (session.value)
      range.change([{ do: 'editSession', sessionId: session.value.id, version: session.value.version, set }]);
  }
  function save(details: SessionDetails): void {
    if (forming.value === 'edit') {
      const { name, heldOn, hitOff, ball, notes } = details;
      edit({ name, heldOn, hitOff, ball, notes });
    } else {
      const id = newId();
      range.change([{ do: 'addSession', session: { id, playerId: playerId(), ...details } }]);
      void open(id);
    }
    forming.value = null;
  }
  function remove(): void {
    const gone = session.value;
    if (!gone) return;
    range.change([{ do: 'removeSession', sessionId: gone.id, version: gone.version }]);
    void open(undefined);
  }
  function setAir(setting: PlayingConditions | null): void {
    const { conditions, surface } = setting ?? baseline();
    edit({ conditions, surface });
  }
  return { forming, edit, save, remove, setAir };
}
