import type { Database } from 'better-sqlite3';
import { bringDocumentsForward } from './bringForward.ts';

/** Documents of patterns in the tenth format: joins tell by what they are as wide as they are. Those there stay as thick as what is set on. */
export const asTheyMeet = (db: Database): void => bringDocumentsForward(db);
