// npm test: everything set up, everything checked. The last line is `N passed, N failed`.
import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { build, installAndCompile, ROOT, run, runBeside, stop, tryRun } from './prepare.mjs';

const OUT = join(ROOT, 'out');
const ESM = '--experimental-vm-modules --disable-warning=ExperimentalWarning';
const counts = { passed: 0, failed: 0 };

/** A check that either passes or fails as one. */
async function check({ name, command, args }) {
  const began = Date.now();
  const { status, said } = await runBeside(command, args);
  const seconds = Math.round((Date.now() - began) / 1000);
  console.log(
    `${name}: ${status === 0 ? 'passed' : 'FAILED'} (${seconds} s)${status === 0 ? '' : `\n${said}`}`,
  );
  if (status === 0) counts.passed += 1;
  else counts.failed += 1;
}

const CHECKS = [
  { name: 'Lint', command: 'npx', args: ['oxlint'] },
  { name: 'Types', command: 'npm', args: ['run', '--silent', 'typecheck'] },
  { name: 'Rooms', command: 'npm', args: ['run', '--silent', 'rooms'] },
  { name: 'Nothing unused', command: 'npm', args: ['run', '--silent', 'unused'] },
  { name: 'Licences', command: 'node', args: ['scripts/licences.mjs', '--check'] },
  { name: 'Format', command: 'npx', args: ['prettier', '--check', '--log-level', 'warn', '.'] },
];

/** So many at once, in this order. */
async function checkAll(checks, atOnce) {
  const waiting = [...checks];
  const next = async () => {
    for (let first = waiting.shift(); first; first = waiting.shift()) await check(first);
  };
  await Promise.all(Array.from({ length: atOnce }, next));
}

/** A runner that leaves its counts in a file. */
function runner(name, command, args, env, file, read) {
  console.log(`\n${name}…`);
  rmSync(file, { force: true });
  const { status } = spawnSync(command, args, {
    cwd: ROOT,
    stdio: 'inherit',
    env: { ...process.env, ...env },
  });
  // No report means that it did not get as far as running: one failure, never a silent nought.
  const { passed, failed } = existsSync(file)
    ? read(JSON.parse(readFileSync(file, 'utf8')))
    : { passed: 0, failed: 1 };
  counts.passed += passed;
  counts.failed += failed === 0 && status !== 0 ? 1 : failed;
}

/** Debian's Chromium without a window; the whole one does as well where that is there already and nothing can be brought. */
function bringChromium() {
  if (existsSync('/usr/bin/chromium-headless-shell')) return;
  const isThere = existsSync('/usr/bin/chromium');
  const isRoot = process.getuid?.() === 0;
  if (!isRoot && isThere) return;
  if (!isRoot) {
    stop(
      'The browser tests need Debian’s Chromium. As root: apt-get install -y --no-install-recommends chromium-headless-shell fonts-liberation',
    );
  }
  console.log('Installing Debian’s Chromium…');
  const quiet = { DEBIAN_FRONTEND: 'noninteractive' };
  const packages = ['chromium-headless-shell', 'fonts-liberation'];
  const attempt = isThere ? tryRun : run;
  // Where nothing can be reached that is known soon.
  const soon = ['-o', 'Acquire::http::Timeout=20', '-o', 'Acquire::Retries=1'];
  attempt('apt-get', ['update', '-qq', ...soon]);
  attempt('apt-get', ['install', '-y', '-qq', ...soon, '--no-install-recommends', ...packages], quiet);
}

const { compiled } = await installAndCompile();
bringChromium();
mkdirSync(OUT, { recursive: true });
// None of these opens a database: they need not wait for what is being compiled.
await checkAll(CHECKS, 2);
build();
await compiled;
const jestReport = join(OUT, 'jest.json');
runner(
  'Core, server and state',
  'npx',
  ['jest', '--json', `--outputFile=${jestReport}`],
  { NODE_OPTIONS: ESM },
  jestReport,
  (report) => ({
    passed: report.numPassedTests,
    failed: report.numFailedTests + report.numRuntimeErrorTestSuites,
  }),
);
const e2eReport = join(OUT, 'playwright.json');
runner(
  'Journeys in the browser',
  'npx',
  ['playwright', 'test', '--config', 'e2e/playwright.config.ts', '--reporter=list,json'],
  { PLAYWRIGHT_JSON_OUTPUT_FILE: e2eReport },
  e2eReport,
  ({ stats, errors }) => ({ passed: stats.expected, failed: stats.unexpected + stats.flaky + errors.length }),
);

const harnessReport = join(OUT, 'harness.json');
run('npx', ['vite', 'build', '--config', 'harness/vite.config.ts', '--logLevel', 'warn']);
runner(
  'Kills, fuzz, a full disk',
  'node',
  ['dist/harness/main.js', 'short'],
  {},
  harnessReport,
  (report) => report,
);

console.log(`\n${counts.passed} passed, ${counts.failed} failed`);
process.exit(counts.failed === 0 ? 0 : 1);
