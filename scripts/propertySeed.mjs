// The same examples at every run of `npm test`, so that what fails on one machine fails on all; `npm run explore` tries others.
import fc from 'fast-check';

const SEED = 20261128;
const { EXPLORE_SEED, EXPLORE_RUNS } = process.env;
fc.configureGlobal({
  seed: EXPLORE_SEED === undefined ? SEED : Number(EXPLORE_SEED),
  ...(EXPLORE_RUNS === undefined ? {} : { numRuns: Number(EXPLORE_RUNS) }),
});
