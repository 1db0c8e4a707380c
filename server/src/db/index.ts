import { answeredKeyQueries } from './answeredKeys.ts';
import { binQueries } from './bin.ts';
import { classEventQueries } from './classEvents.ts';
import { commissionQueries } from './commissions.ts';
import { cuttingQueries } from './cutting.ts';
import { historyQueries } from './history.ts';
import { importQueries } from './imports.ts';
import { itemQueries } from './items.ts';
import type { Db } from './openDatabase.ts';
import { orderQueries } from './orders.ts';
import { learntQueries } from './learnt.ts';
import { listQueries } from './lists.ts';
import { makingQueries } from './makings.ts';
import { packCodeQueries } from './packCodes.ts';
import { patternQueries } from './patterns.ts';
import { pictureQueries } from './pictures.ts';
import { remembered } from './remembered.ts';
import { runQueries } from './runs.ts';
import { settingQueries } from './settings.ts';
import { shelfReader } from './shelf.ts';
import { soundReader } from './sound.ts';
import { stockQueries } from './stock.ts';
import { studioQueries } from './studio.ts';
import { takingQueries } from './takings.ts';
import { translationQueries } from './translations.ts';
import { techniqueQueries } from './techniques.ts';
import { transact } from './transaction.ts';
import { trayQueries } from './trays.ts';
import { writeLogQueries } from './writeLog.ts';

export { CUTTING_SETTING } from './cutting.ts';
export { databaseFault, type DatabaseFault } from './databaseFault.ts';
export { holdStudio, type HoldRefusal } from './holdStudio.ts';
export { openDatabase, type Db, type OpenRefusal } from './openDatabase.ts';
export { backupFolder, backupsIn, makeBackup } from './backups.ts';
export { isBackupDue, writtenAtMs } from './dailyBackup.ts';
export { nameOfBackup } from './keepingTasks.ts';
export { migrate } from './migrate.ts';
export { restoreBackup, type RestoreResult } from './restore.ts';
export { type ItemKind } from './items.ts';
export { viewOf } from './shelf.ts';
export { PATTERN_ORDERS, type PageAsked, type PatternsAsked } from './lists.ts';
export {
  newSearchIndex,
  openSearchIndex,
  SEARCHED_KINDS,
  type SearchedKind,
  type SearchedThing,
  type SearchIndex,
} from './searchIndex.ts';
export { isDamage } from './sound.ts';
export { type Deed, type WritesAsked, WRITES_KEPT_DAYS } from './writeLog.ts';

/** The one narrow door to the database: every table group's queries, prepared once. */
export function createStore(db: Db) {
  const sound = soundReader(db);
  const history = historyQueries(db);
  const items = itemQueries(db, sound, history);
  const stock = stockQueries(db, sound);
  const memory = remembered(db);
  const settings = settingQueries(db, sound);
  const cutting = cuttingQueries(db, sound);
  const answeredKeys = answeredKeyQueries(db);
  return {
    items,
    stock,
    shelf: shelfReader(items, stock, memory.remember, () => cutting.cutFrom(settings)),
    imports: importQueries(db),
    patterns: patternQueries(db, sound, history, memory.rememberAs),
    pictures: pictureQueries(db),
    techniques: techniqueQueries(db, sound),
    runs: runQueries(db, sound, history, answeredKeys.forgetNamed),
    trays: trayQueries(db, sound),
    classEvents: classEventQueries(db),
    makings: makingQueries(db, sound),
    commissions: commissionQueries(db, sound),
    takings: takingQueries(db),
    translations: translationQueries(db, sound),
    learnt: learntQueries(db, sound),
    orders: orderQueries(db, sound),
    settings,
    cutting,
    studio: studioQueries(db),
    /** Some of each, by page. */
    lists: listQueries(db),
    bin: binQueries(db),
    history,
    /** What can be read of what is damaged. */
    sound,
    answeredKeys,
    packCodes: packCodeQueries(db),
    writeLog: writeLogQueries(db),
    ...memory,
    /** Runs all of it or nothing; within another, as a part of that. */
    together: <T>(work: () => T): T => transact(db, work),
  };
}

export type Store = ReturnType<typeof createStore>;
