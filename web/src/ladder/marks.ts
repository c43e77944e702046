import type { Severity } from '@tasche/core';

/** Colour is never the only sign: each verdict has a shape and a word too. */
export const MARKS: Record<Severity, string> = { fine: '●', unknown: '?', warning: '◆', error: '■' };
export const SEVERITY_WORDS: Record<Severity, string> = {
  fine: 'even',
  unknown: 'not known yet',
  warning: 'look here',
  error: 'fault',
};
