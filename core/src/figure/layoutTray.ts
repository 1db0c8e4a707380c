/** A piece to be laid on the tray: its outer box (roll-up included) in mm. */
export interface TrayPiece {
  readonly id: string;
  readonly widthMm: number;
  readonly heightMm: number;
}

/** The tray, in screen units (px). */
export interface TraySpace {
  readonly width: number;
  readonly height: number;
  readonly gap: number;
  /** Room under each piece for its number and sizes. */
  readonly labelHeight: number;
  readonly labelWidth: number;
  /** The scale is kept between these, px per mm; under the least the tray grows in height instead. */
  readonly minScale: number;
  readonly maxScale: number;
}

export interface PlacedPiece {
  readonly id: string;
  /** Centre of the piece's box across, and its top, px. */
  readonly centreX: number;
  readonly top: number;
  /** Top of the label, px. */
  readonly labelTop: number;
}

export interface Tray {
  /** One scale for all pieces, px per mm. */
  readonly scale: number;
  readonly pieces: readonly PlacedPiece[];
  /** Height used, px; may exceed the space at the least scale. */
  readonly height: number;
}

const SEARCH_STEPS = 24;

/**
 * Lays pieces in reading order, in rows, at the largest common scale at which they fit. In each row the pieces
 * stand on one line, labels under them.
 */
export function layoutTray(pieces: readonly TrayPiece[], space: TraySpace): Tray {
  let best = layRows(pieces, space, space.minScale);
  let [low, high] = [space.minScale, space.maxScale];
  for (let i = 0; i < SEARCH_STEPS; i++) {
    const scale = (low + high) / 2;
    const tray = layRows(pieces, space, scale);
    const isFitting = tray.height <= space.height && widest(pieces, scale) <= space.width;
    if (isFitting) [low, best] = [scale, tray];
    else high = scale;
  }
  return best;
}

const widest = (pieces: readonly TrayPiece[], scale: number): number =>
  pieces.reduce((most, piece) => Math.max(most, piece.widthMm * scale), 0);

function layRows(pieces: readonly TrayPiece[], space: TraySpace, scale: number): Tray {
  const placed: PlacedPiece[] = [];
  let top = 0;
  for (const row of breakRows(pieces, space, scale)) {
    const rowHeight = Math.max(...row.map((piece) => piece.heightMm * scale));
    const spare = space.width - row.reduce((sum, piece) => sum + cellWidth(piece, space, scale), 0);
    const spread = Math.max(space.gap, spare / row.length);
    let left = (spread - space.gap) / 2 > 0 ? spread / 2 : 0;
    for (const piece of row) {
      const cell = cellWidth(piece, space, scale);
      const labelTop = top + rowHeight + space.gap / 3;
      placed.push({
        id: piece.id,
        centreX: left + cell / 2,
        top: top + rowHeight - piece.heightMm * scale,
        labelTop,
      });
      left += cell + spread;
    }
    top += rowHeight + space.labelHeight + space.gap;
  }
  return { scale, pieces: placed, height: Math.max(0, top - space.gap) };
}

const cellWidth = (piece: TrayPiece, space: TraySpace, scale: number): number =>
  Math.max(space.labelWidth, piece.widthMm * scale);

function breakRows(pieces: readonly TrayPiece[], space: TraySpace, scale: number): TrayPiece[][] {
  const rows: TrayPiece[][] = [];
  let used = Infinity;
  for (const piece of pieces) {
    const cell = cellWidth(piece, space, scale);
    if (used + space.gap + cell > space.width) {
      rows.push([]);
      used = -space.gap;
    }
    rows.at(-1)?.push(piece);
    used += space.gap + cell;
  }
  return rows;
}
