// npm run backup · npm run restore [-- NAME]: see docs/backup.md.
import { build, install, run } from './prepare.mjs';

install();
build();
run('node', ['dist/server/backupCommand.js', ...process.argv.slice(2)]);
