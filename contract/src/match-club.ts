import type { Reading, ReadingKey } from '@tasche/core';
import type { ClubRow } from './club-rows.js';
import type { ClubView } from './views.js';

/** What a club may be called in a locker: "SW" of 56° with a bounce of 10 may be the "SW 56", or "SW 56 10". */
function namesOf(name: string, readings: readonly Reading[]): string[] {
  const said = (key: ReadingKey) => readings.find((reading) => reading.key === key)?.value;
  const [loft, bounce] = [said('loftStampedDeg'), said('bounceDeg')];
  const longer = [[loft], [bounce], [loft, bounce]].filter((parts) =>
    parts.every((part) => part !== undefined),
  );
  return [
    name,
    ...longer.map((parts) => [name, ...parts].join(' ')),
    ...(bounce === undefined ? [] : [`${name}.${String(bounce)}`]),
  ];
}

/** The club of a locker a row of a table is of; none where it is new, or why it cannot be told. */
export function matchClub(
  row: ClubRow,
  clubs: readonly ClubView[],
): { club?: ClubView } | { reason: string } {
  const byId = row.clubId === undefined ? undefined : clubs.find((club) => club.id === row.clubId);
  if (byId) return { club: byId };
  if (row.name === undefined) return {};
  const called = (wanted: string) =>
    clubs.filter(
      (club) =>
        club.name.trim().toLowerCase() === wanted && (row.kind === undefined || row.kind === club.kind),
    );
  const named =
    namesOf(row.name.trim().toLowerCase(), row.readings)
      .map(called)
      .find((found) => found.length > 0) ?? [];
  if (named.length <= 1) return named[0] ? { club: named[0] } : {};
  const matching = named.filter((club) =>
    (['serial', 'head'] as const).some((key) => {
      const said = row.readings.find((reading) => reading.key === key)?.value;
      return said !== undefined && said === club.spec[key]?.value;
    }),
  );
  if (matching.length === 1) return { club: matching[0]! };
  return {
    reason: `${named.length} clubs are called ${row.name}; add a column "club id", "serial" or "head" that tells them apart`,
  };
}
