import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { spawnSync } from 'node:child_process';
import { copyFileSync, mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

const ROOT = fileURLToPath(new URL('../..', import.meta.url));

const lines = (count: number): string =>
  Array.from({ length: count }, (_, at) => `  sum += ${at};`).join('\n');
const long = (count: number): string =>
  `export function total(start: number): number {\n  let sum = start;\n${lines(count)}\n  return sum;\n}\n`;

/** A file, and what the lint says of it. */
const ROWS: readonly (readonly [name: string, file: string, text: string, rules: readonly string[]])[] = [
  ['a noun', 'core/src/a#.ts', 'export const grams = [1].map((massG) => massG);', []],
  ['own', 'core/src/a#.ts', 'export const grams = [1].map((own) => own);', ['id-denylist']],
  ['one', 'server/src/a#.ts', 'export const one = 1;', ['id-denylist']],
  ['it', 'web/src/a#.ts', 'export const change = (it: { name: string }) => it.name;', ['id-denylist']],
  ['said', 'e2e/a#.ts', 'export const said = 1;', ['id-denylist']],
  ['a key that stands in documents', 'core/src/words/needleWords.ts', 'export const W = { one: 1, own: 2 };', []],
  ['sixty lines of the core', 'core/src/a#.ts', long(56), []],
  ['sixty-one', 'core/src/a#.ts', long(57), ['max-lines-per-function']],
  ['as many in the interface', 'web/src/a#.ts', long(58), []],
  ['where a reason is given', 'server/src/db/a#.ts', long(90), []],
  ['four hundred and one lines', 'core/test/a#.test.ts', 'export {};\n'.repeat(401), ['max-lines']],
  ['chance in the core', 'core/src/a#.ts', 'export const draw = () => Math.random();', ['no-restricted-properties']],
  ['the clock in the core', 'core/src/a#.ts', 'export const now = () => Date.now();', ['no-restricted-properties']],
  ['the clock elsewhere', 'server/src/a#.ts', 'export const now = () => Date.now();', []],
  ['the window in the core', 'core/src/a#.ts', 'export const title = () => document.title;', ['no-restricted-globals']],
  ['anything', 'core/src/a#.ts', 'export const f = (x: any) => x;', ['no-explicit-any', 'no-unsafe-return']],
  ['a case left out', 'core/src/a#.ts', "export function f(x: 'a' | 'b') {\n  switch (x) {\n    case 'a':\n      return 1;\n  }\n  return 2;\n}", ['switch-exhaustiveness-check']],
  ['a promise let go', 'server/src/a#.ts', 'const save = async () => 1;\nexport function f() {\n  save();\n}', ['no-floating-promises']],
]; // prettier-ignore

const fileOf = (file: string, at: number): string => file.replace('#', String(at));

interface Finding {
  readonly code: string;
  readonly filename: string;
}

describe('the lint, each rule of ours broken on purpose', () => {
  let house: string;
  let found: readonly Finding[];
  /** All rows in one house: what takes its time is to begin. `#` tells the files of one row from those of others. */
  beforeAll(() => {
    house = mkdtempSync(join(tmpdir(), 'lanakit-lint-'));
    ROWS.forEach(([, file, text], at) => {
      const path = join(house, fileOf(file, at));
      mkdirSync(dirname(path), { recursive: true });
      writeFileSync(path, text);
    });
    const compilerOptions = { module: 'ESNext', moduleResolution: 'Bundler', strict: true, noEmit: true, lib: ['ES2023', 'DOM'] }; // prettier-ignore
    writeFileSync(join(house, 'tsconfig.json'), JSON.stringify({ compilerOptions }));
    copyFileSync(join(ROOT, '.oxlintrc.json'), join(house, '.oxlintrc.json'));
    found = findingsOf(house);
  });
  afterAll(() => rmSync(house, { recursive: true, force: true }));

  test.each(ROWS.map(([name, file, , rules], at) => ({ name, file: fileOf(file, at), rules })))(
    '$name',
    (row) => {
      const codes = found
        .filter(({ filename }) => filename === row.file)
        .map(({ code }) => /\(([^)]+)\)$/.exec(code)?.[1] ?? code);
      expect([...new Set(codes)].sort()).toEqual([...row.rules].sort());
    },
  );
});

function findingsOf(folder: string): readonly Finding[] {
  const oxlint = join(ROOT, 'node_modules/oxlint/bin/oxlint');
  const { stdout } = spawnSync(process.execPath, [oxlint, '--format', 'json', '--quiet'], {
    cwd: folder,
    encoding: 'utf8',
  });
  return (JSON.parse(stdout) as { diagnostics: readonly Finding[] }).diagnostics;
}
