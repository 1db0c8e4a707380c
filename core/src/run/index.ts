export { planInOrder, shortOverall, type DrawnRun } from './planInOrder.ts';
export { inDrawingOrder, promisedBefore, type Takings } from './promisedBefore.ts';
export { costOfTakings } from './costOfTakings.ts';
export {
  bagOf,
  extrasOfRun,
  groupsToTry,
  portionsOfRun,
  sureness,
  usualChance,
  type Sureness,
} from './sureness.ts';
export { classNeeds, type RunNeeds } from './classNeeds.ts';
export { BOX_FORMS, BoxDesign, BoxRecipe, blankRecipe, type BoxForm } from './boxRecipe.ts';
export { avoidedBy, type Avoided } from './avoided.ts';
export { choiceOfSeat, hasChoice, undecidedSeats, type SeatChoice } from './choiceOfSeat.ts';
export { packGroups, type Designs, type Make, type PackGroup, type Roster } from './packGroups.ts';
export { needsOfGroup, personalNeeds, type GroupNeed } from './needsOfGroup.ts';
export { isElsewhere, tablesOf, toolsOfRun, type RoomTerms, type RoomTool } from './toolsOfRun.ts';
export { lotsOfPacks, type LotsOfBag } from './lotsOfPacks.ts';
export { toPackOf, type PackEstimate, type PackRun, type ToPack } from './toPack.ts';
export { stageSamples, type StageSample } from './stageSamples.ts';
export {
  allowances,
  commonGrams,
  gramsByBag,
  variantsOf,
  type Variant,
  type VariantGrams,
} from './undecided.ts';
export { readRoster, type ReadRoster, type RosterLine } from './readRoster.ts';
export {
  blankSeat,
  isBlankSeat,
  Seat,
  SeatChoices,
  seatName,
  seatsOf,
  withoutSeat,
  withSeat,
} from './seat.ts';
export { tellingFibres } from './tellingFibres.ts';
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
} from './run.ts';
export {
  needlesOfBox,
  needlesOfBoxes,
  needlesOffered,
  type BoxNeedles,
  type NeedlesInBox,
} from './boxNeedles.ts';
export { packsOf, type Pack } from './packList.ts';
export {
  checkRights,
  neededPermission,
  rightsOfRun,
  type RightsSubject,
  type RunRights,
} from './rightsOfRun.ts';
export {
  allMarks,
  changesOfFibre,
  TOLERANCE_FRACTION,
  weighings,
  weighOrder,
  type FibreWeighing,
  type WeighMark,
} from './weighOut.ts';
export {
  sharesOfFibre,
  whoIsHit,
  whyOfFibre,
  type FibreShare,
  type FibreWhy,
  type HitPack,
} from './whoIsHit.ts';
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
} from './findingsOfRun.ts';
export {
  costOfRun,
  paidForMinor,
  type Cost,
  type CostSources,
  type PackCost,
  type RunCost,
} from './costOfRun.ts';
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
} from './frozen.ts';
export {
  checkState,
  isFrozen,
  isOffShelf,
  RUN_WANTS,
  stateAfter,
  stateBefore,
  wantsOf,
  type RunFacts,
  type RunWants,
} from './states.ts';
export { kitOfClass, type ClassKit, type ClassKitSources } from './kitOfClass.ts';
export { patternOfPack, type PackPattern } from './patternOfPack.ts';
export { bagOfWool, type BagOfGroup } from './bagOfWool.ts';
export { woolInPacks, type PackedWool } from './woolInPacks.ts';
export { patternsOfRun, type RunPattern } from './patternsOfRun.ts';
export { leftHandedSteps, mirrored, swappedSteps, type OtherStep } from './leftHanded.ts';
export {
  packedMark,
  StateInput,
  TickInput,
  tickState,
  weighedOf,
  type RunTick,
  type TickState,
} from './tick.ts';
export { lotChanges, type LotChange } from './lotChanges.ts';
export { thingsShort, type ThingShort, type ThingSources } from './thingsShort.ts';
export { thingsLent, thingsPromisedBefore, thingsTaken, type ThingsDrawn } from './thingsDrawn.ts';
export { keyOfShort, shortOverRuns, type ShortOfRun, type ShortOverRuns } from './shortOverRuns.ts';
export {
  addPromises,
  NO_PROMISES,
  promiseOf,
  stockOfFinding,
  type FindingStock,
  type ThingPromise,
  type ThingPromises,
  type TooLarge,
} from './thingStock.ts';
