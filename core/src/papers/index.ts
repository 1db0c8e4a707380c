export {
  bagLabels,
  checkLabelSheet,
  LABEL_BOUNDS,
  LABEL_INNER_MM,
  LABEL_SHEET,
  labelPlaces,
  PAGE_SIZES_MM,
  type LabelPlace,
  type LabelSheet,
  type PageSize,
} from './labels.ts';
export { MINUTES_A_BLEND, MINUTES_A_CUT } from './preparationPaper.ts';
export { makePaper, paperTable } from './makePaper.ts';
export { packNames } from './packNames.ts';
export {
  PAPER_NAMES,
  type Paper,
  type PaperColumn,
  type PaperLabel,
  type PaperName,
  type PaperRow,
  type PaperSection,
  type PaperSource,
  type Swatch,
} from './paper.ts';
export { ranges } from './shown.ts';
export { swatchSvg } from './swatchSvg.ts';
export { bagLine, fittedLabels, labelRoom, type FittedLabel } from './fitLabels.ts';
