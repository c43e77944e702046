import { describe, expect, it } from 'vitest';
import { fitName } from '../../src/ladder/fit-name';

describe('a name beside the rail', () => {
  it('is whole where there is room, and else cut where it says so', () => {
    expect(fitName('7 iron', 100)).toBe('7 iron');
    expect(fitName('7 iron of the second set', 70)).toBe('7 iron of…');
    expect(fitName('Driving iron', 56)).toBe('Driving…');
    // However little room there is, something of it stands.
    expect(fitName('Driving iron', -5)).toBe('Dr…');
  });
});
