import type { Firmness } from '../fibre/index.ts';
import type { Shape } from '../shapes/index.ts';
import type { Part, Pattern } from './pattern.ts';
import { blankUse } from './use.ts';

/** A part as the first format had it: one core, one coat. */
interface PartOfFirst {
  readonly id: string;
  readonly name: string;
  readonly shape: Shape;
  readonly count: number;
  readonly firmness: Firmness;
  readonly core: { readonly fibreId: string | null };
  readonly coat: { readonly fibreId: string | null } | null;
}

/** A document of the first format. */
export type PatternOfFirst = Pick<
  Pattern,
  'format' | 'title' | 'finishedHeight' | 'level' | 'lengthUnit' | 'steps'
> & {
  readonly formatVersion: 1;
  readonly parts: readonly PartOfFirst[];
};

/** Brings a stored document forward to the format of today; one that is there already comes back as it is. */
export function upgradePattern(document: Pattern | PatternOfFirst): Pattern {
  if (document.formatVersion === 2) return document;
  return {
    ...document,
    formatVersion: 2,
    parts: document.parts.map(upgradePart),
    joins: [],
    joinsApart: false,
    cuts: [],
    findings: [],
    shared: [],
  };
}

/** Ids of uses are the pattern’s own, not the part’s: amounts name one another. */
const useId = (partId: string, role: string): string => `${partId.slice(0, 34)}-${role}`;

const upgradePart = ({ core, coat, ...part }: PartOfFirst): Part => ({
  ...part,
  derived: [],
  packing: null,
  uses: [
    blankUse(useId(part.id, 'core'), 'core', core.fibreId),
    ...(coat ? [blankUse(useId(part.id, 'coat'), 'coat', coat.fibreId)] : []),
  ],
  sample: null,
});
