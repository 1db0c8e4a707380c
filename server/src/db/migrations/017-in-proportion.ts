import type { Database } from 'better-sqlite3';
import { bringDocumentsForward } from './bringForward.ts';

/** Documents of patterns in the ninth format: sizes stay in proportion, and figures go into things. Nobody has said any yet. */
export const inProportion = (db: Database): void => bringDocumentsForward(db);
