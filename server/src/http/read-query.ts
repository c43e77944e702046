import type { Request } from 'express';
import type * as yup from 'yup';
import { badInput } from './http-error.js';

/**
 * The parameters after the question mark, checked. Each is known and stands there once.
 * @throws HttpError 400 for one that is unknown or given twice, yup.ValidationError for one that is no good
 */
export function readQuery<T extends yup.AnyObject>(request: Request, schema: yup.ObjectSchema<T>): T {
  const mark = request.originalUrl.indexOf('?');
  const given = new URLSearchParams(mark === -1 ? '' : request.originalUrl.slice(mark + 1));
  const values: Record<string, string> = {};
  for (const [name, value] of given) {
    if (!Object.hasOwn(schema.fields, name)) throw refusal(name, 'is not a parameter here');
    if (Object.hasOwn(values, name)) throw refusal(name, 'is given twice');
    values[name] = value;
  }
  return schema.validateSync(values) as T;
}

function refusal(name: string, what: string) {
  const shown = name.slice(0, 40);
  return badInput(`${shown} ${what}`, [{ field: shown, message: what }]);
}
