import { roundChoosing, type RoundChoosing, type RoundRequest } from '@tasche/core';

/** Called now and then with the progress of long work, 0 to 1. */
export type Progress = (share: number) => void;

const MAX_ROUNDS = 16;
/** Progress is told in steps of this share. */
const PROGRESS_STEP = 0.04;

const rounds = new Map<string, RoundChoosing>();
let latest: { request: RoundRequest; round: RoundChoosing } | undefined;

/** The long part of a round, done once for all that its needs and costs hang on. */
export function workedRound(request: RoundRequest, progress?: Progress): RoundChoosing {
  const key = JSON.stringify([
    request.day,
    request.clubs,
    request.from,
    request.changes,
    request.notes,
    request.seed,
    request.handicap,
    request.preferences.bounce,
  ]);
  const known = rounds.get(key);
  if (known) return known;
  let reported = 0;
  const round = roundChoosing(request, (share) => {
    if (share - reported <= PROGRESS_STEP) return;
    reported = share;
    progress?.(share);
  });
  if (rounds.size >= MAX_ROUNDS) rounds.delete(rounds.keys().next().value!);
  rounds.set(key, round);
  return round;
}

/** A round as `workedRound` has it, kept as the latest one. */
export function workedAsLatest(request: RoundRequest, progress: Progress): RoundChoosing {
  const round = workedRound(request, progress);
  latest = { request, round };
  return round;
}

/** The round that was worked out last, which is asked about again and again without being sent again. */
export function latestRound(): { request: RoundRequest; round: RoundChoosing } {
  if (!latest) throw new Error('no round has been worked out');
  return latest;
}
