import { MaxRectsPacker } from 'maxrects-packer';

/** A piece to be laid on the tray: its outer box (roll-up included) in mm. */
export interface TrayPiece {
  readonly id: string;
  readonly widthMm: number;
  readonly heightMm: number;
}

/** The tray, in screen units (px). */
export interface TraySpace {
  readonly widthPx: number;
  readonly heightPx: number;
  readonly gapPx: number;
  /** Room under each piece for what it is called: the fullest first, the last as short as it may be. */
  readonly labels: readonly TrayLabel[];
  /** The scale is kept between these, px per mm; under the least the tray grows in height instead. */
  readonly minPxPerMm: number;
  readonly maxPxPerMm: number;
}

interface TrayLabel {
  readonly widthPx: number;
  readonly heightPx: number;
}

export interface LaidPiece {
  readonly id: string;
  /** Centre of the piece's box across, and its top, px. */
  readonly centreXPx: number;
  readonly topPx: number;
  /** Top of the label, px. */
  readonly labelTopPx: number;
}

export interface Tray {
  /** One scale for all pieces, px per mm. */
  readonly pxPerMm: number;
  readonly pieces: readonly LaidPiece[];
  /** Which of the labels there is room for. */
  readonly label: number;
  /** Height used, px; may exceed the space at the least scale. */
  readonly heightPx: number;
}

const SEARCH_STEPS = 12;
/** Pieces may be so much smaller than with the shortest label before theirs is cut shorter. */
const LABEL_IS_WORTH = 0.62;

/**
 * Lays pieces at the largest common scale at which all of them fit, packed tight (maximal rectangles, best short side), with the
 * fullest label that does not make them much smaller. Where they do not fit at the least scale they go in rows, and the tray
 * grows in height.
 */
export function layoutTray(pieces: readonly TrayPiece[], space: TraySpace): Tray {
  const shortest = space.labels.length - 1;
  const largest = largestPacked(pieces, space, shortest);
  if (!largest) return layRows(pieces, space, shortest);
  for (let label = 0; label < shortest; label++) {
    const enough = packed(pieces, space, label, largest.pxPerMm * LABEL_IS_WORTH);
    if (enough) return largestPacked(pieces, space, label) ?? enough;
  }
  return largest;
}

function largestPacked(pieces: readonly TrayPiece[], space: TraySpace, label: number): Tray | null {
  let [low, high] = [space.minPxPerMm, space.maxPxPerMm];
  const atMost = packed(pieces, space, label, high);
  if (atMost) return atMost;
  let best = packed(pieces, space, label, low);
  for (let i = 0; best && i < SEARCH_STEPS; i++) {
    const scale = (low + high) / 2;
    const tray = packed(pieces, space, label, scale);
    if (tray) [low, best] = [scale, tray];
    else high = scale;
  }
  return best;
}

const labelOf = ({ labels }: TraySpace, label: number): TrayLabel =>
  labels[label] ?? { widthPx: 0, heightPx: 0 };

/** All on one tray, in the middle of it across; null: there is no room for them. */
function packed(pieces: readonly TrayPiece[], space: TraySpace, label: number, scale: number): Tray | null {
  const { widthPx: labelWidth, heightPx: labelHeight } = labelOf(space, label);
  const packer = new MaxRectsPacker<PackedBox>(space.widthPx, space.heightPx, space.gapPx, {
    smart: false,
    pot: false,
    square: false,
    allowRotation: false,
  });
  packer.addArray(
    pieces.map(({ id, widthMm, heightMm }) => ({
      id,
      x: 0,
      y: 0,
      width: Math.max(labelWidth, widthMm * scale),
      height: heightMm * scale + space.gapPx / 3 + labelHeight,
    })),
  );
  const [bin, another] = packer.bins;
  if (!bin) return pieces.length === 0 ? { pxPerMm: scale, pieces: [], label, heightPx: 0 } : null;
  const isTooLarge = bin.rects.some(({ width, height }) => width > space.widthPx || height > space.heightPx);
  if (another || isTooLarge) return null;
  const across = Math.max(...bin.rects.map(({ x, width }) => x + width));
  const aside = Math.max(0, (space.widthPx - across) / 2);
  const byId = new Map(bin.rects.map((rect) => [rect.id, rect]));
  return {
    pxPerMm: scale,
    label,
    pieces: pieces.flatMap(({ id, heightMm }) => {
      const rect = byId.get(id);
      if (!rect) return [];
      return {
        id,
        centreXPx: aside + rect.x + rect.width / 2,
        topPx: rect.y,
        labelTopPx: rect.y + heightMm * scale + space.gapPx / 3,
      };
    }),
    heightPx: Math.max(...bin.rects.map(({ y, height }) => y + height)),
  };
}

interface PackedBox {
  readonly id: string;
  x: number;
  y: number;
  width: number;
  height: number;
}

/** In reading order, in rows, at the least scale: in each row the pieces stand on one line. */
function layRows(pieces: readonly TrayPiece[], space: TraySpace, label: number): Tray {
  const scale = space.minPxPerMm;
  const { widthPx: labelWidth, heightPx: labelHeight } = labelOf(space, label);
  const cellOf = ({ widthMm }: TrayPiece): number => Math.max(labelWidth, widthMm * scale);
  const placed: LaidPiece[] = [];
  let top = 0;
  for (const row of breakRows(pieces, space, cellOf)) {
    const rowHeight = Math.max(...row.map((piece) => piece.heightMm * scale));
    const spare = space.widthPx - row.reduce((sum, piece) => sum + cellOf(piece), 0);
    const spread = Math.max(space.gapPx, spare / row.length);
    let left = (spread - space.gapPx) / 2 > 0 ? spread / 2 : 0;
    for (const piece of row) {
      placed.push({
        id: piece.id,
        centreXPx: left + cellOf(piece) / 2,
        topPx: top + rowHeight - piece.heightMm * scale,
        labelTopPx: top + rowHeight + space.gapPx / 3,
      });
      left += cellOf(piece) + spread;
    }
    top += rowHeight + labelHeight + space.gapPx;
  }
  return { pxPerMm: scale, pieces: placed, label, heightPx: Math.max(0, top - space.gapPx) };
}

function breakRows(
  pieces: readonly TrayPiece[],
  space: TraySpace,
  cellOf: (piece: TrayPiece) => number,
): TrayPiece[][] {
  const rows: TrayPiece[][] = [];
  let used = Infinity;
  for (const piece of pieces) {
    if (used + space.gapPx + cellOf(piece) > space.widthPx) {
      rows.push([]);
      used = -space.gapPx;
    }
    rows.at(-1)?.push(piece);
    used += space.gapPx + cellOf(piece);
  }
  return rows;
}
