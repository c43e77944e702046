import { createReadStream, createWriteStream } from 'node:fs';
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { Transform, type Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { HttpError } from '../http/http-error.js';

/** A file that has arrived whole and lies on this machine's disk. */
export interface ReceivedFile {
  read: () => AsyncIterable<Buffer>;
  remove: () => Promise<void>;
}

export interface ReceiveLimits {
  bytes: number;
  totalMs: number;
  silenceMs: number;
  /** What to do with a file that is too large. */
  advice: string;
}

/**
 * Takes in what is sent, to a temporary file: no transaction waits for a slow sender. Hanging up leaves
 * nothing.
 * @throws HttpError 413 when it is too large, 408 when it takes too long or the sender falls silent
 */
export async function receiveFile(
  body: Readable,
  { bytes, totalMs, silenceMs, advice }: ReceiveLimits,
): Promise<ReceivedFile> {
  const folder = await mkdtemp(path.join(tmpdir(), 'tasche-received-'));
  const file = path.join(folder, 'file');
  const remove = () => rm(folder, { recursive: true, force: true });
  const late = new AbortController();
  let timer = setTimeout(() => {
    late.abort();
  }, silenceMs);
  const whole = setTimeout(() => {
    late.abort();
  }, totalMs);
  let received = 0;
  const counted = new Transform({
    transform(chunk: Buffer, _encoding, done) {
      clearTimeout(timer);
      timer = setTimeout(() => {
        late.abort();
      }, silenceMs);
      received += chunk.length;
      done(received > bytes ? tooLarge({ bytes, advice }) : null, chunk);
    },
  });
  try {
    await pipeline(body, counted, createWriteStream(file, { mode: 0o600 }), { signal: late.signal });
    return { read: () => createReadStream(file), remove };
  } catch (error) {
    await remove();
    if (late.signal.aborted)
      throw new HttpError(408, {
        error: 'bad-input',
        message: 'The file did not arrive in time; nothing was imported. Send it again.',
      });
    throw error;
  } finally {
    clearTimeout(timer);
    clearTimeout(whole);
  }
}

export function tooLarge({ bytes, advice }: Pick<ReceiveLimits, 'bytes' | 'advice'>): HttpError {
  return new HttpError(413, {
    error: 'too-large',
    message: `That file is over ${Math.round(bytes / 1e6)} MB; nothing was imported. ${advice}`,
  });
}
