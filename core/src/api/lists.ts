import type { Length, MassRangeG } from '../base/index.ts';
import type { FigureLook } from '../figure/index.ts';
import type { Level, Pattern } from '../pattern/index.ts';
import type { RunKind, RunState } from '../run/index.ts';
import type { ThingOfShelf } from './keeping.ts';

/** Some of a list, and how much there is of it. */
export interface PageOf<T> {
  readonly total: number;
  readonly items: readonly T[];
}

/** A pattern as a list shows it: nothing of it is worked out again by who shows it. */
export interface PatternLine {
  readonly id: string;
  readonly title: string;
  readonly figure: FigureLook;
  /** Proposed where its author has not said. */
  readonly level: Level;
  readonly finishedHeight: Length | null;
  readonly series: Pattern['series'];
  readonly parts: number;
  readonly steps: number;
  readonly takesWool: boolean;
  readonly isWoolOnly: boolean;
  /** Of one make. */
  readonly total: MassRangeG & { readonly unknownCount: number };
  /** At the author’s pace. */
  readonly minutes: { readonly known: number; readonly unknownCount: number };
  /** Null: a draft only. */
  readonly revisionNumber: number | null;
  /** What keeps it from being published. */
  readonly unknownCount: number;
}

/** A run as a list shows it. */
export interface RunLine {
  readonly id: string;
  readonly kind: RunKind;
  readonly name: string;
  readonly date: string;
  readonly state: RunState;
  readonly seats: number;
  /** Of every design, the leading one first. */
  readonly titles: readonly string[];
  /** Of the leading design. */
  readonly revisionNumber: number;
}

/** A published revision without its document. */
export interface RevisionLine {
  readonly id: string;
  readonly patternId: string;
  readonly number: number;
  readonly title: string;
  readonly publishedAt: string;
  /** What is new in it. */
  readonly note: string;
  /** It has no steps: packs can be made of it, nobody can learn from it. */
  readonly isWoolOnly: boolean;
}

/** Something that is found by its name, or by what is written in it. */
export interface Found {
  readonly kind:
    | 'pattern'
    | 'run'
    | ThingOfShelf['kind']
    | 'technique'
    | 'part'
    | 'step'
    | 'person'
    | 'box'
    | 'lot'
    | 'paper';
  /** Of a person the seat’s number; of a paper where it stands below its run. */
  readonly id: string;
  readonly name: string;
  /** Of a run its day, of a fibre how it is prepared, of a lot what kind of thing it is of; empty of all else. */
  readonly detail: string;
  /** What it is a part of; null: it stands by itself. */
  readonly within: { readonly id: string; readonly name: string } | null;
}

export interface FoundAnswer {
  readonly items: readonly Found[];
  /** Nothing was called so: these are of what was most likely meant. */
  readonly meant: string | null;
}
