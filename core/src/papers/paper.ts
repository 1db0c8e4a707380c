import type { FigureSvg } from './figureSvg.ts';
import { type Cell, text } from './cell.ts';
import type { FibreLookup, Wool } from '../engine/index.ts';
import type { NeedleKit } from '../needles/index.ts';
import type { Pack, RunInput, RunPortions, ThingPromises, ToPack } from '../run/index.ts';
import type { Needle, Preparation, Tool } from '../shelf/index.ts';

/** Everything of a run that is printed. */
export const PAPER_NAMES = [
  'weigh-out',
  'packs',
  'labels',
  'contents',
  'room',
  'shortage',
  'preparation',
  'run-sheet',
  'homework',
  'risks',
  'before-class',
  'sign-up',
] as const;
export type PaperName = (typeof PAPER_NAMES)[number];

/** What is printed of a studio, beside the papers of its runs. */
type StudioPaperName = 'order';

/** What wool looks like on paper: its colour, and a hatching by how it is prepared, for printers without colour. */
export interface Swatch {
  readonly colour: string;
  readonly preparation: Preparation;
}

export interface PaperColumn {
  readonly title: string;
  readonly align: 'left' | 'right';
  /** Takes what is left of the width. */
  readonly isWide?: true;
}

/** More boxes than these are not drawn: so many of a thing are ticked in one. */
export const MOST_TICK_BOXES = 60;

export interface PaperRow {
  readonly cells: readonly Cell[];
  readonly swatch: Swatch | null;
  /** How many boxes to tick stand before it. */
  readonly ticks: number;
  /** In small letters under it. */
  readonly note?: string;
}

/** A heading with lines under it, a table, or both. */
export interface PaperSection {
  readonly title: string;
  readonly aside: string;
  readonly swatch: Swatch | null;
  readonly notes: readonly string[];
  readonly columns: readonly PaperColumn[];
  readonly rows: readonly PaperRow[];
  /** To be read from where one stands. */
  readonly isLarge: boolean;
}

/** One label of a bag. */
export interface PaperLabel {
  /** Whose it is. */
  readonly title: string;
  /** What bag it is; empty for the figure’s own. */
  readonly bag: string;
  /** Its code, as a scanner reads it; empty: it has none. */
  readonly code: string;
  readonly lines: readonly {
    readonly swatch: Swatch | null;
    readonly text: string;
    readonly grams: Cell;
    /** What its lot says. */
    readonly note: string;
    /** For which parts it is. */
    readonly parts: readonly string[];
  }[];
  /** For which parts. */
  readonly parts: string;
  readonly keepBack: string;
  readonly foot: string;
  /** Which of the paper’s figures is its own; null: none is drawn. */
  readonly figureKey: string | null;
}

/** A sheet of a run before it is set: the same for the screen, a PDF and a table in a file. */
export interface Paper {
  readonly name: PaperName | StudioPaperName;
  readonly title: string;
  readonly head: readonly string[];
  readonly sections: readonly PaperSection[];
  readonly labels: readonly PaperLabel[];
  /** What packs are known by, each once. */
  readonly figures: Readonly<Record<string, FigureSvg>>;
  readonly foot: string;
}

/** What papers are made from. */
export interface PaperSource {
  /** What codes on labels name. */
  readonly runId: string;
  readonly input: RunInput;
  readonly toPack: ToPack;
  readonly plan: RunPortions;
  readonly packs: readonly Pack[];
  readonly wool: Wool;
  /** Numbers of the revisions. */
  readonly revisionNumbers: ReadonlyMap<string, number>;
  /** Needles of a class; null for kits, or where they are not known. */
  readonly kit: NeedleKit | null;
  /** Of the shelf. */
  readonly needles: readonly Needle[];
  /** Of the shelf: what a room is held against. */
  readonly tools: readonly Tool[];
  /** What runs before take of findings and needles. */
  readonly promised: ThingPromises;
  /** Fibres of the shelf as they are today: what blends are made of, and what is there of them. */
  readonly shelf: FibreLookup;
  /** It is packed: what it takes has left the shelf. */
  readonly isPacked: boolean;
  /** Those among its fibres that are blended in the studio: of which fibres, in shares that add up to 1. */
  readonly recipes: ReadonlyMap<string, ReadonlyMap<string, number>>;
}

export const section = (title: string, more: Partial<Omit<PaperSection, 'title'>> = {}): PaperSection => ({
  title,
  aside: '',
  swatch: null,
  notes: [],
  columns: [],
  rows: [],
  isLarge: false,
  ...more,
});

/** A row of cells; a word stands for itself. */
export const row = (
  cells: readonly (Cell | string)[],
  more: Partial<Omit<PaperRow, 'cells'>> = {},
): PaperRow => ({
  cells: cells.map((cell) => (typeof cell === 'string' ? text(cell) : cell)),
  swatch: null,
  ticks: 0,
  ...more,
});

export const left = (title: string): PaperColumn => ({ title, align: 'left' });
export const wide = (title: string): PaperColumn => ({ title, align: 'left', isWide: true });
export const right = (title: string): PaperColumn => ({ title, align: 'right' });

/** What stands at the foot of every sheet that wool and needles go with. */
export const CARE =
  'Barbed needles are sharp and break: look at the work, pad beneath it, keep them from children. ' +
  'Wool and dyes: ask about allergies. Small parts: local rules on age apply.';
