import { checkRange, checkWhole, type Problem } from '../problems/index.ts';
import { checkShape } from '../shapes/index.ts';
import { boundLength } from '../units/index.ts';
import type { Part, Pattern, Step } from './pattern.ts';

export const PATTERN_BOUNDS = {
  count: { min: 1, max: 500 },
  gauge: { min: 32, max: 42 },
  minutes: { min: 0, max: 1440 },
} as const;

/**
 * Every reason this document may not be stored, each with its place. A draft may be unfinished (see
 * `missingForPublishing`); it may not be impossible.
 */
export function checkPattern(pattern: Pattern): Problem[] {
  const partIds = new Set(pattern.parts.map((part) => part.id));
  return [
    ...checkTitle(pattern),
    ...checkHeight(pattern),
    ...pattern.parts.flatMap((part, index) => checkPart(part, `/parts/${index}`)),
    ...pattern.steps.flatMap((step, index) => checkStep(step, partIds, `/steps/${index}`)),
    ...doubledIds(pattern.parts, '/parts'),
    ...doubledIds(pattern.steps, '/steps'),
  ];
}

function checkTitle(pattern: Pattern): Problem[] {
  return pattern.title.trim() === '' ? [{ code: 'title_empty', pointer: '/title' }] : [];
}

function checkHeight({ finishedHeight }: Pattern): Problem[] {
  if (finishedHeight === null) return [];
  const bounded = boundLength(finishedHeight);
  if (bounded.ok || bounded.refusal.code === 'length_not_read') return [];
  return [{ ...bounded.refusal, pointer: '/finishedHeight' }];
}

/** Why one part may not be stored. @param pointer JSON pointer of the part */
export function checkPart(part: Part, pointer: string): Problem[] {
  return [
    ...(part.name.trim() === '' ? [{ code: 'title_empty', pointer: `${pointer}/name` } as const] : []),
    ...checkWhole(part.count, PATTERN_BOUNDS.count, `${pointer}/count`),
    ...checkShape(part.shape, `${pointer}/shape`),
  ];
}

function checkStep(step: Step, partIds: ReadonlySet<string>, pointer: string): Problem[] {
  const strangers = step.partIds.flatMap((partId, index): Problem[] =>
    partIds.has(partId) ? [] : [{ code: 'part_not_found', pointer: `${pointer}/partIds/${index}`, partId }],
  );
  const gauge = step.needle
    ? checkWhole(step.needle.gauge, PATTERN_BOUNDS.gauge, `${pointer}/needle/gauge`)
    : [];
  const minutes =
    step.minutes === null ? [] : checkRange(step.minutes, PATTERN_BOUNDS.minutes, `${pointer}/minutes`);
  return [...strangers, ...gauge, ...minutes];
}

function doubledIds(items: readonly { id: string }[], pointer: string): Problem[] {
  const seen = new Set<string>();
  return items.flatMap(({ id }, index): Problem[] => {
    const isTwice = seen.has(id);
    seen.add(id);
    return isTwice ? [{ code: 'id_twice', pointer: `${pointer}/${index}/id`, id }] : [];
  });
}
