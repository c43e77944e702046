/**
 * Input the model refuses, by the name of the field. Nothing is ever computed from it, so nothing is ever NaN.
 */
export class InvalidInputError extends RangeError {
  override readonly name = 'InvalidInputError';

  constructor(
    readonly field: string,
    readonly reason: string,
  ) {
    super(`${field} ${reason}`);
  }
}

/** The least and most each field may be. */
export type Bounds<K extends string> = Readonly<Record<K, readonly [min: number, max: number]>>;

/**
 * Every field that is there lies within its bounds.
 * @throws InvalidInputError naming the first field that is not a number or lies outside
 */
export function requireWithin<K extends string>(
  values: Partial<Record<K, number | undefined>>,
  bounds: Bounds<K>,
  optional: readonly K[] = [],
): void {
  for (const field of Object.keys(bounds) as K[]) {
    const value = values[field];
    if (value === undefined && optional.includes(field)) continue;
    const [min, max] = bounds[field];
    if (typeof value !== 'number' || !Number.isFinite(value))
      throw new InvalidInputError(field, value === undefined ? 'is missing' : 'must be a number');
    if (value < min || value > max)
      throw new InvalidInputError(field, `must be between ${min} and ${max}, not ${value}`);
  }
}
