export { exportList } from './exportList.ts';
export { ImportInput, type ImportRecord } from './importInput.ts';
export { LIST_COLUMNS } from './lists.ts';
export type { PlannedRow, ShelfView } from './plannedRow.ts';
export {
  LARGEST_FILE_BYTES,
  readList,
  type ListPreview,
  type ListSettings,
  type ReadListResult,
  toImport,
} from './readList.ts';
export {
  findPatternFile,
  mapShelf,
  NEWEST,
  patternFile,
  PatternFile,
  proposeMapping,
  type Mapping,
  type PlainShelf,
} from './patternFile.ts';
export { patternFromMarkdown } from './readMarkdown.ts';
export { patternMarkdown } from './patternMarkdown.ts';
