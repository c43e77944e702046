import { STRIKE_PARTS, type StrikePart } from '@tasche/core';

/** The column a part of a strike is kept in: `ballSpeedMps` in `ball_speed_mps`. */
function columnOf(part: StrikePart): string {
  return part.replace(/[A-Z]/g, (letter) => `_${letter.toLowerCase()}`);
}

/** The columns of what was given of a strike, in the order of `STRIKE_PARTS`. */
export const GIVEN_COLUMNS = STRIKE_PARTS.map(columnOf).join(', ');

/** What was given of a strike, as JSON, the rest left out. */
export const GIVEN_JSON = `json_strip_nulls(json_build_object(${STRIKE_PARTS.map((part) => `'${part}', ${columnOf(part)}`).join(', ')}))`;
