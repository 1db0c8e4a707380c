import type { Database } from 'better-sqlite3';
import { unsealed } from '../sealed.ts';
import { bringRunsForward } from './bringRunsForward.ts';

interface NamedSeat {
  readonly seat: number;
  readonly name?: string;
}

interface Row {
  readonly id: string;
  readonly document: string;
  readonly seal: number | null;
  readonly frozen: string | null;
  readonly frozenSeal: number | null;
}

interface Tick {
  readonly id: number;
  readonly mark: string;
}

/**
 * What was weighed for a seat was kept by the name of who sits there, and now by the number it has: no name stands in a tick any
 * more, so that none is left when somebody is forgotten, and a device that sees no names weighs the same seats.
 */
export function nameless(db: Database): void {
  db.exec('DROP TRIGGER run_tick_is_unchangeable');
  const ticks = db.prepare<[string], Tick>('SELECT id, mark FROM run_tick WHERE run_id = ?');
  const rename = db.prepare('UPDATE run_tick SET mark = ? WHERE id = ?');
  const runs = db.prepare<[], Row>(
    'SELECT id, document, document_seal AS seal, frozen, frozen_seal AS frozenSeal FROM run',
  );
  for (const run of runs.all()) {
    const numbers = seatOfName(run);
    for (const { id, mark } of ticks.all(run.id)) {
      const renamed = withoutName(mark, numbers);
      if (renamed !== mark) rename.run(renamed, id);
    }
  }
  db.exec(`
    CREATE TRIGGER run_tick_is_unchangeable BEFORE UPDATE ON run_tick
    BEGIN SELECT RAISE(ABORT, 'a tick cannot be changed; tick again'); END`);
  bringRunsForward(db);
}

/** As they are told of now, and before that as they were when the run was bought. */
function seatOfName({ document, seal, frozen, frozenSeal }: Row): ReadonlyMap<string, number> {
  const rosters = [
    frozen === null
      ? []
      : rosterIn(() => unsealed<{ input?: { roster?: NamedSeat[] } }>(frozen, frozenSeal).input),
    rosterIn(() => unsealed<{ roster?: NamedSeat[] }>(document, seal)),
  ];
  return new Map(rosters.flat().map(({ seat, name = '' }) => [name.trim(), seat]));
}

/** What cannot be read any more names nobody. */
function rosterIn(read: () => { roster?: NamedSeat[] } | undefined): readonly NamedSeat[] {
  try {
    return read()?.roster ?? [];
  } catch {
    return [];
  }
}

/** `seat Mara|one|chalk` and `packed|seat Mara`; who sits nowhere any more is nobody. */
function withoutName(mark: string, numbers: ReadonlyMap<string, number>): string {
  const found = /^(packed\|)?seat ([^|]*)(\|.*)?$/s.exec(mark);
  if (!found) return mark;
  const [, packed = '', who = '', rest = ''] = found;
  const number = numbers.get(who);
  if (number !== undefined) return `${packed}seat ${number}${rest}`;
  return /^\d+$/.test(who) ? mark : `${packed}seat gone${rest}`;
}
