import { amount, type Cell, cellWords, grams } from './cell.ts';
import { showLengths } from '../base/index.ts';
import { creditsOf } from '../reading/index.ts';
import type { FibrePortion, PackGroup } from '../run/index.ts';
import { type Fibre, type Finding, unitOfFinding } from '../shelf/index.ts';
import { groupWords, ownerWords, PREPARATION_WORDS, ROLE_WORDS, showWeighed } from '../words/index.ts';
import type { PaperSource, Swatch } from './paper.ts';

/** Grams in whole scale steps, as a cell. */
export const weighedCell = (massG: number, { scaleStepG }: { readonly scaleStepG: number }): Cell =>
  grams(massG, scaleStepG);

/** Grams in whole scale steps: as many decimals as the step has. */
export const weighed = (massG: number, { scaleStepG }: { readonly scaleStepG: number }): string =>
  showWeighed(massG, scaleStepG);

export const swatchOf = (fibre: Fibre | undefined): Swatch | null =>
  fibre ? { colour: fibre.colour, preparation: fibre.preparation } : null;

export const fibreName = ({ wool }: Pick<PaperSource, 'wool'>, fibreId: string): string =>
  wool.fibres.get(fibreId)?.name ?? 'a fibre no longer on the shelf';

export function fibreTitle(
  { wool }: { readonly wool: Pick<PaperSource['wool'], 'fibres'> },
  fibreId: string,
): string {
  const fibre = wool.fibres.get(fibreId);
  return fibre ? `${fibre.name}, ${PREPARATION_WORDS[fibre.preparation]}` : 'a fibre no longer on the shelf';
}

/** So much of a finding in the unit it is kept in. */
export const amountOf = (finding: Finding | undefined, count: number): Cell =>
  amount(count, finding ? unitOfFinding(finding.measure) : 'piece');

/** The same in words, for a sentence. */
export const amountWords = (finding: Finding | undefined, count: number): string =>
  cellWords(amountOf(finding, count));

/** `Pear with two leaves, revision 2: Russet`; of a box each of its designs, so many times. */
export function makesLine(group: PackGroup, { revisionNumbers }: PaperSource): string {
  const makes = group.makes.map(
    ({ pattern, revisionId, copies }) =>
      `${copies > 1 ? `${copies} × ` : ''}${pattern.title}, revision ${revisionNumbers.get(revisionId) ?? '?'}`,
  );
  const what = groupWords(group);
  return group.recipe || what === '' ? makes.join('; ') : `${makes.join('; ')}: ${what}`;
}

/** What who makes it in another size does with the lengths of the pattern. */
export function sizeLines({ makes }: Pick<PackGroup, 'makes'>): string[] {
  return makes.flatMap(({ sizeFraction, build: { finishedHeight } }) =>
    sizeFraction === 1
      ? []
      : [
          `${finishedHeight ? `${showLengths([finishedHeight])} tall: take` : 'Take'} every length of the pattern times ${sizeFraction}. Bought things stay as they are.`,
        ],
  );
}

/** Credits of everything in a pack, each once. */
export const creditsOfGroup = ({ makes }: PackGroup): string[] => [
  ...new Set(makes.flatMap(({ build }) => creditsOf(build))),
];

/** `1–24`, `1, 3, 5–7`. */
export function ranges(numbers: readonly number[]): string {
  const runs: [number, number][] = [];
  for (const number of numbers) {
    const last = runs.at(-1);
    if (last && number === last[1] + 1) last[1] = number;
    else runs.push([number, number]);
  }
  return runs.map(([from, to]) => (from === to ? `${from}` : `${from}–${to}`)).join(', ');
}

/** Grams of a portion as they stand in a list: at least so much where something of it is unknown. */
export const portionGrams = (
  { packG, exactG, unknownCount }: Pick<FibrePortion, 'packG' | 'exactG' | 'unknownCount'>,
  { scaleStepG }: { readonly scaleStepG: number },
): Cell => grams(packG ?? exactG, packG === null ? null : scaleStepG, unknownCount > 0);

/** What of a pack nobody knows how much it takes, named: `Ear core, Chalk: unknown`. */
export interface UnknownLine {
  readonly bag: string;
  readonly name: string;
  readonly fibre: string;
  readonly isIfNeeded: boolean;
}

export function unknownLines(group: PackGroup, source: PaperSource): UnknownLine[] {
  const plan = source.plan.groups.find(({ key }) => key === group.key)?.plan;
  return (plan?.unknowns ?? []).map(({ owner, makeAt, role, fibreId, bag, isIfNeeded }) => {
    const build = group.makes[makeAt]?.build;
    return {
      bag,
      name: `${build ? ownerWords(owner, build) : ''} ${ROLE_WORDS[role]}`.trim(),
      fibre: fibreId === null ? 'fibre not chosen' : fibreTitle(source, fibreId),
      isIfNeeded,
    };
  });
}

export const UNKNOWN_AMOUNT = 'amount unknown';
