import { parseArgs } from 'node:util';
import { NO_GAUGE_FAULTS, USUAL_GAUGE_FAULTS, startGauge } from './gauge.js';

/** The simulated gauge as a program of its own: `--port`, `--device`, `--seed`, `--faultless`. */
const { values } = parseArgs({
  options: {
    port: { type: 'string', default: '0' },
    device: { type: 'string', default: 'stand-in gauge' },
    seed: { type: 'string', default: '1' },
    faultless: { type: 'boolean', default: false },
  },
});
const port = Number(values.port);
const seed = Number(values.seed);
if (!Number.isInteger(port) || port < 0 || port > 65_535 || !Number.isInteger(seed)) {
  console.error('gauge: --port and --seed must be whole numbers.');
  process.exit(2);
}
const gauge = await startGauge({
  port,
  seed,
  device: values.device,
  faults: values.faultless ? NO_GAUGE_FAULTS : USUAL_GAUGE_FAULTS,
});
console.log(`gauge: listening on 127.0.0.1:${gauge.port}`);
const leave = () => {
  void gauge.close().then(() => process.exit(0));
};
for (const signal of ['SIGINT', 'SIGTERM'] as const) process.once(signal, leave);
// Started by a demo that is gone, it has nothing to live for.
process.on('disconnect', leave);
