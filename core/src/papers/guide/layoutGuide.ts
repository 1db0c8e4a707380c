import { MaxRectsPacker } from 'maxrects-packer/dist/maxrects-packer.mjs';
import type { GuidePieces } from '../../figure/index.ts';
import type { Pattern } from '../../pattern/index.ts';
import type { PageSize } from '../../run/index.ts';
import { guideTitle, notInGuideWords } from '../../words/index.ts';
import { CARD_SCALES, cardDrawing } from './cardDrawing.ts';
import { type Cell, cellBeside, cellOf, noteCell, turned } from './cells.ts';
import { type Drawing, drawPiece, moveItem } from './drawing.ts';
import { frameItems } from './frame.ts';
import { type GuidePage, type Rect, roomOf } from './guidePage.ts';
import { tilesOf } from './tiles.ts';

/** What a guide is of. */
export interface GuideSource {
  readonly title: string;
  readonly pieces: GuidePieces;
  /** The builds of the pieces, in their order. */
  readonly builds: readonly Pick<Pattern, 'title' | 'parts' | 'lengthUnit' | 'showsBothUnits'>[];
  /** For whom each build is, or in which size; empty where that goes without saying. */
  readonly forWhom: readonly string[];
}

/** A guide on its pages. */
export interface Guide {
  readonly pages: readonly GuidePage[];
  /** What is not on them, and why; a sentence each. */
  readonly missing: readonly string[];
}

/** Pages of pieces that are larger than one: more than these nobody tapes together. */
const MOST_TILED_PAGES = 120;

/** Between two drawings, mm. */
const GAP_MM = 2;

/**
 * Every piece at true size on as few pages as we find: none is cut by an edge; what is larger than a page goes over
 * several that overlap.
 */
export function layoutGuide({ title, pieces, builds, forWhom }: GuideSource, page: PageSize): Guide {
  const room = roomOf(page);
  const missing = pieces.missing.map(notInGuideWords);
  const fitting: Drawing[] = [];
  const tiled: GuidePage[] = [];
  for (const shared of pieces.pieces) {
    const build = builds[shared.builds[0] ?? 0];
    if (!build) continue;
    const drawing = named(
      drawPiece(shared.piece, build, room.widthMm),
      whoseWords(shared.builds, builds, forWhom),
    );
    if (isFitting(drawing, room)) fitting.push(drawing);
    else {
      const tiles = fewest(tilesOf(drawing, room), tilesOf(turned(drawing), room));
      if (tiles && tiled.length + tiles.length <= MOST_TILED_PAGES) tiled.push(...tiles);
      else missing.push(`${guideTitle(shared.piece)}: too large for paper, draw it with a ruler.`);
    }
  }
  for (const { card, builds: of } of pieces.cards) {
    const build = builds[of[0] ?? 0];
    if (!build) continue;
    const whose = whoseWords(of, builds, forWhom);
    const drawing = CARD_SCALES.map((scale) => named(cardDrawing(card, build, scale), whose)).find((scaled) =>
      isFitting(scaled, room),
    );
    if (drawing) fitting.push(drawing);
    else missing.push(`The place card of ${build.title}: it has more on it than a page.`);
  }
  const pages = [...packed(fitting, notesOf(missing, room), room), ...tiled];
  return {
    pages: pages.map(({ items, cells }, at) => ({
      items: [...frameItems(page, title, at + 1, pages.length), ...items],
      cells,
    })),
    missing,
  };
}

const named = (drawing: Drawing, whose: string): Drawing =>
  whose === '' ? drawing : { ...drawing, lines: [whose, ...drawing.lines] };

/** Where a guide is of several builds: which of them a piece is of. */
function whoseWords(
  of: readonly number[],
  builds: GuideSource['builds'],
  forWhom: readonly string[],
): string {
  const designs = new Set(builds.map(({ title }) => title));
  const titles = [...new Set(of.map((at) => builds[at]?.title ?? ''))];
  const whose =
    of.length === builds.length ? [] : of.flatMap((at) => forWhom[at] ?? []).filter((word) => word !== '');
  return [...(designs.size > 1 ? [titles.join(', ')] : []), ...new Set(whose)].join(': ');
}

function fewest(a: GuidePage[] | null, b: GuidePage[] | null): GuidePage[] | null {
  if (!a || !b) return a ?? b;
  return b.length < a.length ? b : a;
}

const fits = ({ widthMm, heightMm }: Cell, room: Rect): boolean =>
  widthMm <= room.widthMm + 1e-9 && heightMm <= room.heightMm + 1e-9;

/** Every way a drawing and its words may go on a page: words below it, at its right, the drawing laid down; only what fits. */
function waysOn(
  drawing: Drawing,
  room: Rect,
): { readonly upright: readonly Cell[]; readonly laid: readonly Cell[] } {
  const ways = (way: Drawing) =>
    [cellOf(way, room.widthMm), cellBeside(way)].filter((cell) => fits(cell, room));
  return { upright: ways(drawing), laid: drawing.isTurnable ? ways(turned(drawing)) : [] };
}

function isFitting(drawing: Drawing, room: Rect): boolean {
  const { upright, laid } = waysOn(drawing, room);
  return upright.length + laid.length > 0;
}

/** As they were drawn where that fits, or what is long laid down: whichever takes fewer pages. */
function packed(drawings: readonly Drawing[], notes: readonly Cell[], room: Rect): GuidePage[] {
  const all = drawings.map((drawing) => ({ drawing, ...waysOn(drawing, room) }));
  const isLong = ({ widthMm, heightMm }: Drawing) => heightMm > 1.6 * widthMm;
  const ways = [false, true].map((areLongLaid) =>
    all.flatMap(({ drawing, upright, laid }) => {
      const [first] = areLongLaid && isLong(drawing) ? [...laid, ...upright] : [...upright, ...laid];
      return first ? [first] : [];
    }),
  );
  const [first = [], ...others] = ways.map((cells) => packCells([...cells, ...notes], room));
  return others.reduce((best, pages) => (pages.length < best.length ? pages : best), first);
}

/** Lines a page of notes holds. */
const NOTES_A_CELL = 40;

/** What is not drawn, in words, in as many blocks as it takes. */
function notesOf(missing: readonly string[], room: Rect): Cell[] {
  const blocks: Cell[] = [];
  for (let at = 0; at < missing.length; at += NOTES_A_CELL)
    blocks.push(noteCell(missing.slice(at, at + NOTES_A_CELL)));
  return blocks.filter((cell) => fits(cell, room));
}

function packCells(cells: readonly Cell[], room: Rect): GuidePage[] {
  const packer = new MaxRectsPacker(room.widthMm, room.heightMm, GAP_MM, {
    smart: false,
    pot: false,
    square: false,
    allowRotation: false,
  });
  cells.forEach((cell, at) => packer.add(cell.widthMm, cell.heightMm, at));
  const pages = packer.bins.map(({ rects }) =>
    rects.map(({ x, y, data }) => ({ at: Number(data), x, y })).sort((a, b) => a.at - b.at),
  );
  // In the order of the pieces, as far as pages go.
  pages.sort((a, b) => (a[0]?.at ?? 0) - (b[0]?.at ?? 0));
  return pages.map((places) => {
    const placed = places.flatMap(({ at, x, y }) => {
      const cell = cells[at];
      return cell ? [{ cell, xMm: room.xMm + x, yMm: room.yMm + y }] : [];
    });
    return {
      items: placed.flatMap(({ cell, xMm, yMm }) => cell.items.map((item) => moveItem(item, xMm, yMm))),
      cells: placed.map(({ cell: { widthMm, heightMm }, xMm, yMm }) => ({ xMm, yMm, widthMm, heightMm })),
    };
  });
}
