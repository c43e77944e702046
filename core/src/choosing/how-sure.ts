import { carryErrorM, type Shot, shotsIn } from '../clubs/index.js';
import type { LadderClub } from '../spec/index.js';
import { normalFrom, randomFrom } from '../statistics/index.js';

/**
 * How firmly a choice stands: of so many redraws of the carries within what is known of them, how often the
 * same bag, and each club, came out best.
 */
export interface HowSure {
  redraws: number;
  same: number;
  share: Readonly<Record<string, number>>;
  modelled: number;
  stated: number;
  measured: number;
}

/**
 * Chooses again with carries drawn from what is known of each: a measured mean by its standard error, a
 * stated or modelled one by its own. A club's shots move together.
 * @param chooseFrom the best bag of such clubs, ids; undefined when there is none
 * @param shouldContinue asked between redraws; false ends with what there is
 */
export async function howSure(
  clubs: readonly LadderClub[],
  best: readonly string[],
  chooseFrom: (clubs: readonly LadderClub[]) => readonly string[] | undefined,
  redraws = 20,
  shouldContinue: () => boolean | Promise<boolean> = () => true,
  seed = 7,
): Promise<HowSure> {
  const normal = normalFrom(randomFrom(seed));
  const counts = new Map<string, number>();
  const whole = [...best].sort().join();
  let same = 0,
    done = 0;
  while (done < redraws && (await shouldContinue())) {
    const drawn = clubs.map((club) => drawnClub(club, normal()));
    const ids = chooseFrom(drawn) ?? [];
    done += 1;
    if ([...ids].sort().join() === whole) same += 1;
    for (const id of ids) counts.set(id, (counts.get(id) ?? 0) + 1);
  }
  const inBest = clubs.filter(({ id, shots }) => best.includes(id) && shots.full);
  const from = (source: Shot['source']) => inBest.filter(({ shots }) => shots.full!.source === source).length;
  return {
    redraws: done,
    same,
    share: Object.fromEntries(clubs.map(({ id }) => [id, done > 0 ? (counts.get(id) ?? 0) / done : 0])),
    modelled: from('modelled'),
    stated: from('stated'),
    measured: from('measured'),
  };
}

/** A club as it may carry: its shots together, by so many standard errors of its stock carry. */
export function drawnClub(club: LadderClub, z: number): LadderClub {
  const { full } = club.shots;
  if (!full) return club;
  const byM = z * carryErrorM(full);
  return {
    ...club,
    shots: Object.fromEntries(
      shotsIn(club.shots).map(([kind, shot]) => [
        kind,
        {
          ...shot,
          carryM: Math.max(1, shot.carryM + byM),
          ...(shot.totalM !== undefined && { totalM: shot.totalM + byM }),
        },
      ]),
    ),
  };
}
