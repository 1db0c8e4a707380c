// npm run rooms:picture: which room of the core knows which, drawn from the source into docs/rooms.svg.
import { instance } from '@viz-js/viz';
import { spawnSync } from 'node:child_process';
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT } from './prepare.mjs';

const drawn = spawnSync(
  'npx',
  [
    'depcruise',
    '--config',
    '.dependency-cruiser.mjs',
    '--output-type',
    'archi',
    'core/src',
    'server/src',
    'demo/src',
    'web/src',
  ],
  { cwd: ROOT, encoding: 'utf8', maxBuffer: 1e8 },
);
if (drawn.status !== 0) {
  console.error(drawn.stderr);
  process.exit(1);
}
const viz = await instance();
const file = join(ROOT, 'docs', 'rooms.svg');
// It is looked at, not gone on from.
const svg = viz.renderString(drawn.stdout, { format: 'svg' }).replaceAll(/ xlink:href="[^"]*"/g, '');
writeFileSync(file, svg);
console.log(`Drawn: ${file}`);
