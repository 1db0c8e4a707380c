// What both commands need first: the locked packages, and a build that is no older than the source.
import { spawn, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

export const ROOT = join(dirname(fileURLToPath(import.meta.url)), '..');

const INSTALL_STAMP = join(ROOT, 'node_modules', '.lanakit-installed');
const BUILD_STAMP = join(ROOT, 'dist', '.lanakit-built');
const SOURCES = [
  'core/src',
  'demo/src',
  'server/src',
  'server/vite.config.ts',
  'web/src',
  'web/public',
  'web/index.html',
  'web/vite.config.ts',
];

/** Runs a command in the project; whether it could be done. */
export const tryRun = (command, args, env = {}) =>
  spawnSync(command, args, { cwd: ROOT, stdio: 'inherit', env: { ...process.env, ...env } }).status === 0;

/** Runs a command in the project; stops everything when it fails. */
export function run(command, args, env = {}) {
  const result = spawnSync(command, args, { cwd: ROOT, stdio: 'inherit', env: { ...process.env, ...env } });
  if (result.error) stop(`${command} could not be run (${result.error.message}).`);
  if (result.status !== 0) stop(`“${command} ${args.join(' ')}” failed; see above.`);
}

export function stop(words) {
  console.error(`\n${words}`);
  process.exit(1);
}

const has = (command) => spawnSync('sh', ['-c', `command -v ${command}`]).status === 0;

/** With a compiler cache at hand, compiling SQLite a second time takes two seconds. */
const compilers = () => (has('ccache') ? { CC: 'ccache gcc', CXX: 'ccache g++' } : {});

const lockHash = () => hashOf([join(ROOT, 'package-lock.json')], true);
const isInstalled = () => existsSync(INSTALL_STAMP) && readFileSync(INSTALL_STAMP, 'utf8') === lockHash();

function assertNode() {
  const [major, minor] = process.versions.node.split('.').map(Number);
  if (major !== 20 || minor < 19) {
    stop(`Lanakit runs on Node 20.19 or newer within 20; this is Node ${process.versions.node}.`);
  }
}

/** Installs the locked packages unless these very ones are installed. */
export function install() {
  assertNode();
  if (isInstalled()) return;
  console.log('Installing packages (the first time this compiles SQLite, about two minutes)…');
  run('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error'], compilers());
  writeFileSync(INSTALL_STAMP, lockHash());
}

/**
 * The same, but what has to be compiled is compiled on one core while the caller goes on with the other.
 * @returns `compiled`, a promise of it: until then nothing may open a database
 */
export async function installAndCompile() {
  assertNode();
  if (isInstalled()) return { compiled: Promise.resolve() };
  console.log('Installing packages; SQLite is compiled beside the first checks…');
  run('npm', ['ci', '--ignore-scripts', '--no-audit', '--no-fund', '--loglevel=error']);
  const compiled = runBeside('npm', ['rebuild', '--loglevel=error'], compilers()).then(({ status, said }) => {
    if (status !== 0) stop(`Compiling failed:\n${said}`);
    writeFileSync(INSTALL_STAMP, lockHash());
  });
  return { compiled };
}

/** Runs a command in the project beside others: how it ended, and all it said. */
export function runBeside(command, args, env = {}) {
  return new Promise((resolve) => {
    const child = spawn(command, args, { cwd: ROOT, env: { ...process.env, ...env } });
    let said = '';
    child.stdout.on('data', (chunk) => (said += String(chunk)));
    child.stderr.on('data', (chunk) => (said += String(chunk)));
    child.on('error', (error) => resolve({ status: 1, said: `${said}${error.message}` }));
    child.on('close', (status) => resolve({ status, said }));
  });
}

/** Builds interface and server unless the build is of these very sources. */
export function build() {
  const sources = hashOf(
    SOURCES.map((path) => join(ROOT, path)),
    false,
  );
  const wanted = `${sources} ${lockHash()}`;
  if (existsSync(BUILD_STAMP) && readFileSync(BUILD_STAMP, 'utf8') === wanted) return;
  console.log('Building…');
  run('npx', ['vite', 'build', '--config', 'web/vite.config.ts', '--logLevel', 'warn']);
  run('npx', ['vite', 'build', '--config', 'server/vite.config.ts', '--logLevel', 'warn']);
  mkdirSync(dirname(BUILD_STAMP), { recursive: true });
  writeFileSync(BUILD_STAMP, wanted);
}

/** By content, or by name, size and time of change where there are many files. */
function hashOf(paths, byContent) {
  const hash = createHash('sha256');
  const visit = (path) => {
    const stat = statSync(path);
    if (stat.isDirectory()) for (const name of readdirSync(path).sort()) visit(join(path, name));
    else hash.update(byContent ? readFileSync(path) : `${path} ${stat.size} ${stat.mtimeMs}\n`);
  };
  paths.filter((path) => existsSync(path)).forEach(visit);
  return hash.digest('hex');
}
