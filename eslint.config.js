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
