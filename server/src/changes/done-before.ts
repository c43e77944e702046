import type { EntityManager } from '@mikro-orm/postgresql';
import { waitForReplicas } from '../database/wait-for-replicas.js';
import { Change } from './change.js';

/** The change of that id, where it was done before; the answer is as reliable as for one done now. */
export async function doneBefore(em: EntityManager, id: string): Promise<Change | null> {
  const done = await em.findOne(Change, { id });
  if (done) await waitForReplicas(em);
  return done;
}
