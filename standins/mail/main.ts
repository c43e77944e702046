import { parseArgs } from 'node:util';
import { startMail } from './mail.js';

/** The mail stand-in as a program of its own: `--port`. It prints every letter and delivers none. */
const { values } = parseArgs({ options: { port: { type: 'string', default: '0' } } });
const port = Number(values.port);
if (!Number.isInteger(port) || port < 0 || port > 65_535) {
  console.error(`mail: --port must be a whole number between 0 and 65535, got "${values.port}".`);
  process.exit(2);
}
const mail = await startMail({
  port,
  onLetter: ({ to, text }) => {
    console.log(`-- a letter for ${to.join(', ')}\n${text}`);
  },
});
console.log(`mail: listening on 127.0.0.1:${mail.port}`);
for (const signal of ['SIGINT', 'SIGTERM'] as const)
  process.once(signal, () => {
    void mail.close().then(() => process.exit(0));
  });
