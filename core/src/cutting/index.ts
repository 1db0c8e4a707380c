export { fewestLengths } from './fewestLengths.ts';
export { fewestSheets, mostOnOneSheet } from './fewestSheets.ts';
