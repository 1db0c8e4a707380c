export { chainsOf, type Chains, type ChainTask } from './chains.ts';
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
  rowStretch,
  sittingsOf,
  type NoRoom,
  type Room,
  type Sitting,
} from './room.ts';
export { derivedShared, INSTRUCTOR_KEY } from './sharedThings.ts';
export { STEP_SIGMA, tasksOf, type DroppedLink, type Task, type TaskGraph } from './tasks.ts';
export { leversTogether, outcomeOfRun, tryLevers, type Together, type TriedLever } from './tryLevers.ts';
