import { existsSync, mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { makeBigStudio, sizeOf } from './bigStudio.ts';
import { Chance } from './random.ts';
import type { Report } from './report.ts';
import { faultsOf, Studio } from './studio.ts';

/** What somebody who works in it asks for, over and over. */
const LISTS: Readonly<Record<string, (chance: Chance) => string>> = {
  bench: () => '/bench',
  patterns: () => '/pattern-lines?limit=24',
  'patterns, far down': (chance) => `/pattern-lines?limit=24&offset=${chance.whole(0, 1000) * 10}`,
  'patterns by title': () => '/pattern-lines?limit=24&order=title',
  'patterns found': (chance) => `/pattern-lines?limit=24&search=${chance.pick(['otter', 'sleepy 1', 'zz'])}`,
  'patterns unknown': () => '/pattern-lines?limit=24&unknown=true',
  'runs ahead': () => '/runs?limit=24',
  'runs been': (chance) => `/runs?limit=24&when=behind&offset=${chance.whole(0, 300) * 10}`,
  'runs found': () => '/runs?limit=24&when=behind&search=gnome',
  revisions: () => '/revisions?search=wren',
  found: (chance) => `/found?search=${chance.pick(['pear', 'moss 1', 'seal ev'])}`,
  fibres: () => '/fibres',
  blends: () => '/blends',
  findings: () => '/findings',
  promised: () => '/promised',
  bin: () => '/bin',
};

const ROUNDS = 12;

/**
 * Ten times a studio's life, or a fraction of it: every list is answered, adds up, and stays small; how long each took and how
 * much it holds is told.
 * @param keepIn a directory to make it in and leave it; one that has a studio is taken as it is
 */
export async function big(fraction: number, seed: number, keepIn?: string): Promise<Report> {
  const dataDir = keepIn ?? mkdtempSync(join(tmpdir(), 'lanakit-big-'));
  const size = sizeOf(fraction);
  if (!existsSync(dataDir) || readdirSync(dataDir).length === 0) await makeBigStudio(dataDir, size, seed);
  const faults: string[] = [];
  const begun = performance.now();
  const studio = await Studio.started(dataDir);
  const startMs = performance.now() - begun;
  const chance = new Chance(seed);
  const slowest: Record<string, number> = {};
  const expectThat = (is: boolean, what: string) => is || faults.push(what);
  try {
    const lines = (await studio.get('/pattern-lines?limit=1')).body as { total: number };
    const archived = (await studio.get('/pattern-lines?limit=1&archived=true')).body as { total: number };
    const all = lines.total + archived.total;
    expectThat(all === size.patterns, `${all} patterns are listed of ${size.patterns}`);
    const runs = await Promise.all(
      ['ahead', 'behind'].map((when) => studio.get(`/runs?when=${when}&limit=1`)),
    );
    const listed = runs.reduce((sum, { body }) => sum + (body as { total: number }).total, 0);
    expectThat(listed === size.runs, `${listed} runs are listed of ${size.runs}`);
    for (let round = 0; round < ROUNDS; round++)
      for (const [name, pathOf] of Object.entries(LISTS)) {
        const answer = await studio.get(pathOf(chance));
        expectThat(answer.status === 200, `${name} is answered ${answer.status}`);
        // The first of each finds everything cold.
        if (round > 0) slowest[name] = Math.max(slowest[name] ?? 0, answer.ms);
      }
    const atRestMb = studio.residentMb();
    for (const fault of faultsOf(dataDir)) faults.push(fault);
    return {
      name: 'big',
      figures: {
        patterns: size.patterns,
        runs: size.runs,
        movements: size.movements,
        'start ms': Math.round(startMs),
        ...Object.fromEntries(Object.entries(slowest).map(([name, ms]) => [`${name} ms`, Math.round(ms)])),
        'MB afterwards': Math.round(atRestMb),
        'MB at most': Math.round(studio.peakMb()),
        seed,
      },
      faults,
    };
  } finally {
    await studio.stop();
    if (keepIn === undefined) rmSync(dataDir, { recursive: true, force: true });
  }
}
