import type { CompleteStrike } from '../strikes/index.js';

/** What makes a build: everything that may differ between two things hit on the same task. */
export interface BuildParts {
  head?: string | undefined;
  shaft?: string | undefined;
  ball?: string | undefined;
  setting?: string | undefined;
  loftDeg?: number | undefined;
  lengthIn?: number | undefined;
}

export type BuildPart = keyof BuildParts;
const BUILD_PARTS: readonly BuildPart[] = ['head', 'shaft', 'ball', 'setting', 'loftDeg', 'lengthIn'];

/** A build with the strikes that were hit with it; those left out are not among them. */
export interface Build {
  id: string;
  name: string;
  parts: BuildParts;
  strikes: readonly CompleteStrike[];
}

/** The parts in which two builds are known to differ. A part that only one of them names is not known to. */
export function partsChanged(a: BuildParts, b: BuildParts): BuildPart[] {
  return BUILD_PARTS.filter((part) => a[part] !== undefined && b[part] !== undefined && a[part] !== b[part]);
}

/**
 * Parts that say nothing of each other when they change together. A shaft brings its length along; a sleeve
 * its loft.
 */
const FACTORS: readonly BuildPart[] = ['head', 'shaft', 'ball'];

/**
 * The factors two builds change at once, when there is more than one: then a difference cannot be attributed to
 * either.
 */
export function factorsMixed(a: BuildParts, b: BuildParts): BuildPart[] {
  const changed = partsChanged(a, b).filter((part) => FACTORS.includes(part));
  return changed.length > 1 ? changed : [];
}
