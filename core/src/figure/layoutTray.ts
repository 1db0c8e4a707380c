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
  /** Room under each piece for its number and sizes. */
  readonly labelHeightPx: number;
  readonly labelWidthPx: number;
  /** The scale is kept between these, px per mm; under the least the tray grows in height instead. */
  readonly minPxPerMm: number;
  readonly maxPxPerMm: number;
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
  /** Height used, px; may exceed the space at the least scale. */
  readonly heightPx: number;
}

const SEARCH_STEPS = 24;

/**
 * Lays pieces in reading order, in rows, at the largest common scale at which they fit. In each row the pieces
 * stand on one line, labels under them.
 */
export function layoutTray(pieces: readonly TrayPiece[], space: TraySpace): Tray {
  let best = layRows(pieces, space, space.minPxPerMm);
  let [low, high] = [space.minPxPerMm, space.maxPxPerMm];
  for (let i = 0; i < SEARCH_STEPS; i++) {
    const scale = (low + high) / 2;
    const tray = layRows(pieces, space, scale);
    const isFitting = tray.heightPx <= space.heightPx && widest(pieces, scale) <= space.widthPx;
    if (isFitting) [low, best] = [scale, tray];
    else high = scale;
  }
  return best;
}

const widest = (pieces: readonly TrayPiece[], scale: number): number =>
  pieces.reduce((most, piece) => Math.max(most, piece.widthMm * scale), 0);

function layRows(pieces: readonly TrayPiece[], space: TraySpace, scale: number): Tray {
  const placed: LaidPiece[] = [];
  let top = 0;
  for (const row of breakRows(pieces, space, scale)) {
    const rowHeight = Math.max(...row.map((piece) => piece.heightMm * scale));
    const spare = space.widthPx - row.reduce((sum, piece) => sum + cellWidth(piece, space, scale), 0);
    const spread = Math.max(space.gapPx, spare / row.length);
    let left = (spread - space.gapPx) / 2 > 0 ? spread / 2 : 0;
    for (const piece of row) {
      const cell = cellWidth(piece, space, scale);
      const labelTop = top + rowHeight + space.gapPx / 3;
      placed.push({
        id: piece.id,
        centreXPx: left + cell / 2,
        topPx: top + rowHeight - piece.heightMm * scale,
        labelTopPx: labelTop,
      });
      left += cell + spread;
    }
    top += rowHeight + space.labelHeightPx + space.gapPx;
  }
  return { pxPerMm: scale, pieces: placed, heightPx: Math.max(0, top - space.gapPx) };
}

const cellWidth = (piece: TrayPiece, space: TraySpace, scale: number): number =>
  Math.max(space.labelWidthPx, piece.widthMm * scale);

function breakRows(pieces: readonly TrayPiece[], space: TraySpace, scale: number): TrayPiece[][] {
  const rows: TrayPiece[][] = [];
  let used = Infinity;
  for (const piece of pieces) {
    const cell = cellWidth(piece, space, scale);
    if (used + space.gapPx + cell > space.widthPx) {
      rows.push([]);
      used = -space.gapPx;
    }
    rows.at(-1)?.push(piece);
    used += space.gapPx + cell;
  }
  return rows;
}
