import { setTimeout as wait } from 'node:timers/promises';
import type { ChangeView, NewsView, Page } from '@tasche/contract';
import type { Person } from './person.js';

/** As long as the server tells a page to wait. */
const AGAIN_MS = 1500;
/** The server says something every ten seconds; a page that hears nothing for longer has lost it. */
const SILENCE_MS = 25_000;

/**
 * What an open page does: listens to the news, and reads again when it was away or is told that it missed
 * something. Knows every change it
 * was told of or read.
 */
export class OpenPage {
  readonly seen = new Set<string>();
  private wasOpen = false;
  private isWanted = true;
  /** Reads of everything that went by. */
  readings = 0;

  constructor(
    private readonly address: string,
    private readonly person: Person,
    readonly playerId: string,
  ) {
    void this.listen();
  }

  close(): void {
    this.isWanted = false;
  }

  private async listen(): Promise<void> {
    while (this.isWanted) {
      await this.stream().catch(() => undefined);
      await wait(AGAIN_MS);
    }
  }

  private async stream(): Promise<void> {
    const gone = new AbortController();
    let timer = setTimeout(() => gone.abort(), SILENCE_MS);
    try {
      const response = await fetch(`${this.address}/api/news`, {
        headers: this.person.headers(),
        signal: gone.signal,
      });
      if (!response.ok || !response.body) return;
      let rest = '';
      const decoder = new TextDecoder();
      for await (const bytes of response.body as unknown as AsyncIterable<Uint8Array>) {
        const piece = decoder.decode(bytes, { stream: true });
        clearTimeout(timer);
        timer = setTimeout(() => gone.abort(), SILENCE_MS);
        const events = (rest + piece).split('\n\n');
        rest = events.pop()!;
        for (const event of events) this.take(event);
        if (!this.isWanted) return;
      }
    } finally {
      clearTimeout(timer);
      gone.abort();
    }
  }

  private take(event: string): void {
    const name = /^event: (.*)$/m.exec(event)?.[1];
    const data = /^data: (.*)$/m.exec(event)?.[1] ?? '';
    if (name === 'change') this.seen.add((JSON.parse(data) as NewsView).changeId);
    else if (name === 'missed' || (name === 'here' && this.wasOpen)) void this.reread();
    if (name === 'here') this.wasOpen = true;
  }

  /** Reads the player's changes back to those known. */
  private async reread(): Promise<void> {
    this.readings += 1;
    for (let before: string | null = ''; before !== null;) {
      const { status, text } = await this.person.askUntilAnswered(
        'GET',
        `/players/${this.playerId}/changes?limit=200${before && `&before=${encodeURIComponent(before)}`}`,
      );
      if (status !== 200) throw new Error(`changes were answered ${status}: ${text}`);
      const page = JSON.parse(text) as Page<ChangeView>;
      const fresh = page.rows.filter(({ id }) => !this.seen.has(id));
      for (const { id } of fresh) this.seen.add(id);
      // A change heard of as news may be newer than one that went by: a whole page of known ones ends it.
      before = fresh.length > 0 ? page.next : null;
    }
  }
}
