import { ROLE_WORDS, type MadeLinkView, type Role } from '@tasche/contract';
import type { Letter } from '../mail/mail-service.js';

interface LetterAbout {
  name: string;
  email: string;
  workspaceName: string;
  /** Who made the link. */
  madeBy: string;
  link: Pick<MadeLinkView, 'url' | 'expiresAt'>;
}

/** Each says who sent it, what it is for, until when, and what to do if it is not for the reader. */
export function invitationLetter({ role, ...about }: LetterAbout & { role: Role }): Letter {
  return letter(about, `${about.madeBy} invites you to ${about.workspaceName}`, [
    `${about.madeBy} invites you to the workspace "${about.workspaceName}" as ${ROLE_WORDS[role].name.toLowerCase()}.`,
    'Open this address to join:',
  ]);
}

export function resetLetter(about: LetterAbout): Letter {
  return letter(about, 'Set a new password', [`${about.madeBy} made a link for you to set a new password:`]);
}

function letter({ name, email, link }: LetterAbout, subject: string, lines: readonly string[]): Letter {
  return {
    to: { name, email },
    subject: subject.replace(/\s+/g, ' '),
    text: [
      `Hello ${name},`,
      '',
      ...lines,
      '',
      link.url,
      '',
      `It works once, until ${link.expiresAt.slice(0, 10)}. Anyone who has it can use it, so do not pass it on.`,
      'If you did not expect this e-mail, ignore it; nothing happens.',
      '',
    ].join('\n'),
  };
}
