import type { Database } from 'better-sqlite3';
import { bringDocumentsForward } from './bringForward.ts';

/** Documents of patterns in the eleventh format: what is cut for a figure may be set on a part of it. Of those there nobody has said. */
export const setOn = (db: Database): void => bringDocumentsForward(db);
