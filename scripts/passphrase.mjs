// npm run passphrase: see docs/security.md.
import { build, install, run } from './prepare.mjs';

install();
build();
run('node', ['dist/server/passphraseCommand.js']);
