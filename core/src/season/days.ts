const DAY_MS = 86_400_000;

/**
 * A day so many days on. YYYY-MM-DD in and out; clock changes do not matter, because a day has no hours here.
 */
export function dayPlus(day: string, days: number): string {
  return new Date(Date.parse(`${day}T00:00:00Z`) + days * DAY_MS).toISOString().slice(0, 10);
}

/** Days from one day to another; negative where it is before. */
export function daysBetween(from: string, to: string): number {
  return Math.round((Date.parse(`${to}T00:00:00Z`) - Date.parse(`${from}T00:00:00Z`)) / DAY_MS);
}
