import { estimatePattern, type PatternEstimate, type Wool } from '../engine/index.ts';
import type { Choices, Pattern } from '../pattern/index.ts';
import type { StockUnit } from '../shelf/index.ts';
import { resolveBuild } from './resolveBuild.ts';
import { sumsOf } from './summariseBuilds.ts';

/** What one make takes more of with a swap than without any; less is below nought. */
export interface SwapEffect {
  readonly fibres: readonly { readonly fibreId: string; readonly moreG: number }[];
  readonly findings: readonly {
    readonly findingId: string;
    readonly more: number;
    readonly unit: StockUnit;
  }[];
  readonly minutes: number;
  readonly costMinor: number;
  /** Amounts that nobody knows: with it, less without. */
  readonly unknown: number;
}

/** Below this nobody's scale or eye would tell, grams. */
const STILL_G = 0.001;

/** What taking one swap changes, beside the other choices. */
export function swapEffect(pattern: Pattern, choices: Choices, swapId: string, wool: Wool): SwapEffect {
  const built = (swapIds: readonly string[]) => resolveBuild(pattern, { ...choices, swapIds });
  const [without, taken] = [built([]), built([swapId])];
  const [before, now] = [estimatePattern(without, wool), estimatePattern(taken, wool)];
  const [sumsBefore, sumsNow] = [sumsOf(without, wool), sumsOf(taken, wool)];
  return {
    fibres: changes(gramsOf(before), gramsOf(now), STILL_G).map(([fibreId, moreG]) => ({ fibreId, moreG })),
    findings: changes(piecesOf(before), piecesOf(now), 1e-9).map(([findingId, more]) => ({
      findingId,
      more,
      unit:
        [...now.findings, ...before.findings].find((finding) => finding.findingId === findingId)?.unit ??
        'piece',
    })),
    minutes: sumsNow.minutes - sumsBefore.minutes,
    costMinor: sumsNow.costMinor - sumsBefore.costMinor,
    unknown: sumsNow.unknownCount - sumsBefore.unknownCount,
  };
}

const gramsOf = ({ fibres }: PatternEstimate) =>
  new Map(fibres.map(({ fibreId, total }) => [fibreId, total.likelyG] as const));
const piecesOf = ({ findings }: PatternEstimate) =>
  new Map(findings.map(({ findingId, likely }) => [findingId, likely] as const));

const changes = (
  before: ReadonlyMap<string, number>,
  now: ReadonlyMap<string, number>,
  still: number,
): [string, number][] =>
  [...new Set([...now.keys(), ...before.keys()])]
    .map((id): [string, number] => [id, (now.get(id) ?? 0) - (before.get(id) ?? 0)])
    .filter(([, more]) => Math.abs(more) >= still);
