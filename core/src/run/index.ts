export { planInOrder, shortOverall, type DrawnRun } from './planInOrder.ts';
export { inDrawingOrder, promisedBefore, type Takings } from './promisedBefore.ts';
export { checkRun, isCalendarDate, RUN_BOUNDS, RUN_DEFAULTS, RunInput, type Run } from './run.ts';
