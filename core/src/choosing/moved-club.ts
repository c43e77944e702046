import type { LadderClub } from '../spec/index.js';
import { type Shot, shotsIn } from '../clubs/index.js';
import type { PlayedClub } from './played-shot.js';

/** A played club as a ladder shows it: what its shots do on greens and in gusts is left behind. */
export function movedClub({ loftDeg, isLoftUsual = false, ...club }: PlayedClub): LadderClub {
  return {
    ...club,
    ...(!isLoftUsual && { loftDeg }),
    shots: Object.fromEntries(
      shotsIn(club.shots).map(
        ([kind, { greenRunM: _run, gustAlongM: _along, gustAcrossM: _across, ...shot }]): [string, Shot] => [
          kind,
          shot,
        ],
      ),
    ),
  };
}
