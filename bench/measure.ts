import { Bench } from 'tinybench';

/** One row of the table. `spread` is the middle half of all runs, in the median's unit. */
export interface Row {
  readonly work: string;
  readonly size: string;
  readonly median: string;
  readonly spread: string;
}

/** Times one piece of work, after warming up. */
export async function time(work: string, size: string, job: () => unknown, runs = 60): Promise<Row> {
  const bench = new Bench({
    iterations: runs,
    time: 0,
    warmupIterations: 10,
    warmupTime: 0,
    retainSamples: true,
  });
  bench.add(work, async () => void (await job()));
  const [task] = await bench.run();
  const result = task?.result;
  if (!result || !('latency' in result) || !result.latency.samples)
    throw new Error(`${work} could not be timed`);
  return rowOf(work, size, [...result.latency.samples], 'ms');
}

/** A row from measurements taken elsewhere. */
export function rowOf(work: string, size: string, samples: readonly number[], unit: string): Row {
  const sorted = [...samples].sort((a, b) => a - b);
  const at = (fraction: number) =>
    sorted[Math.min(sorted.length - 1, Math.floor(fraction * sorted.length))] ?? NaN;
  const show = (value: number) => value.toFixed(value < 10 ? 2 : value < 100 ? 1 : 0);
  return {
    work,
    size,
    median: `${show(at(0.5))} ${unit}`,
    spread: `${show(at(0.25))}–${show(at(0.75))}, p95 ${show(at(0.95))}`,
  };
}
