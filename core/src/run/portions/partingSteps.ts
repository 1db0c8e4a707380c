import { roundToMicrogram } from '../../base/index.ts';
import type { Parting } from './parting.ts';

/** One thing hands do to a weighed lot on the way to its parts. */
export interface PartingStep {
  /** Every piece there is becomes so many. */
  readonly into: number;
  /** Pieces there are afterwards. */
  readonly pieces: number;
  /** What each of them weighs, if they are alike; grams. */
  readonly eachG: number;
}

/** How a weighed lot becomes equal parts, one step after another. @param massG that was weighed */
export function partingSteps({ halvings, into }: Parting, massG: number): PartingStep[] {
  const steps: PartingStep[] = [];
  let pieces = 1;
  for (const parts of [...Array.from({ length: halvings }, () => 2), ...into]) {
    pieces *= parts;
    steps.push({ into: parts, pieces, eachG: roundToMicrogram(massG / pieces) });
  }
  return steps;
}
