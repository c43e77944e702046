import {
  BENCH_JOBS,
  QUANTITIES,
  TICKET_STATES,
  quantityOf,
  type BenchJob,
  type BenchValue,
  type Miss,
  type QuantityKey,
  type TicketState,
} from '@tasche/core';
import * as yup from './yup.js';
import { dateSchema, idSchema, nameSchema, quantitySchema, required, shape, textSchema } from './schemas.js';

/** A job for the bench, as it is recorded. */
export interface TicketDetails {
  name: string;
  job: BenchJob;
  clubId: string;
  /** What the club is to be. */
  wanted: readonly BenchValue[];
  why: string;
  /** For which event; null for none. */
  eventId: string | null;
  /** YYYY-MM-DD. */
  dueOn: string | null;
}

export interface TicketView extends TicketDetails {
  id: string;
  playerId: string;
  version: number;
  state: TicketState;
  /** What was measured when it was last handed in. */
  became: readonly BenchValue[];
  /** What of it was not met; it is open again then. */
  misses: readonly Miss[];
  doneOn: string | null;
  removed: boolean;
}

/** A ticket in the queue of everybody, with the names it goes by. */
export interface TicketEntry extends TicketView {
  playerName: string;
  clubName: string;
  eventName: string | null;
}

const MAX_VALUES = 20;
const keySchema = yup
  .string()
  .strict()
  .oneOf(
    QUANTITIES.map(({ key }) => key),
    '${path} is not a quantity this sheet keeps',
  );

/** Values of quantities, one of each, within what a club can show. */
export const benchValuesSchema = yup
  .array(
    required(
      shape({
        key: required(keySchema),
        value: required(yup.mixed<number | string>()).test('value', '', (value, context) => {
          const quantity = quantityOf((context.parent as { key?: string }).key ?? '');
          if (!quantity || value === undefined) return true;
          try {
            quantitySchema(quantity).validateSync(value, { strict: true });
            return true;
          } catch (error) {
            if (!(error instanceof yup.ValidationError)) throw error;
            return context.createError({ message: error.errors[0]!.replace(/^this/, quantity.label) });
          }
        }),
      }),
    ),
  )
  .max(MAX_VALUES, `\${path} holds more than ${MAX_VALUES} values`)
  .test('once', '${path} names one quantity twice', (values) => {
    const keys = (values ?? []).map((one) => (one as { key?: QuantityKey } | undefined)?.key);
    return new Set(keys).size === keys.length;
  });

export const ticketDetails = {
  name: nameSchema,
  job: yup
    .string()
    .strict()
    .oneOf(BENCH_JOBS, `\${path} must be one of: ${BENCH_JOBS.join(', ')}`),
  clubId: idSchema,
  wanted: benchValuesSchema,
  why: textSchema(500),
  eventId: idSchema.nullable(),
  dueOn: dateSchema.nullable(),
};

/** A person moves a ticket between these; it is done by handing in what was measured. */
export const ticketStateSchema = yup
  .string()
  .strict()
  .oneOf(TICKET_STATES, `\${path} must be one of: ${TICKET_STATES.join(', ')}`);
