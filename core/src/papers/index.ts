export { figureAtTrueSize, figureSvg, type FigureSvg } from './figureSvg.ts';
export { piecesSvg } from './guide/piecesSvg.ts';
export { orderPaper } from './orderPaper.ts';
export { bagLabels, LABEL_INNER_MM, labelPlaces, type LabelPlace } from './labels.ts';
export { makePaper } from './makePaper.ts';
export { paperTable, workbookSheet, type WorkbookSheet } from './paperTable.ts';
export { tableSheet } from './tableSheet.ts';
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
export { STROKES as GUIDE_STROKES, type GuideItem, type GuidePage } from './guide/guidePage.ts';
export type { Guide } from './guide/layoutGuide.ts';
export { forWhom } from './forWhom.ts';
export { guideOf, type GuideRequest } from './guide/guideOf.ts';
export { guideOfRun } from './guide/guideOfRun.ts';
export { packedForReader, packedWoolLines, type Packed } from './packedForReader.ts';
export { guideOfPattern } from './guide/guideOfPattern.ts';
export { bookletSources, type BookletSources } from './booklet/bookletSources.ts';
export { isWebAddress } from './booklet/model.ts';
export { missingInBooklet, type MissingInBooklet } from './booklet/missing.ts';
export { bookletWords } from './booklet/bookletWords.ts';
export { listingOf } from './listing/listing.ts';
export { plainText } from './listing/plainText.ts';
export { bookletOf } from './booklet/booklet.ts';
export {
  textOfBlock,
  textOfBooklet,
  type Block,
  type Booklet,
  type BookletPart,
  type BookletPicture,
  type PictureSource,
  type Words,
} from './booklet/model.ts';
export { runBooklets, type RunBooklets, type RunBookletsAsked } from './booklet/runBooklets.ts';
export type { BookletRequest } from './booklet/source.ts';
export {
  BOOKLET_ENDS,
  BOOKLET_PAGES,
  BOOKLET_PARTS,
  BOOKLET_TERMS,
  type BookletEnd,
  type BookletPage,
  type BookletPartName,
  BookletTerms,
  isSmallPage,
} from './booklet/terms.ts';
export { cardsOfRun, type RunCard } from './cards/cardsOfRun.ts';
export {
  BOX_BOUNDS,
  CARD_NAMES,
  CARDS_FOR,
  CARD_TERMS,
  type CardName,
  CardTerms,
  cardSizeMm,
} from './cards/cardTerms.ts';
export { type LeafPlace, leafPlaces, leafSheet, SHEET_EDGE_MM } from './cards/leafPlaces.ts';
export { troublesOf } from './booklet/troubles.ts';
