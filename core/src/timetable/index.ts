export { chainsOf, type Chains, type ChainTask } from './chains.ts';
export { planForOne, type OnePlan, type OneTurn } from './planForOne.ts';
export { inClass, PACE, PERSON_SIGMA, roomOf, sittingsOf, type NoRoom, type Room } from './room.ts';
export { goThrough, readyRoom, type ClassOnce } from './simulate.ts';
export { STEP_SIGMA, tasksOf, type DroppedLink, type Task, type TaskGraph } from './tasks.ts';
