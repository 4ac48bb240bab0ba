import js from '@eslint/js';
import tseslint from 'typescript-eslint';
import hooks from 'eslint-plugin-react-hooks';
import globals from 'globals';

/** Time is read in two places only, so that a stopped or moved clock holds everywhere. */
const clockRule = [
  'error',
  {
    selector: "CallExpression[callee.object.name='Date'][callee.property.name='now']",
    message: 'Read the time from server/clock or web/sync/clock.',
  },
  { selector: "NewExpression[callee.name='Date'][arguments.length=0]", message: 'Read the time from server/clock or web/sync/clock.' },
  {
    selector: "MemberExpression[object.name='Temporal'][property.name='Now']",
    message: 'Read the time from server/clock or web/sync/clock.',
  },
];

/** What a cook does is said in one place, so that a new field of an entry is added once. */
const entryRule = {
  selector: "ObjectExpression:has(> Property[key.name='type']):has(> Property[key.name='subjects'])",
  message: 'Entries are made by core/commands: add a command there, with its test.',
};

/** The core keeps nothing between two questions: whoever asks many brings a memo. */
const cacheRule = {
  selector: "NewExpression[callee.name='WeakMap'], Program > VariableDeclaration[kind='let']",
  message: 'The core has no cache of its own: take a Memo (core/kitchen/memo.ts).',
};

/** The interface is Mantine's: every control and table is its component, dressed by the theme. */
const rawRule = {
  selector: 'JSXOpeningElement[name.name=/^(button|input|select|textarea|table|dialog)$/]',
  message: "Use Mantine's component (UnstyledButton for a drawing that is tapped).",
};

export default tseslint.config(
  {
    ignores: [
      'dist/**',
      'node_modules/**',
      'data/**',
      'lint/fixtures/**',
      'server/db/migrations/**',
      '**/*.rows.ts',
      'playwright-report/**',
      'test-results/**',
    ],
  },
  js.configs.recommended,
  ...tseslint.configs.recommended,
  {
    files: ['**/*.{ts,tsx}'],
    languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname } },
    rules: {
      '@typescript-eslint/no-floating-promises': 'error',
      '@typescript-eslint/no-misused-promises': ['error', { checksVoidReturn: { attributes: false } }],
      '@typescript-eslint/switch-exhaustiveness-check': ['error', { considerDefaultExhaustiveForUnions: true }],
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      'no-restricted-syntax': clockRule,
      eqeqeq: ['error', 'smart'],
    },
  },
  {
    files: ['core/**/*.ts'],
    ignores: ['core/**/*.test.ts'],
    rules: { 'no-restricted-globals': ['error', 'window', 'document', 'process', 'fetch', 'crypto', 'performance'] },
  },
  {
    files: ['core/**/*.ts'],
    ignores: ['core/**/*.test.ts', 'core/**/fixtures.ts', 'core/kitchen/memo.ts'],
    rules: { 'no-restricted-syntax': [...clockRule, cacheRule] },
  },
  {
    files: ['web/**/*.{ts,tsx}'],
    plugins: { 'react-hooks': hooks },
    rules: { 'react-hooks/rules-of-hooks': 'error', 'react-hooks/exhaustive-deps': 'error' },
    languageOptions: { globals: globals.browser },
  },
  {
    files: ['web/**/*.{ts,tsx}', 'server/demo/**/*.ts'],
    // the one gives an act its id and its moment, the other sends it
    ignores: ['web/sync/device.ts', 'server/demo/client.ts'],
    rules: { 'no-restricted-syntax': [...clockRule, entryRule] },
  },
  {
    files: ['web/**/*.tsx'],
    ignores: ['web/draw/**'],
    rules: { 'no-restricted-syntax': [...clockRule, entryRule, rawRule] },
  },
  {
    files: ['server/clock/*.ts', 'web/sync/clock.ts', 'e2e/**', 'scripts/**', 'lint/**', '**/*.test.ts'],
    rules: { 'no-restricted-syntax': 'off' },
  },
  { files: ['**/*.{js,mjs,cjs}'], languageOptions: { globals: globals.node } },
);
