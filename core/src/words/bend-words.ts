import type { BendAnswer, BendPlan, BendRange, PlannedBend } from '../bend/index.js';
import { formatDegrees, type DistanceUnit } from '../units/index.js';
import { unevenWords } from './evenness-words.js';

/** "½° weak", "1½° strong". */
export function byDegreesWords(byDeg: number): string {
  const whole = Math.floor(Math.abs(byDeg));
  const half = Math.abs(byDeg) - whole;
  const size =
    half === 0.5 ? `${whole === 0 ? '' : whole}½°` : formatDegrees(Math.abs(byDeg)).replace('.0', '');
  return `${size} ${byDeg > 0 ? 'weak' : 'strong'}`;
}

/** What a bend does beside the loft. Common practice, no source. */
export function offsetWords(byDeg: number): string {
  return byDeg > 0 ? 'a little less offset' : 'a little more offset';
}

/**
 * A plan in one line, neighbours with the same bend taken together as a builder says it: "7 to PW ½° weak, 54
 * 1° strong".
 * @param names of the clubs in the order of the ladder, with their ids
 */
export function bendPlanWords(
  { bends }: Pick<BendPlan, 'bends'>,
  ladder: readonly { clubId: string; name: string }[],
): string {
  const byClub = new Map(bends.map((bend) => [bend.clubId, bend]));
  const groups: { first: string; last: string; count: number; byDeg: number }[] = [];
  let open: (typeof groups)[number] | undefined;
  for (const { clubId, name } of ladder) {
    const bend: PlannedBend | undefined = byClub.get(clubId);
    if (!bend) open = undefined;
    else if (open?.byDeg === bend.byDeg) Object.assign(open, { last: name, count: open.count + 1 });
    else groups.push((open = { first: name, last: name, count: 1, byDeg: bend.byDeg }));
  }
  return groups
    .map(({ first, last, count, byDeg }) => {
      const who = count === 1 ? first : count === 2 ? `${first} and ${last}` : `${first} to ${last}`;
      return `${who} ${byDegreesWords(byDeg)}`;
    })
    .join(', ');
}

/** The answer's headline and the sentence under it. */
export function bendAnswerWords(
  { now, chosen, plans, unit, unmeasured }: BendAnswer,
  distanceUnit: DistanceUnit,
): { title: string; text: string } {
  const off = (plan: BendPlan) => unevenWords({ rms: plan.offTarget, unit }, distanceUnit);
  if (now.report.steps.length === 0)
    return { title: 'No ladder to bend yet', text: 'Enter lofts and one carry, and the plan appears.' };
  if (now.report.school === 'minimal')
    return {
      title: 'Nothing to bend',
      text: 'Partial shots bridge the steps of a minimal bag. Another gapping style plans bends.',
    };
  if (chosen === now && plans.length === 1 && unmeasured > 0) {
    const who = unmeasured === 1 ? 'One club' : `${unmeasured} clubs`;
    return {
      title: 'Nothing to bend yet',
      text: `${who} could be bent, but it is not known how far ${unmeasured === 1 ? 'it carries' : 'they carry'}. Enter carries, or space the bag by lofts.`,
    };
  }
  if (chosen === now) {
    return plans.length === 1
      ? {
          title: 'Nothing to bend',
          text: `No bend that is allowed brings the steps nearer to their targets.`,
        }
      : {
          title: 'Nothing worth bending',
          text: `The bag is ${off(now)}; the most bending allowed would make it ${off(plans.at(-1)!)}, which a bench cannot tell apart or which opens another step.`,
        };
  }
  return {
    title: bendPlanWords(chosen, chosen.report.rungs),
    text: `From ${off(now)} to ${off(chosen)}; with every bent club half a degree off, ${
      chosen.offTargetAtWorst < now.offTarget - 1e-9
        ? `at worst ${unevenWords({ rms: chosen.offTargetAtWorst, unit }, distanceUnit)}`
        : 'nothing is gained'
    }.`,
  };
}

/** "maker allows 2°", "cast stainless: 1° at most": how far a head may be bent, and who says so. */
export function bendRangeWords({ from, limitDeg, material }: BendRange): string {
  switch (from) {
    case 'not bent':
      return 'not bent';
    case 'no loft':
      return 'no loft recorded';
    case 'maker':
      return `maker allows ${limitDeg}°`;
    case 'material not known':
      return `material not known: ${limitDeg}° at most`;
    case 'material':
      return limitDeg === 0 ? `${material}: not bent` : `${material}: ${limitDeg}° at most`;
  }
}
