import { nestedBlocks, outlineMm2 } from './nestedBlocks.ts';
import { planRectangles } from './planRectangles.ts';
import { partsOf, type SheetPiece, type SheetPlan, type SheetTask, type TemplateBlock } from './sheetTask.ts';

/** Of more templates than these the largest are laid close, the others stay in their boxes. */
const MOST_TEMPLATES = 4;

/**
 * Pieces from sheets: rectangles by straight cuts, and templates that are the same many times in rows that lie close, each row
 * cut out straight and then cut round, where that buys or wastes less than their boxes do.
 */
export function planSheets(task: SheetTask): SheetPlan {
  const inBoxes = withWaste(planRectangles(task), task, new Map());
  let best = inBoxes;
  let [pieces, blocks] = [task.pieces, new Map<string, TemplateBlock>()];
  const templates = task.pieces
    .filter(({ outline, count }) => outline && count > 1)
    .toSorted((a, b) => b.lengthMm * b.widthMm * b.count - a.lengthMm * a.widthMm * a.count)
    .slice(0, MOST_TEMPLATES);
  for (const template of templates) {
    for (const rows of rowsOf(template, task)) {
      const [nestedPieces, nestedWith] = [
        [...pieces.filter((piece) => piece !== template), ...rows.pieces],
        new Map([...blocks, ...rows.blocks]),
      ];
      const plan = withWaste(planRectangles({ ...task, pieces: nestedPieces }), task, nestedWith);
      if (!isBetter(plan, best)) continue;
      best = plan;
    }
    // What is found for one stays while the next is looked at.
    const kept = [...best.blocks].filter(([, block]) => block.piece === template);
    if (kept.length === 0) continue;
    blocks = new Map([...blocks, ...kept]);
    pieces = [...pieces.filter((piece) => piece !== template), ...asPieces(template, kept)];
  }
  // What rows could do with no less of is no bound: templates could lie otherwise.
  const atLeastBought = Math.min(inBoxes.atLeastBought, best.bought);
  return { ...best, atLeastBought, notCut: unnested(best) };
}

/** So many alike rows and, of what is over, a shorter one of the same kind or boxes. */
function rowsOf(template: SheetPiece, task: SheetTask) {
  const all = nestedBlocks(template, template.outline ?? [], task);
  return all
    .filter(({ places }) => places.length <= template.count)
    .map((block) => {
      const rows = Math.floor(template.count / block.places.length);
      const over = template.count - rows * block.places.length;
      const shorter = all.find((other) => other.places.length === over && isOneKind(other, block));
      const blocks = new Map<string, TemplateBlock>([
        [keyOf(template, block.places.length, 0), { ...block, piece: template }],
        ...(shorter ? [[keyOf(template, over, 1), { ...shorter, piece: template }] as const] : []),
      ]);
      return { blocks, pieces: asPieces(template, [...blocks]) };
    });
}

type Row = Pick<TemplateBlock, 'lengthMm' | 'widthMm' | 'places'>;

/** Both along or both across, and both with every other on its head or neither. */
const isOneKind = (a: Row, b: Row): boolean =>
  (a.places[1]?.xMm === 0) === (b.places[1]?.xMm === 0) &&
  a.places[1]?.isHalfTurned === b.places[1]?.isHalfTurned;

const keyOf = ({ key }: SheetPiece, count: number, at: number): string => `${key} row ${at} ${count}`;

/** Rows as rectangles; templates that are over as they are. */
function asPieces(template: SheetPiece, blocks: readonly (readonly [string, TemplateBlock])[]): SheetPiece[] {
  let left = template.count;
  const rows = blocks.map(([key, { lengthMm, widthMm, places }]): SheetPiece => {
    const count = Math.floor(left / places.length);
    left -= count * places.length;
    return { key, lengthMm, widthMm, count };
  });
  return [...rows, ...(left > 0 ? [{ ...template, count: left }] : [])];
}

/** What is cut round leaves more than straight cuts tell of. */
function withWaste(plan: SheetPlan, task: SheetTask, blocks: SheetPlan['blocks']): SheetPlan {
  const byKey = new Map(task.pieces.map((piece) => [piece.key, piece]));
  const roundMm2 = plan.sheets
    .flatMap(({ root }) => partsOf(root))
    .reduce((sum, part) => {
      if (part.kind !== 'piece') return sum;
      const block = blocks.get(part.key);
      const piece = block?.piece ?? byKey.get(part.key);
      if (!piece?.outline) return sum;
      const within = outlineMm2(piece.outline) * (block?.places.length ?? 1);
      return sum + part.area.lengthMm * part.area.widthMm - within;
    }, 0);
  return { ...plan, blocks, wasteMm2: plan.wasteMm2 + Math.round(roundMm2) };
}

const leftMm2 = ({ notCut }: SheetPlan): number =>
  notCut.reduce((sum, { lengthMm, widthMm, count }) => sum + lengthMm * widthMm * count, 0);

const isBetter = (a: SheetPlan, b: SheetPlan): boolean =>
  (leftMm2(a) - leftMm2(b) || a.bought - b.bought || a.wasteMm2 - b.wasteMm2 || a.cuts - b.cuts) < 0;

/** Rows that no sheet had room for, as the templates in them. */
const unnested = ({ notCut, blocks }: SheetPlan): SheetPiece[] =>
  notCut.map((piece) => {
    const block = blocks.get(piece.key);
    return block ? { ...block.piece, count: piece.count * block.places.length } : piece;
  });
