interface Named {
  id: string;
  name: string;
}

/** What a club is called that was deleted, or is another player's now. */
export const DELETED_CLUB = 'a deleted club';

/** What a club is called, by its id; it may be gone from among these. */
export function clubName(clubs: readonly Named[] | ReadonlyMap<string, Named>, id: string): string {
  const club =
    clubs instanceof Map ? clubs.get(id) : (clubs as readonly Named[]).find((one) => one.id === id);
  return club?.name ?? DELETED_CLUB;
}

/** "the 7 iron", in a sentence; "a deleted club" stays as it is. */
export function theClub(name: string): string {
  return name === DELETED_CLUB ? name : `the ${name}`;
}

/** A sentence begins with it: "The 7 iron", "A deleted club". */
export function beginning(words: string): string {
  return words.replace(/^./u, (first) => first.toUpperCase());
}
