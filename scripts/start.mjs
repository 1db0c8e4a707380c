// npm start: everything set up, demo data the first time, running.
import { spawn } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { build, install, ROOT } from './prepare.mjs';

install();
build();
// glibc is told to give back what a picture or a paper took: it reads that only where a process begins (mallopt(3)),
// and without it a studio that has printed keeps half as much again. Elsewhere these are names that nobody reads.
const memory = JSON.parse(readFileSync(join(ROOT, 'server/memoryEnv.json'), 'utf8'));
const server = spawn(process.execPath, [join(ROOT, 'dist/server/main.js')], {
  env: { ...memory, ...process.env },
  stdio: ['inherit', 'inherit', 'inherit', 'ipc'],
});
// It stops in its own time when this line to it is gone, whatever ended us.
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'])
  process.on(signal, () => server.connected && server.disconnect());
server.on('exit', (code) => process.exit(code ?? 1));
