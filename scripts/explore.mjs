// npm run explore -- [rounds] [runs] [path…]: the property tests with seeds that nobody has tried, and the seed that failed.
import { spawnSync } from 'node:child_process';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT } from './prepare.mjs';

const [rounds = '3', runs = '300', ...paths] = process.argv.slice(2);
const tests = ['core/test', 'server/test', 'web/test'].flatMap((folder) =>
  readdirSync(join(ROOT, folder), { recursive: true })
    .filter((name) => /\.test\.tsx?$/.test(name))
    .map((name) => join(folder, name)),
);
const withProperties = tests.filter((file) => readFileSync(join(ROOT, file), 'utf8').includes('fast-check'));
const chosen = paths.length > 0 ? paths : withProperties;
let failed = 0;
for (let round = 0; round < Number(rounds); round += 1) {
  const seed = Math.floor(Math.random() * 2 ** 31);
  console.log(`\nSeed ${seed}, ${runs} runs of each property…`);
  const { status } = spawnSync('npx', ['jest', '--testTimeout=600000', ...chosen], {
    cwd: ROOT,
    stdio: 'inherit',
    env: {
      ...process.env,
      NODE_OPTIONS: '--experimental-vm-modules --disable-warning=ExperimentalWarning',
      EXPLORE_SEED: String(seed),
      EXPLORE_RUNS: runs,
    },
  });
  if (status !== 0) failed += 1;
}
console.log(`\n${rounds} rounds, ${failed} with failures`);
process.exit(failed === 0 ? 0 : 1);
