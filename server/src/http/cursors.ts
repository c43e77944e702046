import { idSchema, isDay } from '@tasche/contract';
import * as yup from 'yup';

/**
 * Where a page of a list ends, as the next one is asked for. Rows are told by a day or a moment, and by an id
 * or a count.
 */
export interface MomentCursor {
  at: string;
  id: string;
}
export interface DayCursor {
  day: string;
  seq: string;
}
export interface IdCursor {
  day: string;
  id: string;
}
export interface NameCursor {
  name: string;
  id: string;
}

const MOMENT = /^(\d{4}-\d\d-\d\d)T([01]\d|2[0-3]):[0-5]\d:[0-5]\d\.\d{6}Z$/;

function halves(text: string): { head: string; tail: string } {
  const cut = text.lastIndexOf('_');
  return { head: text.slice(0, Math.max(cut, 0)), tail: text.slice(cut + 1) };
}

function cursorSchema(isGood: (head: string, tail: string) => boolean) {
  return yup
    .string()
    .max(400)
    .test('cursor', '${path} is not what an answer gave as next', (text) => {
      if (text === undefined) return true;
      const { head, tail } = halves(text);
      return isGood(head, tail);
    });
}

const isId = (text: string) => idSchema.isValidSync(text, { strict: true });

/** `before=2026-11-20T10:00:00.123456Z_<id>` */
export const momentCursorSchema = cursorSchema(
  (head, tail) => isDay(MOMENT.exec(head)?.[1] ?? '') && isId(tail),
);
/** `before=2026-11-20_123` */
export const dayCursorSchema = cursorSchema((head, tail) => isDay(head) && /^\d{1,18}$/.test(tail));
/** `after=2026-11-20_<id>` */
export const idCursorSchema = cursorSchema((head, tail) => isDay(head) && isId(tail));
/** `after=<name>_<id>` */
export const nameCursorSchema = cursorSchema((head, tail) => isId(tail) && !head.includes('\u0000'));

export function momentCursor(text: string | undefined): MomentCursor | undefined {
  return text === undefined ? undefined : { at: halves(text).head, id: halves(text).tail };
}
export function dayCursor(text: string | undefined): DayCursor | undefined {
  return text === undefined ? undefined : { day: halves(text).head, seq: halves(text).tail };
}
export function idCursor(text: string | undefined): IdCursor | undefined {
  return text === undefined ? undefined : { day: halves(text).head, id: halves(text).tail };
}
export function nameCursor(text: string | undefined): NameCursor | undefined {
  return text === undefined ? undefined : { name: halves(text).head, id: halves(text).tail };
}
