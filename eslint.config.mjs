import js from '@eslint/js';
import prettier from 'eslint-config-prettier';
import i18next from 'eslint-plugin-i18next';
import a11y from 'eslint-plugin-jsx-a11y';
import hooks from 'eslint-plugin-react-hooks';
import globals from 'globals';
import ts from 'typescript-eslint';

export default ts.config(
  { ignores: ['**/dist/', 'node_modules/', 'data/', 'test-results/'] },
  js.configs.recommended,
  {
    files: ['**/*.{ts,tsx}'],
    extends: [ts.configs.recommendedTypeChecked],
    languageOptions: { parserOptions: { project: './tsconfig.json', tsconfigRootDir: import.meta.dirname } },
    rules: {
      '@typescript-eslint/consistent-type-imports': 'error',
      '@typescript-eslint/no-import-type-side-effects': 'error',
      '@typescript-eslint/restrict-template-expressions': ['error', { allowNumber: true }],
      '@typescript-eslint/no-unused-vars': ['error', { ignoreRestSiblings: true }],
      // No object of ours uses `this`.
      '@typescript-eslint/unbound-method': 'off',
      'no-console': 'error',
    },
  },
  { files: ['packages/web/**/*.{ts,tsx}'], ...hooks.configs.flat['recommended-latest'] },
  // What can be clicked can be reached and worked by keyboard.
  {
    files: ['packages/web/src/**/*.tsx'],
    ...a11y.flatConfigs.strict,
    rules: {
      ...a11y.flatConfigs.strict.rules,
      // What was asked for, a panel or a card, is what the next key is for.
      'jsx-a11y/no-autofocus': 'off',
      // A table wider than the page is moved by the arrow keys.
      'jsx-a11y/no-noninteractive-tabindex': ['error', { tags: [], roles: ['region'] }],
    },
  },
  {
    // What a person reads stands in packages/words.
    files: ['packages/web/src/**/*.tsx'],
    ignores: ['**/*.test.tsx'],
    plugins: { i18next },
    rules: {
      'i18next/no-literal-string': [
        'error',
        {
          mode: 'jsx-only',
          'jsx-attributes': {
            include: [
              '^title$',
              '^label$',
              '^aria-label$',
              '^alt$',
              '^placeholder$',
              '^helperText$',
              '^what$',
              '^action$',
            ],
          },
          words: { exclude: ['^[^A-Za-z]*$', '^[A-Z]$', '^Jasperwren$'] },
        },
      ],
    },
  },
  { files: ['**/*.test.ts', 'e2e/**'], rules: { '@typescript-eslint/no-unsafe-assignment': 'off' } },
  { files: ['packages/{server,cli}/src/main.ts', 'bench/**', 'scripts/**'], rules: { 'no-console': 'off' } },
  { files: ['**/*.mjs'], languageOptions: { globals: globals.node } },
  prettier,
);
