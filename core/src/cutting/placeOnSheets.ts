import type { Area, CutArea, CutSheet, SheetPiece, SheetStock, SheetTask } from './sheetTask.ts';

/** In which order, where, and which way the rest is parted: each rule gives another plan. */
export interface PlacingRule {
  readonly order: readonly SheetPiece[];
  readonly where: 'least-area' | 'least-side' | 'first';
  readonly parted: 'larger-whole' | 'across' | 'along';
}

/** A rectangle that may still be cut: written over when it is. */
interface OpenArea {
  readonly area: Area;
  became: { blade: 'across' | 'along'; atMm: number; first: OpenArea; second: OpenArea } | PieceHere | null;
}

interface PieceHere {
  readonly key: string;
  readonly isTurned: boolean;
}

interface OpenSheet {
  readonly stock: SheetStock;
  readonly root: OpenArea;
}

export interface PlacedOnSheets {
  readonly sheets: readonly CutSheet[];
  /** Of each so many that no sheet there is had room for. */
  readonly left: readonly SheetPiece[];
}

const EPSILON = 1e-6;
const SLIVER_MM = 0.01;

/** One piece after another, each cut straight through out of a rest that holds it; what is there before what is bought. */
export function placeOnSheets(task: SheetTask, { order, where, parted }: PlacingRule): PlacedOnSheets {
  const sheets: OpenSheet[] = [];
  const open: OpenArea[] = [];
  const used = new Map<string, number>();
  const stocks = [...task.stocks].toSorted(
    (a, b) =>
      Number(a.count === null) - Number(b.count === null) || a.lengthMm * a.widthMm - b.lengthMm * b.widthMm,
  );
  const begin = (piece: SheetPiece): OpenArea | null => {
    for (const stock of stocks) {
      const count = used.get(stock.key) ?? 0;
      const area = within(stock, task.marginMm);
      if ((stock.count !== null && count >= stock.count) || waysIn(piece, area, task).length === 0) continue;
      used.set(stock.key, count + 1);
      const root: OpenArea = { area, became: null };
      sheets.push({ stock, root });
      open.push(root);
      return root;
    }
    return null;
  };
  const left = new Map<string, SheetPiece>();
  for (const piece of order) {
    for (let at = 0; at < piece.count; at++) {
      const place = chosen(open, piece, task, where) ?? begin(piece);
      if (!place) {
        const before = left.get(piece.key)?.count ?? 0;
        left.set(piece.key, { ...piece, count: before + 1 });
        continue;
      }
      open.splice(open.indexOf(place), 1, ...cutOut(place, piece, task, parted));
    }
  }
  return { sheets: sheets.map(closed), left: [...left.values()] };
}

const within = ({ lengthMm, widthMm }: SheetStock, marginMm: number): Area => ({
  xMm: marginMm,
  yMm: marginMm,
  lengthMm: Math.max(0, lengthMm - 2 * marginMm),
  widthMm: Math.max(0, widthMm - 2 * marginMm),
});

interface Laid {
  readonly lengthMm: number;
  readonly widthMm: number;
  readonly isTurned: boolean;
}

/** Ways a piece lies in a rectangle. */
export function waysIn(
  { lengthMm, widthMm }: SheetPiece,
  area: Area,
  { mayTurn }: Pick<SheetTask, 'mayTurn'>,
): Laid[] {
  const asWritten: Laid = { lengthMm, widthMm, isTurned: false };
  const ways =
    mayTurn && lengthMm !== widthMm
      ? [asWritten, { lengthMm: widthMm, widthMm: lengthMm, isTurned: true }]
      : [asWritten];
  return ways.filter(
    (way) => way.lengthMm <= area.lengthMm + EPSILON && way.widthMm <= area.widthMm + EPSILON,
  );
}

function chosen(
  open: readonly OpenArea[],
  piece: SheetPiece,
  task: SheetTask,
  where: PlacingRule['where'],
): OpenArea | null {
  let best: { readonly place: OpenArea; readonly score: number } | null = null;
  for (const place of open) {
    const ways = waysIn(piece, place.area, task);
    if (ways.length === 0) continue;
    if (where === 'first') return place;
    const score =
      where === 'least-area'
        ? place.area.lengthMm * place.area.widthMm
        : Math.min(
            ...ways.map((way) =>
              Math.min(place.area.lengthMm - way.lengthMm, place.area.widthMm - way.widthMm),
            ),
          );
    if (!best || score < best.score - EPSILON) best = { place, score };
  }
  return best?.place ?? null;
}

/** Lies it so that it leaves the least beside it; parts what is over. @returns what may still be cut */
function cutOut(
  place: OpenArea,
  piece: SheetPiece,
  task: SheetTask,
  parted: PlacingRule['parted'],
): OpenArea[] {
  const { area } = place;
  const [way] = waysIn(piece, area, task).toSorted(
    (a, b) =>
      Math.min(area.lengthMm - a.lengthMm, area.widthMm - a.widthMm) -
      Math.min(area.lengthMm - b.lengthMm, area.widthMm - b.widthMm),
  );
  if (!way) return [place];
  const overLength = area.lengthMm - way.lengthMm;
  const overWidth = area.widthMm - way.widthMm;
  const isAcrossFirst =
    parted === 'larger-whole' ? overLength * area.widthMm >= overWidth * area.lengthMm : parted === 'across';
  const blades = isAcrossFirst ? (['across', 'along'] as const) : (['along', 'across'] as const);
  const rests: OpenArea[] = [];
  let here = place;
  for (const blade of blades) {
    const at = blade === 'across' ? way.lengthMm : way.widthMm;
    const over = blade === 'across' ? here.area.lengthMm - at : here.area.widthMm - at;
    if (over <= SLIVER_MM) continue;
    const [first, second] = parts(here.area, blade, at, task.kerfMm);
    here.became = { blade, atMm: at, first, second };
    rests.push(second);
    here = first;
  }
  here.became = { key: piece.key, isTurned: way.isTurned };
  return rests;
}

function parts(
  area: Area,
  blade: 'across' | 'along',
  atMm: number,
  kerfMm: number,
): readonly [OpenArea, OpenArea] {
  const { xMm, yMm, lengthMm, widthMm } = area;
  const open = (rectangle: Area): OpenArea => ({ area: rectangle, became: null });
  return blade === 'across'
    ? [
        open({ xMm, yMm, lengthMm: atMm, widthMm }),
        open({ xMm: xMm + atMm + kerfMm, yMm, lengthMm: Math.max(0, lengthMm - atMm - kerfMm), widthMm }),
      ]
    : [
        open({ xMm, yMm, lengthMm, widthMm: atMm }),
        open({ xMm, yMm: yMm + atMm + kerfMm, lengthMm, widthMm: Math.max(0, widthMm - atMm - kerfMm) }),
      ];
}

const closed = ({ stock, root }: OpenSheet): CutSheet => ({
  stockKey: stock.key,
  lengthMm: stock.lengthMm,
  widthMm: stock.widthMm,
  isBought: stock.count === null,
  root: closedArea(root),
});

function closedArea({ area, became }: OpenArea): CutArea {
  if (became === null) return { kind: 'rest', area };
  if ('key' in became) return { kind: 'piece', area, ...became };
  const { blade, atMm, first, second } = became;
  return { kind: 'cut', area, blade, atMm, first: closedArea(first), second: closedArea(second) };
}
