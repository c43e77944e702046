import { setTimeout as wait } from 'node:timers/promises';
import type { SignedInView } from '@tasche/contract';

/** An answer of the server; status 0 where none came. */
interface Answer {
  status: number;
  text: string;
}

/** What a server says that cannot just now, and a proxy that finds no server. */
const NOT_NOW: readonly number[] = [502, 503, 504];
const PATIENCE_MS = 15_000;
const AGAIN_MS = 250;

/**
 * Somebody with a browser: keeps the session, and sends again what was not answered, as the page's outbox
 * does.
 */
export class Person {
  private cookie = '';
  private csrf = '';
  /** Answers that are faults of a server's own, whatever went on around it. */
  readonly faults: string[] = [];

  constructor(private readonly address: string) {}

  /** Once. */
  async ask(method: 'GET' | 'POST', path: string, body?: string, type = 'application/json'): Promise<Answer> {
    try {
      const response = await fetch(`${this.address}/api${path}`, {
        method,
        headers: { ...this.headers(), ...(body !== undefined && { 'content-type': type }) },
        ...(body !== undefined && { body }),
        signal: AbortSignal.timeout(PATIENCE_MS),
      });
      const cookie = response.headers.getSetCookie()[0];
      if (cookie !== undefined) this.cookie = cookie.split(';')[0]!;
      const { status } = response;
      const text = await response.text();
      if (status >= 500 && !NOT_NOW.includes(status))
        this.faults.push(`${method} ${path}: ${status} ${text}`);
      return { status, text };
    } catch {
      return { status: 0, text: '' };
    }
  }

  headers(): Record<string, string> {
    return {
      ...(this.cookie && { cookie: this.cookie }),
      ...(this.csrf && { 'x-csrf-token': this.csrf }),
    };
  }

  /** Until it is answered with something else than "not now". */
  async askUntilAnswered(
    method: 'GET' | 'POST',
    path: string,
    body?: string,
    type?: string,
  ): Promise<Answer> {
    for (;;) {
      const answer = await this.ask(method, path, body, type);
      if (answer.status !== 0 && answer.status < 500 && answer.status !== 429) return answer;
      await wait(AGAIN_MS);
    }
  }

  /** Posts something that signs in, and keeps the session. @throws Error where it is refused */
  async enter(path: string, body: object): Promise<SignedInView> {
    const { status, text } = await this.askUntilAnswered('POST', path, JSON.stringify(body));
    if (status !== 200) throw new Error(`${path} was answered ${status}: ${text}`);
    const view = JSON.parse(text) as SignedInView;
    this.csrf = view.csrf ?? '';
    return view;
  }

  /** @throws Error where it is refused */
  async get<T>(path: string): Promise<T> {
    const { status, text } = await this.askUntilAnswered('GET', path);
    if (status !== 200) throw new Error(`${path} was answered ${status}: ${text}`);
    return JSON.parse(text) as T;
  }
}
