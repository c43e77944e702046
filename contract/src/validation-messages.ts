import * as yup from 'yup';

/**
 * Messages of failed checks name the field and the type that was wanted, never the value: yup's own messages print it
 * indented, which makes a small bad document a huge answer. Imported before any schema is made.
 */
yup.setLocale({
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
