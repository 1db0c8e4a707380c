import { toMm } from '../base/index.ts';
import { isWool, type Pattern, type WoolUse } from '../pattern/index.ts';
import { contradict } from './resolveAmounts.ts';

/** Grams per metre that two statements of one use imply. */
export interface GPerMRange {
  readonly lowGPerM: number;
  readonly highGPerM: number;
}

/** Grams over a length here, and over another length there, of the same tops. */
export interface LinearWarning {
  readonly code: 'linear_differs';
  readonly useId: string;
  readonly fibreId: string;
  readonly first: GPerMRange;
  readonly other: GPerMRange;
}

/** One use of which grams and a length of tops are both said tells what a metre of them weighs; two may disagree. */
export function linearWarnings({
  parts,
}: Pick<Pattern, 'parts'>): (LinearWarning & { readonly partId: string })[] {
  const first = new Map<string, GPerMRange>();
  return parts.flatMap((part) =>
    part.uses.filter(isWool).flatMap((use): (LinearWarning & { readonly partId: string })[] => {
      const gPerM = gPerMOf(use);
      if (!gPerM || use.fibreId === null) return [];
      const before = first.get(use.fibreId);
      if (!before) {
        first.set(use.fibreId, gPerM);
        return [];
      }
      const isOff = contradict(
        { low: gPerM.lowGPerM, high: gPerM.highGPerM },
        { low: before.lowGPerM, high: before.highGPerM },
      );
      return isOff
        ? [
            {
              code: 'linear_differs',
              partId: part.id,
              useId: use.id,
              fibreId: use.fibreId,
              first: gPerM,
              other: before,
            },
          ]
        : [];
    }),
  );
}

function gPerMOf({ amount, alsoSaid }: WoolUse): GPerMRange | null {
  const statements = [...(amount ? [amount] : []), ...alsoSaid];
  const grams = statements.find((candidate) => candidate.form === 'grams');
  const tops = statements.find((candidate) => candidate.form === 'tops');
  if (grams?.form !== 'grams' || tops?.form !== 'tops' || grams.massG === null || !tops.length) return null;
  const [shortM, longM] = [tops.length, tops.highLength ?? tops.length].map((size) => toMm(size) / 1000);
  const [lowG, highG] = [grams.massG, Math.max(grams.massG, grams.highG ?? 0)];
  // The short length goes with the low weight, as both are read from the same hand.
  const ends = [(lowG * tops.ways) / (shortM ?? 1), (highG * tops.ways) / (longM ?? 1)];
  return { lowGPerM: Math.min(...ends), highGPerM: Math.max(...ends) };
}
