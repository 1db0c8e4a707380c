import type { Blend } from '../blend/index.ts';
import { type Fibre, lotInUse, ofLot } from '../fibre/index.ts';

/**
 * The shelf as the engine looks wool up: every fibre as its lot in use has it, and every blend that can be, by id.
 * A blend stands beside fibres as one.
 */
export function woolOnShelf(fibres: readonly Fibre[], blends: readonly Blend[]): Map<string, Fibre> {
  const own = fibres.map((fibre) => [fibre.id, ofLot(fibre, lotInUse(fibre))] as const);
  const blended = blends.flatMap(({ asFibre }) => (asFibre ? [[asFibre.id, asFibre] as const] : []));
  return new Map([...own, ...blended]);
}
