import type { Database } from 'better-sqlite3';
import { bringDocumentsForward } from './bringForward.ts';

/** Documents of patterns in the eighth format: pieces have places. Nobody has said any yet. */
export const placed = (db: Database): void => bringDocumentsForward(db);
