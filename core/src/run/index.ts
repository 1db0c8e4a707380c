export { planInOrder, shortOverall, type DrawnRun } from './states/planInOrder.ts';
export { inDrawingOrder, promisedBefore, type Takings } from './states/promisedBefore.ts';
export { costOfTakings } from './cost/costOfTakings.ts';
export {
  bagOf,
  extrasOfRun,
  groupsToTry,
  portionsOfRun,
  sureness,
  usualChance,
  type Sureness,
} from './packs/sureness.ts';
export { classNeeds, type RunNeeds } from './packs/classNeeds.ts';
export { BOX_FORMS, BoxDesign, BoxRecipe, blankRecipe, type BoxForm } from './document/boxRecipe.ts';
export { avoidedBy, type Avoided } from './who/avoided.ts';
export { choiceOfSeat, hasChoice, undecidedSeats, type SeatChoice } from './who/choiceOfSeat.ts';
export { packGroups, type Designs, type Make, type PackGroup, type Roster } from './packs/packGroups.ts';
export { needsOfGroup, personalNeeds, type GroupNeed } from './things/needsOfGroup.ts';
export { isElsewhere, tablesOf, toolsOfRun, type RoomTerms, type RoomTool } from './things/toolsOfRun.ts';
export { lotsOfPacks, type LotsOfBag } from './keep/lotsOfPacks.ts';
export { toPackOf, type PackEstimate, type PackRun, type ToPack } from './packs/toPack.ts';
export { stageSamples, type StageSample } from './packs/stageSamples.ts';
export {
  allowances,
  commonGrams,
  gramsByBag,
  variantsOf,
  type Variant,
  type VariantGrams,
} from './packs/undecided.ts';
export { readRoster, type ReadRoster, type RosterLine } from './who/readRoster.ts';
export {
  blankSeat,
  isBlankSeat,
  Seat,
  SeatChoices,
  seatName,
  seatsOf,
  withoutSeat,
  withSeat,
} from './document/seat.ts';
export { tellingFibres } from './who/tellingFibres.ts';
export {
  BAGGINGS,
  checkRun,
  COST_DEFAULTS,
  CostTerms,
  OwnBag,
  revisionsOfRun,
  withRevision,
  RUN_BOUNDS,
  RUN_DEFAULTS,
  runOfToday,
  RUN_KINDS,
  RUN_STATES,
  RunInput,
  sparesOf,
  RANGE_ENDS,
  TO_BAG_FRACTION,
  packsOver,
  usualTerms,
  WANTED_CHANCE,
  WANTED_CHANCE_OF_BOX,
  withBoxesCounted,
  type Bagging,
  type Run,
  type RunKind,
  type RunState,
} from './document/run.ts';
export {
  needlesOfBox,
  needlesOfBoxes,
  needlesOffered,
  type BoxNeedles,
  type NeedlesInBox,
} from './things/boxNeedles.ts';
export { packsOf, type Pack } from './packs/packList.ts';
export {
  checkRights,
  neededPermission,
  rightsOfRun,
  type RightsSubject,
  type RunRights,
} from './states/rightsOfRun.ts';
export {
  allMarks,
  changesOfFibre,
  TOLERANCE_FRACTION,
  weighings,
  weighOrder,
  type FibreWeighing,
  type WeighMark,
} from './keep/weighOut.ts';
export {
  sharesOfFibre,
  whoIsHit,
  whyOfFibre,
  type FibreShare,
  type FibreWhy,
  type HitPack,
} from './keep/whoIsHit.ts';
export {
  findingsOfPack,
  findingsOfRun,
  isEasilyLost,
  findingsTaken,
  sparesInPacks,
  spareRuleOf,
  type FindingTaken,
  type SpareTerms,
  type FindingInPack,
  type RunFinding,
} from './things/findingsOfRun.ts';
export {
  costOfRun,
  paidForMinor,
  type Cost,
  type CostSources,
  type PackCost,
  type RunCost,
} from './cost/costOfRun.ts';
export {
  differenceOf,
  freezeRun,
  isSamePlan,
  thawPlan,
  thawWool,
  type Frozen,
  type PackChange,
  type PlannedPacks,
  type PortionChange,
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
export { patternOfPack, type PackPattern } from './packs/patternOfPack.ts';
export { bagOfWool, type BagOfGroup } from './packs/bagOfWool.ts';
export { woolInPacks, type PackedWool } from './packs/woolInPacks.ts';
export { patternsOfRun, type RunPattern } from './packs/patternsOfRun.ts';
export { leftHandedSteps, mirrored, swappedSteps, type OtherStep } from './who/leftHanded.ts';
export {
  packedMark,
  StateInput,
  TickInput,
  tickState,
  weighedOf,
  type RunTick,
  type TickState,
} from './keep/tick.ts';
export { lotChanges, type LotChange } from './keep/lotChanges.ts';
export { thingsShort, type ThingShort, type ThingSources } from './things/thingsShort.ts';
export { thingsLent, thingsPromisedBefore, thingsTaken, type ThingsDrawn } from './things/thingsDrawn.ts';
export { keyOfShort, shortOverRuns, type ShortOfRun, type ShortOverRuns } from './things/shortOverRuns.ts';
export {
  addPromises,
  NO_PROMISES,
  promiseOf,
  stockOfFinding,
  type FindingStock,
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
  runInForce,
  stockIn,
  type PackedRun,
  type RunInForce,
  type RunSources,
} from './inForce/runInForce.ts';
