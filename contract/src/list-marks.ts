/** What stands before a line in a list, makes it bold, or is a small picture. */
const LIST_MARK = /^\s*[-–*•·]\s+|\*\*|__|[\p{Extended_Pictographic}\u200d\ufe0f]/gu;
/** The number of a line of a list: "1. Driver", "2) 3 wood". */
const LIST_NUMBER = /^\s*(\d{1,2})[.)]\s+/;

/** The lines of a list without what stands before each: "- Driver 265", "1. Driver 265". */
export function withoutListMarks(lines: readonly string[]): string[] {
  const plain = lines.map((line) => line.replace(LIST_MARK, ' '));
  const numbers = plain.filter((line) => line.trim() !== '').map((line) => LIST_NUMBER.exec(line)?.[1]);
  const isNumbered = numbers.length > 1 && numbers.every((number, i) => Number(number) === i + 1);
  return plain.map((line) => (isNumbered ? line.replace(LIST_NUMBER, '') : line).trim());
}
