import type { PartEstimate, PatternEstimate } from '../engine/index.ts';
import type { Part, Pattern } from '../pattern/index.ts';

/** One line of two builds side by side; null where one of them has no such thing. */
interface BuildLine<T> {
  readonly key: string;
  readonly a: T | null;
  readonly b: T | null;
}

export interface BuildPart {
  readonly part: Part;
  readonly estimate: PartEstimate;
}

export interface BuildComparison {
  readonly parts: readonly BuildLine<BuildPart>[];
  /** Grams of each fibre, heaviest in either first. */
  readonly fibres: readonly BuildLine<number>[];
  /** Amounts of each finding in its unit. */
  readonly findings: readonly BuildLine<number>[];
}

export interface Build {
  readonly pattern: Pattern;
  readonly estimate: PatternEstimate;
}

/** Two builds line by line: parts that are the same by id, else by name. */
export function compareBuilds(a: Build, b: Build): BuildComparison {
  return {
    parts: pairParts(partsOf(a), partsOf(b)),
    fibres: pairAmounts(
      a.estimate.fibres.map(({ fibreId, total }) => [fibreId, total.likelyG]),
      b.estimate.fibres.map(({ fibreId, total }) => [fibreId, total.likelyG]),
    ),
    findings: pairAmounts(
      a.estimate.findings.map(({ findingId, likely }) => [findingId, likely]),
      b.estimate.findings.map(({ findingId, likely }) => [findingId, likely]),
    ),
  };
}

const partsOf = ({ pattern, estimate }: Build): BuildPart[] =>
  pattern.parts.flatMap((part, index) => {
    const partEstimate = estimate.parts[index];
    return partEstimate ? [{ part, estimate: partEstimate }] : [];
  });

function pairParts(as: readonly BuildPart[], bs: readonly BuildPart[]): BuildLine<BuildPart>[] {
  const left = new Set(bs);
  const take = (buildPart: BuildPart): BuildPart | null => {
    const found =
      [...left].find(({ part }) => part.id === buildPart.part.id) ??
      [...left].find(({ part }) => part.name === buildPart.part.name);
    if (found) left.delete(found);
    return found ?? null;
  };
  const paired = as.map((buildPart) => ({ key: `a ${buildPart.part.id}`, a: buildPart, b: take(buildPart) }));
  return [
    ...paired,
    ...[...left].map((buildPart) => ({ key: `b ${buildPart.part.id}`, a: null, b: buildPart })),
  ];
}

type Amounts = readonly (readonly [id: string, amount: number])[];

function pairAmounts(as: Amounts, bs: Amounts): BuildLine<number>[] {
  const [inA, inB] = [new Map(as), new Map(bs)];
  return [...new Set([...inA.keys(), ...inB.keys()])]
    .map((key) => ({ key, a: inA.get(key) ?? null, b: inB.get(key) ?? null }))
    .sort((x, y) => Math.max(y.a ?? 0, y.b ?? 0) - Math.max(x.a ?? 0, x.b ?? 0));
}
