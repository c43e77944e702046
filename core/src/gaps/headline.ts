import { type DistanceUnit, formatDistance } from '../units/index.js';
import type { Evenness, Flag, GapReport, StepReport } from './report.js';
import { evennessWords, unevenWords } from './words.js';

/** The one sentence that matters most about a bag. */
export function headlineOf({
  steps,
  flags,
  rungs,
  evenness,
  unit,
}: {
  steps: readonly StepReport[];
  flags: readonly Flag[];
  rungs: number;
  evenness: Evenness | undefined;
  unit: DistanceUnit;
}): GapReport['headline'] {
  if (rungs < 2) {
    return {
      severity: 'unknown',
      title: 'No ladder yet.',
      text: 'Give two clubs a carry and the steps between them appear.',
    };
  }
  const faults = byWeight(flags, 'error');
  const looks = byWeight(flags, 'warning');
  const worst = faults[0] ?? looks[0];
  if (worst) {
    const many = worst.severity === 'error' ? faults : looks;
    const stepsConcerned = new Set(many.map((flag) => flag.clubIds.join(' '))).size;
    return {
      severity: worst === faults[0] ? 'error' : 'warning',
      title: titleOf(worst, stepsConcerned),
      text: `${worst.reason}${othersAverage(worst, steps, unit)}`,
      clubIds: worst.clubIds,
    };
  }
  const unknown = steps.filter((step) => step.severity === 'unknown');
  if (unknown.length > 0) {
    return {
      severity: 'unknown',
      title:
        unknown.length === 1 ? 'One step not known yet.' : `${count(unknown.length)} steps not known yet.`,
      text: unknown[0]!.reason,
    };
  }
  return {
    severity: 'fine',
    title: 'An even bag.',
    text: evenness ? evenSentence(evenness, unit) : '',
  };
}

function evenSentence(evenness: Evenness, unit: DistanceUnit): string {
  const words = unevenWords(evenness, unit);
  return words === 'even'
    ? `Its ${evenness.steps} steps are as even as the shots can tell.`
    : `Its ${evenness.steps} steps are usually within ${evennessWords(evenness, unit)} of their targets.`;
}

function byWeight(flags: readonly Flag[], severity: Flag['severity']): Flag[] {
  const excess = (flag: Flag) => (flag.limit > 0 ? Math.abs(flag.value - flag.limit) / flag.limit : 0);
  return flags.filter((flag) => flag.severity === severity).sort((a, b) => excess(b) - excess(a));
}

function titleOf(flag: Flag, many: number): string {
  const noun = NOUNS[flag.code];
  return many === 1
    ? `One ${noun}.`
    : `${count(many)} ${flag.severity === 'error' ? 'faults' : 'things to look at'}; first, one ${noun}.`;
}

const NOUNS: Record<Flag['code'], string> = {
  'wedge-loft-wide': 'gap too wide',
  'scoring-carry-wide': 'gap too wide',
  'top-carry-wide': 'gap too wide',
  'driver-carry-wide': 'wide step',
  'wide-of-target': 'wide step',
  'wedge-loft-narrow': 'narrow step',
  'narrow-of-target': 'narrow step',
  overlap: 'dead overlap',
  reversed: 'pair the wrong way round',
  'same-loft': 'loft twice',
  'never-hit': 'idle club',
};

const COUNTS = ['No', 'One', 'Two', 'Three', 'Four', 'Five', 'Six', 'Seven', 'Eight', 'Nine'];

function count(n: number): string {
  return COUNTS[n] ?? String(n);
}

/** What the other steps are, so that the worst can be seen against them. */
function othersAverage(worst: Flag, steps: readonly StepReport[], unit: DistanceUnit): string {
  if (worst.unit === 'per round') return '';
  const others = steps.filter(
    (step) =>
      step.word !== 'either-or' &&
      !(worst.clubIds.includes(step.upperId) && worst.clubIds.includes(step.lowerId)),
  );
  if (others.length < 2) return '';
  const mean = others.reduce((sum, step) => sum + step.carryM, 0) / others.length;
  const average = `other steps average ${formatDistance(mean, unit, 1)}.`;
  const step = steps.find((one) => worst.clubIds[0] === one.upperId && worst.clubIds[1] === one.lowerId);
  // A fault of lofts is said with what it carries, so that the average has something to be held against.
  return worst.unit === 'deg' && step
    ? ` It carries ${formatDistance(step.carryM, unit)}; the ${average}`
    : ` The ${average}`;
}
