import type { Cutting, CuttingThing } from '@lanakit/core/api';
import type { PackPieces, PlannedPiece } from '@lanakit/core/cutting';
import { type CutPiece, type SheetPiece, sizeToCut } from '@lanakit/core/engine';
import { findingsTaken, type Run, sheetPiecesOfRun } from '@lanakit/core/run';
import { type Finding, sheetOfFibre, thereToCut } from '@lanakit/core/shelf';
import type { Store } from '../db/index.ts';
import { drawingOf } from './runDrawing.ts';
import { shelfOf } from './runSources.ts';

interface Wanted {
  readonly pieces: Map<string, PlannedPiece & { count: number }>;
  readonly packs: PackPieces[];
}

/** What can be cut to size, as it is cut: a finding as it is, felt and pre-felt as their sheets. Null: neither, or of unknown size. */
export function cuttableOf(store: Store, id: string): Finding | null {
  const finding = shelfOf(store).findings.get(id);
  if (finding) return finding;
  const fibre = store.shelf.fibres().find((candidate) => candidate.id === id);
  return fibre ? sheetOfFibre(fibre, store.cutting.cutFrom(store.settings)(id)) : null;
}

/** A whole one to cut from lies on the shelf; of what was never counted nobody can tell, and who cuts it has it in hand. */
export function isThereToCut(store: Store, id: string): boolean {
  const finding = cuttableOf(store, id);
  return !finding || finding.onHand === null || thereToCut(finding).wholes > 0;
}

/** Everything that runs want cut to size and that is not cut yet; and felt that cannot be planned, for nobody has said how large it is. */
export function thingsToCut(store: Store, runs: readonly Run[]): Pick<Cutting, 'things' | 'sheetsUnknown'> {
  const cut = cutAlready(store);
  const names = new Map(store.shelf.fibres().map(({ id, name }) => [id, name]));
  const things: CuttingThing[] = [];
  const sheetsUnknown: Cutting['sheetsUnknown'][number][] = [];
  for (const [id, { pieces, packs }] of wantedBy(store, runs)) {
    const finding = cuttableOf(store, id);
    const all = [...pieces.values()];
    if (finding) {
      const doneOf = (key: string) => cut.get(`${id} ${key}`) ?? 0;
      things.push({
        finding,
        pieces: all.flatMap((piece) => {
          const left = piece.count - doneOf(piece.key);
          return left > 0 ? [{ ...piece, count: left }] : [];
        }),
        packs,
        cutCount: all.reduce((sum, { key }) => sum + doneOf(key), 0),
      });
    } else if (names.has(id)) {
      const pieceCount = all.reduce((sum, { count }) => sum + count, 0);
      sheetsUnknown.push({ id, name: names.get(id) ?? '', pieceCount });
    }
  }
  return { things, sheetsUnknown };
}

function wantedBy(store: Store, runs: readonly Run[]): Map<string, Wanted> {
  const { findings } = shelfOf(store);
  const wanted = new Map<string, Wanted>();
  const add = (id: string, packs: number, inOne: readonly (PlannedPiece & { count: number })[]) => {
    const ofThing = wanted.get(id) ?? {
      pieces: new Map<string, PlannedPiece & { count: number }>(),
      packs: [],
    };
    wanted.set(id, ofThing);
    ofThing.packs.push({ packs, pieces: inOne.map(({ key, count }) => ({ key, count })) });
    for (const piece of inOne) {
      const before = ofThing.pieces.get(piece.key)?.count ?? 0;
      ofThing.pieces.set(piece.key, { ...piece, count: before + piece.count * packs });
    }
  };
  for (const run of runs) {
    const { toPack, input } = drawingOf(store, run);
    for (const { findingId, cutInPacks } of findingsTaken(toPack, findings, input))
      for (const { packs, pieces } of cutInPacks)
        add(
          findingId,
          packs,
          pieces.map((piece) => ({ ...pieceOf(run, piece), count: piece.count })),
        );
    for (const { fibreId, packs, pieces } of sheetPiecesOfRun(toPack))
      add(
        fibreId,
        packs,
        pieces.map((piece) => ({ ...sheetPieceOf(run, piece), count: piece.count })),
      );
  }
  return wanted;
}

const keyOf = (...of: readonly (string | number)[]): string => of.join('|').slice(0, 200);

function pieceOf(run: Run, piece: CutPiece): PlannedPiece {
  const { lengthMm, widthMm, outline } = sizeToCut(piece);
  return {
    key: keyOf(run.id, piece.cutId, lengthMm, widthMm),
    name: piece.name === '' ? 'piece' : piece.name,
    runId: run.id,
    lengthMm,
    widthMm,
    ...(outline && { outline: outline.map(([x, y]) => [x, y] as [number, number]) }),
  };
}

const sheetPieceOf = (run: Run, { useId, name, lengthMm, widthMm, outline }: SheetPiece): PlannedPiece => ({
  ...(outline && { outline: outline.map(([x, y]) => [x, y] as [number, number]) }),
  key: keyOf(run.id, useId, lengthMm, widthMm),
  name: name === '' ? 'piece' : name,
  runId: run.id,
  lengthMm,
  widthMm,
});

/** So many of each piece are cut. */
function cutAlready(store: Store): Map<string, number> {
  const cut = new Map<string, number>();
  for (const { itemId, stocks, done } of store.cutting.open())
    for (const { stock } of done)
      for (const { kind, key } of stocks[stock]?.parts ?? []) {
        if (kind !== 'piece') continue;
        const name = `${itemId} ${key ?? ''}`;
        cut.set(name, (cut.get(name) ?? 0) + 1);
      }
  return cut;
}
