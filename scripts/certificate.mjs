// npm run certificate: see docs/security.md.
import { build, install, run } from './prepare.mjs';

install();
build();
run('node', ['dist/server/certificateCommand.js']);
