import type { FibreTotal, PatternEstimate, UseEstimate, WoolRole } from '../wool/index.ts';
import { apportion } from './apportion.ts';
import { weighPortions, type Weighing } from './weighing.ts';

/** How a class is packed. */
export interface PackingTerms {
  readonly seats: number;
  readonly sparePacks: number;
  readonly scaleStepG: number;
  /** Packed over the likely amount, so that estimates and first-timers do not run short; 0.1 is a tenth more. */
  readonly extraFraction: number;
}

/** Grams of a fibre on the shelf (null: never counted) and grams that runs before this one will take. */
export interface FibreStock {
  readonly onHandG: number | null;
  readonly promisedG: number;
}

/** What one part takes of one fibre in one pack. */
export interface PortionLine {
  readonly partId: string;
  readonly role: WoolRole;
  /** With the extra, unrounded. */
  readonly exactG: number;
  /** This line's share of the weighed portion; the lines of a fibre add up to it. Null when weighed for several packs together. */
  readonly weighedG: number | null;
}

export interface FibrePortion {
  readonly fibreId: string;
  readonly lines: readonly PortionLine[];
  /** What one make likely takes. */
  readonly likelyG: number;
  /** What one pack needs, with the extra, unrounded. */
  readonly exactG: number;
  readonly weighing: Weighing;
  /** One pack's weighed portion; null when weighed for several packs together. */
  readonly packG: number | null;
  readonly classG: number;
  readonly stock: FibreStock;
  /** On hand less what earlier runs take, at least 0; null when never counted. */
  readonly freeG: number | null;
  /** What must be bought or found; 0 when there is enough; null when never counted. */
  readonly shortG: number | null;
  /** Uses whose amount is unknown: the portion is then only "at least". */
  readonly unknownCount: number;
}

export interface PortionPlan {
  readonly packs: number;
  readonly fibres: readonly FibrePortion[];
  /** One pack of everything: as weighed, or as needed where weighed for several together. */
  readonly packG: number;
  readonly classG: number;
  /** Uses whose amount or fibre is unknown. */
  readonly unknownCount: number;
}

/** Portions of every fibre for every pack of a class, in whole scale steps. */
export function planPortions(
  estimate: PatternEstimate,
  terms: PackingTerms,
  stockOf: (fibreId: string) => FibreStock,
): PortionPlan {
  const packs = terms.seats + terms.sparePacks;
  const fibres = estimate.fibres
    .filter(({ total }) => total.likelyG > 0)
    .map((fibre) => portionOf(fibre, estimate, terms, packs, stockOf(fibre.fibreId)));
  return {
    packs,
    fibres,
    packG: roundToMicrogram(fibres.reduce((sum, fibre) => sum + (fibre.packG ?? fibre.exactG), 0)),
    classG: roundToMicrogram(fibres.reduce((sum, fibre) => sum + fibre.classG, 0)),
    unknownCount: estimate.total.unknownCount,
  };
}

function portionOf(
  { fibreId, total }: FibreTotal,
  estimate: PatternEstimate,
  terms: PackingTerms,
  packs: number,
  stock: FibreStock,
): FibrePortion {
  const exactG = total.likelyG * (1 + terms.extraFraction);
  const weighing = weighPortions(exactG, packs, terms.scaleStepG);
  const grams = (steps: number) => roundToMicrogram(steps * terms.scaleStepG);
  const classG = grams(weighing.classSteps);
  const freeG =
    stock.onHandG === null ? null : Math.max(0, roundToMicrogram(stock.onHandG - stock.promisedG));
  return {
    fibreId,
    lines: portionLines(fibreId, estimate, terms, weighing),
    likelyG: total.likelyG,
    exactG,
    weighing,
    packG: weighing.kind === 'single' ? grams(weighing.stepsPerPack) : null,
    classG,
    stock,
    freeG,
    shortG: freeG === null ? null : Math.max(0, roundToMicrogram(classG - freeG)),
    unknownCount: total.unknownCount,
  };
}

function portionLines(
  fibreId: string,
  estimate: PatternEstimate,
  terms: PackingTerms,
  weighing: Weighing,
): PortionLine[] {
  const lines = estimate.parts.flatMap((part) =>
    part.uses
      .filter(
        (use): use is UseEstimate & { kind: 'known' } => use.kind === 'known' && use.fibreId === fibreId,
      )
      .filter((use) => use.pieceG > 0)
      .map(({ role, all }) => ({
        partId: part.partId,
        role,
        exactG: all.likelyG * (1 + terms.extraFraction),
      })),
  );
  if (weighing.kind === 'together') return lines.map((line) => ({ ...line, weighedG: null }));
  const steps = apportion(
    weighing.stepsPerPack,
    lines.map((line) => line.exactG),
  );
  return lines.map((line, index) => ({
    ...line,
    weighedG: roundToMicrogram((steps[index] ?? 0) * terms.scaleStepG),
  }));
}

/** Undoes the binary noise of 17 × 0.1, far below any scale. */
const roundToMicrogram = (massG: number): number => Math.round(massG * 1e6) / 1e6;
