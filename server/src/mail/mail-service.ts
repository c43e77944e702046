import { createTransport } from 'nodemailer';
import type { Logger } from 'pino';

/** A letter to one person, in plain text. */
export interface Letter {
  to: { name: string; email: string };
  subject: string;
  text: string;
}

/** Sends e-mails. */
export interface MailService {
  /**
   * @returns whether it was accepted; a failure does not stop the caller
   */
  send(letter: Letter): Promise<boolean>;
  close(): void;
}

/** The longest wait for an e-mail to be accepted; the link is shown anyway. */
const TAKEN_WITHIN_MS = 6000;
const MAX_LETTER_CHARACTERS = 4000;

/**
 * Sends by SMTP, to the one server its owner named.
 * @param address `smtp://host:port`, or `smtps://` for one that begins with TLS; a name and password may
 * stand in it
 * @param from e-mail address the letters come from
 */
export function mailThrough(address: string, from: string, log: Logger): MailService {
  const limits = {
    connectionTimeout: TAKEN_WITHIN_MS,
    greetingTimeout: TAKEN_WITHIN_MS,
    socketTimeout: TAKEN_WITHIN_MS,
  };
  const transport = createTransport({
    url: address,
    ...limits,
    disableFileAccess: true,
    disableUrlAccess: true,
  });
  return {
    async send({ to, subject, text }) {
      try {
        await transport.sendMail({
          from: { name: 'Tasche', address: from },
          to: { name: to.name, address: to.email },
          subject,
          text: text.slice(0, MAX_LETTER_CHARACTERS),
        });
        return true;
      } catch (err) {
        // Neither the letter nor whom it was for: a link in it lets its reader in.
        log.warn({ code: (err as { code?: string }).code }, 'a letter was not taken');
        return false;
      }
    },
    close() {
      transport.close();
    },
  };
}
