// npm run bench: what things cost, measured; nothing is asserted here.
import { build, install, run } from './prepare.mjs';

install();
build();
run('npx', ['vite', 'build', '--config', 'bench/vite.config.ts', '--logLevel', 'warn']);
run('node', ['dist/bench/main.js', ...process.argv.slice(2)], { NODE_ENV: 'production' });
