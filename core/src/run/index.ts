export { planInOrder, shortOverall, type DrawnRun } from './planInOrder.ts';
export { inDrawingOrder, promisedBefore, type Takings } from './promisedBefore.ts';
export { checkRun, RUN_BOUNDS, RUN_DEFAULTS, RunInput, type Run } from './run.ts';
