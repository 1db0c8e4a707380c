import type { CutPiece, PatternEstimate } from '../engine/index.ts';
import { stockOfFinding } from '../run/index.ts';
import type { Finding } from '../shelf/index.ts';

/** What there is and what nobody has promised, by thing. */
export interface HereToMake {
  /** Grams of each fibre or blend; null or missing: never counted. */
  readonly freeG: ReadonlyMap<string, number | null>;
  /** Fibres of each blend by fraction: what is not blended yet may be. */
  readonly recipes: ReadonlyMap<string, ReadonlyMap<string, number>>;
  /** On hand is what is free of it. */
  readonly findings: ReadonlyMap<string, Finding>;
}

/** What one make takes: likely grams of wool, the most of all else. */
export interface OneMake {
  readonly fibres: readonly { readonly itemId: string; readonly massG: number }[];
  readonly findings: readonly {
    readonly itemId: string;
    readonly amount: number;
    readonly pieces: readonly CutPiece[];
  }[];
  /** Amounts that nobody knows. */
  readonly unknownCount: number;
}

export interface MakesFromHere {
  readonly makes: number;
  /** There would be enough for more than anybody makes. */
  readonly isMany: boolean;
  /** What there is too little of for one more. */
  readonly limits: readonly string[];
  /** Wanted, and never counted: taken to be enough. */
  readonly uncounted: readonly string[];
  readonly unknownCount: number;
}

/** More nobody makes of one figure. */
export const MOST_MAKES = 999;
const EPSILON = 1e-9;

export const oneMakeOf = ({ fibres, findings, total }: PatternEstimate): OneMake => ({
  fibres: fibres.flatMap(({ fibreId, total: ofFibre }) =>
    ofFibre.likelyG > 0 ? [{ itemId: fibreId, massG: ofFibre.likelyG }] : [],
  ),
  findings: findings.flatMap(({ findingId, most, pieces }) =>
    most > 0 ? [{ itemId: findingId, amount: most, pieces }] : [],
  ),
  unknownCount: total.unknownCount + findings.reduce((sum, { unknownCount }) => sum + unknownCount, 0),
});

/** How many makes the shelf allows, by halving: where so many cannot be made more cannot. */
export function makesFromHere(make: OneMake, here: HereToMake): MakesFromHere {
  const uncounted = [...make.fibres, ...make.findings]
    .map(({ itemId }) => itemId)
    .filter((itemId) => isUncounted(itemId, here));
  const facts = { uncounted, unknownCount: make.unknownCount };
  if (make.fibres.length + make.findings.length === 0)
    return { makes: 0, isMany: false, limits: [], ...facts };
  let [fits, fails] = [0, MOST_MAKES + 1];
  while (fails - fits > 1) {
    const middle = Math.floor((fits + fails) / 2);
    if (lackingFor(middle, make, here).length === 0) fits = middle;
    else fails = middle;
  }
  const isMany = fits === MOST_MAKES;
  return { makes: fits, isMany, limits: isMany ? [] : lackingFor(fits + 1, make, here), ...facts };
}

const isUncounted = (itemId: string, { freeG, findings, recipes }: HereToMake): boolean => {
  const finding = findings.get(itemId);
  if (finding) return finding.onHand === null;
  // A blend that was never counted can be blended.
  return (freeG.get(itemId) ?? null) === null && !recipes.has(itemId);
};

/** Things there are too little of for so many makes. */
function lackingFor(makes: number, { fibres, findings }: OneMake, here: HereToMake): string[] {
  const wantedG = new Map<string, number>();
  const want = (itemId: string, massG: number) => wantedG.set(itemId, (wantedG.get(itemId) ?? 0) + massG);
  for (const { itemId, massG } of fibres) {
    const recipe = here.recipes.get(itemId);
    const blendedG = here.freeG.get(itemId) ?? 0;
    if (!recipe) want(itemId, massG * makes);
    else
      for (const [fibreId, fraction] of recipe)
        want(fibreId, Math.max(0, massG * makes - blendedG) * fraction);
  }
  const wool = [...wantedG].flatMap(([itemId, massG]) => {
    const free = here.freeG.get(itemId) ?? null;
    return free !== null && massG > free + EPSILON ? [itemId] : [];
  });
  const things = findings.flatMap(({ itemId, amount, pieces }) => {
    const finding = here.findings.get(itemId);
    if (!finding || finding.onHand === null) return [];
    const scaled = pieces.map((piece) => ({ ...piece, count: piece.count * makes }));
    const { short } = stockOfFinding(
      finding,
      { total: amount * makes, pieces: scaled },
      { amount: 0, pieces: [] },
    );
    return short === 0 ? [] : [itemId];
  });
  return [...wool, ...things];
}

/** The same with so much more of one thing, in its unit. */
export function withMore(here: HereToMake, itemId: string, amount: number): HereToMake {
  const finding = here.findings.get(itemId);
  return finding
    ? {
        ...here,
        findings: new Map(here.findings).set(itemId, { ...finding, onHand: (finding.onHand ?? 0) + amount }),
      }
    : { ...here, freeG: new Map(here.freeG).set(itemId, (here.freeG.get(itemId) ?? 0) + amount) };
}

/** How far a figure would use up a heap of wool. */
export interface UsedOfHeap {
  readonly makes: number;
  /** Grams of the heap. */
  readonly usedG: number;
  readonly fraction: number;
}

/** As many makes as the heap allows, everything else from the shelf. @param heapIds fibres that are to be used up */
export function usedOfHeap(make: OneMake, here: HereToMake, heapIds: ReadonlySet<string>): UsedOfHeap {
  const heapG = [...heapIds].reduce((sum, id) => sum + (here.freeG.get(id) ?? 0), 0);
  const { makes } = makesFromHere(make, here);
  const perMakeG = make.fibres.reduce((sum, { itemId, massG }) => sum + (heapIds.has(itemId) ? massG : 0), 0);
  const usedG = makes * perMakeG;
  return { makes, usedG, fraction: heapG > 0 ? usedG / heapG : 0 };
}
