import js from '@eslint/js';
import tseslint from 'typescript-eslint';
import hooks from 'eslint-plugin-react-hooks';
import globals from 'globals';

/** Time is read in two places only, so that a stopped or moved clock holds everywhere. */
const clockRule = [
  'error',
  {
    selector: "CallExpression[callee.object.name='Date'][callee.property.name='now']",
    message: 'Read the time from server/clock or web/app/clock.',
  },
  { selector: "NewExpression[callee.name='Date'][arguments.length=0]", message: 'Read the time from server/clock or web/app/clock.' },
  {
    selector: "MemberExpression[object.name='Temporal'][property.name='Now']",
    message: 'Read the time from server/clock or web/app/clock.',
  },
];

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
    files: ['web/**/*.{ts,tsx}'],
    plugins: { 'react-hooks': hooks },
    rules: { 'react-hooks/rules-of-hooks': 'error', 'react-hooks/exhaustive-deps': 'error' },
    languageOptions: { globals: globals.browser },
  },
  {
    files: ['server/clock/*.ts', 'web/app/clock.ts', 'e2e/**', 'scripts/**', 'lint/**', '**/*.test.ts'],
    rules: { 'no-restricted-syntax': 'off' },
  },
  { files: ['**/*.{js,mjs,cjs}'], languageOptions: { globals: globals.node } },
);
