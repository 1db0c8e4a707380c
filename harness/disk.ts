import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Report } from './report.ts';
import { faultsOf, Studio, within } from './studio.ts';

/** A disk so small that it fills, and that can be made larger, or closed to writing, under the feet of who writes. */
class SmallDisk {
  readonly place = mkdtempSync(join(tmpdir(), 'lanakit-disk-'));

  /** False where this machine lets nobody mount one. */
  mount(size: string): boolean {
    return spawnSync('mount', ['-t', 'tmpfs', '-o', `size=${size}`, 'tmpfs', this.place]).status === 0;
  }

  become(options: string): void {
    const { status, stderr } = spawnSync('mount', ['-o', `remount,${options}`, this.place]);
    if (status !== 0) throw new Error(`remounting ${options}: ${String(stderr)}`);
  }

  remove(): void {
    spawnSync('umount', ['-l', this.place]);
    rmSync(this.place, { recursive: true, force: true });
  }
}

const MOST_WRITES = 4000;

/** What a full disk, and one that is closed to writing, do to a studio and to its start. */
export async function disk(): Promise<Report> {
  const small = new SmallDisk();
  const faults: string[] = [];
  if (!small.mount('4m')) {
    small.remove();
    return { name: 'disk', figures: { 'not tried': 'this machine lets nobody mount a disk' }, faults };
  }
  try {
    const dataDir = join(small.place, 'studio');
    const acknowledged = await filled(dataDir, small, faults);
    await closed(dataDir, small, faults);
    await startedOnFull(small, faults);
    return { name: 'disk', figures: { 'writes until it was full': acknowledged }, faults };
  } finally {
    small.remove();
  }
}

/** Written until there is no room; room is made, and it goes on. */
async function filled(dataDir: string, small: SmallDisk, faults: string[]): Promise<number> {
  const studio = await Studio.started(dataDir);
  const made: string[] = [];
  let last = { status: 0, body: {} as unknown };
  const write = async () => {
    last = await studio.send('POST', '/patterns', {
      ...(await blank(studio)),
      title: `P${made.length}`,
      prerequisites: 'x'.repeat(500),
    });
    if (last.status === 201) made.push((last.body as { id: string }).id);
  };
  while (made.length < MOST_WRITES && (last.status === 0 || last.status === 201)) await write();
  expectProblem(last, 507, ['disk_full', 'disk_failed'], 'a full disk', faults);
  if ((await studio.get('/patterns')).status !== 200)
    faults.push('a full disk: what is there is no longer shown');
  small.become('size=32m');
  const before = made.length;
  await write();
  if (made.length !== before + 1) faults.push(`after room was made it is answered ${last.status}`);
  await studio.kill();
  faults.push(...faultsOf(dataDir).map((fault) => `a full disk: ${fault}`));
  const there = new Set(
    within(dataDir, (db) => db.prepare<[], string>('SELECT id FROM pattern').pluck().all()),
  );
  for (const id of made) if (!there.has(id)) faults.push(`a full disk: ${id} was acknowledged and is gone`);
  return before;
}

let blankPattern: object | null = null;
/** What every document has, from the one the schema wants. */
async function blank(studio: Studio): Promise<object> {
  if (blankPattern) return blankPattern;
  const read = await studio.ask({
    method: 'POST',
    path: '/api/pattern-files',
    body: '# Ball\n\n1. Roll it\n',
    headers: { 'Content-Type': 'application/octet-stream' },
  });
  blankPattern = (read.body as { file: { pattern: object } }).file.pattern;
  return blankPattern;
}

interface Said {
  readonly status: number;
  readonly body: unknown;
}

function expectProblem(
  { status, body }: Said,
  wanted: number,
  codes: readonly string[],
  when: string,
  faults: string[],
): void {
  const { code } = body as { code?: string };
  if (status !== wanted || !codes.includes(code ?? ''))
    faults.push(`${when}: answered ${status} ${code ?? ''}`);
}

/** Closed to writing while it runs, and when it starts. */
async function closed(dataDir: string, small: SmallDisk, faults: string[]): Promise<void> {
  const studio = await Studio.started(dataDir);
  const document = await blank(studio);
  await studio.stop();
  small.become('ro');
  const refused = Studio.spawned(dataDir, false);
  const code = await refused.over();
  expectWords(refused, code, /cannot be written|may not be written/, 'started on a closed disk', faults);
  small.become('rw');
  const again = await Studio.started(dataDir);
  if ((await again.send('POST', '/patterns', document)).status !== 201)
    faults.push('opened again it writes no more');
  await again.stop();
}

/** Its first start on a disk that is full already; then, with room, it is a first start still. */
async function startedOnFull(small: SmallDisk, faults: string[]): Promise<void> {
  const filler = join(small.place, 'filler');
  small.become('size=8m');
  try {
    writeFileSync(filler, Buffer.alloc(16_000_000));
  } catch {
    // As full as it gets.
  }
  const dataDir = join(small.place, 'late');
  const refused = Studio.spawned(dataDir, true);
  const code = await refused.over();
  expectWords(refused, code, /is full|cannot be written/, 'started on a full disk', faults);
  rmSync(filler, { force: true });
  small.become('size=32m');
  const again = await Studio.started(dataDir, true);
  const { items } = (await again.get('/patterns')).body as { items: unknown[] };
  if (items.length === 0) faults.push('a first start that found no room left an empty studio');
  await again.stop();
}

function expectWords(
  studio: Studio,
  code: number | null,
  words: RegExp,
  when: string,
  faults: string[],
): void {
  if (code !== 1) faults.push(`${when}: it ended with ${String(code)}`);
  if (!words.test(studio.output)) faults.push(`${when}: it said “${studio.output.slice(0, 200)}”`);
  if (/\n\s+at /.test(studio.output)) faults.push(`${when}: it showed a stack`);
}
