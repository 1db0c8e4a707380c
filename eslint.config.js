import js from '@eslint/js';
import globals from 'globals';
import hooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

/**
 * One direction of knowing: core ← server, core ← web; e2e knows only what a user sees.
 * An import across the wrong boundary, by package name or by path, fails the lint.
 */
const refuse = (names, message) => ({
  'no-restricted-imports': [
    'error',
    {
      patterns: [
        {
          regex: `^(@lanakit/(${names})(/.*)?|(\\.\\./)+(${names})/.*)$`,
          message,
        },
      ],
    },
  ],
});

/** Node's own modules and the interface's packages have no place in the core. */
const coreOnly = {
  'no-restricted-imports': [
    'error',
    {
      patterns: [
        {
          regex: '^(@lanakit/(server|web|e2e)(/.*)?|(\\.\\./)+(server|web|e2e)/.*)$',
          message: 'core knows nothing of the other packages.',
        },
        {
          regex: '^(node:.*|fs|path|react.*|antd.*|express|better-sqlite3|swr)$',
          message: 'core is pure: no input or output, no interface, no database.',
        },
      ],
    },
  ],
  'no-restricted-globals': ['error', 'window', 'document', 'fetch', 'process', 'localStorage'],
  'no-restricted-properties': [
    'error',
    { object: 'Math', property: 'random', message: 'Pass a seeded generator in.' },
    { object: 'Date', property: 'now', message: 'Pass the time in.' },
  ],
};

/** No function longer than a screen; comments and blank lines are free. */
const shortFunctions = (max) => ({
  'max-lines-per-function': ['error', { max, skipBlankLines: true, skipComments: true }],
});

/** The honest exceptions, each with its reason. */
const LONG_FUNCTIONS = [
  // One sentence a problem, in one exhaustive switch.
  'core/src/words/problemWords.ts',
  // The demo’s figures are data: parts and steps one after another.
  'demo/src/figures/*.ts',
  'demo/src/loadDemo.ts',
  // A table of short queries or methods over what they share: each of them is under thirty lines.
  'server/src/db/*.ts',
  'server/src/services/*Service.ts',
  // One entry an operation, a line of work each.
  'server/src/routes/patterns.ts',
];

export default tseslint.config(
  { ignores: ['**/dist/**', '**/out/**', '**/node_modules/**', '**/*.js', '**/*.mjs'] },
  js.configs.recommended,
  ...tseslint.configs.recommendedTypeChecked,
  {
    languageOptions: {
      globals: { ...globals.node, ...globals.browser },
      parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname },
    },
  },
  {
    rules: {
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      '@typescript-eslint/require-await': 'off',
      '@typescript-eslint/consistent-type-imports': 'error',
      // A default says the rest on purpose; without one every case must be there.
      '@typescript-eslint/switch-exhaustiveness-check': [
        'error',
        { considerDefaultExhaustiveForUnions: true },
      ],
    },
  },
  { files: ['core/src/**/*.ts', 'server/src/**/*.ts', 'demo/src/**/*.ts'], rules: shortFunctions(60) },
  { files: ['web/src/**/*.{ts,tsx}'], rules: shortFunctions(120) },
  { files: LONG_FUNCTIONS, rules: { 'max-lines-per-function': 'off' } },
  { files: ['core/src/**/*.ts'], rules: coreOnly },
  { files: ['server/**/*.ts'], rules: refuse('web|e2e', 'server never imports the interface.') },
  {
    files: ['web/**/*.{ts,tsx}'],
    ...hooks.configs.flat.recommended,
    rules: {
      ...hooks.configs.flat.recommended.rules,
      // It warns of libraries that the React Compiler must leave alone; we do not use that compiler.
      'react-hooks/incompatible-library': 'off',
      ...refuse('server|e2e', 'web knows the server only by HTTP.'),
    },
  },
  {
    files: ['e2e/**/*.ts'],
    rules: {
      ...refuse('core|server|web', 'e2e knows only what a user sees.'),
      // A fixture that needs no other still has to take its argument apart.
      'no-empty-pattern': ['error', { allowObjectPatternsAsParameters: true }],
    },
  },
);
