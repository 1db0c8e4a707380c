import { paceOf, RECKONED_PACE, type WorkPace } from '@lanakit/core/run';
import type { Store } from '../db/index.ts';
import { unlessDamaged } from './oneByOne.ts';

/** What was ticked longer ago was done by other hands. */
const MOST_TICKS = 2000;

/** How long this maker takes at the table, by what was ticked last. */
export const paceOfMaker = (store: Store): WorkPace =>
  unlessDamaged(
    () => paceOf(store.runs.recentTicks(MOST_TICKS)),
    () => RECKONED_PACE,
  );
