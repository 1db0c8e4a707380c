import type { Database } from 'better-sqlite3';
import { bringRunsForward } from './bringRunsForward.ts';

/** Runs have a plan of their day, and seats may make a design of their own: of those there nobody has said. */
export const timed = (db: Database): void => bringRunsForward(db);
