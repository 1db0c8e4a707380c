import {
  type CuttingDocument,
  type CuttingPlan,
  type CuttingTerms,
  CUTTING_TERMS,
} from '@lanakit/core/cutting';
import type { CutFrom, Offcut } from '@lanakit/core/shelf';
import type { Db } from './openDatabase.ts';
import { sealOf, unsealed } from './sealed.ts';
import type { settingQueries } from './settings.ts';
import type { SoundReader } from './sound.ts';

interface PlanRow {
  id: string;
  version: number;
  document: string;
  document_seal: number | null;
}

/** What is known of the pieces that a thing is in. */
export type CutFromOf = (itemId: string) => CutFrom;

/** Under this name the terms of cutting are kept. */
export const CUTTING_SETTING = 'cutting';
const NO_PIECES: readonly never[] = [];

/** Plans that are being cut, and pieces of known size on the shelf. */
export function cuttingQueries(db: Db, sound: SoundReader) {
  const SELECT = 'SELECT id, version, document, document_seal FROM cutting_plan';
  const selectOpen = db.prepare<[], PlanRow>(`${SELECT} WHERE is_open = 1 ORDER BY created_at, rowid`);
  const selectOne = db.prepare<[string], PlanRow>(`${SELECT} WHERE id = ?`);
  const insertRow = db.prepare(`
    INSERT INTO cutting_plan (id, is_open, document, document_seal, created_at, updated_at)
    VALUES (@id, 1, @document, @seal, @at, @at)`);
  const updateRow = db.prepare(`
    UPDATE cutting_plan SET version = version + 1, is_open = @isOpen, document = @document, document_seal = @seal,
      updated_at = @at
    WHERE id = @id AND version = @version`);
  const selectOffcuts = db.prepare<[], Offcut & { readonly itemId: string }>(`
    SELECT id, item_id AS itemId, length_mm AS lengthMm, width_mm AS widthMm FROM offcut
    WHERE gone_at IS NULL ORDER BY created_at, rowid`);
  const insertOffcut = db.prepare(`
    INSERT INTO offcut (id, item_id, length_mm, width_mm, created_at) VALUES (@id, @itemId, @lengthMm, @widthMm, @at)`);
  const markOffcut = db.prepare('UPDATE offcut SET gone_at = @at WHERE id = @id AND gone_at IS NULL');
  const unmarkOffcut = db.prepare('UPDATE offcut SET gone_at = NULL WHERE id = ? AND gone_at IS NOT NULL');
  /** Runs that have not taken what was cut for them. */
  const selectDrawing = db
    .prepare<[], string>(
      `SELECT id FROM run WHERE deleted_at IS NULL AND state IN ('planned', 'bought', 'weighed')`,
    )
    .pluck();
  const read = ({ id, version, document, document_seal: seal }: PlanRow): CuttingPlan => ({
    ...unsealed<CuttingDocument>(document, seal),
    id,
    version,
  });
  const columnsOf = (plan: CuttingDocument) => {
    const document = JSON.stringify(plan);
    return { document, seal: sealOf(document) };
  };
  const open = (): CuttingPlan[] =>
    sound.rows('cutting_plan', { all: () => selectOpen.all(), byId: (id) => selectOne.get(id), read });
  return {
    /** Those that are still wanted, the oldest first. */
    open,
    find: (id: string): CuttingPlan | null => {
      const row = selectOne.get(id);
      return row ? read(row) : null;
    },
    insert: (id: string, plan: CuttingDocument, at: string): void => {
      insertRow.run({ id, ...columnsOf(plan), at });
    },
    /** False when the version is no longer the stored one. */
    update: (id: string, version: number, plan: CuttingDocument, isOpen: boolean, at: string): boolean =>
      updateRow.run({ id, version, ...columnsOf(plan), isOpen: isOpen ? 1 : 0, at }).changes === 1,
    addOffcut: (id: string, itemId: string, size: Omit<Offcut, 'id'>, at: string): void => {
      insertOffcut.run({ id, itemId, lengthMm: size.lengthMm, widthMm: size.widthMm, at });
    },
    /** False when it is not there any more. */
    removeOffcut: (id: string, at: string): boolean => markOffcut.run({ id, at }).changes === 1,
    /** False when it never went. */
    restoreOffcut: (id: string): boolean => unmarkOffcut.run(id).changes === 1,
    cutFrom: (settings: ReturnType<typeof settingQueries>): CutFromOf => {
      const terms = settings.find<CuttingTerms>(CUTTING_SETTING) ?? CUTTING_TERMS;
      const offcuts = sound.firstOf('offcut', [() => selectOffcuts.all()], []);
      const drawing = new Set(sound.firstOf('run', [() => selectDrawing.all()], []));
      const cut = open().map((plan) => ({ itemId: plan.itemId, pieces: cutFor(plan, drawing) }));
      return (itemId) => ({
        terms,
        offcuts: offcuts
          .filter((offcut) => offcut.itemId === itemId)
          .map(({ id, lengthMm, widthMm }) => ({ id, lengthMm, widthMm })),
        cutPieces: cut.flatMap((plan) => (plan.itemId === itemId ? plan.pieces : NO_PIECES)),
      });
    },
  };
}

/** Pieces that are cut and lie there for runs that have not taken them. */
function cutFor({ pieces, stocks, done }: CuttingPlan, drawing: ReadonlySet<string>): CutFrom['cutPieces'] {
  const byKey = new Map(pieces.map((piece) => [piece.key, piece]));
  return done.flatMap(({ stock }) =>
    (stocks[stock]?.parts ?? []).flatMap(({ kind, key }) => {
      const piece = byKey.get(key ?? '');
      return kind === 'piece' && piece && drawing.has(piece.runId)
        ? [{ lengthMm: piece.lengthMm, widthMm: piece.widthMm, count: 1 }]
        : [];
    }),
  );
}
