import { showQuantity, type ClubView, type TicketView } from '@tasche/contract';
import {
  bendOutcome,
  distanceNumber,
  ladderClub,
  measuredKey,
  offBy,
  playingLoft,
  quantityOf,
  type BenchJob,
  type BenchValue,
  type Conditions,
  type DistanceUnit,
  type Miss,
  type QuantityKey,
} from '@tasche/core';
import { byName } from '../app/by-name';

export const JOB_WORDS: Record<BenchJob, string> = {
  bend: 'Bend',
  sleeve: 'Turn the sleeve',
  weight: 'Weight',
  length: 'Length',
  shaft: 'Shaft',
  grip: 'Grip',
  grooves: 'Grooves',
  build: 'Build',
  other: 'Other',
};

/** A job's name until it is given another: "Regrip the 5 wood". */
export function usualName(job: BenchJob, clubName: string): string {
  const names: Record<BenchJob, string> = {
    bend: `Bend the ${clubName}`,
    sleeve: `Turn the ${clubName}’s sleeve`,
    weight: `Weight on the ${clubName}`,
    length: `Length of the ${clubName}`,
    shaft: `New shaft for the ${clubName}`,
    grip: `Regrip the ${clubName}`,
    grooves: `New grooves for the ${clubName}`,
    build: `Build the ${clubName}`,
    other: `The ${clubName}`,
  };
  return names[job];
}

/** What a job is usually about: the quantities it asks for. */
export const JOB_KEYS: Record<BenchJob, readonly QuantityKey[]> = {
  bend: ['loftSetDeg', 'lieSetDeg'],
  sleeve: ['setting', 'loftSetDeg'],
  weight: ['swingWeight', 'leadG', 'leadPlace'],
  length: ['lengthIn', 'swingWeight'],
  shaft: ['shaft', 'shaftWeightG', 'flex', 'tipTrimIn', 'swingWeight'],
  grip: ['grip', 'gripWraps'],
  grooves: ['grooveDate'],
  build: ['head', 'loftSetDeg', 'lieSetDeg', 'lengthIn', 'shaft', 'grip', 'swingWeight'],
  other: [],
};

const shown = (key: QuantityKey, value: number | string) => showQuantity(quantityOf(key)!, value);
/** "loft", "lie": of a set or a measured value the plain word. */
export function plainLabel(key: QuantityKey): string {
  if (key === 'loftSetDeg' || key === 'loftMeasuredDeg') return 'loft';
  if (key === 'lieSetDeg') return 'lie';
  return quantityOf(key)!.label.toLowerCase();
}

/** What a club is now in what is wanted of it; null where not known. */
export function nowOf(club: ClubView | undefined, key: QuantityKey): number | string | null {
  if (!club) return null;
  if (key === 'loftSetDeg') return playingLoft(club.spec)?.deg ?? null;
  const fact = club.spec[measuredKey(key)] ?? club.spec[key];
  return typeof fact?.value === 'object' ? null : (fact?.value ?? null);
}

/** "loft 44.0° to 45.0°, lie 63.5° to 64.0°": now and wanted. */
export function wantedWords(wanted: readonly BenchValue[], club: ClubView | undefined): string {
  return wanted
    .map(({ key, value }) => {
      const now = nowOf(club, key);
      const from = now === null || shown(key, now) === shown(key, value) ? '' : `${shown(key, now)} to `;
      return `${plainLabel(key)} ${from}${shown(key, value)}`;
    })
    .join(', ');
}

/** "loft became 46.0°, 1.0° off": what was missed. */
export function missWords(misses: readonly Miss[]): string {
  return misses
    .map(
      ({ key, wanted, became }) =>
        `${plainLabel(key)} became ${shown(key, became)} where ${shown(key, wanted)} was wanted`,
    )
    .join('; ');
}

/** "loft became 45.25°, 0.25° over": what a job that is done made of a club, beside what was asked. */
export function becameWords({ wanted, became }: Pick<TicketView, 'wanted' | 'became'>): string {
  return became
    .map(({ key, value }) => {
      const asked = wanted.find((one) => measuredKey(one.key) === key);
      const off = asked && offBy(key, asked.value, value);
      const size =
        key === 'swingWeight' ? `${Math.abs(off ?? 0).toFixed(1)} points` : shown(key, Math.abs(off ?? 0));
      const beside =
        off === undefined
          ? ''
          : Math.abs(off) < 1e-9
            ? ', as asked'
            : `, ${size} ${off > 0 ? 'over' : 'under'}`;
      return `${plainLabel(key)} became ${shown(key, value)}${beside}`;
    })
    .join('; ');
}

/**
 * What a bend promised of the carry, and what the loft it came to makes of it: "146 yd to 143 yd as
 * promised". Empty for other jobs, once the club was hit or bent again, and where its carry was not known.
 */
export function promiseWords(
  { job, wanted, became }: Pick<TicketView, 'job' | 'wanted' | 'became'>,
  club: ClubView | undefined,
  unit: DistanceUnit,
  conditions?: Conditions,
): string {
  const asked = wanted.find(({ key }) => key === 'loftSetDeg')?.value;
  const came = became.find(({ key }) => key === 'loftMeasuredDeg')?.value;
  // Bent again since, the club is not what this ticket made of it.
  if (job !== 'bend' || !club || typeof asked !== 'number' || came !== playingLoft(club.spec)?.deg) return '';
  const outcome = bendOutcome(ladderClub(club), asked, conditions);
  if (!outcome) return '';
  const [before, promised, now] = [outcome.beforeM, outcome.promisedM, outcome.nowM].map((metres) =>
    distanceNumber(metres, unit),
  );
  const carry =
    promised === now
      ? `carry ${before} to ${now} ${unit}, as promised`
      : `carry ${before} to ${now} ${unit}, where ${promised} was promised`;
  return `${carry}; not hit since, so measure it`;
}

/** Open first by the day they are due, those without a day after them, then the done ones, the newest first. */
export function ticketsInOrder(tickets: readonly TicketView[]): TicketView[] {
  const open = (ticket: TicketView) => isOpen(ticket);
  return tickets.toSorted(
    (a, b) =>
      Number(open(b)) - Number(open(a)) ||
      (open(a)
        ? (a.dueOn ?? '9').localeCompare(b.dueOn ?? '9')
        : (b.doneOn ?? '').localeCompare(a.doneOn ?? '')) ||
      byName(a, b),
  );
}

export function isOpen({ state }: Pick<TicketView, 'state'>): boolean {
  return state === 'asked' || state === 'on the bench';
}
