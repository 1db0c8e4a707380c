export { AMOUNT_FORMS, Amount, blankAmount, UNTIL, type AmountForm, type Until } from './amount.ts';
export { duplicateItem, duplicatePart, moveItem, withoutPart } from './arrange.ts';
export { blankJoin, blankPart, blankPattern, blankStep } from './blank.ts';
export { checkPart, checkPattern, fixedCount, mmOrNull, PATTERN_BOUNDS } from './checkPattern.ts';
export { comparePatterns, type Difference } from './compare.ts';
export { Count, countRange, type CountRange } from './count.ts';
export { blankCut, blankSegment, Cut, CUT_KINDS, type CutKind, type Segment } from './cut.ts';
export {
  fibreReferences,
  fibresUsed,
  findingReferences,
  itemsUsed,
  strangeFibres,
  strangeFindings,
} from './fibresUsed.ts';
export { Join, JOIN_METHODS, type JoinMethod } from './join.ts';
export { isIncomplete, missingForPublishing, missingInPart } from './missingForPublishing.ts';
export {
  DerivedSize,
  FindingUse,
  LEVELS,
  Part,
  Pattern,
  Sample,
  SharedWeight,
  STAGES,
  Step,
  type Level,
  type Stage,
} from './pattern.ts';
export { upgradePattern, type PatternOfFirst } from './upgrade.ts';
export {
  blankUse,
  isWool,
  Use,
  USE_ROLES,
  type Cover,
  type Thickness,
  type UseOf,
  type UseRole,
  type WoolUse,
} from './use.ts';
