import { atMost } from '../needles/index.ts';

/** What makings tell of a finding: so many were wanted, so many more were lost or broken. */
export interface LossEvidence {
  readonly findingId: string;
  readonly used: number;
  readonly lost: number;
}

/** How often one is lost, for each that is used, and what it rests on. */
interface LossRate extends LossEvidence {
  /** Before anything was counted. */
  readonly usual: number;
  readonly now: number;
  /** So many spares for a class are enough nineteen times in twenty. */
  readonly sparesFor: (used: number) => number;
}

/** One in twenty, and how many that were used that is worth. Ours, uncalibrated. */
const [USUAL, WORTH] = [1 / 20, 20] as const;
const RISK_FRACTION = 0.05;
const MOST_SPARES = 500;

/** By finding: what is usual, drawn to what was counted (the mean of a gamma posterior of a Poisson rate). */
export function lossRates(all: readonly LossEvidence[]): LossRate[] {
  const byFinding = new Map<string, LossEvidence>();
  for (const { findingId, used, lost } of all) {
    const before = byFinding.get(findingId);
    byFinding.set(findingId, {
      findingId,
      used: (before?.used ?? 0) + used,
      lost: (before?.lost ?? 0) + lost,
    });
  }
  return [...byFinding.values()]
    .filter(({ used }) => used > 0)
    .map((evidence) => {
      const now = (USUAL * WORTH + evidence.lost) / (WORTH + evidence.used);
      return { ...evidence, usual: USUAL, now, sparesFor: (used) => fewestFor(now * used) };
    });
}

function fewestFor(mean: number): number {
  for (let spares = 0; spares < MOST_SPARES; spares++)
    if (atMost(spares, mean) >= 1 - RISK_FRACTION) return spares;
  return MOST_SPARES;
}
