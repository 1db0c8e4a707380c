import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Chance } from './random.ts';
import type { Report } from './report.ts';
import { Studio } from './studio.ts';

const AT_ONCE = 8;
/** Looks at memory and handles, evenly over the run. */
const LOOKS = 20;
/** The end may be over the middle by so much: what is collected late. */
const MOST_OVER_MB = 40;
const MOST_OVER_HANDLES = 12;

const READS = [
  '/patterns',
  '/runs',
  '/bench',
  '/fibres',
  '/promised',
  '/revisions',
  '/health',
  '/keeping',
  '/blends',
];

/** A working day over and over: memory and open handles stay what they are. */
export async function longRun(count: number, seed: number): Promise<Report> {
  const dataDir = mkdtempSync(join(tmpdir(), 'lanakit-long-'));
  const studio = await Studio.started(dataDir, true);
  const chance = new Chance(seed);
  const faults: string[] = [];
  try {
    const [fibre] = (
      (await studio.get('/fibres')).body as { items: { id: string; lots: { id: string }[] }[] }
    ).items;
    const runs = (await studio.get('/runs')).body as { items: { id: string }[] };
    const [pattern] = (
      (await studio.get('/patterns')).body as { items: { id: string; version: number; document: object }[] }
    ).items;
    let version = pattern?.version ?? 1;
    const looks: { mb: number; handles: number }[] = [];
    const latencies: number[] = [];
    let done = 0;
    const write = async (): Promise<number> => {
      const which = chance.whole(0, 2);
      if (which === 0)
        return (
          await studio.send('POST', '/stock/counts', {
            counts: [{ itemId: fibre?.id, lotId: fibre?.lots[0]?.id, amount: chance.whole(0, 900) }],
          })
        ).status;
      if (which === 1)
        return (
          await studio.send('POST', `/runs/${chance.pick(runs.items).id}/ticks`, {
            key: `k${done}-${chance.whole(0, 1e9)}`,
            mark: `m${chance.whole(0, 99)}`,
            isDone: true,
            massG: 1,
          })
        ).status;
      const saved = await studio.send('PUT', `/patterns/${pattern?.id}`, pattern?.document, {
        'If-Match': `"${version}"`,
      });
      if (saved.status === 200) version = Number(saved.etag.replaceAll('"', ''));
      // Another of these was first: that is said, and right.
      return saved.status === 409 ? 200 : saved.status;
    };
    const askAll = async () => {
      while (done < count) {
        done += 1;
        if (done % Math.ceil(count / LOOKS) === 0)
          looks.push({ mb: studio.residentMb(), handles: studio.handles() });
        const begun = performance.now();
        const status = chance.is(0.1) ? await write() : (await studio.get(chance.pick(READS))).status;
        latencies.push(performance.now() - begun);
        if (latencies.length > 200_000) latencies.splice(0, 100_000);
        if (status >= 300) faults.push(`answered ${status}`);
      }
    };
    await Promise.all(Array.from({ length: AT_ONCE }, askAll));
    const middle = looks[Math.floor(looks.length / 2)] ?? { mb: 0, handles: 0 };
    const end = looks.at(-1) ?? middle;
    if (end.mb > middle.mb + MOST_OVER_MB)
      faults.push(`memory went from ${middle.mb.toFixed(0)} to ${end.mb.toFixed(0)} MB`);
    if (end.handles > middle.handles + MOST_OVER_HANDLES)
      faults.push(`handles went from ${middle.handles} to ${end.handles}`);
    latencies.sort((a, b) => a - b);
    return {
      name: 'long run',
      figures: {
        requests: count,
        'MB in the middle': Math.round(middle.mb),
        'MB at the end': Math.round(end.mb),
        'handles at the end': end.handles,
        'p50 ms': Number((latencies[Math.floor(latencies.length / 2)] ?? 0).toFixed(1)),
        'p99 ms': Number((latencies[Math.floor(latencies.length * 0.99)] ?? 0).toFixed(1)),
        seed,
      },
      faults,
    };
  } finally {
    await studio.kill();
    rmSync(dataDir, { recursive: true, force: true });
  }
}
