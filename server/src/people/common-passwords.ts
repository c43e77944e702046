import { ZxcvbnFactory } from '@zxcvbn-ts/core';
import { adjacencyGraphs, dictionary } from '@zxcvbn-ts/language-common';
import { badInput } from '../http/http-error.js';

/**
 * Fewer guesses than this and a password is found by somebody who tries those known from breaches first, with
 * what people commonly do to them (capitals, years, keys beside each other, the same twice). The library's
 * own limit of "safely unguessable": Wheeler, "zxcvbn: Low-Budget Password Strength Estimation", USENIX
 * Security 2016.
 */
const LEAST_GUESSES = 1e8;

let estimator: ZxcvbnFactory | undefined;

/**
 * @param own what others know of whose it is: name and e-mail address
 * @throws HttpError 400 naming the field where the password is among those tried first
 */
export function requireUncommon(password: string, field: string, own: readonly string[]): void {
  estimator ??= new ZxcvbnFactory({ dictionary, graphs: adjacencyGraphs });
  const words = own.flatMap((text) => [text, ...text.split(/[\s@.]+/)]).filter((word) => word.length > 2);
  if (estimator.check(password, words).guesses >= LEAST_GUESSES) return;
  throw badInput('That password is too common. Choose a few words that do not belong together.', [
    { field, message: 'is too easily guessed' },
  ]);
}
