export {
  allowedValues,
  brokenLimit,
  defaultValues,
  valuesNeverAllowed,
  type Values,
} from './document/allowedBuilds.ts';
export { AMOUNT_FORMS, Amount, blankAmount, UNTIL, type AmountForm } from './document/amount.ts';
export { duplicateItem, duplicatePart, moveItem, withoutPart, withoutUse } from './edit/arrange.ts';
export {
  BLANK_STEP,
  blankCheck,
  blankJoin,
  blankLooseEnd,
  blankOption,
  blankPart,
  blankPattern,
  blankStep,
} from './document/blank.ts';
export { withoutThing, withThingBack, type Removable } from './edit/bringBack.ts';
export { checkPart, checkPattern, mmOrNull } from './check/checkPattern.ts';
export { PATTERN_BOUNDS } from './check/patternBounds.ts';
export { comparePatterns, type PatternDifference as Difference } from './versions/compare.ts';
export { Count, countRange, type CountRange } from './document/count.ts';
export {
  blankCut,
  blankSegment,
  Cut,
  CUT_KINDS,
  CUT_RUNS,
  type CutKind,
  type CutRuns,
  type CutSeat,
  type Segment,
} from './document/cut.ts';
export {
  fibresUsed,
  findingReferences,
  itemsUsed,
  strangeFibres,
  strangeFindings,
} from './document/fibresUsed.ts';
export { copyOf, derivedFrom } from './document/copies.ts';
export {
  fieldChanges,
  movedItems,
  patternChanges,
  type FieldChange,
  type PatternChange,
} from './versions/fieldChanges.ts';
export { forgetStrays } from './edit/forgetStrays.ts';
export { isNeedleMissing, needleOf, needleOfSchool, type NeedleHabit } from './document/needleOf.ts';
export {
  needlesOfSchool,
  needleTask,
  rungsOfSchool,
  School,
  SCHOOL_DEFAULTS,
  SCHOOLS,
  withRung,
  type NeedleTask,
  type RungName,
  type SchoolKind,
} from './document/school.ts';
export { linkCircle } from './check/linkCircle.ts';
export {
  activeMinutes,
  isWaitedFor,
  type MinutesTotal,
  repeatsOf,
  waitingMinutes,
  workMinutes,
} from './document/stepMinutes.ts';
export { isSameThing } from './document/things.ts';
export { ACROSS_BY, Join, JOIN_METHODS, type JoinMethod } from './document/join.ts';
export { isIncomplete, missingForPublishing } from './check/missingForPublishing.ts';
export { RELATIONS, SERIES_NUMBER, type Relation } from './document/related.ts';
export {
  NO_SURROUNDINGS,
  numbersTwice,
  surroundingsOf,
  type Neighbour,
  type PatternNamed,
  type Surroundings,
} from './among/surroundings.ts';
export { isWoolOnly } from './document/isWoolOnly.ts';
export {
  DerivedSize,
  FindingUse,
  LEVELS,
  Part,
  Pattern,
  Sample,
  SharedWeight,
  ListedTool,
  PATTERN_FORMAT,
  PatternPicture,
  TechniqueUse,
  type Level,
  type MeantSo,
} from './document/pattern.ts';
export { parseMinutes, showTypedMinutes } from './document/parseMinutes.ts';
export { stepOfCut, stepOfFinding, stepOfInsert } from './document/stepOfThing.ts';
export { takenKinds } from './check/taken.ts';
export { Minutes, minutesRange } from './document/minutes.ts';
export {
  FibreSlot,
  NO_CHOICES,
  Option,
  OptionLimit,
  Swap,
  type Taken,
  ThingRef,
  type Choices,
  type ThingKind,
  type ValueRef,
} from './document/option.ts';
export {
  ORIGINS,
  OWN_RIGHTS,
  PERMISSION_STATES,
  permissionState,
  PERMITTED,
  Rights,
  type Origin,
  type PermissionState,
  type Permitted,
} from './document/rights.ts';
export {
  HELD_BY,
  PAIR_RULES,
  Place,
  Placement,
  RESTS,
  Stance,
  straightOut,
  UPRIGHT,
  type HeldBy,
  type PairRule,
  type Rests,
  type SurfacePoint,
} from './document/placement.ts';
export { NEEDLED_FORMS, type NeedledForm } from './document/use.ts';
export { blankEnclosure, Enclosure, ENCLOSURE_SHAPES, type EnclosureShape } from './document/enclosure.ts';
export { FIGURE_SIZES, type MeasuredSize, type Proportion } from './document/proportion.ts';
export { placedThing } from './edit/setPlacement.ts';
export type { PlaceTarget, Pose } from './document/pose.ts';
export { applyPose, blankPose, placeInPose } from './edit/applyPose.ts';
export { STAGES, type Stage } from './document/stage.ts';
export {
  Act,
  ACT_KINDS,
  CAUTIONS,
  Check,
  DEPTHS,
  LINK_STRENGTHS,
  MOST_STEP_PICTURES,
  PART_STATES,
  PLAIN_ACTS,
  Session,
  Step,
  STROKES,
  type ActKind,
  type Caution,
  type Depth,
  type LinkStrength,
  type PartState,
  type StepPlace,
  type Stroke,
} from './document/step.ts';
export {
  upgradeMinutes,
  upgradePattern,
  upgradeNeedle,
  type PatternOfAnyFormat,
} from './versions/upgrade.ts';
export { blankUse, isWool, Use, USE_ROLES, type UseOf, type UseRole, type WoolUse } from './document/use.ts';
export type { PatternProblem } from './document/problem.ts';
export { stepTotals, totalsForMakes, type StepTotals } from './document/stepTotals.ts';
