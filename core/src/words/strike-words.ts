import type { Outlier } from '../strikes/index.js';

/** How far a strike is from the rest. */
export function outlierWords(outlier: Outlier): string {
  if (outlier.by === 'short')
    return `carried ${Math.round(outlier.share * 100)} % of the middle one: a mis-hit`;
  const far = `${outlier.deviations.toFixed(1)} deviations`;
  return outlier.by === 'carry' ? `carry ${far} from the middle` : `${far} off line`;
}
