import type { BasketLine, StrikeView } from '@tasche/contract';
import { knownEnough, type ShotProgress } from '@tasche/core';
import type { WorkedShot } from '../range/worked-shots';

/** A line of a session's basket with how far it has come. */
interface BasketProgress extends ShotProgress {
  line: BasketLine;
}

/**
 * How far each line of a basket has come, by the balls that count. @param wholes balls as they were worked
 * out, by their id
 */
export function basketProgress(
  lines: readonly BasketLine[],
  strikes: readonly Pick<StrikeView, 'id' | 'clubId' | 'shot' | 'leftOut'>[],
  wholes: { get(id: string): { whole: Pick<WorkedShot, 'atBaseline'> | null } | undefined },
): BasketProgress[] {
  return lines.map((line) => ({
    line,
    ...knownEnough(
      line,
      line.usualM,
      strikes
        .filter(
          ({ clubId, shot, leftOut }) => clubId === line.clubId && shot === line.shot && leftOut === null,
        )
        .flatMap(({ id }) => wholes.get(id)?.whole?.atBaseline.carryM ?? []),
    ),
  }));
}

/**
 * The line to hit next: the one in hand until it is known well enough, then the first that is not; undefined
 * when all are.
 */
export function nextLine(
  progress: readonly BasketProgress[],
  inHand: Pick<BasketLine, 'clubId' | 'shot'> | null,
): BasketLine | undefined {
  const open = progress.filter(({ isEnough }) => !isEnough).map(({ line }) => line);
  return open.find(({ clubId, shot }) => clubId === inHand?.clubId && shot === inHand.shot) ?? open[0];
}
