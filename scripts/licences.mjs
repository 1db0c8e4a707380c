// npm run licences: what ships and under which licence, from the lock file, into docs/licences.md; --check: it is so already.
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { format, resolveConfig } from 'prettier';
import { ROOT } from './prepare.mjs';

const FILE = join(ROOT, 'docs/licences.md');

/** All of them let it be used and passed on with their notice kept; a package under another is looked at before it ships. */
const TAKEN = new Set([
  '0BSD',
  'Apache-2.0',
  'BSD-2-Clause',
  'BSD-3-Clause',
  'BlueOak-1.0.0',
  'BSL-1.0',
  'CC0-1.0',
  'ISC',
  'MIT',
  'MIT-0',
  'OFL-1.1',
  'PSF-2.0',
  'Python-2.0',
  'Unlicense',
  'Zlib',
]);
/** What the lock does not say, or says in other words, as their own files have it. */
const SAID = new Map([
  ['clipper-lib', 'BSL-1.0'],
  ['png-js', 'MIT'],
]);
/** Loaded beside and not built in; the licence asks for no more than that it can be exchanged. */
const BESIDE = new Map([['LGPL-3.0-or-later', /^@img\/sharp-/]]);

const nameOf = (path) => path.slice(path.lastIndexOf('node_modules/') + 'node_modules/'.length);

const { packages } = JSON.parse(readFileSync(join(ROOT, 'package-lock.json'), 'utf8'));
const shipped = Object.entries(packages)
  .filter(
    ([path, { dev, devOptional, link }]) => path.includes('node_modules/') && !dev && !devOptional && !link,
  )
  .map(([path, { version, license, integrity, resolved }]) => ({
    name: nameOf(path),
    version,
    license: SAID.get(nameOf(path)) ?? license ?? '',
    // A sum and no address: whatever registry it comes from, it is this or nothing.
    isPinned: /^sha512-/.test(integrity ?? '') && resolved === undefined,
  }))
  .sort((a, b) => (a.name < b.name ? -1 : a.name > b.name ? 1 : a.version < b.version ? -1 : 1));

/** “A AND B” all of them, “A OR B” one. */
const isTaken = ({ name, license }) =>
  license
    .replaceAll(/[()]/g, '')
    .split(' OR ')
    .some((choice) =>
      choice.split(' AND ').every((each) => TAKEN.has(each) || BESIDE.get(each)?.test(name) === true),
    );

const faults = [
  ...shipped
    .filter((each) => !isTaken(each))
    .map(({ name, license }) => `${name} is under ${license || 'no licence that its lock names'}`),
  ...shipped.filter(({ isPinned }) => !isPinned).map(({ name }) => `${name} is not pinned by its sum alone`),
];

const rows = [
  ...new Set(shipped.map(({ name, version, license }) => `| ${name} | ${version} | ${license} |`)),
];
const text = `# What ships, and under which licence

Made from \`package-lock.json\` by \`npm run licences\`; \`npm test\` holds it. Only what runs is listed, not what builds and tests it. Installed is
by lock file alone (\`npm ci\`), each package by its SHA-512.

${rows.length} packages.

| package | version | licence |
| --- | --- | --- |
${rows.join('\n')}
`;
const wanted = await format(text, { ...(await resolveConfig(FILE)), parser: 'markdown' });

if (process.argv.includes('--check')) {
  if (!existsSync(FILE) || readFileSync(FILE, 'utf8') !== wanted)
    faults.push('docs/licences.md is not what the lock file says: npm run licences');
} else writeFileSync(FILE, wanted);

for (const fault of faults) console.error(fault);
process.exitCode = faults.length > 0 ? 1 : 0;
