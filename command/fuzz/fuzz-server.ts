import path from 'node:path';
import type * as startServerModule from '../../server/src/start-server.js';

/**
 * A server of its own for the fuzzer and benchmarks: no web part; says how much memory it holds when asked.
 * Where a folder of built modules
 * is named, it is the server as built.
 */
const [databaseUrl, ownerUrl, port, built] = process.argv.slice(2);
const { startServer } = (
  built ? await import(path.join(built, 'start-server.js')) : await import('../../server/src/start-server.js')
) as typeof startServerModule;
await startServer({
  databaseUrl: databaseUrl!,
  ownerUrl: ownerUrl!,
  host: '127.0.0.1',
  port: Number(port),
  demo: false,
  letMachineIn: true,
});
process.on('message', (message) => {
  if (message !== 'memory') return;
  globalThis.gc?.();
  process.send!({ heapUsed: process.memoryUsage().heapUsed });
});
process.on('disconnect', () => {
  process.exit(0);
});
process.send!('ready');
