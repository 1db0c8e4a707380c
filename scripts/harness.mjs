// npm run harness -- kills|fuzz|long|disk|short [COUNT] [SEED]: whether it holds; see docs/reliability.md.
import { build, install, run } from './prepare.mjs';

install();
build();
run('npx', ['vite', 'build', '--config', 'harness/vite.config.ts', '--logLevel', 'warn']);
run('node', ['dist/harness/main.js', ...process.argv.slice(2)]);
