import { formatDistance } from '../units/index.js';
import { MAX_MORE_SHOTS } from './certainty.js';
import type { FlightDifference } from './flight-difference.js';
import { isModelled, type CarryVerdict, type StepContext } from './judge-carry.js';
import type { Step } from './ladder.js';
import type { StepReport } from './report.js';
import { coverWords, flightWords, pairName, stepSize } from './words.js';

/** One sentence on a carry step. @param estimate the verdict where nothing about it were unsure */
export function carryReason(
  step: Step,
  carry: CarryVerdict,
  estimate: CarryVerdict,
  { unit, targetM, settings }: StepContext,
  {
    flight,
    cover,
    interval,
    moreShots,
  }: { flight: FlightDifference } & { [K in 'cover' | 'interval' | 'moreShots']: StepReport[K] | undefined },
): string {
  const size = `${pairName(step)} is ${stepSize(step, unit)}`;
  const target = targetM === undefined ? '' : `, target ${formatDistance(targetM, unit)}`;
  switch (carry.word) {
    case 'either-or':
      return `${size}, but they fly differently (${flightWords(flight, unit)}): one or the other, by course and wind.`;
    case 'overlap':
      return flight.verdict === 'unknown'
        ? `${size}, an overlap unless they fly differently; record apex and landing angle to know.`
        : `${size} and they fly alike (${flightWords(flight, unit)}): two clubs for one job.`;
    case 'covered':
      return `${size}${target}; ${coverWords(cover!, unit)}.`;
    case 'wide':
      return `${size}, over ${formatDistance(carry.limitM!, unit)}${carry.code === 'wide-of-target' ? ` (${settings.wideOfTarget} times the target)` : ''}.`;
    case 'narrow':
      return `${size}, under ${shareWords(settings.narrowOfTarget)} of its target ${formatDistance(targetM!, unit)}.`;
    case 'at the limit':
      return `${size}${target}: so near its limit that it is right either way.`;
    case 'not known yet': {
      const sure = `${Math.round(settings.confidence * 100)} %`;
      const range = `${formatDistance(interval!.lowM, unit)} to ${formatDistance(interval!.highM, unit)} at ${sure}`;
      const settle = isModelled(step)
        ? modelledWords(step)
        : moreShots === undefined
          ? `hitting more will not tell: over ${MAX_MORE_SHOTS} shots with each would be needed`
          : `about ${moreShots} more shot${moreShots === 1 ? '' : 's'} with each would settle it`;
      return `${size}, somewhere from ${range}: not known yet whether it is ${estimate.word}; ${settle}.`;
    }
    default:
      return `${size}${target}.`;
  }
}

/** "the carry of the 5 iron is only modelled; type it or hit some shots". */
function modelledWords({ upper, lower }: Step): string {
  const modelled = [upper, lower].filter(({ full }) => full.source === 'modelled');
  const whose = modelled.length > 1 ? 'both carries are' : `the carry of the ${modelled[0]!.name} is`;
  return `${whose} only modelled; type ${modelled.length > 1 ? 'them' : 'it'} or hit some shots`;
}

function shareWords(share: number): string {
  return share === 0.5 ? 'half' : `${Math.round(share * 100)} %`;
}
