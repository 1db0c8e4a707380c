export {
  allowedValues,
  brokenLimit,
  defaultValues,
  valuesNeverAllowed,
  type Values,
} from './allowedBuilds.ts';
export { AMOUNT_FORMS, Amount, blankAmount, UNTIL, type AmountForm, type Until } from './amount.ts';
export { duplicateItem, duplicatePart, moveItem, withoutPart, withoutUse } from './arrange.ts';
export {
  BLANK_STEP,
  BLANK_WRITING,
  blankCheck,
  blankJoin,
  blankLooseEnd,
  blankOption,
  blankPart,
  blankPattern,
  blankStep,
} from './blank.ts';
export { withoutThing, withThingBack, type Removable } from './bringBack.ts';
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
export { copyOf, derivedFrom } from './copies.ts';
export {
  fieldChanges,
  movedItems,
  patternChanges,
  type FieldChange,
  type PatternChange,
} from './fieldChanges.ts';
export { forgetStrays } from './forgetStrays.ts';
export { isNeedleMissing, needleOf, needleOfSchool, type NeedleHabit } from './needleOf.ts';
export {
  NEEDLE_TASKS,
  needlesOfSchool,
  needleTask,
  proposedNeedle,
  rungsOfSchool,
  School,
  SCHOOL_DEFAULTS,
  SCHOOLS,
  withRung,
  type NeedleTask,
  type RungName,
  type SchoolKind,
} from './school.ts';
export { linkCircle, type Precedence } from './linkCircle.ts';
export {
  activeMinutes,
  isWaitedFor,
  repeatsOf,
  waitingMinutes,
  workMinutes,
  type MinutesTotal,
} from './stepMinutes.ts';
export { isSameThing, knownIds, type KnownIds } from './things.ts';
export { Join, JOIN_METHODS, type JoinMethod } from './join.ts';
export { isIncomplete, isWoolOnly, missingForPublishing, missingInPart } from './missingForPublishing.ts';
export {
  DerivedSize,
  FindingUse,
  LEVELS,
  Part,
  Pattern,
  Sample,
  SharedWeight,
  ListedTool,
  PatternPicture,
  SIDES_SEEN,
  TechniqueUse,
  type Level,
} from './pattern.ts';
export { parseMinutes, showTypedMinutes, type ParsedMinutes } from './parseMinutes.ts';
export { stepOfCut, stepOfFinding, stepOfInsert } from './stepOfThing.ts';
export { openSwaps, takenKinds } from './taken.ts';
export { Minutes, minutesRange, timesMinutes, type MinutesRange } from './minutes.ts';
export {
  Colourway,
  FibreSlot,
  NO_CHOICES,
  Option,
  OptionLimit,
  OptionValue,
  Swap,
  type Taken,
  THING_KINDS,
  ThingRef,
  type Choices,
  type ThingKind,
  type ValueRef,
} from './option.ts';
export {
  ORIGINS,
  OWN_RIGHTS,
  Permission,
  PERMISSION_STATES,
  permissionState,
  PERMITTED,
  Rights,
  type Origin,
  type PermissionState,
  type Permitted,
} from './rights.ts';
export { STAGES, type Stage } from './stage.ts';
export {
  Act,
  ACT_KINDS,
  CAUTIONS,
  Check,
  DEPTHS,
  LINK_STRENGTHS,
  PART_STATES,
  PLAIN_ACTS,
  Session,
  Step,
  STEP_PLACES,
  StepLink,
  StepNeedle,
  STROKES,
  type ActKind,
  type Caution,
  type Depth,
  type LinkStrength,
  type PartState,
  type StepPlace,
  type Stroke,
} from './step.ts';
export {
  upgradeMinutes,
  upgradePattern,
  upgradeNeedle,
  type PatternOfAnyFormat,
  type PatternOfFirst,
  type PatternOfSecond,
  type PatternOfThird,
} from './upgrade.ts';
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
