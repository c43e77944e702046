import type { Page, SessionEntry, StrikesView } from '@tasche/contract';
import { reread, type Question } from '../api/read';
import { request } from '../api/request';
import { useOutbox } from '../changes/outbox';

/** Which of a player's shots are wanted: one session's, by its id, those of the one held last, or all. */
export type ShotsWanted = string | 'newest' | 'all';

/** Every session, page after page. */
async function allSessions(playerId: string): Promise<SessionEntry[]> {
  const sessions: SessionEntry[] = [];
  for (let next: string | null = ''; next !== null;) {
    const page: Page<SessionEntry> = await request(
      `/players/${playerId}/sessions?limit=200${next && `&after=${next}`}`,
    );
    sessions.push(...page.rows);
    next = page.next;
  }
  return sessions;
}

export function sessionsQuestion(playerId: string): Question<readonly SessionEntry[]> {
  return {
    key: ['sessions', playerId],
    ask: () => useOutbox().readCurrent(() => allSessions(playerId)),
  };
}

async function shotsOf(playerId: string, part: string): Promise<StrikesView> {
  const answer = await request<StrikesView>(`/players/${playerId}/strikes${part}`);
  // Thousands of shots were just read into objects: what they become on the page has a moment of its own.
  await new Promise<void>((resolve) => setTimeout(resolve));
  return answer;
}

export function shotsQuestion(playerId: string, shots: ShotsWanted): Question<StrikesView> {
  const part = shots === 'all' ? '' : shots === 'newest' ? '?newest=true' : `?session=${shots}`;
  return {
    key: ['strikes', playerId, shots],
    ask: () => useOutbox().readCurrent(() => shotsOf(playerId, part)),
  };
}

/** What is on its way before its page is there, and whether it came; the page takes it, once. */
let ahead: { of: string; reading: Promise<boolean>; answered: number } | undefined;
const aheadOf = (playerId: string, shots: ShotsWanted | null) => `${playerId} ${shots}`;

/** Asks for what the range is about to show, while its page is fetched. */
export function readRangeAhead(playerId: string, shots: ShotsWanted): void {
  const reading = Promise.all([
    reread(sessionsQuestion(playerId)),
    reread(shotsQuestion(playerId, shots)),
  ]).then((came) => came.every(Boolean));
  ahead = { of: aheadOf(playerId, shots), reading, answered: useOutbox().answered() };
}

export function takeRangeAhead(playerId: string, shots: ShotsWanted | null): Promise<boolean> | undefined {
  const taken = ahead;
  ahead = undefined;
  // A change that was answered before the page was there may be missing in it.
  const isCurrent = taken?.of === aheadOf(playerId, shots) && taken.answered === useOutbox().answered();
  return isCurrent ? taken.reading : undefined;
}
