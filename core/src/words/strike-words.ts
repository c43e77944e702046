import type { Outlier } from '../strikes/index.js';

/** How far a strike is from the rest. */
export function outlierWords({ by, deviations }: Outlier): string {
  const far = `${deviations.toFixed(1)} deviations`;
  return by === 'carry' ? `carry ${far} from the middle` : `${far} off line`;
}
