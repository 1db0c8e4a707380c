import { HALVING_ERROR_FRACTION } from '../../base/index.ts';
/** Fewer weighings are taken where every pack stays within this. */
export const PARTED_ERROR_FRACTION = 0.2;

/** More than so many packs are never parted from one weighing. */
const MOST_PACKS = 128;

/** How a weighed lot becomes equal parts: halved so many times, then each piece in 3, in 5. */
export interface Parting {
  readonly halvings: number;
  /** Odd numbers of parts, one after another; empty where halving is all. */
  readonly into: readonly number[];
}

/** How so many parts are made: by halving as long as it goes, then by its odd factors. */
export function partingOf(parts: number): Parting {
  let [rest, halvings] = [parts, 0];
  for (; rest > 1 && rest % 2 === 0; rest /= 2) halvings += 1;
  const into: number[] = [];
  for (let factor = 3; rest > 1; factor += 2) {
    for (; rest % factor === 0; rest /= factor) into.push(factor);
  }
  return { halvings, into };
}

/**
 * The error that parting by eye leaves in one part. Each halving adds a tenth in quadrature; parting in n at once is n − 1
 * cuts by eye, and adds as much as that many halvings.
 */
export function partingErrorFraction({ halvings, into }: Parting): number {
  const cuts = into.reduce((sum, parts) => sum + parts - 1, halvings);
  return HALVING_ERROR_FRACTION * Math.sqrt(cuts);
}

/** The error in one pack's part: half a scale step on the whole, and the parting. */
export const groupErrorFraction = (packs: number, packG: number, scaleStepG: number): number =>
  Math.hypot(scaleStepG / (2 * packs * packG), partingErrorFraction(partingOf(packs)));

export interface PartedGroup {
  readonly packs: number;
  readonly parting: Parting;
  readonly errorFraction: number;
}

/**
 * Packs in groups of two and more that are weighed as one and parted: the fewest groups that leave every pack within
 * `PARTED_ERROR_FRACTION`; where none do, the fewest of those with the least error. Larger first.
 * @param packs at least 2
 */
export function bestGroups(packs: number, packG: number, scaleStepG: number): PartedGroup[] {
  const errors = Array.from({ length: Math.min(packs, MOST_PACKS) + 1 }, (_, size) =>
    size < 2 ? Infinity : groupErrorFraction(size, packG, scaleStepG),
  );
  const limit = Math.max(PARTED_ERROR_FRACTION, leastWorst(packs, errors)) + 1e-12;
  return fewest(packs, errors, limit).map((size) => ({
    packs: size,
    parting: partingOf(size),
    errorFraction: errors[size] ?? 0,
  }));
}

/** The least that the worst group can be off by. */
function leastWorst(packs: number, errors: readonly number[]): number {
  const worst = [0];
  for (let n = 1; n <= packs; n++) {
    let best = Infinity;
    for (let size = 2; size < errors.length && size <= n; size++) {
      best = Math.min(best, Math.max(errors[size] ?? Infinity, worst[n - size] ?? Infinity));
    }
    worst.push(best);
  }
  return worst[packs] ?? Infinity;
}

/** The fewest groups, none off by more than `limit`; sizes, larger first. */
function fewest(packs: number, errors: readonly number[], limit: number): number[] {
  const count = [0];
  const last = [0];
  for (let n = 1; n <= packs; n++) {
    let [best, chosen] = [Infinity, 0];
    for (let size = 2; size < errors.length && size <= n; size++) {
      const then = 1 + (count[n - size] ?? Infinity);
      if ((errors[size] ?? Infinity) <= limit && then < best) [best, chosen] = [then, size];
    }
    count.push(best);
    last.push(chosen);
  }
  const sizes: number[] = [];
  for (let left = packs; left > 0 && (last[left] ?? 0) > 0; left -= last[left] ?? 0) {
    sizes.push(last[left] ?? 0);
  }
  return sizes.sort((a, b) => b - a);
}
