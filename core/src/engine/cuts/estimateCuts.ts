import { type Length, type LengthUnit, MM_PER_INCH, toMm, wholeUp } from '../../base/index.ts';
import type { Cut, Pattern } from '../../pattern/index.ts';
import { runMm, type Solid } from '../../shapes/index.ts';
import { type Finding, findingMassG } from '../../shelf/index.ts';
import {
  bindingLength,
  conePanel,
  cordLength,
  coveringLength,
  type ExactCut,
  handleLength,
  handleStretches,
  pouchSquare,
  rolledStrip,
  tubePanel,
  typedSizes,
  whiskerLength,
  wireLength,
  type CutStretch,
  wireStretches,
} from './lengths.ts';

/** Computed cut lengths are rounded up to this, once, in the pattern’s unit: short is worse than long. */
export const CUT_STEP: Readonly<Record<LengthUnit, number>> = { mm: 5, in: 1 / 4 };

/** One thing cut to size, for one make. */
export interface CutEstimate {
  readonly cutId: string;
  readonly name: string;
  readonly findingId: string | null;
  readonly count: number;
  /** Null while something of it is not said. */
  readonly exact: ExactCut | null;
  /** As it is cut: what its author typed as typed, what is computed rounded up to whole steps. */
  readonly cut: ExactCut | null;
  /** The same as it is read: length, or length and width; typed sizes in the unit they were typed in. */
  readonly sizes: readonly Length[];
  /** Of all pieces together, in the unit the finding is stocked in; null while unknown or not by length or area. */
  readonly stockAmount: number | null;
  readonly massG: number | null;
  /** Of a wire or a handle, from its first end on; of anything else none. */
  readonly stretches: readonly CutStretch[];
}

/** Every cut of one make. @param solids by part id, for wire that runs through a part */
export function estimateCuts(
  pattern: Pick<Pattern, 'cuts' | 'lengthUnit'>,
  solids: ReadonlyMap<string, Solid>,
  findings: ReadonlyMap<string, Finding>,
): CutEstimate[] {
  return pattern.cuts.map((cut) =>
    estimateCut(
      cut,
      solids,
      cut.findingId === null ? null : (findings.get(cut.findingId) ?? null),
      pattern.lengthUnit,
    ),
  );
}

function estimateCut(
  cut: Cut,
  solids: ReadonlyMap<string, Solid>,
  finding: Finding | null,
  unit: LengthUnit,
): CutEstimate {
  const stretches = stretchesOf(cut, solids, finding);
  const exact = exactCut(cut, stretches);
  const typed = typedSizes(cut);
  const [lengthMm, widthMm] = exact
    ? [exact.lengthMm, exact.kind === 'piece' ? exact.widthMm : null]
    : [null, null];
  const length = lengthMm === null ? null : (typed.length ?? roundedUp(lengthMm, unit));
  const width = widthMm === null ? null : (typed.width ?? roundedUp(widthMm, unit));
  const rounded = exact && length && cutOf(exact, length, width);
  const stockAmount = rounded && finding ? stockOf(rounded, finding, cut.count) : null;
  return {
    cutId: cut.id,
    name: cut.name,
    findingId: cut.findingId,
    count: cut.count,
    exact,
    cut: rounded,
    sizes: [length, width].filter((size) => size !== null),
    stockAmount,
    massG: stockAmount === null || !finding ? null : findingMassG(finding.measure, stockAmount),
    stretches,
  };
}

function stretchesOf(
  cut: Cut,
  solids: ReadonlyMap<string, Solid>,
  finding: Finding | null,
): readonly CutStretch[] {
  if (cut.kind === 'handle') return handleStretches(cut);
  if (cut.kind !== 'wire') return [];
  const wireMm = finding?.measure.by === 'length' ? finding.measure.diameterMm : null;
  return wireStretches(cut, wireMm, (partId) => {
    const solid = solids.get(partId);
    return solid ? runMm(solid) : null;
  });
}

function exactCut(cut: Cut, stretches: readonly CutStretch[]): ExactCut | null {
  switch (cut.kind) {
    case 'rolled-strip':
      return rolledStrip(cut);
    case 'tube-panel':
      return tubePanel(cut);
    case 'cone-panel':
      return conePanel(cut);
    case 'pouch-square':
      return pouchSquare(cut);
    case 'panel':
      return cut.length && cut.width
        ? { kind: 'piece', lengthMm: toMm(cut.length), widthMm: toMm(cut.width) }
        : null;
    default: {
      const lengthMm = lengthOf(cut, stretches);
      return lengthMm === null ? null : { kind: 'length', lengthMm };
    }
  }
}

function lengthOf(
  cut: Exclude<Cut, { kind: 'rolled-strip' | 'tube-panel' | 'panel' | 'cone-panel' | 'pouch-square' }>,
  stretches: readonly CutStretch[],
): number | null {
  switch (cut.kind) {
    case 'length':
      return cut.length && toMm(cut.length);
    case 'wire':
      return wireLength(stretches);
    case 'covering':
      return coveringLength(cut);
    case 'cord':
      return cordLength(cut);
    case 'binding':
      return bindingLength(cut);
    case 'whisker':
      return whiskerLength(cut);
    case 'handle':
      return handleLength(cut);
  }
}

/** To whole steps of the pattern’s unit. */
function roundedUp(mm: number, unit: LengthUnit): Length {
  const inUnit = unit === 'mm' ? mm : mm / MM_PER_INCH;
  const step = CUT_STEP[unit];
  return { value: wholeUp(inUnit / step) * step, unit };
}

const cutOf = (exact: ExactCut, length: Length, width: Length | null): ExactCut =>
  exact.kind === 'length' || width === null
    ? { kind: 'length', lengthMm: toMm(length) }
    : { kind: 'piece', lengthMm: toMm(length), widthMm: toMm(width) };

/** Metres or cm²; null where the finding is not cut that way. */
function stockOf(cut: ExactCut, { measure }: Finding, count: number): number | null {
  if (cut.kind === 'length') return measure.by === 'length' ? (cut.lengthMm * count) / 1000 : null;
  return measure.by === 'area' ? (cut.lengthMm * cut.widthMm * count) / 100 : null;
}
