export { pairedThings, type PairedThing } from './things/pairedThings.ts';
export { planInOrder, shortOverall, type DrawnRun } from './states/planInOrder.ts';
export { inDrawingOrder, promisedBefore } from './states/promisedBefore.ts';
export { costOfWithdrawals } from './cost/costOfWithdrawals.ts';
export {
  bagOf,
  extrasOfRun,
  groupsToTry,
  portionsOfRun,
  sureness,
  usualChance,
  type Sureness,
} from './packs/sureness.ts';
export { classNeeds } from './packs/classNeeds.ts';
export { NEED_SIGMA } from './portions/index.ts';
export { SeatChoices } from './document/seat.ts';
export { BOX_FORMS, BoxDesign, BoxRecipe, blankRecipe, type BoxForm } from './document/boxRecipe.ts';
export {
  BLANK_PLAN,
  ClassPlan,
  ELSEWHERE,
  MINUTES_A_DAY,
  minutesOfClock,
  PLAN_BOUNDS,
  planMoved,
  PLAN_ROW_KINDS,
  readClock,
  sessionStarts,
  type ClassSession,
  type PlanRow,
  type StepElsewhere,
} from './document/classPlan.ts';
export { avoidedBy } from './who/avoided.ts';
export { choiceOfSeat, hasChoice, undecidedSeats } from './who/choiceOfSeat.ts';
export { hasPeople, hasPerson, withoutPerson } from './who/withoutPeople.ts';
export { designsOfSeats } from './who/designOfSeat.ts';
export { designsOfPacks } from './packs/designsOfPacks.ts';
export { minutesElsewhere, type MinutesElsewhere } from './prepare/minutesElsewhere.ts';
export { packGroups, type Designs, type Make, type PackGroup } from './packs/packGroups.ts';
export { needsOfGroup, personalNeeds, type GroupNeed } from './things/needsOfGroup.ts';
export { isElsewhere, toolsOfRun, type RoomTool } from './things/toolsOfRun.ts';
export { lotsOfMarks, lotsOfPacks, type LotsOfBag } from './keep/lotsOfPacks.ts';
export { leftInDrawer, reallyWeighed, type FibreWeighed } from './keep/reallyWeighed.ts';
export {
  labelCode,
  labelCodeInGroups,
  LABEL_SIGNS,
  placeOfCode,
  readLabelCode,
  runSigns,
} from './codes/labelCode.ts';
export { scannedAt, type Scanned } from './packing/scanned.ts';
export { partingSteps, type PartingStep } from './portions/partingSteps.ts';
export { toPackOf, type ToPack } from './packs/toPack.ts';
export { stageSamples } from './packs/stageSamples.ts';
export { allowances, commonGrams, type VariantGrams } from './packs/undecided.ts';
export { readRoster } from './who/readRoster.ts';
export { withKeptKeys } from './who/keptKeys.ts';
export { blankSeat, Seat, seatKeyOf, seatName, seatsOf, withoutSeat, withSeat } from './document/seat.ts';
export { tellingFibres } from './who/tellingFibres.ts';
export {
  BAGGINGS,
  checkRun,
  COST_DEFAULTS,
  CostTerms,
  revisionsOfRun,
  withRevision,
  RUN_BOUNDS,
  RUN_DEFAULTS,
  runOfToday,
  RunInput,
  RANGE_ENDS,
  TO_BAG_FRACTION,
  WANTED_CHANCE,
  usualTerms,
  withBoxesCounted,
  type Bagging,
  type Run,
  type RunKind,
} from './document/run.ts';
export { sheetPiecesOfRun } from './things/sheetPiecesOfRun.ts';
export { lastDayOf, openToLearnersUntil } from './document/openToLearners.ts';
export { packsOver, sparesOf } from './document/packsOver.ts';
export { RUN_STATES, type RunState } from './document/runState.ts';
export {
  MINUTES_A_BLEND,
  MINUTES_A_CUT,
  prepareMinutes,
  type PrepareMinutes,
} from './prepare/prepareMinutes.ts';
export { preparedSteps } from './prepare/preparedSteps.ts';
export { needlesOfBox, needlesOfBoxes, needlesOffered } from './things/boxNeedles.ts';
export { packsOf, type Pack } from './packs/packList.ts';
export { checkRights, rightsOfRun, type RightsSubject } from './states/rightsOfRun.ts';
export {
  allMarks,
  changesOfFibre,
  packsWithBags,
  weighings,
  type FibreWeighing,
  type WeighMark,
} from './keep/weighOut.ts';
export { sharesOfFibre, whoIsHit, whyOfFibre } from './keep/whoIsHit.ts';
export {
  findingsOfPack,
  findingsOfRun,
  isEasilyLost,
  findingsTaken,
  type FindingTaken,
  sparesInPacks,
  spareRuleOf,
} from './things/findingsOfRun.ts';
export { costOfRun, paidForMinor, type Cost, type CostSources, type RunCost } from './cost/costOfRun.ts';
export {
  differenceOf,
  freezeRun,
  isSamePlan,
  thawPlan,
  thawWool,
  type Frozen,
  type PackChange,
  type RunDifference,
} from './keep/frozen.ts';
export {
  checkState,
  isFrozen,
  isOffShelf,
  stateAfter,
  stateBefore,
  wantsOf,
  type RunFacts,
} from './states/states.ts';
export { RUN_WANTS, type RunWants } from './document/wants.ts';
export { kitOfClass, type ClassKit, type ClassKitSources } from './things/kitOfClass.ts';
export { deedsOf, minutesOfDeed, type RunDeed, type RunStanding, timeOfDeeds } from './prepare/deeds.ts';
export { leftToDo } from './inForce/leftToDo.ts';
export { paceOf, RECKONED_PACE, type TimedTick, type WorkPace } from './prepare/pace.ts';
export { weighedTwice, type SignedTick, type WeighedTwice } from './keep/weighedTwice.ts';
export { forHand, patternOfPack } from './packs/patternOfPack.ts';
export { bagOfWool } from './packs/bagOfWool.ts';
export { woolInPacks, type PackedWool } from './packs/woolInPacks.ts';
export { patternsOfRun, type RunPattern } from './packs/patternsOfRun.ts';
export { leftHandedSteps, mirrored, swappedSteps, type OtherStep } from './who/leftHanded.ts';
export {
  lastWeighed,
  packedMark,
  StateInput,
  TickInput,
  tickState,
  weighedOf,
  type RunTick,
} from './keep/tick.ts';
export { massOfPack, packWeight, type PackWeight, type WeighedPack } from './packing/packWeight.ts';
export {
  closedWithout,
  inMark,
  notIn,
  packLines,
  type PackLine,
  type PackPaper,
} from './packing/packLines.ts';
export { lotChanges } from './keep/lotChanges.ts';
export { thingsShort, type ThingShort } from './things/thingsShort.ts';
export {
  thingsLent,
  thingsPromisedBefore,
  thingsPromisedInOrder,
  thingsTaken,
  type ThingsDrawn,
} from './things/thingsDrawn.ts';
export { keyOfShort, shortOverRuns, type ShortOfRun } from './things/shortOverRuns.ts';
export {
  addPromises,
  NO_PROMISES,
  stockOfFinding,
  promiseOf,
  type ThingPromise,
  type ThingPromises,
  type TooLarge,
} from './things/thingStock.ts';
export * from './portions/index.ts';
export type { RunProblem } from './document/problem.ts';
export {
  checkLabelSheet,
  LABEL_BOUNDS,
  LABEL_SHEET,
  PAGE_SIZES_MM,
  type LabelSheet,
  type PageSize,
} from './document/labelSheet.ts';
export {
  differenceFrom,
  packedRun,
  planOfToday,
  planWrittenDown,
  stockIn,
  type PackedRun,
  type RunSources,
} from './inForce/packedRun.ts';
