import type { Pattern } from '../../pattern/index.ts';
import type { RunInput } from '../document/run.ts';
import type { Seat } from '../document/seat.ts';

/**
 * What each seat of a class makes: its own design, else the class’s. One that is not among the designs is gone, and the
 * class’s is made.
 * @returns null: not even that is there
 */
export const designsOfSeats =
  (designs: ReadonlyMap<string, Pattern>, run: Pick<RunInput, 'revisionId'>) =>
  ({ revisionId }: Pick<Seat, 'revisionId'>): readonly [string, Pattern] | null => {
    for (const id of [revisionId, run.revisionId]) {
      const pattern = id === null ? undefined : designs.get(id);
      if (id !== null && pattern) return [id, pattern];
    }
    return null;
  };
