/**
 * Fields that had another name before 0.2, and the name they have now. What is written has the new one;
 * either is read.
 */
const RENAMED: ReadonlyMap<string, string> = new Map([
  ['landDeg', 'descentDeg'],
  ['sideM', 'offlineM'],
  ['riseM', 'elevationChangeM'],
  ['trouble', 'hazards'],
  ['eitherOrLandDeg', 'eitherOrDescentDeg'],
]);

/** No document of ours is deeper; it is left as it is, for the schema to refuse. */
const MAX_DEPTH = 40;

/**
 * A JSON document, with the fields of older ones under the names they have now. Other values are as they were.
 * @param document what `JSON.parse` gave
 */
export function withRenamedFields(document: unknown, depth = 0): unknown {
  if (depth > MAX_DEPTH) return document;
  if (Array.isArray(document)) return document.map((one) => withRenamedFields(one, depth + 1));
  if (typeof document !== 'object' || document === null) return document;
  // Where both stand, the older is left for the schema to refuse.
  const renamed = (key: string, to = key) => (to in document ? key : to);
  const isShot = 'carryM' in document && 'source' in document;
  return Object.fromEntries(
    Object.entries(document).map(([key, value]: [string, unknown]) => {
      // How many shots a carry is the mean of; elsewhere `shots` are the shots themselves.
      if (key === 'shots' && isShot && typeof value === 'number') return [renamed(key, 'sampleSize'), value];
      // A column of a monitor's file says which field it is.
      if (key === 'field' && typeof value === 'string') return [key, RENAMED.get(value) ?? value];
      return [renamed(key, RENAMED.get(key)), withRenamedFields(value, depth + 1)];
    }),
  );
}
