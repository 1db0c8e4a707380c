import { findingMassG, type Finding } from '../finding/index.ts';
import type { Cut, Pattern } from '../pattern/index.ts';
import { runMm, type Solid } from '../shapes/index.ts';
import {
  bindingLength,
  cordLength,
  coveringLength,
  rolledStrip,
  tubePanel,
  whiskerLength,
  wireLength,
  type ExactCut,
} from './lengths.ts';

/** Cut lengths are rounded up to this, mm: short is worse than long. */
export const CUT_STEP_MM = 5;

/** One thing cut to size, for one make. */
export interface CutEstimate {
  readonly cutId: string;
  readonly findingId: string | null;
  readonly count: number;
  /** Null while something of it is not said. */
  readonly exact: ExactCut | null;
  /** Rounded up to whole steps. */
  readonly cut: ExactCut | null;
  /** Of all pieces together, in the unit the finding is stocked in; null while unknown or not by length or area. */
  readonly stockAmount: number | null;
  readonly massG: number | null;
}

/** Every cut of one make. @param solids by part id, for wire that runs through a part */
export function estimateCuts(
  pattern: Pattern,
  solids: ReadonlyMap<string, Solid>,
  findings: ReadonlyMap<string, Finding>,
): CutEstimate[] {
  return pattern.cuts.map((cut) =>
    estimateCut(cut, solids, cut.findingId === null ? null : (findings.get(cut.findingId) ?? null)),
  );
}

function estimateCut(cut: Cut, solids: ReadonlyMap<string, Solid>, finding: Finding | null): CutEstimate {
  const exact = exactCut(cut, solids, finding);
  const rounded = exact && roundedUp(exact);
  const stockAmount = rounded && finding ? stockOf(rounded, finding, cut.count) : null;
  return {
    cutId: cut.id,
    findingId: cut.findingId,
    count: cut.count,
    exact,
    cut: rounded,
    stockAmount,
    massG: stockAmount === null || !finding ? null : findingMassG(finding.measure, stockAmount),
  };
}

function exactCut(cut: Cut, solids: ReadonlyMap<string, Solid>, finding: Finding | null): ExactCut | null {
  switch (cut.kind) {
    case 'rolled-strip':
      return rolledStrip(cut);
    case 'tube-panel':
      return tubePanel(cut);
    default: {
      const lengthMm = lengthOf(cut, solids, finding);
      return lengthMm === null ? null : { kind: 'length', lengthMm };
    }
  }
}

function lengthOf(
  cut: Exclude<Cut, { kind: 'rolled-strip' | 'tube-panel' }>,
  solids: ReadonlyMap<string, Solid>,
  finding: Finding | null,
): number | null {
  switch (cut.kind) {
    case 'wire': {
      const wireMm = finding?.measure.by === 'length' ? finding.measure.diameterMm : null;
      return wireLength(cut, wireMm, (partId) => {
        const solid = solids.get(partId);
        return solid ? runMm(solid) : null;
      });
    }
    case 'covering':
      return coveringLength(cut);
    case 'cord':
      return cordLength(cut);
    case 'binding':
      return bindingLength(cut);
    case 'whisker':
      return whiskerLength(cut);
  }
}

const up = (mm: number): number => Math.ceil(mm / CUT_STEP_MM - 1e-9) * CUT_STEP_MM;

const roundedUp = (exact: ExactCut): ExactCut =>
  exact.kind === 'length'
    ? { kind: 'length', lengthMm: up(exact.lengthMm) }
    : { kind: 'piece', lengthMm: up(exact.lengthMm), widthMm: up(exact.widthMm) };

/** Metres or cm²; null where the finding is not cut that way. */
function stockOf(cut: ExactCut, { measure }: Finding, count: number): number | null {
  if (cut.kind === 'length') return measure.by === 'length' ? (cut.lengthMm * count) / 1000 : null;
  return measure.by === 'area' ? (cut.lengthMm * cut.widthMm * count) / 100 : null;
}
