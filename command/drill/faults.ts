import type { Chance } from '../fuzz/chance.js';
import { CliError } from '../stop.js';
import { kill, type Host } from './hosts.js';
import type { Stage } from './stage.js';

/** The postmaster's command line; those of its children say what they do instead. */
const POSTMASTER = /bin\/postgres -D/;

/** A fault: what is done, and what brings it back where nothing does by itself. */
interface Fault {
  name: string;
  do: (stage: Stage, chance: Chance) => Promise<(() => void) | undefined>;
}

export const FAULTS: readonly Fault[] = [
  {
    name: 'primary: PostgreSQL killed',
    do: async (stage) => {
      const { primary } = await stage.roles();
      const postmaster = primary.pidOf(POSTMASTER);
      if (postmaster === undefined) throw new CliError(`no PostgreSQL runs on ${primary.name}.`);
      kill(postmaster);
      return undefined;
    },
  },
  { name: 'primary: power off', do: async (stage) => powerOff((await stage.roles()).primary) },
  {
    name: 'synchronous replica: power off',
    do: async (stage) => powerOff((await stage.roles()).synchronous),
  },
  { name: 'other replica: power off', do: async (stage) => powerOff((await stage.roles()).other) },
  {
    name: 'primary: cable pulled',
    do: async (stage) => {
      const { primary } = await stage.roles();
      primary.unplug();
      return () => primary.plug();
    },
  },
  {
    name: 'primary: cut off from the other databases only',
    do: async (stage) => {
      const { primary } = await stage.roles();
      primary.cutFrom(stage.databases.filter((host) => host !== primary));
      return () => primary.repair();
    },
  },
  {
    name: 'synchronous replica: cable pulled',
    do: async (stage) => {
      const { synchronous } = await stage.roles();
      synchronous.unplug();
      return () => synchronous.plug();
    },
  },
  {
    name: 'HAProxy before the databases killed',
    do: ({ databaseProxy }) => {
      databaseProxy.killService('haproxy');
      return Promise.resolve(undefined);
    },
  },
  {
    name: 'HAProxy before the servers killed',
    do: ({ serverProxy }) => {
      serverProxy.killService('haproxy');
      return Promise.resolve(undefined);
    },
  },
  {
    name: 'a Tasche server killed',
    do: ({ servers }, chance) => {
      chance.one(servers).killService('tasche');
      return Promise.resolve(undefined);
    },
  },
  {
    name: 'a Tasche server: cable pulled',
    do: ({ servers }, chance) => {
      const server = chance.one(servers);
      server.unplug();
      return Promise.resolve(() => server.plug());
    },
  },
];

function powerOff(host: Host): () => void {
  host.powerOff();
  return () => host.powerOn();
}
