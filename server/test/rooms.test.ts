import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { spawnSync } from 'node:child_process';
import { mkdirSync, mkdtempSync, rmSync, symlinkSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

const ROOT = fileURLToPath(new URL('../..', import.meta.url));
const CRUISER = join(ROOT, 'node_modules/dependency-cruiser/bin/dependency-cruise.mjs');

const leaf = 'export const one = 1;\nexport type One = 1;\n';
const uses = (path: string): string => `import { one } from '${path}';\nexport const two = one + 1;\n`;
/** For its type alone: erased when it runs, and an arrow all the same. */
const usesType = (path: string): string => `import type { One } from '${path}';\nexport type Two = One[];\n`;

/** What stands in a house, its files told from those of other rows by `#`, and which rules that breaks. */
const ROWS: readonly (readonly [name: string, files: Readonly<Record<string, string>>, rules: readonly string[]])[] = [
  ['a room below is known', { 'core/src/base/index.ts': leaf, 'core/src/engine/a#.ts': uses('../base/index.ts') }, []],
  ['a room above is not', { 'core/src/engine/index.ts': leaf, 'core/src/base/a#.ts': uses('../engine/index.ts') }, ['core-src-base-looks-up']],
  ['nor for a type alone', { 'core/src/run/index.ts': leaf, 'core/src/shelf/a#.ts': usesType('../run/index.ts') }, ['core-src-shelf-looks-up']],
  ['past the door of a room', { 'core/src/base/inner#.ts': leaf, 'core/src/needles/a#.ts': uses('../base/inner#.ts') }, ['by-the-door']],
  ['two files in a circle', { 'core/src/base/a#.ts': `import type { One } from './b#.ts';\nexport type Two = One;\n`, 'core/src/base/b#.ts': `import type { Two } from './a#.ts';\nexport type One = Two | 1;\n` }, ['no-circle']],
  ['two folders in a circle', { 'core/src/pattern/x#/a.ts': uses('../y#/b.ts'), 'core/src/pattern/y#/b.ts': leaf, 'core/src/pattern/y#/c.ts': uses('../x#/d.ts'), 'core/src/pattern/x#/d.ts': leaf }, ['rooms-in-no-circle']],
  ['Node in the core', { 'core/src/base/a#.ts': `import { readFileSync } from 'node:fs';\nexport const a = readFileSync;\n` }, ['core-knows-no-node']],
  ['the core and the server', { 'server/src/db/d#.ts': leaf, 'core/src/base/a#.ts': uses('../../../server/src/db/d#.ts') }, ['core-is-pure']],
  ['a service and a route', { 'server/src/routes/a#.ts': leaf, 'server/src/services/b#.ts': uses('../routes/a#.ts') }, ['server-src-services-looks-up']],
  ['a service and express', { 'server/src/services/b#.ts': `import express from 'express';\nexport const a = express;\n` }, ['services-know-no-http']],
  ['a service and the demo', { 'demo/src/a#.ts': leaf, 'server/src/services/b#.ts': uses('../../../demo/src/a#.ts') }, ['only-the-beginning-knows-the-demo']],
  ['the interface and the server', { 'server/src/services/a#.ts': leaf, 'web/src/runs/b#.ts': uses('../../../server/src/services/a#.ts') }, ['web-knows-the-server-by-http']],
  ['fields and a page', { 'web/src/runs/a#.ts': leaf, 'web/src/ui/b#.ts': uses('../runs/a#.ts') }, ['web-src-ui-looks-up']],
  ['two lists of the work table', { 'web/src/writing/parts/a#.ts': leaf, 'web/src/writing/joins/b#.ts': uses('../parts/a#.ts') }, ['web-src-writing-joins-looks-sideways']],
  ['journeys and the core', { 'core/src/figure/index.ts': leaf, 'e2e/b#.ts': uses('../core/src/figure/index.ts') }, ['journeys-know-what-a-user-sees']],
  ['what nobody needs', { 'core/src/base/alone#.ts': leaf }, ['no-orphan']],
]; // prettier-ignore

interface Violation {
  readonly from: string;
  readonly rule: { readonly name: string };
}

describe('the rules of the house, each broken on purpose', () => {
  let house: string;
  let violations: readonly Violation[];
  /** All rows in one house: a run over it takes a second and a half, however many there are. */
  beforeAll(() => {
    house = mkdtempSync(join(tmpdir(), 'lanakit-rooms-'));
    for (const name of ['node_modules', '.dependency-cruiser.mjs'])
      symlinkSync(join(ROOT, name), join(house, name));
    const compilerOptions = { module: 'ESNext', moduleResolution: 'Bundler', allowImportingTsExtensions: true, noEmit: true }; // prettier-ignore
    put('tsconfig.json', JSON.stringify({ compilerOptions }));
    ROWS.forEach(([, files], at) => {
      for (const [file, text] of Object.entries(files)) put(numbered(file, at), numbered(text, at));
    });
    const args = [CRUISER, '--config', '.dependency-cruiser.mjs', '--output-type', 'json', 'core', 'server', 'demo', 'web', 'e2e']; // prettier-ignore
    const { stdout } = spawnSync(process.execPath, args, { cwd: house, encoding: 'utf8', maxBuffer: 1e8 });
    ({ violations } = (JSON.parse(stdout) as { summary: { violations: Violation[] } }).summary);
  });
  afterAll(() => rmSync(house, { recursive: true, force: true }));

  const numbered = (text: string, at: number): string => text.replaceAll('#', `Of${at}`);
  const put = (file: string, text: string): void => {
    mkdirSync(dirname(join(house, file)), { recursive: true });
    writeFileSync(join(house, file), text);
  };

  test.each(ROWS.map(([name, , rules], at) => ({ name, rules, at })))('$name', ({ rules, at }) => {
    const ofRule = violations.filter(({ from }) => new RegExp(`Of${at}(\\D|$)`).test(from));
    expect([...new Set(ofRule.map(({ rule }) => rule.name))]).toEqual(rules);
  });
});
