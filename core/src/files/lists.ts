import {
  colour,
  colourOrUnknown,
  column,
  type Column,
  list,
  type ListKind,
  manyOfWords,
  money,
  moneyOrUnknown,
  neededColumn,
  neededText,
  number,
  numberOrUnknown,
  oneOfWords,
  orUnknownCell,
  priceBreaks,
  sparesOrUnknown,
  text,
  yesNo,
  yesNoOrUnknown,
} from '../tables/index.ts';
import {
  FIBRE_FLAG_WORDS,
  FINDING_FLAG_WORDS,
  FINENESS_WORDS,
  MEASURED_BY_WORDS,
  NAP_WORDS,
  PREPARATION_WORDS,
  PROFILE_WORDS,
  SORT_WORDS,
} from '../words/index.ts';

const PREPARED_AS = oneOfWords(PREPARATION_WORDS);

const FIBRES: readonly Column[] = [
  neededColumn('name', 'name', neededText),
  neededColumn('prepared as', 'preparation', PREPARED_AS),
  column('other names', 'otherNames', list),
  column('kind', 'kind', text),
  column('colour', 'colour', colour),
  column('felts alone', 'feltsAlone', yesNoOrUnknown),
  column('fineness', 'fineness', orUnknownCell(oneOfWords(FINENESS_WORDS))),
  column('staple mm', 'stapleMm', numberOrUnknown),
  column('g per m', 'linearGPerM', numberOrUnknown),
  column('g per m2', 'arealGPerM2', numberOrUnknown),
  column('sheet length mm', 'sheetLengthMm', numberOrUnknown),
  column('sheet width mm', 'sheetWidthMm', numberOrUnknown),
  column('loft g per cm3', 'loftGPerCm3', numberOrUnknown),
  column('smallest part mm', 'smallestPartMm', numberOrUnknown),
  column('hiding g per m2', 'hidingGPerM2', numberOrUnknown),
  column('density factor', 'densityFactor', numberOrUnknown),
  column('flags', 'flags', manyOfWords(FIBRE_FLAG_WORDS)),
  column('price per 100 g', 'pricePer100gMinor', moneyOrUnknown),
  column('note', 'note', text),
  column('archived', 'archived', yesNo),
];

const FINDINGS: readonly Column[] = [
  neededColumn('name', 'name', neededText),
  neededColumn('measured', 'measure.by', oneOfWords(MEASURED_BY_WORDS)),
  column('sort', 'measure.sort', oneOfWords(SORT_WORDS)),
  column('other names', 'otherNames', list),
  column('colour', 'colour', colourOrUnknown),
  column('g each', 'measure.massG', numberOrUnknown),
  column('outer length mm', 'measure.outerMm.length', numberOrUnknown),
  column('outer width mm', 'measure.outerMm.width', numberOrUnknown),
  column('outer height mm', 'measure.outerMm.height', numberOrUnknown),
  column('inside mm', 'measure.innerMm', numberOrUnknown),
  column('widest inside mm', 'measure.innerHighMm', numberOrUnknown),
  column('post mm', 'measure.postMm', numberOrUnknown),
  column('size varies', 'measure.sizeVaries', yesNo),
  column('pieces a pack', 'measure.piecesPerPack', number),
  column('diameter mm', 'measure.diameterMm', numberOrUnknown),
  column('g per m', 'measure.linearGPerM', numberOrUnknown),
  column('metres a pack', 'measure.metresPerPack', number),
  column('thickness mm', 'measure.thicknessMm', numberOrUnknown),
  column('g per m2', 'measure.arealGPerM2', numberOrUnknown),
  column('nap', 'measure.nap', oneOfWords(NAP_WORDS)),
  column('sheet length mm', 'measure.sheetLengthMm', number),
  column('sheet width mm', 'measure.sheetWidthMm', number),
  column('minutes to work', 'measure.activeMinutes', numberOrUnknown),
  column('minutes to set', 'measure.settingMinutes', numberOrUnknown),
  column('ml a pack', 'measure.millilitresPerPack', number),
  column('flags', 'flags', manyOfWords(FINDING_FLAG_WORDS)),
  column('spares', 'spares', sparesOrUnknown),
  column('price', 'priceMinor', moneyOrUnknown),
  column('place', 'place', text),
  column('note', 'note', text),
  column('archived', 'archived', yesNo),
];

const NEEDLES: readonly Column[] = [
  neededColumn('gauge', 'gauge', numberOrUnknown),
  neededColumn('profile', 'profile', orUnknownCell(oneOfWords(PROFILE_WORDS))),
  column('size word', 'sizeWord', text),
  column('reach mm', 'reachMm', numberOrUnknown),
  column('mark', 'mark.word', text),
  column('mark colour', 'mark.colour', colourOrUnknown),
  column('price', 'priceMinor', moneyOrUnknown),
  column('place', 'place', text),
  column('note', 'note', text),
  column('archived', 'archived', yesNo),
];

const PRICES: readonly Column[] = [
  neededColumn('supplier', 'supplier', neededText),
  neededColumn('item', 'item', neededText),
  column('prepared as', 'preparation', orUnknownCell(PREPARED_AS)),
  neededColumn('pack', 'packAmount', number),
  neededColumn('price', 'priceMinor', money),
  column('reference', 'reference', text),
  column('price by the number', 'breaks', priceBreaks),
  // With it a row is one thing among others in a pack: the price is that of the whole pack.
  column('assortment', 'assortment', text),
];

const COUNTS: readonly Column[] = [
  neededColumn('item', 'item', neededText),
  column('prepared as', 'preparation', orUnknownCell(PREPARED_AS)),
  column('lot', 'lot', text),
  neededColumn('on hand', 'amount', number),
  column('unit', 'unit', text),
];

/** Every list's columns, in the order they are written. */
export const LIST_COLUMNS: Readonly<Record<ListKind, readonly Column[]>> = {
  fibres: FIBRES,
  findings: FINDINGS,
  needles: NEEDLES,
  prices: PRICES,
  counts: COUNTS,
};
