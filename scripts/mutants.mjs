// npm run mutants -- ROOM: which changed signs, bounds and constants of a room of the core its own tests do not notice.
import { spawnSync } from 'node:child_process';
import { ROOT, stop } from './prepare.mjs';

const room = process.argv[2];
if (!/^[a-z]+$/.test(room ?? '')) stop('Which room of the core? npm run mutants -- engine');
const { status } = spawnSync('npx', ['stryker', 'run', '--mutate', `core/src/${room}/**/*.ts,!**/index.ts`], {
  cwd: ROOT,
  stdio: 'inherit',
  env: { ...process.env, LANAKIT_ROOM: room, FORCE_COLOR: '0' },
});
process.exit(status ?? 1);
