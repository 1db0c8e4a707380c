export { planInOrder, shortOverall, type DrawnRun } from './planInOrder.ts';
export { inDrawingOrder, promisedBefore, type Takings } from './promisedBefore.ts';
export { costOfTakings } from './costOfTakings.ts';
export { extrasOfRun, portionsOfRun, sureness, WANTED_CHANCE, type Sureness } from './sureness.ts';
export { fibreNeeds, type ClassNeeds } from './fibreNeeds.ts';
export {
  avoidedBy,
  choiceOfSeat,
  packGroups,
  toPackOf,
  type Avoided,
  type PackGroup,
  type ToPack,
  type SeatChoice,
} from './packGroups.ts';
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
export { checkRun, RUN_BOUNDS, RUN_DEFAULTS, RunInput, type Run } from './run.ts';
