import { parseArgs } from 'node:util';
import { NO_FAULTS, USUAL_FAULTS, startLaunchMonitor } from './launch-monitor.js';

/**
 * The simulated launch monitor as a program of its own: `--port`, `--host`, `--device`, `--seed`, `--every`
 * milliseconds between balls, `--faultless`.
 */
const { values } = parseArgs({
  options: {
    port: { type: 'string', default: '0' },
    host: { type: 'string', default: '127.0.0.1' },
    device: { type: 'string', default: 'stand-in' },
    seed: { type: 'string', default: '1' },
    every: { type: 'string', default: '700' },
    faultless: { type: 'boolean', default: false },
  },
});

const number = (name: 'port' | 'seed' | 'every', min: number, max: number): number => {
  const value = Number(values[name]);
  if (Number.isInteger(value) && value >= min && value <= max) return value;
  console.error(
    `launch-monitor: --${name} must be a whole number between ${min} and ${max}, got "${values[name]}".`,
  );
  process.exit(2);
};

const monitor = await startLaunchMonitor({
  port: number('port', 0, 65_535),
  host: values.host,
  device: values.device,
  seed: number('seed', 0, 2 ** 31 - 1),
  everyMs: number('every', 1, 60_000),
  faults: values.faultless ? NO_FAULTS : USUAL_FAULTS,
});
console.log(`launch-monitor: listening on ${values.host}:${monitor.port}`);
for (const signal of ['SIGINT', 'SIGTERM'] as const)
  process.once(signal, () => {
    void monitor.close().then(() => process.exit(0));
  });
// Started by a demo that is gone, it has nothing to live for.
process.on('disconnect', () => {
  void monitor.close().then(() => process.exit(0));
});
