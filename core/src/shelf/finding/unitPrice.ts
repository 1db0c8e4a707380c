import type { FindingInput } from './finding.ts';
import { putUpAmount } from './putUp.ts';

/** Price of one stock unit (piece, mm, mm² or ml), minor units, unrounded; null where none is known. */
export const unitPriceMinor = ({
  priceMinor,
  measure,
}: Pick<FindingInput, 'priceMinor' | 'measure'>): number | null =>
  priceMinor === null ? null : priceMinor / putUpAmount(measure);
