import { createInterface } from 'node:readline/promises';
import { readConfig } from './config.ts';
import {
  keepOwner,
  LEAST_SIGNS,
  ownerKey,
  type PassphraseFault,
  passphraseFault,
} from './access/passphrase.ts';

const FAULT_WORDS: Readonly<Record<PassphraseFault, string>> = {
  too_short: `It needs ${LEAST_SIGNS} signs at least: four or five words do.`,
  too_long: 'It is longer than 200 signs.',
  one_sign: 'It is the same few signs again and again.',
};

/** `npm run passphrase`: asks for the owner’s passphrase, or takes it from what is piped in, and keeps what tells it again. */
async function main(): Promise<number> {
  const config = readConfig({ ...process.env, PORT: '0' });
  if ('code' in config) return 1;
  process.umask(0o077);
  const asks = createInterface({ input: process.stdin, output: process.stderr });
  const text = (await asks.question('The owner’s passphrase for this studio: ')).trim();
  asks.close();
  const fault = passphraseFault(text);
  if (fault) {
    console.error(`Nothing was changed. ${FAULT_WORDS[fault]}`);
    return 1;
  }
  keepOwner(config.dataDir, await ownerKey(text, new Date()));
  console.log(
    `Kept for the studio in ${config.dataDir}. Start Lanakit anew: whoever was logged in is asked again, and every device is paired anew.`,
  );
  return 0;
}

process.exitCode = await main();
