export { breaksOf, type SittingBreak } from './breaks.ts';
export { chainsOf } from './chains.ts';
export { dayViews, type DayBand, type DayPace, type DayView } from './dayView.ts';
export { applied, type Lever } from './levers.ts';
export { leversTogether, type Together } from './leversTogether.ts';
export { trialOf, type Outcome, type StepTimes } from './outcome.ts';
export { planForOne } from './planForOne.ts';
export { proposeRows, withSessions } from './proposePlan.ts';
export {
  PACE,
  type Paces,
  pacesOf,
  PERSON_SIGMA,
  roomOf,
  tablesOf,
  type ClassGraph,
  type NoRoom,
  type Room,
  type Sitting,
} from './room.ts';
export { INSTRUCTOR_KEY } from './sharedThings.ts';
export { stepFibre } from './stepFibre.ts';
export { STEP_SIGMA, tasksOf, type Task } from './tasks.ts';
export { untimedSteps } from './untimed.ts';
export { outcomeOfRun, tryLevers, type TriedLever } from './tryLevers.ts';
