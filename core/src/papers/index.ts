export {
  bagLabels,
  checkLabelSheet,
  fittedLabel,
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
export { packNames } from './weighOutPaper.ts';
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
export { personalNeeds } from './packsPaper.ts';
export { swatchSvg } from './swatchSvg.ts';
