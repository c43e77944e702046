/** The database orders names letter by letter as they are stored: "anna" and "Åsa" after "Zoe". */
const names = new Intl.Collator(undefined, { numeric: true, sensitivity: 'base' });

/** Orders what has a name as a list of names is read: whatever the capitals and marks, "Round 2" before "Round 10". */
export function byName(a: { readonly name: string }, b: { readonly name: string }): number {
  return names.compare(a.name, b.name);
}
