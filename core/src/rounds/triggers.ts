import { FIRMNESSES, type Firmness } from '../run-out/index.js';
import { choose, costOf } from '../choosing/index.js';
import { choosingOfRound, roundChoosing, type RoundRequest, type RoundRules } from './round-choosing.js';

/** What about the day would change the bag, and to what. */
export interface DayTrigger {
  /** "wind" from or up to so many m/s; the ground a step firmer or softer; rain. */
  when: { wind: 'over' | 'under'; mps: number } | { ground: 'firmer' | 'softer' } | { rain: true };
  ids: readonly string[];
  /** What the other bag gains on such a day. Strokes a round. */
  gain: number;
}

/** Winds looked at, m/s, and how closely a change between two of them is told. Our choice. */
const WINDS = [0, 3, 6, 9, 12, 15] as const;
const CLOSE_MPS = 1;
/**
 * Less than this is no reason to open the boot on the morning: the needs are good to half of it. Strokes a
 * round; our choice.
 */
export const TRIGGER_STROKES = 0.1;

/**
 * How the best bag changes when the day turns out otherwise: with less and more wind from the same side, a
 * step of firmness either way, rain. Each is the round worked out again. Only the first change each way of the
 * wind is told, and only changes that gain something.
 * @param best the bag of the day as it is expected
 * @param shouldContinue asked before each; false ends with what there is
 */
export async function dayTriggers(
  request: RoundRequest,
  rules: RoundRules,
  best: readonly string[],
  shouldContinue: (done: number, of: number) => boolean | Promise<boolean> = () => true,
): Promise<DayTrigger[]> {
  const { air, ground } = request.day;
  const bagOn = (day: Partial<RoundRequest['day']>): { ids: readonly string[]; gain: number } => {
    const { model, clubs } = choosingOfRound(
      roundChoosing({ ...request, day: { ...request.day, ...day } }),
      rules,
    );
    const there = choose(model);
    const kept = clubs.flatMap(({ id }, c) => (best.includes(id) ? [c] : []));
    return there && kept.length > 0
      ? { ids: there.chosen.map((c) => clubs[c]!.id), gain: costOf(model, kept).total - there.cost }
      : { ids: best, gain: 0 };
  };
  const differs = ({ gain }: { gain: number }) => gain >= TRIGGER_STROKES;
  const inWind = (windMps: number) => bagOn({ air: { ...air, windMps } });
  const stepped = (firmness: Firmness, by: number) =>
    FIRMNESSES[Math.min(FIRMNESSES.length - 1, Math.max(0, FIRMNESSES.indexOf(firmness) + by))]!;
  const found: DayTrigger[] = [];
  const over = WINDS.filter((wind) => wind > air.windMps + CLOSE_MPS);
  const under = WINDS.filter((wind) => wind < air.windMps - CLOSE_MPS).reverse();
  const of = over.length + under.length + 3;
  let done = 0;
  for (const [way, winds] of [
    ['over', over],
    ['under', under],
  ] as const) {
    let last = air.windMps;
    for (const wind of winds) {
      if (!(await shouldContinue(done++, of))) return found;
      const bag0 = inWind(wind);
      if (!differs(bag0)) {
        last = wind;
        continue;
      }
      // Somewhere between the two: halved until it is close enough to say.
      let [same, other, bag]: [number, number, ReturnType<typeof bagOn>] = [last, wind, bag0];
      while (Math.abs(other - same) > CLOSE_MPS) {
        const middle = (same + other) / 2;
        const there = inWind(middle);
        if (differs(there)) {
          other = middle;
          bag = there;
        } else same = middle;
      }
      found.push({ when: { wind: way, mps: Math.round(((same + other) / 2) * 2) / 2 }, ...bag });
      break;
    }
    done = way === 'over' ? over.length : over.length + under.length;
  }
  for (const [way, by] of [
    ['firmer', 1],
    ['softer', -1],
  ] as const) {
    if (!(await shouldContinue(done++, of))) return found;
    const turned = { fairways: stepped(ground.fairways, by), greens: stepped(ground.greens, by) };
    if (turned.fairways === ground.fairways && turned.greens === ground.greens) continue;
    const there = bagOn({ ground: { ...ground, ...turned } });
    if (differs(there)) found.push({ when: { ground: way }, ...there });
  }
  if (!ground.wet && (await shouldContinue(done, of))) {
    const there = bagOn({
      ground: {
        ...ground,
        wet: true,
        fairways: stepped(ground.fairways, -1),
        greens: stepped(ground.greens, -1),
      },
    });
    if (differs(there)) found.push({ when: { rain: true }, ...there });
  }
  return found;
}
