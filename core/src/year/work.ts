/** A sum of which something may be unknown: then it is only “at least”. */
export interface Known {
  readonly known: number;
  readonly unknownCount: number;
}

export const NOTHING_KNOWN: Known = { known: 0, unknownCount: 0 };

/** @param value null: unknown */
export const knownOf = (value: number | null): Known =>
  value === null ? { known: 0, unknownCount: 1 } : { known: value, unknownCount: 0 };

export const plus = (a: Known, b: Known): Known => ({
  known: a.known + b.known,
  unknownCount: a.unknownCount + b.unknownCount,
});

const WORK_KINDS = ['class', 'kits', 'commission', 'making'] as const;
export type WorkKind = (typeof WORK_KINDS)[number];

/** Figures of one pattern that came of something the studio did. */
export interface MadeOf {
  /** Null: it is of no pattern. */
  readonly patternId: string | null;
  readonly title: string;
  /** Finished in a class, packed as kits, made. */
  readonly count: number;
}

/** Something the studio did on a day: taught, packed, made for somebody, made. */
export interface Work {
  readonly kind: WorkKind;
  readonly id: string;
  readonly name: string;
  /** YYYY-MM-DD */
  readonly date: string;
  readonly made: readonly MadeOf[];
  /** Wool it took, grams. */
  readonly woolG: Known;
  /** Hands at work, those of the studio. */
  readonly minutes: Known;
  /** What came in for it, minor units; null: nobody has said. Of what is only made nothing comes in: 0. */
  readonly takingsMinor: number | null;
  /** What was in it, minor units. */
  readonly materialMinor: Known;
}

/** Kits are not figures yet. */
export const isFigures = ({ kind }: Pick<Work, 'kind'>): boolean => kind !== 'kits';
