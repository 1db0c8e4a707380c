// npm start: everything set up, demo data the first time, running.
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { build, install, ROOT } from './prepare.mjs';

install();
build();
// In this very process, so that a signal reaches the server.
await import(pathToFileURL(join(ROOT, 'dist/server/main.js')).href);
