import { firstSlice } from './001-first-slice.ts';
import { shelf } from './002-shelf.ts';
import { woolEngine } from './003-wool-engine.ts';
import { writing } from './004-writing.ts';
import { needles } from './005-needles.ts';
import { roster } from './006-roster.ts';
import { chance } from './007-chance.ts';
import { runs } from './008-runs.ts';
import { right } from './009-right.ts';
import { read } from './010-read.ts';
import { taken } from './011-taken.ts';
import { kept } from './012-kept.ts';
import { counted } from './013-counted.ts';
import { history } from './014-history.ts';
import { listed } from './015-listed.ts';
import { placed } from './016-placed.ts';
import { inProportion } from './017-in-proportion.ts';
import { asTheyMeet } from './018-as-they-meet.ts';
import { searched } from './019-searched.ts';
import { bought } from './020-bought.ts';
import { setOn } from './021-set-on.ts';
import { reviewed } from './022-reviewed.ts';
import { timed } from './023-timed.ts';
import { who } from './024-who.ts';
import { weighed } from './025-weighed.ts';
import { nameless } from './026-nameless.ts';
import { taught } from './027-taught.ts';
import { learnt } from './028-learnt.ts';
import { commissions } from './029-commissions.ts';
import { translations } from './030-translations.ts';
import { among } from './031-among.ts';
import type { Database } from 'better-sqlite3';

/** SQL, or where SQL cannot say it, work on the database; each runs in its own transaction. */
export type Migration = string | ((db: Database) => void);

/** In order; the position in this list, from 1, is the database's version. One that writes a document since 13 seals it. Never edit one that has shipped. */
export const MIGRATIONS: readonly Migration[] = [
  firstSlice,
  shelf,
  woolEngine,
  writing,
  needles,
  roster,
  chance,
  runs,
  right,
  read,
  taken,
  kept,
  counted,
  history,
  listed,
  placed,
  inProportion,
  asTheyMeet,
  searched,
  bought,
  setOn,
  reviewed,
  timed,
  who,
  weighed,
  nameless,
  taught,
  learnt,
  commissions,
  translations,
  among,
];
