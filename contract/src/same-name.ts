/** Letters that are no letter with a mark over it, and what stands for them. */
const OTHER_LETTERS: Readonly<Record<string, string>> = {
  ø: 'o',
  æ: 'ae',
  œ: 'oe',
  ß: 'ss',
  ł: 'l',
  đ: 'd',
  ð: 'd',
  þ: 'th',
  ı: 'i',
};
/** What those without the letter write for it in German and Nordic names. Common practice, no source. */
const TWO_LETTERS: Readonly<Record<string, string>> = { ä: 'ae', ö: 'oe', ü: 'ue', ø: 'oe', å: 'aa' };

const IS_ASCII = /^\p{ASCII}*$/u;

const replaced = (text: string, letters: Readonly<Record<string, string>>) =>
  text.replace(/\P{ASCII}/gu, (letter) => letters[letter] ?? letter);

/** Small letters without the marks over them: "Kølle" is "kolle". */
export function plainLetters(text: string): string {
  const withoutMarks = text.toLowerCase().normalize('NFD').replace(/\p{M}/gu, '');
  return replaced(withoutMarks, OTHER_LETTERS);
}

/** The ways a name is written in plain letters, one or two: "Müller" is "muller" and "mueller". */
export function plainForms(name: string): readonly string[] {
  if (IS_ASCII.test(name)) return [name.toLowerCase()];
  const plain = plainLetters(name);
  const withTwo = plainLetters(replaced(name.toLowerCase().normalize('NFC'), TWO_LETTERS));
  return plain === withTwo ? [plain] : [plain, withTwo];
}

/** As names are compared: without quotes, and whatever stands between the words. */
const namesOf = (name: string) =>
  plainForms(
    name
      .normalize('NFD')
      .replace(/['’‘´`"]/g, '')
      .replace(/[\s_-]+/g, ' ')
      .trim(),
  );

/** Whether two names are one, written with or without their marks and capitals. */
export function isSameName(a: string, b: string): boolean {
  const others = namesOf(b);
  return namesOf(a).some((form) => others.includes(form));
}

/** The ways a person's name is written in plain letters: "Núñez, José" is "jose nunez". */
export const personKeys = (name: string): readonly string[] => namesOf(firstNameFirst(name));

/** Whether two names are of one person, the last name first in one of them or in none. */
export function isSamePerson(a: string, b: string): boolean {
  return isSameName(firstNameFirst(a), firstNameFirst(b));
}

function firstNameFirst(name: string): string {
  const [last, first, ...more] = name.split(',');
  return first === undefined || more.length > 0 ? name : `${first.trim()} ${last!.trim()}`;
}

/** Finds the words that begin with what is typed, made once for many of them. */
export function beginsWith(typed: string): (word: string) => boolean {
  const wanted = namesOf(typed);
  return (word) => namesOf(word).some((form) => wanted.some((one) => form.startsWith(one)));
}

/** Finds the texts what is typed stands in, made once for many of them; what is blank stands in every one. */
export function contains(typed: string): (text: string) => boolean {
  const wanted = namesOf(typed);
  return (text) => namesOf(text).some((form) => wanted.some((one) => form.includes(one)));
}
