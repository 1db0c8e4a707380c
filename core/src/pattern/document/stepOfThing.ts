import type { Cut } from './cut.ts';
import type { FindingUse, Part, Pattern } from './pattern.ts';
import type { Step } from './step.ts';

type Acts = Pick<Pattern, 'steps'>;

/** Place of the first step that is so, from 0; null: none. */
const firstOf = ({ steps }: Acts, isIt: (step: Step, at: number) => boolean): number | null => {
  const at = steps.findIndex(isIt);
  return at < 0 ? null : at;
};

/** Acts that fix a thing for good. */
const isFixing = ({ act }: Step): boolean => act.kind === 'sew' || act.kind === 'glue';

/**
 * Where a finding leaves the bag: where it is sewn or glued to its part, else where it is chosen, else at the last step on
 * its part. What is on no part is fixed by the last sewing or gluing there is. @returns from 0; null: no step tells
 */
export function stepOfFinding(
  pattern: Acts,
  { id, partId }: Pick<FindingUse, 'id' | 'partId'>,
): number | null {
  const chosen = firstOf(pattern, ({ act }) => act.kind === 'choose' && act.findingUseIds.includes(id));
  const isOnIt = ({ partIds }: Step) => partId !== null && partIds.includes(partId);
  const fixed = firstOf(pattern, (step, at) => at >= (chosen ?? 0) && isFixing(step) && isOnIt(step));
  if (fixed !== null) return fixed;
  if (chosen !== null) return chosen;
  const places = pattern.steps.flatMap((step, at) =>
    (partId === null ? isFixing(step) : isOnIt(step)) ? [at] : [],
  );
  return places.at(-1) ?? null;
}

/** Where what is cut leaves the bag: a wire where the first part it runs through is begun, else with the skeleton. */
export function stepOfCut(pattern: Acts, cut: Cut): number | null {
  const partIds = cut.kind === 'wire' ? cut.segments.flatMap(({ partId }) => partId ?? []) : [];
  return (
    firstOf(pattern, (step) => step.partIds.some((id) => partIds.includes(id))) ??
    (cut.kind === 'wire' || cut.kind === 'covering'
      ? firstOf(pattern, ({ stage }) => stage === 'skeleton')
      : firstOf(pattern, ({ act }) => act.kind === 'cut'))
  );
}

/** Where what is inside a part leaves the bag: where the part is begun. */
export const stepOfInsert = (pattern: Acts, { id }: Pick<Part, 'id'>): number | null =>
  firstOf(pattern, ({ partIds }) => partIds.includes(id));
