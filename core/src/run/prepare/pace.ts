import type { RunTick } from '../keep/tick.ts';

/** One portion onto the scale and into its bag, one pack put together and closed. Ours, until the maker’s own past tells. */
const RECKONED = { minutesAWeighing: 0.75, minutesAPack: 1.5 } as const;

/** How long work at the table takes, minutes. */
export interface WorkPace {
  readonly minutesAWeighing: number;
  /** From so many of the maker’s own; 0: reckoned. */
  readonly fromWeighings: number;
  readonly minutesAPack: number;
  readonly fromPacks: number;
}

export const RECKONED_PACE: WorkPace = { ...RECKONED, fromWeighings: 0, fromPacks: 0 };

/** A tick of a run, with when and where. */
export interface TimedTick extends Pick<RunTick, 'mark' | 'isDone'> {
  readonly runId: string;
  readonly device: string | null;
  /** ISO 8601. */
  readonly at: string;
}

const MINUTE_MS = 60_000;
/** Longer than that between two, something else was done meanwhile; sooner, several were ticked that were done before. */
const WEIGHING_GAP = { least: 4 / 60, most: 6 } as const;
const PACK_GAP = { least: 10 / 60, most: 30 } as const;
/** Of fewer nothing is told. */
const [LEAST_WEIGHINGS, LEAST_PACKS] = [10, 5];

/**
 * How long this maker takes, from when they ticked: the middle of the times between one and the next of a run on one device.
 * @param ticks in whatever order
 */
export function paceOf(ticks: readonly TimedTick[]): WorkPace {
  const inOrder = ticks
    .filter(({ isDone }) => isDone)
    .toSorted((a, b) => Date.parse(a.at) - Date.parse(b.at));
  const weighings = gapsOf(inOrder.filter(({ mark }) => isWeighing(mark)), WEIGHING_GAP);
  const packs = gapsOf(inOrder.filter(({ mark }) => mark.startsWith('packed|')), PACK_GAP);
  const [hasWeighed, hasPacked] = [weighings.length >= LEAST_WEIGHINGS, packs.length >= LEAST_PACKS];
  return {
    minutesAWeighing: hasWeighed ? rounded(middleOf(weighings)) : RECKONED.minutesAWeighing,
    fromWeighings: hasWeighed ? weighings.length : 0,
    minutesAPack: hasPacked ? rounded(middleOf(packs)) : RECKONED.minutesAPack,
    fromPacks: hasPacked ? packs.length : 0,
  };
} // prettier-ignore

const isWeighing = (mark: string): boolean => !mark.startsWith('packed|') && !mark.startsWith('in|');

/** Minutes between each and the next of one run on one device. */
function gapsOf(inOrder: readonly TimedTick[], { least, most }: { readonly least: number; readonly most: number }): number[] {
  const last = new Map<string, number>();
  return inOrder.flatMap(({ runId, device, at }) => {
    const [key, now] = [`${runId} ${device ?? ''}`, Date.parse(at)];
    const before = last.get(key);
    last.set(key, now);
    const minutes = before === undefined ? Number.NaN : (now - before) / MINUTE_MS;
    return minutes >= least && minutes <= most ? [minutes] : [];
  });
} // prettier-ignore

/** To three seconds: nobody is steadier, and what rests on it is not worked out anew with every tick. */
const rounded = (minutes: number): number => Math.max(0.05, Math.round(minutes * 20) / 20);

function middleOf(numbers: readonly number[]): number {
  const sorted = numbers.toSorted((a, b) => a - b);
  const half = (sorted.length - 1) / 2;
  return ((sorted[Math.floor(half)] ?? 0) + (sorted[Math.ceil(half)] ?? 0)) / 2;
}
