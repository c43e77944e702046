/**
 * What clubs are called in other languages (German, French, Spanish, Italian, Portuguese, Dutch, Swedish, Danish,
 * Norwegian, Finnish, Polish, Czech), by the English word. From memory, no source.
 */
const WORDS: Readonly<Record<string, readonly string[]>> = {
  iron: [
    ...['eisen', 'fer', 'fers', 'hierro', 'hierros', 'ferro', 'ferri', 'ferros', 'ijzer', 'ijzers'],
    ...['järn', 'jern', 'rauta', 'żelazo', 'zelazo', 'železo', 'zelezo'],
  ],
  wood: [
    ...['holz', 'hölzer', 'bois', 'madera', 'maderas', 'legno', 'legni', 'madeira', 'madeiras', 'hout'],
    ...['trä', 'træ', 'trækølle', 'trekølle', 'puu', 'drewno', 'dřevo', 'drevo'],
  ],
  hybrid: ['hybride', 'hybrides', 'híbrido', 'hibrido', 'híbridos', 'ibrido', 'ibridi', 'hybridi', 'hybryda'],
};
const ENGLISH: ReadonlyMap<string, string> = new Map(
  Object.entries(WORDS).flatMap(([english, words]) => words.map((word) => [word, english] as const)),
);
/** "järnsjua", "träfemma": Swedish irons and woods with their number in the word. */
const SWEDISH = /^(järn|trä) ?(etta|tvåa|trea|fyra|femma|sexa|sjua|åtta|nia)$/i;
const SWEDISH_NUMBERS = ['etta', 'tvåa', 'trea', 'fyra', 'femma', 'sexa', 'sjua', 'åtta', 'nia'];

/**
 * A club's name with the words of other languages in English; the rest of it stays as it is.
 * @example clubWordsInEnglish('Fer 7') // "iron 7"
 * @example clubWordsInEnglish('träfemma') // "wood 5"
 */
export function clubWordsInEnglish(name: string): string {
  const [, kind, number] = SWEDISH.exec(name.trim()) ?? [];
  if (kind !== undefined)
    return `${ENGLISH.get(kind.toLowerCase())!} ${SWEDISH_NUMBERS.indexOf(number!.toLowerCase()) + 1}`;
  return name.replace(/\p{L}+/gu, (word) => ENGLISH.get(word.toLowerCase()) ?? word);
}
