import { wholeUp } from '../../base/index.ts';
import type { RunInput } from './run.ts';

/** Spare packs of a class, however they are said. */
export const sparesOf = ({
  seats,
  sparePacks,
  spareFraction,
}: Pick<RunInput, 'seats' | 'sparePacks' | 'spareFraction'>): number =>
  spareFraction === null ? sparePacks : wholeUp(seats * spareFraction);

/** What is packed over seats or boxes: spares as they are said, and half-made samples, which are the rest. */
export function packsOver(
  run: Pick<RunInput, 'seats' | 'sparePacks' | 'spareFraction' | 'demonstrations'>,
  packs: number,
): { readonly spares: number; readonly samples: number } {
  const spares = sparesOf(run);
  return { spares, samples: Math.max(0, packs - run.seats - spares - run.demonstrations) };
}
