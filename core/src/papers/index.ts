export { figureSvg, type FigureSvg } from './figureSvg.ts';
export { orderPaper } from './orderPaper.ts';
export { bagLabels, LABEL_INNER_MM, labelPlaces, type LabelPlace } from './labels.ts';
export { makePaper, paperTable } from './makePaper.ts';
export { packNames } from './packNames.ts';
export {
  PAPER_NAMES,
  type Paper,
  type PaperLabel,
  type PaperName,
  type PaperRow,
  type PaperSection,
  type PaperSource,
  type Swatch,
  MOST_TICK_BOXES,
} from './paper.ts';
export { swatchSvg } from './swatchSvg.ts';
export { qrSvg } from './qrPath.ts';
export { bagLine, CODE_GAP_MM, fittedLabels, isLowLabel, labelRoom, type FittedLabel } from './fitLabels.ts';
export { classDayPlan } from './classDayPlan.ts';
export {
  labelsInSize,
  ROLL_SIZES,
  rollPieces,
  sheetPieces,
  sizeForLabels,
  type RollSize,
} from './printerPieces.ts';
export { paperSource } from './paperSource.ts';
export { cellForTable, cellWords, type Cell } from './cell.ts';
export { guideSvg } from './guide/guideSvg.ts';
export type { GuideItem, GuidePage } from './guide/guidePage.ts';
export type { Guide } from './guide/layoutGuide.ts';
export { forWhom } from './forWhom.ts';
export { guideOf, type GuideRequest } from './guide/guideOf.ts';
export { guideOfRun } from './guide/guideOfRun.ts';
export { packedForReader, type Packed } from './packedForReader.ts';
export { guideOfPattern } from './guide/guideOfPattern.ts';
