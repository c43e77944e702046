import { describe, expect, it } from 'vitest';
import { TIE_STROKES, isTie, lossWords } from '../../src/index.js';

describe('a tie', () => {
  it('is what other seeds and other carries turn over, either way', () => {
    expect([0, 0.029, -0.029, TIE_STROKES, -0.2].map(isTie)).toEqual([true, true, true, false, false]);
    expect([0.004, 0.03, 0.126, -0.41].map(lossWords)).toEqual(['a tie', '+0.03', '+0.13', '−0.41']);
  });
});
