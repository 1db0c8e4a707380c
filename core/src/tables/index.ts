export {
  colour,
  colourOrUnknown,
  list,
  manyOfWords,
  money,
  moneyOrUnknown,
  neededText,
  number,
  numberOrUnknown,
  oneOfWords,
  priceBreaks,
  orUnknownCell,
  sparesOrUnknown,
  text,
  yesNo,
  yesNoOrUnknown,
  type CsvStyle,
} from './codecs.ts';
export { column, headerKey, neededColumn, readRow, writeRow, type Cells, type Column } from './columns.ts';
export type { CsvRefusal } from './csvRefusal.ts';
export { decodeText, ENCODINGS, guessEncoding, type Encoding } from './decodeText.ts';
export { LIST_KINDS, type ListKind } from './listKind.ts';
export type { RowProblem } from './problem.ts';
export {
  DELIMITERS,
  guessDecimal,
  guessDelimiter,
  readTable,
  writeTable,
  type Delimiter,
} from './readTable.ts';
