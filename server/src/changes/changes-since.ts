import { isDeepStrictEqual } from 'node:util';
import { conflict } from '../http/http-error.js';
import {
  plain,
  versionBefore,
  type EntityKind,
  type EntityOf,
  type RowDiff,
  type ChangeRecorder,
} from './change-recorder.js';

/** A value somebody sets, and where it stands in its row: a whole column, or a part of one. */
interface SetValue {
  field: string;
  yours: unknown;
  column: string;
  /** The part of the column; all of it where it is not given. */ part?: (column: unknown) => unknown;
}

type Image = Extract<RowDiff, { of: EntityKind }>;

/**
 * Refuses to overwrite another person's work, and nothing else: what others changed in the row since it was seen
 * does not matter as long as it is not what is set now. The values at the version seen are worked out from the
 * changes made since.
 * @throws HttpError 409 with both values of everything that was changed by both
 */
export async function assertNoConflict<K extends EntityKind>(
  recorder: ChangeRecorder,
  kind: K,
  row: EntityOf[K],
  version: number,
  values: readonly SetValue[],
): Promise<void> {
  const before = versionBefore(row) ?? row.version;
  if (before === version) return;
  const later = await changesSince(recorder, kind, row.id, version);
  // A version that is not recorded is taken to have touched everything.
  const recorded = new Set(later.map((image) => image.version));
  const whole =
    before > version &&
    Array.from({ length: before - version }, (_one, i) => version + i).every((one) => recorded.has(one));
  const own = recorder.rowDiffs.filter((image): image is Image => image.of === kind && image.id === row.id);
  const asSeen = (rowDiffs: readonly Image[], column: string, otherwise: unknown) => {
    const first = rowDiffs.find((image) => image.before && column in image.before);
    // Nothing may have stood there: that is a value too.
    return first ? first.before![column] : otherwise;
  };
  const touched = values.flatMap(({ field, yours, column, part = (value) => value }) => {
    const theirs = part(asSeen(own, column, plain((row as unknown as Record<string, unknown>)[column])));
    const seen = part(
      asSeen([...later, ...own], column, plain((row as unknown as Record<string, unknown>)[column])),
    );
    // Nor is it a hindrance that both wrote the same.
    return isDeepStrictEqual(plain(yours), theirs) || (whole && isDeepStrictEqual(seen, theirs))
      ? []
      : [{ id: row.id, name: row.name, version: before, field, yours, theirs: theirs ?? null }];
  });
  if (touched.length > 0) throw conflict(`${row.name} was changed by someone else meanwhile.`, touched);
}

/** What was done to a row on top of a version and later, in order. */
async function changesSince(
  recorder: ChangeRecorder,
  kind: EntityKind,
  id: string,
  version: number,
): Promise<Image[]> {
  const rows = await recorder.em.execute<{ image: Image }[]>(
    `select image from change, jsonb_array_elements(change.images) with ordinality as one (image, place)
     where change.workspace_id = ? and change.id in (select change_id from change_row where row_id = ?) and image ->> 'of' = ? and image ->> 'id' = ? and (image ->> 'version')::integer >= ?
     order by (image ->> 'version')::integer, place limit 2000`,
    [recorder.workspaceId, id, kind, id, version],
  );
  return rows.map(({ image }) => image);
}
