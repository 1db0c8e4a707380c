/** A label as it is said to a printer: words and a code, and where on its piece it goes. Millimetres. */
export interface PrinterLabel {
  readonly widthMm: number;
  readonly heightMm: number;
  /** From the upper left of the piece. */
  readonly xMm: number;
  readonly yMm: number;
  readonly title: string;
  /** What bag it is; empty: the figure’s own. */
  readonly bag: string;
  readonly lines: readonly {
    readonly amount: string;
    readonly text: string;
    /** `#rrggbb`; null: no wool. */
    readonly colour: string | null;
  }[];
  readonly notes: readonly string[];
  readonly foot: string;
  /** What a scanner reads; empty: none. */
  readonly code: string;
}

/** One piece of paper: a label off a roll, or a sheet with many on it. */
export interface PrinterPiece {
  readonly id: string;
  readonly widthMm: number;
  readonly heightMm: number;
  readonly labels: readonly PrinterLabel[];
}
