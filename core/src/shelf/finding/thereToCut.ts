import { wholeDown } from '../../base/index.ts';
import type { CutFrom } from './cutFrom.ts';
import type { FindingMeasure } from './finding.ts';
import { putUpAmount } from './putUp.ts';

/** What there is to cut from. */
export interface ThereToCut extends Pick<CutFrom, 'offcuts' | 'cutPieces'> {
  /** Whole put-ups. */
  readonly wholes: number;
  /** Of one that is begun, mm; of sheet nobody knows what shape that is in, and it is not counted on. */
  readonly restMm: number;
}

interface Cuttable {
  readonly measure: FindingMeasure;
  readonly onHand: number | null;
  readonly cutFrom?: CutFrom;
}

const NONE: readonly never[] = [];

/** Of what is on hand whole put-ups, one that is begun, and pieces whose sizes are written down. */
export function thereToCut({ measure, onHand, cutFrom }: Cuttable): ThereToCut {
  const { offcuts = NONE, cutPieces = NONE } = cutFrom ?? {};
  const inUnit = (lengthMm: number, widthMm: number) =>
    measure.by === 'area' ? (lengthMm * widthMm) / 100 : lengthMm / 1000;
  const inPieces =
    offcuts.reduce((sum, { lengthMm, widthMm }) => sum + inUnit(lengthMm, widthMm), 0) +
    cutPieces.reduce((sum, { lengthMm, widthMm, count }) => sum + count * inUnit(lengthMm, widthMm), 0);
  const left = Math.max(0, (onHand ?? 0) - inPieces);
  const putUp = putUpAmount(measure);
  const wholes = wholeDown(left / putUp);
  const restMm = measure.by === 'length' ? Math.round((left - wholes * putUp) * 1e6) / 1000 : 0;
  return { wholes, restMm, offcuts, cutPieces };
}
