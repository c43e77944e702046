import { describe, expect, it } from 'vitest';
import { cutName } from '../../src/index.js';

describe('a name in the room there is', () => {
  it('is whole where it fits, and else says that it was cut', () => {
    expect(cutName('Driving iron', 12)).toBe('Driving iron');
    expect(cutName('Driving iron 2', 12)).toBe('Driving iro…');
    expect(cutName('Driving iron 2', 9)).toBe('Driving…');
    expect(cutName('5 iron', 0)).toBe('5…');
    // Letters of two code units are one letter.
    expect(cutName('😀😀😀', 3)).toBe('😀😀😀');
    expect(cutName('😀😀😀', 2)).toBe('😀…');
  });
});
