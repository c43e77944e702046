import { startServer } from '../../server/src/start-server.js';

/** A server of its own for the fuzzer: no web part; says how much memory it holds when asked. */
const [databaseUrl, ownerUrl, port] = process.argv.slice(2);
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
