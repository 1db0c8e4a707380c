import type { Part, Placement, Stance } from '../pattern/index.ts';

/** For what a fibre stands in a start, whichever it will be. */
export const START_ROLES = ['core', 'main', 'second', 'dark'] as const;
export type StartRole = (typeof START_ROLES)[number];

/** Something small on a part, worked in wool. */
type StartMark =
  | { readonly is: 'dot'; readonly diameterMm: number }
  | { readonly is: 'line'; readonly lengthMm: number }
  | { readonly is: 'patch'; readonly lengthMm: number; readonly widthMm: number };

export interface StartPart {
  readonly name: string;
  readonly shape: Part['shape'];
  /** Left out: one. */
  readonly count?: number;
  /** Of what it is felted; a coat over it where there is one. */
  readonly wool: StartRole;
  readonly coat?: StartRole;
  readonly firmness?: Part['firmness'];
  /** Left out: it is what everything else is set on. */
  readonly on?: StartJoin;
  readonly marks?: readonly (StartMark & {
    readonly wool: StartRole;
    readonly count: number;
    /** What it is. */
    readonly words: string;
    readonly placement?: Placement;
  })[];
}

interface StartJoin {
  /** The part it is set on, by its name. */
  readonly host: string;
  readonly sinkMm?: number;
  /** Left out: as it is proposed. */
  readonly placement?: Placement;
  /** Left out: an end of it stays loose where its shape has one. */
  readonly hasNoLooseEnd?: boolean;
}

/** What a figure begins from: a small real pattern at one size, its wool by what it is for. */
export interface StartBody {
  readonly id: string;
  readonly name: string;
  /** What one sees, in a line. */
  readonly words: string;
  readonly heightMm: number;
  /** From where it is known best, turned toward its left; left out: from the front. */
  readonly lookDeg?: number;
  readonly stance: Stance | null;
  readonly parts: readonly StartPart[];
  /** Wire through each piece of a part, on into what it is set on, and out at its other end for a foot. */
  readonly wire?: {
    readonly name: string;
    /** The part, by its name. */
    readonly through: string;
    readonly count: number;
    readonly intoHostMm: number;
    readonly beyondMm: number;
  };
}
