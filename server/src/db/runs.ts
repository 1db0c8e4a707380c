import { byCodePoint } from '@lanakit/core/base';
import {
  type Frozen,
  revisionsOfRun,
  type Run,
  type RunInput,
  type RunState,
  type RunTick,
  type Seat,
  type SignedTick,
  type TimedTick,
  withoutPerson,
} from '@lanakit/core/run';
import { fromMilli, toMilli } from '@lanakit/core/shelf';
import type { HistoryQueries } from './history.ts';
import type { Db } from './openDatabase.ts';
import { sealOf, unsealed } from './sealed.ts';
import type { SoundReader } from './sound.ts';
import { whole } from './whole.ts';
import { softDelete } from './softDelete.ts';

interface RunRow {
  readonly id: string;
  readonly version: number;
  readonly state: RunState;
  readonly document: string;
  readonly document_seal: number | null;
}

interface AnyRow extends RunRow {
  readonly deletedAt: string | null;
}

const everySeat = (): boolean => true;

/** Something that left the shelf when a run was packed. */
export interface RunWithdrawal {
  readonly itemId: string;
  readonly lotId: string | null;
  readonly amountMilli: number;
}

const SELECT = 'SELECT id, version, state, document, document_seal FROM run WHERE deleted_at IS NULL';

const runOf = ({ document, document_seal: seal, ...row }: RunRow): Run => ({
  ...unsealed<RunInput>(document, seal),
  ...row,
});

const binnedOf = ({ deletedAt, ...row }: AnyRow): Run & { readonly isBinned: boolean } => ({
  ...runOf(row),
  isBinned: deletedAt !== null,
});

function rowOf(input: RunInput) {
  const name = input.name.trim();
  const document = JSON.stringify({ ...input, name });
  return { kind: input.kind, name, date: input.date, document, seal: sealOf(document) };
}

/** From which device something came. */
export interface Signature {
  /** As the log of writes names it. */
  readonly device: string;
  /** The key it made for itself; null: it said none. */
  readonly from: string | null;
}

interface TickRow {
  readonly mark: string;
  readonly isDone: number;
  readonly massMg: number;
  readonly weighedMg: number | null;
  readonly lotId: string | null;
  readonly scale: string | null;
  readonly device: string | null;
  readonly at: string;
}

const TICK_COLUMNS =
  'mark, is_done AS isDone, mass_mg AS massMg, weighed_mg AS weighedMg, lot_id AS lotId, scale, device, at';

const tickOfRow = ({ isDone, massMg, weighedMg, ...row }: TickRow): RunTick => ({
  ...row,
  isDone: isDone === 1,
  massG: fromMilli(massMg),
  weighedG: weighedMg === null ? null : fromMilli(weighedMg),
});

const frozenColumnsOf = (frozen: Frozen | null) => {
  const text = frozen && JSON.stringify(frozen);
  return { frozen: text, seal: text === null ? null : sealOf(text) };
};

/** Every query on runs, prepared once. */
export function runQueries(db: Db, sound: SoundReader, history: HistoryQueries, forgetAnswers: () => void) {
  const selectAll = db.prepare<[], RunRow>(`${SELECT} ORDER BY date, created_at, id`);
  const selectAhead = db.prepare<[string], RunRow>(`${SELECT} AND date >= ? ORDER BY date, created_at, id`);
  const selectOne = db.prepare<[string], RunRow>(`${SELECT} AND id = ?`);
  const selectFrozen = db.prepare<[string], { frozen: string | null; seal: number | null }>(
    'SELECT frozen, frozen_seal AS seal FROM run WHERE id = ?',
  );
  const selectStamp = db
    .prepare<[string], string>(
      `SELECT version || ' ' || state || ' ' || coalesce(document_seal, '') || ' ' || coalesce(frozen_seal, '')
       FROM run WHERE id = ?`,
    )
    .pluck();
  const insertRow = db.prepare(`
    INSERT INTO run (id, kind, name, date, document, document_seal, created_at, updated_at)
    VALUES (@id, @kind, @name, @date, @document, @seal, @at, @at)`);
  const updateRow = db.prepare(`
    UPDATE run SET version = version + 1, kind = @kind, name = @name, date = @date, document = @document, document_seal = @seal,
      updated_at = @at
    WHERE id = @id AND version = @version AND deleted_at IS NULL`);
  const updateState = db.prepare(`
    UPDATE run SET version = version + 1, state = @state, frozen = @frozen, frozen_seal = @seal,
      updated_at = @at
    WHERE id = @id AND version = @version AND deleted_at IS NULL`);
  const updateFrozen = db.prepare('UPDATE run SET frozen = @frozen, frozen_seal = @seal WHERE id = @id');
  const selectBefore = db.prepare<[string, number], { version: number; at: string; document: string }>(
    'SELECT version, updated_at AS at, document FROM run WHERE id = ? AND version = ?',
  );
  const ANY = 'SELECT id, version, state, document, document_seal, deleted_at AS deletedAt FROM run';
  const selectAny = db.prepare<[string], AnyRow>(`${ANY} WHERE id = ?`);
  const selectEvery = db.prepare<[], AnyRow>(ANY);
  const writeForgotten = db.prepare(`
    UPDATE run SET version = version + 1, document = @document, document_seal = @seal, updated_at = @at WHERE id = @id`);
  const dropRevisions = db.prepare('DELETE FROM run_revision WHERE run_id = ?');
  const insertRevision = db.prepare('INSERT INTO run_revision (run_id, revision_id) VALUES (?, ?)');
  const insertTick = db.prepare(`
    INSERT INTO run_tick (tick_key, run_id, mark, is_done, mass_mg, weighed_mg, lot_id, scale, device, device_key, at)
    VALUES (@key, @runId, @mark, @isDone, @massMg, @weighedMg, @lotId, @scale, @device, @from, @at)`);
  const selectTick = db.prepare<[string], TickRow & { runId: string }>(
    `SELECT run_id AS runId, ${TICK_COLUMNS} FROM run_tick WHERE tick_key = ?`,
  );
  const selectTicks = db.prepare<[string], TickRow>(`
    SELECT ${TICK_COLUMNS} FROM run_tick t
    WHERE run_id = ? AND id = (SELECT max(id) FROM run_tick WHERE run_id = t.run_id AND mark = t.mark)
    ORDER BY mark`);
  const selectRecent = db.prepare<[number], Omit<TimedTick, 'isDone'> & { isDone: 0 | 1 }>(`
    SELECT run_id AS runId, mark, is_done AS isDone, device, at FROM run_tick ORDER BY id DESC LIMIT ?`);
  const selectHistory = db.prepare<[string], TickRow & { from: string | null }>(
    `SELECT ${TICK_COLUMNS}, device_key AS "from" FROM run_tick WHERE run_id = ? AND mass_mg > 0 ORDER BY id`,
  );
  const insertWithdrawal = db.prepare(`
    INSERT INTO run_taking (run_id, item_id, lot_id, amount_milli) VALUES (@runId, @itemId, @lotId, @amountMilli)`);
  const dropBack = db.prepare('DELETE FROM run_taking WHERE run_id = ? AND item_id = ? AND amount_milli < 0');
  const selectWithdrawals = db.prepare<[string], RunWithdrawal>(
    'SELECT item_id AS itemId, lot_id AS lotId, amount_milli AS amountMilli FROM run_taking WHERE run_id = ? ORDER BY id',
  );
  const dropWithdrawals = db.prepare('DELETE FROM run_taking WHERE run_id = ?');

  const linkRevisions = (id: string, input: RunInput): void => {
    dropRevisions.run(id);
    for (const revisionId of revisionsOfRun(input)) insertRevision.run(id, revisionId);
  };
  /** @param from the first day that is asked for */
  const inOrder = (all: () => RunRow[], from: string): Run[] =>
    sound
      .rows('run', { all, byId: (id) => selectOne.get(id), read: runOf })
      .filter(({ date }) => date >= from)
      .sort((a, b) => byCodePoint(a.date, b.date));
  return {
    /** By date, then by when they were made. */
    all: (): Run[] => inOrder(() => selectAll.all(), ''),
    ahead: (today: string): Run[] => inOrder(() => selectAhead.all(today), today),
    /** Those of these ids that can be read, in their order. */
    byIds: (ids: readonly string[]): Run[] =>
      sound.byIds('run', ids, { byId: (id) => selectOne.get(id), read: runOf }),
    find: (id: string): Run | null => {
      const row = selectOne.get(id);
      return row ? runOf(row) : null;
    },
    /** Another for every other document and every other numbers of a run, also where a version comes twice. */
    stamp: (id: string): string => selectStamp.get(id) ?? '',
    /** Null while it is only planned. */
    frozen: (id: string): Frozen | null => {
      const { frozen, seal } = selectFrozen.get(id) ?? { frozen: null, seal: null };
      return frozen === null ? null : unsealed<Frozen>(frozen, seal);
    },
    insert: whole(db, (id: string, input: RunInput, at: string): void => {
      insertRow.run({ ...rowOf(input), id, at });
      linkRevisions(id, input);
    }),
    update: whole(db, (id: string, version: number, input: RunInput, at: string): boolean => {
      const before = selectBefore.get(id, version);
      if (updateRow.run({ ...rowOf(input), id, version, at }).changes !== 1) return false;
      if (before) history.keep('run', id, before, at);
      linkRevisions(id, input);
      return true;
    }),
    setState: (
      id: string,
      version: number,
      { state, frozen }: { readonly state: RunState; readonly frozen: Frozen | null },
      at: string,
    ): boolean => updateState.run({ id, version, state, ...frozenColumnsOf(frozen), at }).changes === 1,
    /**
     * Who came is taken out of a run, of what was written down of it, and of all that it ever was; also out of one in the bin.
     * @param version null: whatever it is
     * @param which seats; not said: all of them
     */
    forgetPeople: whole(
      db,
      (
        id: string,
        version: number | null,
        at: string,
        which: (seat: Seat) => boolean = everySeat,
      ): boolean => {
        const run = selectAny.get(id);
        const kept = selectFrozen.get(id);
        if (!run || (version !== null && run.version !== version)) return false;
        const forgotten = <R extends Pick<RunInput, 'roster'>>(input: R): R => ({
          ...input,
          roster: input.roster.map((seat) => (which(seat) ? withoutPerson(seat) : seat)),
        });
        const input = forgotten(unsealed<RunInput>(run.document, run.document_seal));
        const { document, seal } = rowOf(input);
        writeForgotten.run({ id, document, seal, at });
        const frozen = kept?.frozen == null ? null : unsealed<Frozen>(kept.frozen, kept.seal);
        if (frozen)
          updateFrozen.run({ id, ...frozenColumnsOf({ ...frozen, input: forgotten(frozen.input) }) });
        history.forget('run', id);
        forgetAnswers();
        return true;
      },
    ),
    /** All there are, those in the bin as well, the last first. */
    every: (): (Run & { readonly isBinned: boolean })[] =>
      sound
        .rows('run', { all: () => selectEvery.all(), byId: (id) => selectAny.get(id), read: binnedOf })
        .sort((a, b) => byCodePoint(b.date, a.date)),
    /** What this key ticked before; null: nothing yet. */
    tickOf: (key: string): (RunTick & { readonly runId: string }) | null => {
      const row = selectTick.get(key);
      if (!row) return null;
      const { runId, ...tick } = row;
      return { ...tickOfRow(tick), runId };
    },
    /** @param by from which device it came, as the log of writes names it, and by the key it gave itself */
    tick: (key: string, runId: string, tick: RunTick, by: Signature, at: string): void => {
      const { mark, isDone, massG, weighedG = null, lotId = null, scale = null } = tick;
      insertTick.run({
        key,
        runId,
        mark,
        isDone: isDone ? 1 : 0,
        massMg: toMilli(massG),
        weighedMg: weighedG === null ? null : toMilli(weighedG),
        lotId,
        scale,
        ...by,
        at,
      });
    },
    /** The last so many that were ticked, of whatever run. */
    recentTicks: (most: number): TimedTick[] =>
      selectRecent.all(most).map((row) => ({ ...row, isDone: row.isDone === 1 })),
    /** Every weighing that was ever ticked, or taken back, in the order in which it came in. */
    weighingHistory: (runId: string): SignedTick[] =>
      selectHistory.all(runId).map(({ from, ...row }) => ({ ...tickOfRow(row), from })),
    /** How every mark stands that was ever ticked. */
    ticks: (runId: string): RunTick[] => selectTicks.all(runId).map(tickOfRow),
    withdraw: (runId: string, withdrawal: RunWithdrawal): void => {
      insertWithdrawal.run({ ...withdrawal, runId });
    },
    /** What is back of a thing in all, as less than nothing; in place of what was said of it before. */
    comesBack: (runId: string, back: RunWithdrawal): void => {
      dropBack.run(runId, back.itemId);
      if (back.amountMilli !== 0) insertWithdrawal.run({ ...back, runId });
    },
    withdrawals: (runId: string): RunWithdrawal[] => selectWithdrawals.all(runId),
    forgetWithdrawals: (runId: string): void => {
      dropWithdrawals.run(runId);
    },
    ...softDelete(db, 'run'),
  };
}
