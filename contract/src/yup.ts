import { setLocale } from 'yup';

export * from 'yup';

/**
 * Yup with our messages: they name the field and the type that was wanted, never the value. Yup's own print
 * it indented, which makes a small bad document a huge answer. Schemas take their messages when they are
 * made, so each module imports it from here.
 */
setLocale({
  mixed: {
    notType: ({ path, type }: { path: string; type: string }) =>
      `${path || 'the document'} must be ${ARTICLES[type] ?? `a ${type}`}`,
  },
  tuple: { notType: ({ path }: { path: string }) => `${path || 'the document'} must be a list` },
});

const ARTICLES: Record<string, string> = {
  string: 'text',
  number: 'a number',
  boolean: 'true or false',
  object: 'an object',
  array: 'a list',
  date: 'a day',
  mixed: 'something else',
};
