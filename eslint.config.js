import vue from 'eslint-plugin-vue';
import regexp from 'eslint-plugin-regexp';
import globals from 'globals';
import ts from 'typescript-eslint';

/** For views; what is TypeScript alone is oxlint's (`.oxlintrc.json`), by the same rules. */
export default ts.config(
  { ignores: ['**/dist/**', '**/node_modules/**', 'test-results/**', '.tasche/**', '**/*.ts'] },
  ...ts.configs.recommended,
  ...vue.configs['flat/recommended'],
  {
    // A pattern must take time in proportion to its text: one that backtracks is a way to freeze the server or the page.
    plugins: { regexp },
    rules: {
      'regexp/no-super-linear-backtracking': ['error', { report: 'potential' }],
      'regexp/no-super-linear-move': ['error', { report: 'potential' }],
    },
  },
  {
    languageOptions: {
      globals: { ...globals.browser, ...globals.node },
      parserOptions: { parser: ts.parser },
    },
    rules: {
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      '@typescript-eslint/consistent-type-imports': 'error',
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/no-require-imports': 'off',
      'no-console': 'off',
      eqeqeq: ['error', 'always', { null: 'ignore' }],
      // Layout of templates is a matter of taste, not of faults.
      'vue/max-attributes-per-line': 'off',
      'vue/singleline-html-element-content-newline': 'off',
      'vue/multiline-html-element-content-newline': 'off',
      'vue/first-attribute-linebreak': 'off',
      'vue/html-closing-bracket-newline': 'off',
      'vue/html-self-closing': 'off',
      'vue/html-indent': 'off',
      'vue/attributes-order': 'off',
      'vue/multi-word-component-names': 'off',
      'vue/require-default-prop': 'off',
    },
  },
);
