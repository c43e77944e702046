import type { MikroORM } from '@mikro-orm/postgresql';
import { v4 as newId } from 'uuid';
import type { AppOptions } from '../http/app.js';
import { Workspace } from './workspace.js';

/**
 * Signs everybody in as the person of the one workspace there is, making an empty one on the first day.
 * Good for one van or one player on one machine; real sign-in will take its place.
 */
export async function signInAsOwner(
  orm: MikroORM,
): Promise<{ workspaceId: string; signIn: AppOptions['signIn'] }> {
  const workspace = await orm.em.fork().transactional(async (em) => {
    await em.execute('lock table workspace in exclusive mode');
    const [first] = await em.find(Workspace, {}, { limit: 1, orderBy: { createdAt: 'asc', id: 'asc' } });
    return (
      first ?? em.create(Workspace, { id: newId(), name: 'My workbench', person: 'Owner' }, { persist: true })
    );
  });
  const scope = { workspaceId: workspace.id, workspaceName: workspace.name, who: workspace.person };
  return { workspaceId: workspace.id, signIn: () => Promise.resolve(scope) };
}
