/** Native ESM: `npm run unit` sets the flag that Node 20 needs for it. */
const common = {
  extensionsToTreatAsEsm: ['.ts', '.tsx'],
  testEnvironment: 'node',
  transform: {
    '^.+\\.tsx?$': [
      '@swc/jest',
      {
        jsc: {
          target: 'es2022',
          parser: { syntax: 'typescript', tsx: true },
          transform: { react: { runtime: 'automatic' } },
        },
        module: { type: 'es6' },
        sourceMaps: 'inline',
      },
    ],
  },
  modulePathIgnorePatterns: ['<rootDir>/dist', '<rootDir>/out'],
  setupFiles: ['<rootDir>/scripts/propertySeed.mjs'],
};

export default {
  // At the most: setting the first PDF loads fonts, and a machine may be held back.
  testTimeout: 60_000,
  // Both cores: left to itself Jest keeps one of two for nothing.
  maxWorkers: '100%',
  projects: [
    ...['core', 'server', 'demo', 'web'].map((name) => ({
      ...common,
      displayName: name,
      testMatch: [`<rootDir>/${name}/test/**/*.test.ts`],
    })),
    {
      ...common,
      displayName: 'ui',
      testMatch: ['<rootDir>/web/test/**/*.test.tsx'],
      testEnvironment: 'jsdom',
      moduleNameMapper: { '\\.css$': '<rootDir>/scripts/cssStub.mjs' },
      setupFiles: [...common.setupFiles, '<rootDir>/scripts/browserStub.mjs'],
    },
  ],
};
