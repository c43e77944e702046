import { gaps, type ClubKind, type LadderClub } from '@tasche/core';
import { percentile, report } from './figure.js';

/** A locker as large as they come, every club with a full and a soft shot. */
export function fortyClubs(): LadderClub[] {
  return Array.from({ length: 40 }, (_club, i) => ({
    id: `c${i}`,
    name: `club ${i}`,
    kind: (i < 10 ? 'fairway' : i < 30 ? 'iron' : 'wedge') as ClubKind,
    loftDeg: 9 + i * 1.3,
    shots: {
      full: {
        carryM: 260 - i * 5.2,
        source: 'measured' as const,
        sampleSize: 8 + (i % 20),
        spreadM: 4 + (i % 3),
        apexM: 28,
        descentDeg: 45,
      },
      soft: { carryM: 254 - i * 5.2, source: 'measured' as const, sampleSize: 12, spreadM: 4 },
    },
  }));
}

export function benchGaps(): void {
  const clubs = fortyClubs();
  for (let i = 0; i < 300; i++) gaps(clubs);
  const times = Array.from({ length: 1000 }, () => {
    const start = performance.now();
    gaps(clubs);
    return performance.now() - start;
  });
  const median = percentile(times, 0.5);
  report(
    'gaps on 40 measured clubs',
    `median ${median.toFixed(3)} ms, 95th ${percentile(times, 0.95).toFixed(3)} ms of 1000`,
    'under 1 ms',
    median < 1,
  );
}
