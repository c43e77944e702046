import * as yup from './yup.js';
import { checkedLine, lineOf } from './monitor-lines.js';
import { finite, textSchema } from './schemas.js';

/** What a digital loft-and-lie gauge reads of one club, degrees; an angle it did not get is left out. */
export interface GaugeReading {
  loftDeg?: number;
  lieDeg?: number;
}

/**
 * What a gauge and the server say to each other: a JSON object a line over TCP (docs/formats/gauge-link.md).
 */
export type GaugeLine =
  | { type: 'hello'; device: string; simulated: boolean }
  | ({ type: 'reading'; number: number } & GaugeReading)
  | { type: 'beat' };

/** Sent to a simulated gauge: what the club in it is really at. */
export type GaugeOrder = { type: 'measure' } & GaugeReading;

/** The state of the gauge, for the person who checks a bag. */
export interface GaugeView {
  state: 'none' | 'away' | 'here';
  device: string | null;
  simulated: boolean;
}

const angles = { loftDeg: finite(-2, 80, 'degrees'), lieDeg: finite(45, 82, 'degrees') };
/** An order to a simulated gauge, as a browser sends it. */
export const gaugeOrderSchema = yup.object(angles);

const GAUGE_LINES: Record<GaugeLine['type'], yup.AnyObjectSchema> = {
  hello: yup.object({
    device: textSchema(60).min(1).required('${path} is missing'),
    simulated: yup.boolean().strict().required('${path} is missing'),
  }),
  reading: yup
    .object({
      number: finite(1, 2 ** 31 - 1)
        .integer('${path} must be a whole number')
        .required('${path} is missing'),
      ...angles,
    })
    .test(
      'angle',
      'the reading holds neither loftDeg nor lieDeg',
      (reading) => reading.loftDeg !== undefined || reading.lieDeg !== undefined,
    ),
  beat: yup.object({}),
};
const GAUGE_ORDERS: Record<GaugeOrder['type'], yup.AnyObjectSchema> = { measure: gaugeOrderSchema };

/**
 * A line from a gauge, read and checked; null is not given. @throws Error or yup.ValidationError saying what
 * is wrong with it
 */
export function readGaugeLine(text: string): GaugeLine {
  const { type, rest } = lineOf(text, GAUGE_LINES);
  const given = Object.fromEntries(Object.entries(rest).filter(([, value]) => value !== null));
  return { type, ...checkedLine(GAUGE_LINES[type], given) } as GaugeLine;
}

/** A line to a gauge, read and checked by it. @throws as `readGaugeLine` */
export function readGaugeOrder(text: string): GaugeOrder {
  const { type, rest } = lineOf(text, GAUGE_ORDERS);
  return { type, ...checkedLine(GAUGE_ORDERS[type], rest) } as GaugeOrder;
}
