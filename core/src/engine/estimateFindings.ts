import type { Length } from '../base/index.ts';
import { countRange, type Pattern } from '../pattern/index.ts';
import { type StockUnit, unitOfFinding } from '../shelf/index.ts';
import type { CutEstimate } from './cuts/estimateCuts.ts';
import type { ExactCut } from './cuts/lengths.ts';
import { boxOfTemplate, type TemplatePoints, templateOfCut } from './cuts/templateOutline.ts';
import type { Wool } from './wool.ts';

/** Alike pieces of one cut, for one make. */
export interface CutPiece {
  readonly cutId: string;
  readonly name: string;
  readonly cut: ExactCut;
  /** As it is read: length, or length and width. */
  readonly sizes: readonly Length[];
  readonly count: number;
  /** It is cut round by a template; null: straight. */
  readonly outline: TemplatePoints | null;
}

/** What it takes where it is cut: of a template its own box, for nothing of it is rounded up; else as it is cut. */
export function sizeToCut({ cut, outline }: Pick<CutPiece, 'cut' | 'outline'>): {
  readonly lengthMm: number;
  readonly widthMm: number;
  readonly outline?: TemplatePoints;
} {
  if (outline) return { ...boxOfTemplate(outline), outline };
  return { lengthMm: cut.lengthMm, widthMm: cut.kind === 'piece' ? cut.widthMm : 0 };
}

/** One finding in one make: pieces, metres or cm². */
export interface FindingTotal {
  readonly findingId: string;
  readonly unit: StockUnit;
  readonly likely: number;
  /** With the high end of every count. */
  readonly most: number;
  /** Uses whose amount nobody knows. */
  readonly unknownCount: number;
  /** What of it is cut to size; none where it is counted or poured. */
  readonly pieces: readonly CutPiece[];
}

/** Everything of findings that one make takes, in the order it is first named. */
export function estimateFindings(
  pattern: Pick<Pattern, 'parts' | 'findings' | 'cuts'>,
  cuts: readonly CutEstimate[],
  { findings }: Wool,
): FindingTotal[] {
  type Total = { likely: number; most: number; unknownCount: number; pieces: readonly CutPiece[] };
  const totals = new Map<string, Total>();
  const add = (
    findingId: string | null,
    likely: number | null,
    most = likely,
    pieces: readonly CutPiece[] = [],
  ) => {
    if (findingId === null) return;
    const total = totals.get(findingId) ?? { likely: 0, most: 0, unknownCount: 0, pieces: [] };
    totals.set(findingId, {
      likely: total.likely + (likely ?? 0),
      most: total.most + (most ?? 0),
      unknownCount: total.unknownCount + (likely === null ? 1 : 0),
      pieces: [...total.pieces, ...pieces],
    });
  };
  for (const part of pattern.parts) {
    const pieces = countRange(part.count);
    for (const use of part.uses) {
      if (use.role === 'insert')
        add(use.findingId, pieces && pieces.likely * use.count, pieces && pieces.high * use.count);
    }
  }
  for (const { findingId, count } of pattern.findings) {
    const pieces = countRange(count);
    add(findingId, pieces?.likely ?? null, pieces?.high ?? null);
  }
  for (const { findingId, stockAmount, cutId, name, cut, sizes, count } of cuts) {
    const isCut = cut !== null && stockAmount !== null;
    const written = pattern.cuts.find(({ id }) => id === cutId);
    const outline = written ? templateOfCut(written) : null;
    add(findingId, stockAmount, stockAmount, isCut ? [{ cutId, name, cut, sizes, count, outline }] : []);
  }
  return [...totals].flatMap(([findingId, total]) => {
    const finding = findings.get(findingId);
    return finding ? [{ findingId, unit: unitOfFinding(finding.measure), ...total }] : [];
  });
}
