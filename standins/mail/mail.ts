import type { AddressInfo } from 'node:net';
import { SMTPServer } from 'smtp-server';

/** A letter as it came. */
export interface KeptLetter {
  from: string;
  to: readonly string[];
  /** Head and body, as sent. */
  text: string;
}

export interface MailStandIn {
  port: number;
  /** Oldest first. */
  letters: readonly KeptLetter[];
  close(): Promise<void>;
}

const MAX_LETTERS = 1000;
const MAX_LETTER_BYTES = 100_000;

/**
 * A mail service that delivers nothing: it takes letters by SMTP and keeps them. @param refuses every
 * letter
 */
export async function startMail({
  port,
  refuses = false,
  onLetter,
}: {
  port: number;
  refuses?: boolean;
  onLetter?: (letter: KeptLetter) => void;
}): Promise<MailStandIn> {
  const letters: KeptLetter[] = [];
  const server = new SMTPServer({
    authOptional: true,
    disabledCommands: ['STARTTLS'],
    size: MAX_LETTER_BYTES,
    disableReverseLookup: true,
    onData(stream, session, done) {
      const pieces: Buffer[] = [];
      stream.on('data', (piece: Buffer) => pieces.push(piece));
      stream.on('end', () => {
        if (refuses || letters.length >= MAX_LETTERS || stream.sizeExceeded) {
          done(new Error('no more letters here'));
          return;
        }
        const { mailFrom, rcptTo } = session.envelope;
        const letter: KeptLetter = {
          from: mailFrom === false ? '' : mailFrom.address,
          to: rcptTo.map(({ address }) => address),
          text: Buffer.concat(pieces).toString('utf8'),
        };
        letters.push(letter);
        onLetter?.(letter);
        done();
      });
    },
  });
  server.on('error', () => undefined);
  await new Promise<void>((resolve) => {
    server.listen(port, '127.0.0.1', resolve);
  });
  return {
    port: (server.server.address() as AddressInfo).port,
    letters,
    close: () =>
      new Promise((resolve) => {
        server.close(() => {
          resolve();
        });
      }),
  };
}
