export { isCalendarDate } from './calendarDate.ts';
export { Length, MAX_LENGTH_MM, MM_PER_INCH, toMm, type LengthUnit } from './length.ts';
export { parseLengthRange, showTypedRange, type LengthRange, type ParsedRange } from './lengthRange.ts';
export { nudgeLength } from './nudgeLength.ts';
export { boundLength, parseLength, type LengthRefusal, type ParsedLength } from './parseLength.ts';
export { fractionOf, majorOf, minorOf, percentBounds, percentOf, repriced } from './shares.ts';
export {
  showInches,
  showLengths,
  showNumber,
  showSizeMm,
  showSizesIn,
  showSizesMm,
  type UnitsShown,
  showTypedLength,
} from './showLength.ts';
export { byCodePoint } from './codePoints.ts';
