import { describe, expect, it } from 'vitest';
import { formatDistance, signedDistance, toMetres, typedDistance } from '../../src/index.js';

describe('a distance in words', () => {
  it('comes back as it was typed, to a tenth, in its own unit', () => {
    for (const typed of [138, 137.5, 90.2, 300])
      for (const unit of ['yd', 'm'] as const)
        expect(typedDistance(toMetres(typed, unit), unit)).toBe(`${typed} ${unit}`);
  });

  it('has no sign where it rounds to nothing', () => {
    expect(formatDistance(-0.2, 'm')).toBe('0 m');
    expect(signedDistance(-0.2, 'm')).toBe('0');
    expect(signedDistance(-4.4, 'm')).toBe('−4');
  });
});
