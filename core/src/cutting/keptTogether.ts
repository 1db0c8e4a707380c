import type { LengthTask } from './lengthTask.ts';
import type { PlannedLengths } from './planLengths.ts';

/** What one pack takes of one thing, so many packs alike. */
export interface PackPieces {
  readonly packs: number;
  readonly pieces: readonly { readonly key: string; readonly count: number }[];
}

type Piece = LengthTask['pieces'][number];

/** Pieces that are cut one after another from one length, as one long piece. */
interface Bundle extends Piece {
  readonly of: readonly Piece[];
}

/**
 * The same task with the pieces of each pack as one: as long as they are together with the cuts between them. A pack whose
 * pieces are longer together than every length there is has them singly, and so has what is over of no whole pack.
 */
export function bundled(
  task: LengthTask,
  packs: readonly PackPieces[],
): { readonly task: LengthTask; readonly bundles: ReadonlyMap<string, Bundle> } {
  const longestMm = Math.max(0, ...task.stocks.map(({ lengthMm }) => lengthMm - task.endWasteMm));
  const left = new Map(task.pieces.map(({ key, count }) => [key, count]));
  const bundles = new Map<string, Bundle>();
  packs.forEach((pack, at) => {
    const bundle = bundleOf(pack, `pack ${at}`, task, left);
    if (!bundle || bundle.lengthMm > longestMm + 1e-6) return;
    for (const { key, count } of pack.pieces) left.set(key, (left.get(key) ?? 0) - count * bundle.count);
    bundles.set(bundle.key, bundle);
  });
  const singly = task.pieces.flatMap((piece): Piece[] => {
    const count = left.get(piece.key) ?? 0;
    return count > 0 ? [{ ...piece, count }] : [];
  });
  return { task: { ...task, pieces: [...bundles.values(), ...singly] }, bundles };
}

function bundleOf(
  { packs, pieces }: PackPieces,
  key: string,
  task: LengthTask,
  left: ReadonlyMap<string, number>,
): Bundle | null {
  const of = pieces.flatMap(({ key: pieceKey, count }): Piece[] => {
    const piece = task.pieces.find((candidate) => candidate.key === pieceKey);
    return piece && count > 0 ? [{ ...piece, count }] : [];
  });
  const each = of.reduce((sum, { count }) => sum + count, 0);
  if (each < 2) return null;
  // As many whole packs as are not cut yet.
  const count = Math.min(packs, ...of.map((piece) => Math.floor((left.get(piece.key) ?? 0) / piece.count)));
  const lengthMm =
    of.reduce((sum, piece) => sum + piece.lengthMm * piece.count, 0) + task.kerfMm * (each - 1);
  return count > 0 ? { key, lengthMm, count, of } : null;
}

/** A plan of bundles as a plan of the pieces in them, each beside the others of its pack. */
export function unbundled(plan: PlannedLengths, bundles: ReadonlyMap<string, Bundle>): PlannedLengths {
  const singly = <T extends { readonly key: string; readonly lengthMm: number }>(piece: T, times: number) => {
    const bundle = bundles.get(piece.key);
    return bundle
      ? bundle.of.map(({ key, lengthMm, count }) => ({ key, lengthMm, count: count * times }))
      : [{ key: piece.key, lengthMm: piece.lengthMm, count: times }];
  };
  const cutsWithin = (key: string) =>
    Math.max(0, (bundles.get(key)?.of.reduce((sum, { count }) => sum + count, 0) ?? 1) - 1);
  const sticks = plan.sticks.map((stick) => ({
    ...stick,
    pieces: stick.pieces.flatMap((piece) =>
      singly(piece, 1).flatMap(({ key, lengthMm, count }) =>
        Array.from({ length: count }, () => ({ key, lengthMm })),
      ),
    ),
  }));
  const within = plan.sticks
    .flatMap(({ pieces }) => pieces)
    .reduce((sum, { key }) => sum + cutsWithin(key), 0);
  return {
    ...plan,
    sticks,
    notCut: plan.notCut.flatMap((piece) => singly(piece, piece.count)),
    cuts: plan.cuts + within,
  };
}
