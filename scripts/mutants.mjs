// npm run mutants -- ROOM [PART [TESTS]]: which changed signs, bounds and constants of a room of the core, or of a part of it, its
// own tests do not notice: `npm run mutants -- run portions 'portions|spareBag'`.
import { spawnSync } from 'node:child_process';
import { ROOT, stop } from './prepare.mjs';

const [, , room, part, tests] = process.argv;
if (!/^[a-z]+$/.test(room ?? '')) stop('Which room of the core? npm run mutants -- engine');
const at = `core/src/${room}/${part ?? ''}`.replace(/\/$/, '');
const mutate = [`${at}/**/*.ts`, `${at}.ts`, '!**/index.ts'].join(',');
const { status } = spawnSync('npx', ['stryker', 'run', '--mutate', mutate], {
  cwd: ROOT,
  stdio: 'inherit',
  env: { ...process.env, LANAKIT_ROOM: room, LANAKIT_TESTS: tests ?? '', FORCE_COLOR: '0' },
});
process.exit(status ?? 1);
