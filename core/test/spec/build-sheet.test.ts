import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { buildDifferences, buildOf, copyOfBuild, type Reading, type Spec } from '../../src/index.js';
import { specAsOf } from '../../src/spec/readings.js';
import { anyReading } from '../any-reading.js';

describe('a build sheet', () => {
  it('copies a build, and no difference is left, whatever is known of it', () => {
    fc.assert(
      fc.property(fc.array(anyReading, { maxLength: 30 }), (readings) => {
        const spec = specAsOf(readings as Reading[]);
        const copy = specAsOf(copyOfBuild(spec, '2026-11-20'));
        expect(buildDifferences(spec, copy)).toEqual([]);
        expect(copy.serial).toBeUndefined();
        expect(Object.keys(copy).some((key) => key.startsWith('shot.'))).toBe(false);
      }),
    );
  });

  it('is built to the loft and the lie the club is really at, not to what it was asked for', () => {
    const spec: Spec = {
      loftStampedDeg: { value: 44, takenOn: '2025-01-01' },
      loftSetDeg: { value: 45, takenOn: '2025-02-01' },
      loftMeasuredDeg: { value: 45.5, takenOn: '2025-03-01' },
      lieSetDeg: { value: 64, takenOn: '2025-02-01' },
      lieDeg: { value: 63.5, takenOn: '2025-03-01' },
    };
    const parts = new Map(buildOf(spec).map(({ key, value }) => [key, value]));
    expect(parts.get('loftSetDeg')).toBe(45.5);
    expect(parts.get('lieSetDeg')).toBe(63.5);
    expect(copyOfBuild(spec, '2026-11-20').map(({ key }) => key)).not.toContain('loftMeasuredDeg');
  });

  it('names what differs', () => {
    const spec: Spec = {
      lengthIn: { value: 35, takenOn: '2025-01-01' },
      serial: { value: 'A', takenOn: '2025-01-01' },
    };
    expect(buildDifferences(spec, { ...spec, serial: { value: 'B', takenOn: '2025-01-01' } })).toEqual([]);
    expect(buildDifferences(spec, { ...spec, lengthIn: { value: 35.25, takenOn: '2025-01-01' } })).toEqual([
      'lengthIn',
    ]);
    expect(buildDifferences(spec, {})).toEqual(['lengthIn']);
  });
});
