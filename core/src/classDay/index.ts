export { whoIsBehind, type BehindOn, type SeatBehind } from './behind.ts';
export { clashesOf } from './clashes.ts';
export { comesBack, type RunTaking } from './comesBack.ts';
export { clockOfDay } from './clockOfDay.ts';
export {
  ClassAct,
  ClassEventInput,
  PHOTO_PERMISSIONS,
  SAID_SORTS,
  type ClassEvent,
  type PhotoPermission,
  type SaidSort,
} from './event.ts';
export { eventsOf, inOrder } from './inOrder.ts';
export { rankOf, stateAfterTap, statesOf } from './pieces.ts';
export type {
  ClassDayPlan,
  PieceLife,
  PlannedMake,
  PlannedSeat,
  PlannedSharp,
  PlannedSitting,
  ShowEntry,
} from './plan.ts';
export { roomNow, type RoomNow } from './room.ts';
export { saidNow, type SaidNow } from './said.ts';
export { sharpsNow, type SharpNow, type TipNow } from './sharps.ts';
export { showNow, sittingNow, type ShowLine, type ShowNow } from './show.ts';
export type { Clock } from './touched.ts';
export { figuresOf } from './figures.ts';
export { entriesTook, type EntryTook } from './stepTimes.ts';
export { minutesToRingIn, timersNow } from './timers.ts';
export { tookOf, type FibreTook } from './tookOf.ts';
