export {
  type BenchJob,
  type BenchValue,
  type Miss,
  type TicketState,
  BENCH_JOBS,
  BUILDER_WORDS,
  JOB_CAUTIONS,
  TICKET_STATES,
  finishTicket,
  isMet,
  measuredKey,
  offBy,
} from './ticket.js';
export {
  type Gauged,
  type GaugeVerdict,
  CHECK_EVERY_DAYS,
  GAUGED,
  GAUGE_DEG,
  GAUGE_KEYS,
  checkProgress,
  checkedOn,
  gaugeCheck,
  isGauged,
  loftDrift,
  nextCheckDue,
  sheetLie,
} from './check.js';
export { type ClubPutBack, clubPutBack } from './put-back.js';
export { type SpinSession, spinLoss } from './spin-loss.js';
export { grooveWear, gripWear } from './wear.js';
