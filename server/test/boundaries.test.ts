import { beforeAll, expect, test } from '@jest/globals';
import { execFileSync } from 'node:child_process';
import { fileURLToPath } from 'node:url';

const ROOT = fileURLToPath(new URL('../..', import.meta.url));

const ROWS = [
  ['core may not know the server', 'core/src/index.ts', `import '@lanakit/server';`, true],
  ['core may not know the interface by path', 'core/src/index.ts', `import '../../web/src/main.tsx';`, true],
  ['core may not read files', 'core/src/index.ts', `import 'node:fs';`, true],
  [
    'server may not know the interface',
    'server/src/createApp.ts',
    `import '../../web/src/routes.tsx';`,
    true,
  ],
  ['the interface may not know the server', 'web/src/routes.tsx', `import '@lanakit/server';`, true],
  ['journeys may not know the core', 'e2e/support/pear.ts', `import '@lanakit/core';`, true],
  ['the server may know the core', 'server/src/createApp.ts', `import '@lanakit/core';`, false],
  ['the interface may know the core', 'web/src/routes.tsx', `import '@lanakit/core';`, false],
] as const;

/**
 * The import rule as the project's own configuration sets it for each file, run over each text. The rule alone: the
 * typed rules would take minutes. In a process of its own, because Jest's loader cannot load the configuration.
 */
const SCRIPT = `
  import { ESLint, Linter } from 'eslint';
  const eslint = new ESLint();
  const refused = [];
  for (const [, path, text] of JSON.parse(process.argv[1])) {
    const { rules } = await eslint.calculateConfigForFile(path);
    const rule = { 'no-restricted-imports': rules['no-restricted-imports'] ?? 'off' };
    refused.push(new Linter().verify(text, [{ rules: rule }]).length > 0);
  }
  console.log(JSON.stringify(refused));`;

let refused: boolean[] = [];
beforeAll(() => {
  const output = execFileSync(process.execPath, ['--input-type=module', '-e', SCRIPT, JSON.stringify(ROWS)], {
    cwd: ROOT,
    encoding: 'utf8',
    env: { ...process.env, NODE_OPTIONS: '' },
  });
  refused = JSON.parse(output) as boolean[];
}, 60_000);

test.each(ROWS.map(([name, , , isRefused], index) => ({ name, isRefused, index })))(
  '$name',
  ({ isRefused, index }) => {
    expect(refused[index]).toBe(isRefused);
  },
);
