import type { Learnt } from '../learning/index.ts';
import { type Blend, type Fibre, type Finding, type HandMeasure, lotInUse, ofLot } from '../shelf/index.ts';

export type FibreLookup = ReadonlyMap<string, Fibre>;

/** What the engine looks up: the shelf, and what this maker's fingers take. */
export interface Wool {
  /** Fibres and blends by id. */
  readonly fibres: FibreLookup;
  readonly findings: ReadonlyMap<string, Finding>;
  readonly handMeasures: readonly HandMeasure[];
  /** What the logbook has taught, as it is in force; null: nothing. */
  readonly learnt: Learnt | null;
}

/** Only fibres: enough for a pattern that names nothing else. */
export const onlyFibres = (fibres: FibreLookup): Wool => ({
  fibres,
  findings: new Map(),
  handMeasures: [],
  learnt: null,
});

/**
 * The shelf as the engine looks wool up: every fibre as its lot in use has it, and every blend that can be, by id.
 * A blend stands beside fibres as one.
 */
export function woolOnShelf(fibres: readonly Fibre[], blends: readonly Blend[]): Map<string, Fibre> {
  const ofLots = fibres.map((fibre) => [fibre.id, ofLot(fibre, lotInUse(fibre))] as const);
  const blended = blends.flatMap(({ asFibre }) => (asFibre ? [[asFibre.id, asFibre] as const] : []));
  return new Map([...ofLots, ...blended]);
}
