import { describe, expect, it } from 'vitest';
import { normalFrom, randomFrom, spinLoss, type SpinSession } from '../src/index.js';

const session = (day: string, meanRpm: number, more: Partial<SpinSession> = {}): SpinSession => ({
  day,
  shots: 12,
  meanRpm,
  deviationRpm: 400,
  ...more,
});

describe('spin lost by worn grooves', () => {
  it('is between the first session since they were new and the newest', () => {
    const lost = spinLoss(
      [
        session('2026-11-01', 9300),
        session('2026-08-01', 9900),
        session('2026-09-01', 9000),
        session('2026-05-01', 7000),
      ],
      '2026-07-20',
    )!;
    expect(lost).toMatchObject({
      from: '2026-08-01',
      to: '2026-11-01',
      thenRpm: 9900,
      nowRpm: 9300,
      lostRpm: 600,
      isSignificant: true,
    });
    // Two means of twelve shots, 400 rpm about them: t of 22 degrees is 2.074 (Student's table), so 600 ± 339.
    expect(lost.lowRpm).toBeCloseTo(600 - 2.0739 * 400 * Math.sqrt(2 / 12), 0);
    expect(lost.highRpm).toBeCloseTo(600 + 2.0739 * 400 * Math.sqrt(2 / 12), 0);
  });

  it('says nothing until two sessions of five shots were measured since', () => {
    const sessions = [session('2026-08-01', 9900), session('2026-11-01', 9300)];
    expect(spinLoss([], '2026-01-01')).toBeUndefined();
    expect(spinLoss(sessions, '2026-08-02')).toBeUndefined();
    expect(spinLoss([sessions[0]!, session('2026-11-01', 9300, { shots: 4 })], '2026-01-01')).toBeUndefined();
    // More spin than before is no loss.
    expect(
      spinLoss([session('2026-08-01', 9300), session('2026-11-01', 9900)], '2026-01-01')!.isSignificant,
    ).toBe(false);
  });

  it('reports a loss that is not there about once in forty', () => {
    const normal = normalFrom(randomFrom(7));
    const measured = (day: string): SpinSession => {
      const spins = Array.from({ length: 10 }, () => 9500 + 400 * normal());
      const meanRpm = spins.reduce((sum, one) => sum + one, 0) / 10;
      const deviationRpm = Math.sqrt(spins.reduce((sum, one) => sum + (one - meanRpm) ** 2, 0) / 9);
      return { day, shots: 10, meanRpm, deviationRpm };
    };
    let told = 0;
    const trials = 4000;
    for (let i = 0; i < trials; i++)
      if (spinLoss([measured('2026-08-01'), measured('2026-11-01')], '2026-01-01')!.isSignificant) told += 1;
    // 2.5 in 100; four standard errors of a binomial share.
    expect(Math.abs(told / trials - 0.025)).toBeLessThan(4 * Math.sqrt((0.025 * 0.975) / trials));
  });
});
