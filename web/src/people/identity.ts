import type { SignedInView } from '@tasche/contract';
import { hasRight } from '@tasche/contract';
import { defineStore } from 'pinia';
import { computed, ref } from 'vue';
import { forgetLastSeen, isElsewhere, leavePlace } from '../api/leave-place';
import { reader } from '../api/read';
import { ApiError, NetworkError, SignedOutError, post, request } from '../api/request';
import { signedIn, signedOut } from '../api/signed-in';
import { useOutbox } from '../changes/outbox';

const AGAIN_MS = 1500;

/** Who is signed in here, where, and as what. */
export const useIdentity = defineStore('identity', () => {
  const state = ref<'asking' | 'in' | 'out'>('asking');
  /** Why it is not known yet, where the server does not answer. */
  const away = ref('');
  const view = computed(() => signedIn.value);

  /** Whether links to papers may be made. */
  const shares = computed(() => view.value !== null && hasRight(view.value.role, 'share'));

  signedOut.on(async () => {
    if (state.value === 'out') return;
    state.value = 'out';
    signedIn.value = null;
    await forgetLastSeen();
  });

  async function load(): Promise<void> {
    try {
      take(await request<SignedInView>('/signed-in'));
    } catch (error) {
      if (error instanceof SignedOutError || error instanceof ApiError) return;
      if (!(error instanceof NetworkError)) return;
      away.value = error.message;
      setTimeout(() => void load(), AGAIN_MS);
    }
  }

  /** Someone signed in, or went to another workspace. */
  function take(next: SignedInView): void {
    const before = signedIn.value;
    if (before && isElsewhere(before, next)) {
      void leavePlace({ to: '/roster', isOtherPerson: before.personId !== next.personId });
      return;
    }
    // What another person read before is not shown to the next.
    if (state.value === 'out') reader.clear();
    signedIn.value = next;
    state.value = 'in';
    away.value = '';
    void useOutbox().run();
  }

  async function signOut(): Promise<void> {
    await post('/sign-out', {});
    await leavePlace({ to: '/', isOtherPerson: true });
  }

  /** Goes to another workspace. @param to the address that is opened there */
  async function enter(workspaceId: string, to = '/roster'): Promise<void> {
    await post('/workspaces/enter', { workspaceId });
    await leavePlace({ to, isOtherPerson: false });
  }

  return { state, away, view, shares, load, take, signOut, enter };
});
