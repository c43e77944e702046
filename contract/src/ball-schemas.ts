import * as yup from './yup.js';
import { MAX_BALLS_A_PLAYER } from './limits.js';
import { dateSchema, nameSchema, required, shape } from './schemas.js';

/** A ball a player took up, and the day; it is in play until the next one. */
export interface BallInPlay {
  name: string;
  /** YYYY-MM-DD. */
  from: string;
}

export const ballsSchema = yup
  .array(required(shape({ name: required(nameSchema), from: required(dateSchema) })))
  .max(MAX_BALLS_A_PLAYER, `\${path} holds more than ${MAX_BALLS_A_PLAYER} balls`)
  .test('days', '${path} names one day twice', (balls) => {
    const days = (balls ?? []).map((ball) => (ball as { from?: string } | undefined)?.from);
    return new Set(days).size === days.length;
  });

/** The ball in play on a day, or undefined where none was recorded for it. */
export function ballOn(balls: readonly BallInPlay[], day: string): string | undefined {
  return balls.filter(({ from }) => from <= day).toSorted((a, b) => b.from.localeCompare(a.from))[0]?.name;
}
