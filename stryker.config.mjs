/**
 * Which changed sign, bound or constant no test notices: `npm run mutants -- engine`. A large room takes an hour, so it is no
 * part of `npm test`.
 */
export default {
  testRunner: 'jest',
  testRunnerNodeArgs: ['--experimental-vm-modules', '--disable-warning=ExperimentalWarning'],
  jest: { configFile: 'scripts/jest.mutants.config.mjs', enableFindRelatedTests: true },
  coverageAnalysis: 'perTest',
  // What is built once when a file is loaded is the same for every test; each such change would run them all.
  ignoreStatic: true,
  // Words are held by the tests of words.
  mutator: { excludedMutations: ['StringLiteral'] },
  ignorePatterns: ['dist', 'out', 'web', 'server', 'demo'],
  reporters: ['clear-text', 'progress-append-only', 'json'],
  jsonReporter: { fileName: 'out/mutants.json' },
  tempDirName: 'out/stryker',
  concurrency: 2,
  timeoutMS: 20_000,
};
