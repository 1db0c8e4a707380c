import { mkdirSync, writeFileSync } from 'node:fs';
import { big } from './big.ts';
import { disk } from './disk.ts';
import { fuzz } from './fuzz.ts';
import { kills } from './kills.ts';
import { longRun } from './longRun.ts';
import { type Report, reportWords } from './report.ts';

/** `kills 1000 [SEED]`, `fuzz 100000`, `long 1000000`, `disk`, `big [FRACTION] [DIRECTORY]`; `short`: a little of each, for `npm test`. */
async function main([what = 'short', countText, seedText]: readonly string[]): Promise<number> {
  const seed = Number(seedText ?? 20_261_128);
  const count = (usual: number) => Number(countText ?? usual);
  const harnesses: Readonly<Record<string, readonly (() => Promise<Report>)[]>> = {
    kills: [() => kills(count(1000), seed)],
    fuzz: [() => fuzz(count(100_000), seed)],
    long: [() => longRun(count(1_000_000), seed)],
    disk: [() => disk()],
    // How much of ten lives, and where it is made and left.
    big: [() => big(Number(countText ?? 1), 20_261_128, seedText)],
    short: [
      () => kills(6, seed),
      () => fuzz(600, seed),
      () => longRun(1000, seed),
      () => disk(),
      () => big(0.01, seed),
    ],
  };
  const wanted = harnesses[what];
  if (!wanted) {
    console.error(`There is no harness “${what}”: ${Object.keys(harnesses).join(', ')}.`);
    return 1;
  }
  const reports: Report[] = [];
  for (const harness of wanted) {
    const begun = performance.now();
    const report = await harness();
    reports.push(report);
    console.log(`${reportWords(report)} in ${Math.round((performance.now() - begun) / 1000)} s`);
  }
  const failed = reports.filter(({ faults }) => faults.length > 0).length;
  mkdirSync('out', { recursive: true });
  writeFileSync('out/harness.json', JSON.stringify({ passed: reports.length - failed, failed }));
  return failed === 0 ? 0 : 1;
}

process.exitCode = await main(process.argv.slice(2));
