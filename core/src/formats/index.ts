export { type CsvStyle } from './codecs.ts';
export { headerKey } from './columns.ts';
export { ENCODINGS, guessEncoding, type Encoding } from './decodeText.ts';
export { exportList } from './exportList.ts';
export { ImportInput, type ImportRecord } from './importInput.ts';
export { LIST_COLUMNS, LIST_KINDS, type ListKind } from './lists.ts';
export { planImport } from './planImport.ts';
export type { PlannedRow, ShelfView } from './plannedRow.ts';
export {
  LARGEST_FILE_BYTES,
  readList,
  type CsvRefusal,
  type ListPreview,
  type ListSettings,
  type ReadListResult,
  toImport,
} from './readList.ts';
export { DELIMITERS, writeTable, type Delimiter } from './readTable.ts';
export {
  findPatternFile,
  mapShelf,
  NEWEST,
  patternFile,
  PatternFile,
  proposeMapping,
  type Carried,
  type FileRefusal,
  type FoundFile,
  type Mapping,
  type PlainShelf,
} from './patternFile.ts';
export { patternFromMarkdown } from './readMarkdown.ts';
