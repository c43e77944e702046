import { parseArgs } from 'node:util';
import { startWeather } from './weather.js';

/**
 * The weather stand-in as a program of its own: `--port`, `--seed`, `--members` of the ensemble, `--delay`
 * milliseconds before it answers.
 */
const { values } = parseArgs({
  options: {
    port: { type: 'string', default: '0' },
    seed: { type: 'string', default: '1' },
    members: { type: 'string', default: '12' },
    delay: { type: 'string', default: '0' },
  },
});

const number = (name: keyof typeof values, min: number, max: number): number => {
  const value = Number(values[name]);
  if (Number.isInteger(value) && value >= min && value <= max) return value;
  console.error(
    `weather: --${name} must be a whole number between ${min} and ${max}, got "${values[name]}".`,
  );
  process.exit(2);
};

const weather = await startWeather({
  port: number('port', 0, 65_535),
  seed: number('seed', 0, 2 ** 31 - 1),
  members: number('members', 1, 50),
  delayMs: number('delay', 0, 600_000),
});
console.log(`weather: listening on 127.0.0.1:${weather.port}`);
for (const signal of ['SIGINT', 'SIGTERM'] as const)
  process.once(signal, () => {
    void weather.close().then(() => process.exit(0));
  });
// Started by a demo that is gone, it has nothing to live for.
process.on('disconnect', () => {
  void weather.close().then(() => process.exit(0));
});
