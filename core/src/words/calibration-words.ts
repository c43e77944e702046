import type { Calibration } from '../calibration/index.js';
import type { Severity } from '../gaps/index.js';

/** How far what was said before held, in a sentence or two. */
export function calibrationWords({
  predictions,
  within95,
  share95: [low, high],
  bias,
  stretch,
  verdict,
}: Calibration): { severity: Severity; text: string } {
  const tenths = (share: number) => (share * 100).toFixed(1);
  const percent = (share: number) => `${Math.round(share * 100)}`;
  const counted = `${within95} of ${predictions} carries came within their range; ranges are drawn to hold 95 in 100 (here ${percent(low)} to ${percent(high)})`;
  const leans =
    bias && Math.abs(bias.mean) > bias.plusMinus
      ? ` They came ${tenths(Math.abs(bias.mean))} % ${bias.mean > 0 ? 'longer' : 'shorter'} than expected, ± ${tenths(bias.plusMinus)}.`
      : '';
  switch (verdict) {
    case 'too few':
      return { severity: 'warning', text: `${counted}. Too few to say how far to trust them.${leans}` };
    case 'too sure':
      return {
        severity: 'error',
        text: `${counted}. The ranges were too narrow: read every range as ${stretch.toFixed(1)} times as wide.${leans}`,
      };
    case 'too careful':
      return {
        severity: 'warning',
        text: `${counted}. The carries came closer than that: the ranges are too wide.${leans}`,
      };
    case 'right':
      return { severity: leans ? 'warning' : 'fine', text: `${counted}. The ranges held.${leans}` };
  }
}
