import { plainEmail } from '@tasche/contract';
import { reaching } from './cluster.js';
import { dataFolder } from './data-folder.js';
import { CliError } from './stop.js';

/**
 * `./tasche reset-link E-MAIL`: whoever runs the server lets somebody set a new password who cannot get in any
 * more, an owner among them.
 * @throws CliError
 */
export async function resetLink(email: string | undefined, data: string | undefined): Promise<void> {
  if (email === undefined) throw new CliError('say whose: ./tasche reset-link E-MAIL', 2);
  const given = process.env.DATABASE_OWNER_URL || process.env.DATABASE_URL;
  const url = given
    ? await makeReset(given, email)
    : await reaching(dataFolder(data), ({ ownerUrl }) => makeReset(ownerUrl, email));
  console.log(`tasche: once, within a week, at the address people reach the server by:\n  ${url}`);
}

async function makeReset(ownerUrl: string, email: string): Promise<string> {
  const { asTableOwner } = await import('../server/src/database/database.js');
  const { Membership, Person } = await import('../server/src/people/person.js');
  const { BY_THE_SERVER, makeLink } = await import('../server/src/people/one-time-links.js');
  const { asAsker } = await import('../server/src/workspaces/in-workspace.js');
  return asTableOwner(ownerUrl, async (orm) => {
    const key = plainEmail(email);
    const person = await asAsker(orm, { key }, (em) => em.findOne(Person, { email: key }));
    if (!person) throw new CliError(`nobody has an account with the address ${email}.`);
    const place = await asAsker(orm, { personId: person.id }, (em) =>
      em.findOne(Membership, { personId: person.id }),
    );
    if (!place) throw new CliError(`${person.name} is in no workspace; an owner has to invite them again.`);
    const { url } = await asAsker(orm, { workspaceId: place.workspaceId }, (em) =>
      Promise.resolve(
        makeLink(em, '', {
          purpose: 'reset',
          workspaceId: place.workspaceId,
          personId: person.id,
          name: person.name,
          email: person.email,
          madeBy: BY_THE_SERVER,
        }),
      ),
    );
    return url;
  });
}
