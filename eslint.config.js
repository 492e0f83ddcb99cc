import js from '@eslint/js';
import accessibility from 'eslint-plugin-jsx-a11y';
import hooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

/** Who may import whom is law here: docs/architecture.md. */
const forbid = (...patterns) => ({ 'no-restricted-imports': ['error', { patterns }] });
const p = (group, message) => ({ group, message });

export default tseslint.config(
  { ignores: ['**/dist/', '.data/', 'node_modules/', 'docs/'] },
  js.configs.recommended,
  ...tseslint.configs.strict,
  {
    rules: {
      '@typescript-eslint/no-non-null-assertion': 'off',
      '@typescript-eslint/consistent-type-imports': ['error', { prefer: 'type-imports' }],
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_' }],
      'no-console': 'error',
      eqeqeq: 'error',
    },
  },
  {
    files: ['core/src/**/*.ts'],
    ignores: ['core/src/**/*.test.ts'],
    rules: {
      ...forbid(
        p(
          [
            '@bay/*',
            '*server/*',
            '*web/*',
            '*contract/*',
            'react*',
            'express',
            'kysely',
            'pg',
            '@mantine/*',
            'zod',
            'node:*',
          ],
          'The core is pure: it imports nothing of ours and nothing of the outside.',
        ),
      ),
      'no-restricted-properties': [
        'error',
        { object: 'Date', property: 'now' },
        { object: 'Math', property: 'random' },
      ],
      'no-restricted-syntax': [
        'error',
        {
          selector: 'NewExpression[callee.name="Date"][arguments.length=0]',
          message: 'The core has no clock: time is an argument.',
        },
        {
          selector: ':matches(:function[async=true], AwaitExpression, Identifier[name="Promise"])',
          message: 'The core computes and answers at once: it waits for nothing.',
        },
      ],
    },
  },
  {
    files: ['contract/src/**/*.ts'],
    rules: forbid(
      p(
        ['*server/*', '*web/*', 'react*', 'express', 'kysely', 'pg', '@mantine/*'],
        'The contract may import the core and nothing else of ours.',
      ),
    ),
  },
  {
    files: ['server/src/**/*.ts'],
    rules: forbid(p(['*/web/*', '@bay/web*', 'react*', '@mantine/*'], 'The server never imports the web.')),
  },
  // Only the rules of hooks that hold without the compiler: this project does not use it.
  {
    files: ['web/src/**/*.{ts,tsx}'],
    plugins: { 'react-hooks': hooks },
    rules: {
      'react-hooks/rules-of-hooks': 'error',
      'react-hooks/exhaustive-deps': 'error',
      'no-restricted-syntax': [
        'error',
        {
          selector:
            'CallExpression[callee.name=/^use(Layout)?Effect$/] > ArrowFunctionExpression:not([body.type=/^(BlockStatement|ArrowFunctionExpression)$/])',
          message:
            'What an effect gives back is called when it ends: a browser may give a promise where it gave nothing before.',
        },
      ],
    },
  },
  {
    ...accessibility.flatConfigs.recommended,
    files: ['web/src/**/*.tsx'],
    // Focus moves only where the person asked for the field: in a form that they opened.
    rules: {
      ...accessibility.flatConfigs.recommended.rules,
      'jsx-a11y/no-autofocus': 'off',
      'jsx-a11y/aria-role': ['error', { ignoreNonDOM: true }],
    },
  },
  // Values that turn into "[object Object]", cases that were forgotten: found by the types.
  {
    files: ['{core,contract,server,web}/src/**/*.{ts,tsx}', '{bench,demo,e2e,tools}/**/*.ts'],
    languageOptions: { parserOptions: { projectService: true } },
    rules: {
      '@typescript-eslint/no-base-to-string': 'error',
      '@typescript-eslint/only-throw-error': 'error',
      '@typescript-eslint/switch-exhaustiveness-check': 'error',
      '@typescript-eslint/no-unnecessary-type-assertion': 'error',
    },
  },
  // Promises nobody waits for, conditions on promises. The core has none, so its long tables are not searched for them.
  {
    files: ['{contract,server,web}/src/**/*.{ts,tsx}', '{bench,demo,e2e,tools}/**/*.ts'],
    rules: {
      '@typescript-eslint/no-floating-promises': 'error',
      '@typescript-eslint/no-misused-promises': ['error', { checksVoidReturn: { attributes: false } }],
      '@typescript-eslint/await-thenable': 'error',
    },
  },
  {
    files: ['web/src/**/*.{ts,tsx}'],
    rules: forbid(
      p(['*/server/*', '@bay/server*', 'express', 'kysely', 'pg', 'node:*'], 'The web never imports the server.'),
    ),
  },
  {
    files: ['**/*.test.{ts,tsx}', 'e2e/**/*.ts'],
    rules: {
      'no-restricted-syntax': [
        'error',
        {
          selector: "CallExpression[callee.property.name='sleep']",
          message: 'A test waits for what it wants to see, not for a time.',
        },
      ],
    },
  },
  {
    files: ['**/*.mjs', '*.js'],
    languageOptions: { globals: { console: 'readonly', process: 'readonly', URL: 'readonly' } },
  },
);
