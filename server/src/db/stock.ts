import {
  countDifferenceMilli,
  type CountInput,
  fromMilli,
  type HandMeasure,
  type HandMeasureInput,
  type Lot,
  type LotInput,
  type Movement,
  type Reason,
} from '@lanakit/core/shelf';
import type { Db } from './openDatabase.ts';
import { sealOf, unsealed } from './sealed.ts';
import { isDamage, type SoundReader } from './sound.ts';

/** What there is of an item in all, and the most there ever was, in its unit. */
export interface OnHand {
  readonly onHand: number | null;
  readonly peak: number;
}

export interface MovementWrite {
  readonly itemId: string;
  readonly lotId: string | null;
  readonly amountMilli: number;
  readonly reason: Reason;
  readonly note?: string;
  readonly at: string;
  readonly importId?: string | null;
}

interface LotRow {
  id: string;
  item_id: string;
  version: number;
  properties: string;
  properties_seal: number | null;
  on_hand_milli: number | null;
}

const SELECT_LOTS = `
  SELECT l.id, l.item_id, l.version, l.properties, l.properties_seal,
         h.milli AS on_hand_milli
  FROM lot l LEFT JOIN lot_on_hand h ON h.lot_id = l.id WHERE l.deleted_at IS NULL`;

const SUMS = (where: string) => `
  SELECT item_id AS itemId, sum(amount_milli) AS onHandMilli, max(running) AS peakMilli
  FROM (SELECT item_id, amount_milli, sum(amount_milli) OVER (PARTITION BY item_id ORDER BY id) AS running
        FROM movement ${where})
  GROUP BY item_id`;

const NO_SUMS: SumRow[] = [];

interface SumRow {
  itemId: string;
  onHandMilli: number;
  peakMilli: number;
}

/** Every query on lots and the ledger, prepared once. */
export function stockQueries(db: Db, sound: SoundReader) {
  const selectLots = db.prepare<[], LotRow>(`${SELECT_LOTS} ORDER BY l.created_at, l.rowid`);
  const selectLotsOf = db.prepare<[string], LotRow>(
    `${SELECT_LOTS} AND l.item_id = ? ORDER BY l.created_at, l.rowid`,
  );
  const selectLot = db.prepare<[string], LotRow>(`${SELECT_LOTS} AND l.id = ?`);
  const insertLotRow = db.prepare(`
    INSERT INTO lot (id, item_id, name, properties, properties_seal, created_at, updated_at)
    VALUES (@id, @itemId, @name, @properties, @seal, @at, @at)`);
  const updateLotRow = db.prepare(`
    UPDATE lot SET version = version + 1, name = @name, properties = @properties, properties_seal = @seal,
      updated_at = @at
    WHERE id = @id AND version = @version AND deleted_at IS NULL`);
  const markLot = db.prepare(
    `UPDATE lot SET deleted_at = @at, version = version + 1 WHERE id = @id AND version = @version AND deleted_at IS NULL`,
  );
  const insertMovement = db.prepare(`
    INSERT INTO movement (item_id, lot_id, amount_milli, reason, note, at, import_id)
    VALUES (@itemId, @lotId, @amountMilli, @reason, @note, @at, @importId)`);
  const selectMovements = db.prepare<
    { itemId: string; limit: number },
    Omit<Movement, 'amount'> & { amountMilli: number }
  >(`
    SELECT id, item_id AS itemId, lot_id AS lotId, amount_milli AS amountMilli, reason, note, at
    FROM movement WHERE item_id = @itemId ORDER BY at DESC, id DESC LIMIT @limit`);
  const SELECT_SUMS = 'SELECT item_id AS itemId, milli AS onHandMilli, peak_milli AS peakMilli FROM on_hand';
  const sumAll = db.prepare<[], SumRow>(SELECT_SUMS);
  const sumOne = db.prepare<[string], SumRow>(`${SELECT_SUMS} WHERE item_id = ?`);
  // Slower, by the ledger itself: where the sums are damaged.
  const sumAllSlowly = db.prepare<[], SumRow>(SUMS('NOT INDEXED'));
  const sumOneSlowly = db.prepare<[string], SumRow>(SUMS('NOT INDEXED WHERE item_id = ?'));
  const sumHere = db.prepare<{ itemId: string; lotId: string | null }, { onHandMilli: number | null }>(
    `SELECT sum(amount_milli) AS onHandMilli FROM movement WHERE item_id = @itemId AND lot_id IS @lotId`,
  );
  const selectHands = db.prepare<[], HandMeasure>(
    `SELECT name, mass_g AS massG, low_g AS lowG, high_g AS highG, weighed_at AS weighedAt FROM hand_measure`,
  );
  const upsertHand = db.prepare(`
    INSERT INTO hand_measure (name, mass_g, low_g, high_g, weighed_at) VALUES (@name, @massG, @lowG, @highG, @at)
    ON CONFLICT (name) DO UPDATE SET mass_g = @massG, low_g = @lowG, high_g = @highG, weighed_at = @at`);

  // Added up anew where the sum of it is damaged.
  const selectLotSlowly = db.prepare<[string], LotRow>(`
    SELECT l.id, l.item_id, l.version, l.properties, l.properties_seal,
      (SELECT sum(m.amount_milli) FROM movement m NOT INDEXED WHERE m.lot_id = l.id) AS on_hand_milli
    FROM lot l WHERE l.deleted_at IS NULL AND l.id = ?`);
  const lotRow = (id: string): LotRow | undefined => {
    try {
      return selectLot.get(id);
    } catch (error) {
      if (!isDamage(error)) throw error;
      return selectLotSlowly.get(id);
    }
  };
  const enter = ({ note = '', importId = null, ...movement }: MovementWrite): void => {
    insertMovement.run({ ...movement, note, importId });
  };
  const onHandHere = (itemId: string, lotId: string | null): number | null => {
    const milli = sumHere.get({ itemId, lotId })?.onHandMilli ?? null;
    return milli === null ? null : fromMilli(milli);
  };

  return {
    /** By item, oldest first. */
    lots: (): Map<string, Lot[]> => {
      const byItem = new Map<string, Lot[]>();
      const all = sound.rows('lot', {
        all: () => selectLots.all(),
        byId: lotRow,
        read: (row) => ({ itemId: row.item_id, lot: lotOf(row) }),
      });
      for (const { itemId, lot } of all) {
        const lots = byItem.get(itemId) ?? [];
        lots.push(lot);
        byItem.set(itemId, lots);
      }
      return byItem;
    },
    lotsOf: (itemId: string): Lot[] => sound.each('lot', selectLotsOf.all(itemId), lotOf),
    findLot: (id: string): { lot: Lot; itemId: string } | null => {
      const row = selectLot.get(id);
      return row ? { lot: lotOf(row), itemId: row.item_id } : null;
    },
    insertLot: (id: string, itemId: string, input: LotInput, at: string): void => {
      insertLotRow.run({ id, itemId, ...lotColumnsOf(input), at });
    },
    /** False when the version is no longer the stored one. */
    updateLot: (id: string, version: number, input: LotInput, at: string): boolean =>
      updateLotRow.run({ id, version, ...lotColumnsOf(input), at }).changes === 1,
    removeLot: (id: string, version: number, at: string): boolean =>
      markLot.run({ id, version, at }).changes === 1,
    enter,
    onHandHere,
    /** A count is entered as the movement that makes the sum right. */
    enterCount: (count: CountInput, at: string, importId: string | null = null): void => {
      const amountMilli = countDifferenceMilli(onHandHere(count.itemId, count.lotId), count.amount);
      if (amountMilli !== null) enter({ ...count, amountMilli, reason: 'counted', at, importId });
    },
    /** Of every item that ever moved. */
    onHand: (): Map<string, OnHand> => {
      const rows = sound.firstOf('movement', [() => sumAll.all(), () => sumAllSlowly.all()], NO_SUMS);
      return new Map(rows.map((row) => [row.itemId, sumOf(row)]));
    },
    onHandOf: (itemId: string): OnHand => {
      const row = sound.firstOf(
        'movement',
        [() => sumOne.get(itemId), () => sumOneSlowly.get(itemId)],
        undefined,
      );
      return row ? sumOf(row) : { onHand: null, peak: 0 };
    },
    /** Newest first. */
    movements: (itemId: string, limit: number): Movement[] =>
      selectMovements
        .all({ itemId, limit })
        .map(({ amountMilli, ...row }) => ({ ...row, amount: fromMilli(amountMilli) })),
    handMeasures: (): HandMeasure[] => sound.firstOf('hand_measure', [() => selectHands.all()], []),
    setHandMeasure: (input: HandMeasureInput, at: string): void => {
      upsertHand.run({ ...input, at });
    },
  };
}

const sumOf = ({ onHandMilli, peakMilli }: SumRow): OnHand => ({
  onHand: fromMilli(onHandMilli),
  peak: fromMilli(Math.max(0, peakMilli)),
});

const lotColumnsOf = (input: LotInput) => {
  const properties = JSON.stringify(input);
  return { name: input.name.trim(), properties, seal: sealOf(properties) };
};

const lotOf = (row: LotRow): Lot => ({
  ...unsealed<LotInput>(row.properties, row.properties_seal),
  id: row.id,
  version: row.version,
  onHandG: row.on_hand_milli === null ? null : fromMilli(row.on_hand_milli),
});
