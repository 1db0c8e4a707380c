import type { Order, OrderDocument } from '@lanakit/core/buying';
import type { Db } from './openDatabase.ts';
import { sealOf, unsealed } from './sealed.ts';
import type { SoundReader } from './sound.ts';

interface OrderRow {
  id: string;
  version: number;
  document: string;
  document_seal: number | null;
}

/** What may still come, or is still to be sent. */
const isOpen = ({ stage }: OrderDocument): 0 | 1 => (stage === 'drafted' || stage === 'ordered' ? 1 : 0);

/** What is ordered of suppliers. */
export function orderQueries(db: Db, sound: SoundReader) {
  const SELECT = 'SELECT id, version, document, document_seal FROM purchase_order';
  const selectAll = db.prepare<[], OrderRow>(`${SELECT} ORDER BY created_at DESC, rowid DESC`);
  const selectOpen = db.prepare<[], OrderRow>(`${SELECT} WHERE is_open = 1 ORDER BY created_at, rowid`);
  const selectOne = db.prepare<[string], OrderRow>(`${SELECT} WHERE id = ?`);
  const insertRow = db.prepare(`
    INSERT INTO purchase_order (id, is_open, document, document_seal, created_at, updated_at)
    VALUES (@id, @isOpen, @document, @seal, @at, @at)`);
  const updateRow = db.prepare(`
    UPDATE purchase_order SET version = version + 1, is_open = @isOpen, document = @document, document_seal = @seal,
      updated_at = @at
    WHERE id = @id AND version = @version`);
  const columnsOf = (order: OrderDocument) => {
    const document = JSON.stringify(order);
    return { document, seal: sealOf(document), isOpen: isOpen(order) };
  };
  const read = ({ id, version, document, document_seal: seal }: OrderRow): Order => ({
    ...unsealed<OrderDocument>(document, seal),
    id,
    version,
  });
  const rows = (all: () => OrderRow[]): Order[] =>
    sound.rows('purchase_order', { all, byId: (id) => selectOne.get(id), read });
  return {
    /** The newest first. */
    all: (): Order[] => rows(() => selectAll.all()),
    /** Of which something may still come, the oldest first. */
    open: (): Order[] => rows(() => selectOpen.all()),
    find: (id: string): Order | null => {
      const row = selectOne.get(id);
      return row ? read(row) : null;
    },
    insert: (id: string, order: OrderDocument, at: string): void => {
      insertRow.run({ id, ...columnsOf(order), at });
    },
    /** False when the version is no longer the stored one. */
    update: (id: string, version: number, order: OrderDocument, at: string): boolean =>
      updateRow.run({ id, version, ...columnsOf(order), at }).changes === 1,
  };
}
