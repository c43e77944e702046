import type { LadderClub } from '../spec/index.js';
import type { Shot } from '../clubs/index.js';
import type { PlayedClub } from './played-shot.js';

/** A played club as a ladder shows it: what its shots do on greens and in gusts is left behind. */
export function movedClub(club: PlayedClub): LadderClub {
  return {
    ...club,
    shots: Object.fromEntries(
      Object.entries(club.shots).map(
        ([kind, { greenRunM: _run, gustAlongM: _along, gustAcrossM: _across, ...shot }]): [string, Shot] => [
          kind,
          shot,
        ],
      ),
    ),
  };
}
