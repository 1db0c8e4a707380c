export { isEqual } from './equal.ts';
export { bareCode, CODE_SIGNS, isOfCodeSigns } from './codeSigns.ts';
export { checkName, checkRange, checkWhole, type Bounds } from './bounds.ts';
export type { At, BaseProblem } from './problem.ts';
export { discriminated, Id, strict } from './discriminated.ts';
export { rangeAbout, Z90, type MassRangeG, type Source } from './massRange.ts';
export { normalCdf, normalQuantile } from './normal.ts';
export { oneOf, orUnknown } from './oneOf.ts';
export { keepFew } from './keepFew.ts';
export { areaOfMass, HALVING_ERROR_FRACTION, massOfArea, roundToMicrogram } from './mass.ts';
export { wholeDown, wholeUp } from './rounding.ts';
export { normalFrom, seededRandom } from './random.ts';
export { daysAfter, daysBetween, isCalendarDate } from './calendarDate.ts';
export { Length, MM_PER_INCH, toMm, type LengthUnit } from './length.ts';
export { parseLengthRange, showTypedRange, type LengthRange } from './lengthRange.ts';
export { handLength } from './handLength.ts';
export { lineSplitter, LONGEST_LINE } from './lineSplitter.ts';
export { nudgeLength } from './nudgeLength.ts';
export { boundLength, parseLength, type LengthRefusal } from './parseLength.ts';
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
export { folded, hasAllWords, hasWords, searchWords } from './hasWords.ts';
export { byCodePoint } from './codePoints.ts';
