import * as rrule from 'rrule';

/** The package is CommonJS to Node and a module to a bundler: its class stands in either of two places. */
const standing = rrule as unknown as Partial<typeof rrule> & { default?: typeof rrule };

/** A rule of recurrence as iCalendar knows it (RFC 5545). */
export const RecurrenceRule = standing.RRule ?? standing.default!.RRule;
