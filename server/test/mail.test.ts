import { pino } from 'pino';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { startMail, type MailStandIn } from '../../standins/mail/mail.js';
import { mailThrough, type MailService } from '../src/mail/mail-service.js';
import { PASSWORD, signInServer, keyOf, type SignInServer } from './sign-in-server.js';

const log = pino({ level: 'silent' });
const FROM = 'tasche@van.example';
let post: MailStandIn;
let mail: MailService;
let door: SignInServer;
beforeAll(async () => {
  post = await startMail({ port: 0 });
  mail = mailThrough(`smtp://127.0.0.1:${post.port}`, FROM, log);
  door = await signInServer({ mail });
});
afterAll(async () => {
  mail?.close();
  await door?.close();
  await post?.close();
});

/** The text of a letter, whose long lines were broken for the way. */
const read = (text: string) => text.replace(/=\r?\n/g, '').replace(/=3D/g, '=');
const linkIn = (text: string) => /https?:\/\/\S+\/welcome#[\w-]+/.exec(read(text))![0];

describe('where a mail service is named', () => {
  it('an invitation goes by letter, and the letter lets in whom it was for', async () => {
    const { body } = await door.owner
      .post('/people/invite', { name: 'Ida Falk', email: 'ida@van.example', role: 'assistant' })
      .expect(200);
    expect(body).toMatchObject({ mailed: true });
    const { from, to, text } = post.letters.at(-1)!;
    expect({ from, to }).toEqual({ from: FROM, to: ['ida@van.example'] });
    expect(read(text)).toContain('Hello Ida Falk,');
    expect(read(text)).toContain('Test van');
    expect(linkIn(text)).toBe((body as { url: string }).url);
    const ida = await door
      .browser()
      .enter('/links/use', { key: keyOf(linkIn(text)), name: 'Ida Falk', password: PASSWORD });
    expect(ida).toMatchObject({ who: 'Ida Falk', role: 'assistant' });
  });

  it('so does a reset, to the address of the account', async () => {
    const { email, personId } = await door.invited('rep');
    const { body } = await door.owner.post('/people/reset', { personId }).expect(200);
    expect(body).toMatchObject({ mailed: true });
    expect(post.letters.at(-1)).toMatchObject({ to: [email] });
    expect(linkIn(post.letters.at(-1)!.text)).toBe((body as { url: string }).url);
  });

  it('a name adds no line to the header of a letter, and no recipient', async () => {
    const before = post.letters.length;
    const answer = await door.owner.post('/people/invite', {
      name: 'Eve\r\nBcc: all@van.example',
      email: 'eve@van.example',
      role: 'rep',
    });
    if (answer.status === 200) {
      const { to, text } = post.letters.at(-1)!;
      expect(to).toEqual(['eve@van.example']);
      expect(text.slice(0, text.indexOf('\r\n\r\n'))).not.toMatch(/^bcc:/im);
    } else {
      expect(answer.status).toBe(400);
      expect(post.letters).toHaveLength(before);
    }
  });
});

describe('where a letter cannot be sent', () => {
  it('the link is there all the same, and says so', async () => {
    const refusing = await startMail({ port: 0, refuses: true });
    const gone = await startMail({ port: 0 });
    await gone.close();
    for (const { port } of [refusing, gone]) {
      const service = mailThrough(`smtp://127.0.0.1:${port}`, FROM, log);
      const other = await signInServer({ mail: service });
      const { body } = await other.owner
        .post('/people/invite', { name: 'Ole Vik', email: `ole-${port}@van.example`, role: 'rep' })
        .expect(200);
      expect(body).toMatchObject({ mailed: false, url: expect.stringContaining('/welcome#') as string });
      service.close();
      await other.close();
    }
    await refusing.close();
  });

  it('and where no service is named, no one is told that one was sent', async () => {
    const without = await signInServer();
    const { body } = await without.owner
      .post('/people/invite', { name: 'Ann Berg', email: 'ann@van.example', role: 'rep' })
      .expect(200);
    expect(body).toMatchObject({ mailed: null });
    await without.close();
  });
});
