import type { FindingMeasure } from './finding.ts';
import type { SpareRule } from './spareRule.ts';

/** A class keeps a pair of each eye for every table, and a tenth of beads and bells. Ours. */
const SPARE_EYES_A_TABLE = 2;

const SPARE_SMALL_FRACTION = 0.1;

/** The rule where nobody has said one: a posted box has nobody beside it to keep spares. */
export function usualSpares({ measure }: { readonly measure: FindingMeasure }, isClass: boolean): SpareRule {
  if (!isClass || measure.by !== 'count') return { by: 'none' };
  switch (measure.sort) {
    case 'eye':
      return { by: 'table', count: SPARE_EYES_A_TABLE };
    case 'bead':
    case 'bell':
      return { by: 'share', fraction: SPARE_SMALL_FRACTION };
    default:
      return { by: 'none' };
  }
}

/** A rule of this kind with a number to begin with. */
export const blankSpares = (by: SpareRule['by']): SpareRule =>
  by === 'none'
    ? { by }
    : by === 'share'
      ? { by, fraction: SPARE_SMALL_FRACTION }
      : { by, count: by === 'pack' ? 1 : 2 };
