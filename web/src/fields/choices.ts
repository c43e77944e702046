import { plainLetters } from '@tasche/contract';

/** One thing to choose, with its words. */
export interface Choice<Value extends string | number = string> {
  value: Value;
  label: string;
  disabled?: boolean;
}

export interface ChoiceGroup<Value extends string | number = string> {
  label: string;
  choices: readonly Choice<Value>[];
}

export function flatChoices<Value extends string | number>(
  all: readonly (Choice<Value> | ChoiceGroup<Value>)[],
): Choice<Value>[] {
  return all.flatMap((one) => ('choices' in one ? [...one.choices] : [one]));
}

/**
 * The choice that starts with the letters typed, whatever their case. One letter typed again and again goes
 * round all that start with it; several letters stay at the chosen one while it fits.
 */
export function choiceThatStartsWith<Value extends string | number>(
  choices: readonly Choice<Value>[],
  letters: string,
  chosen: Value | null,
): Choice<Value> | undefined {
  const typed = plainLetters(letters);
  const sameLetter = [...typed].every((letter) => letter === typed[0]);
  const wanted = sameLetter ? typed.slice(0, 1) : typed;
  const at = choices.findIndex(({ value }) => value === chosen);
  const start = sameLetter ? at + 1 : Math.max(0, at);
  const inOrder = [...choices.slice(start), ...choices.slice(0, start)];
  return inOrder.find(({ label, disabled }) => !disabled && plainLetters(label).startsWith(wanted));
}
