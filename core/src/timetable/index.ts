export { breaksOf, type SittingBreak } from './breaks.ts';
export { chainsOf, type Chains, type ChainTask } from './chains.ts';
export { dayViews, PACES, type DayBand, type DayPace, type DayView } from './dayView.ts';
export { stepFibre } from './stepFibre.ts';
export { applied, type Lever } from './levers.ts';
export { tenthsOf, trialOf, type Outcome, type SeatTimes, type StepTimes, type Tenths } from './outcome.ts';
export { planForOne, type OnePlan, type OneTurn } from './planForOne.ts';
export { dayAfter, proposeRows, withSessions } from './proposePlan.ts';
export {
  groupOf,
  inClass,
  PACE,
  PERSON_SIGMA,
  roomOf,
  type ClassGraph,
  rowStretch,
  sittingsOf,
  type NoRoom,
  type Room,
  type Sitting,
} from './room.ts';
export { derivedShared, INSTRUCTOR_KEY } from './sharedThings.ts';
export { STEP_SIGMA, tasksOf, type DroppedLink, type Task, type TaskGraph } from './tasks.ts';
export { leversTogether, type Together } from './leversTogether.ts';
export { outcomeOfRun, tryLevers, type TriedLever } from './tryLevers.ts';
