import { boundLength, toMm } from '../../base/index.ts';
import { checkShape, outlinePointCount } from '../../shapes/index.ts';
import { lengthsIn } from '../document/lengthsIn.ts';
import type { Part, Pattern } from '../document/pattern.ts';
import type { PatternProblem } from '../document/problem.ts';
import { isWool, type Use } from '../document/use.ts';
import { checkCount } from './checkCount.ts';
import { checkJoins } from './checkJoins.ts';
import { checkOptions } from './checkOptions.ts';
import { checkSteps } from './checkSteps.ts';

/**
 * Every reason this document may not be stored, each with its place. A draft may be unfinished (see
 * `missingForPublishing`); it may not be impossible.
 */
export function checkPattern(pattern: Pattern): PatternProblem[] {
  // What is too much to be looked at is told before it is.
  const outlines = checkOutlines(pattern);
  return outlines.length > 0 ? outlines : checkAll(pattern);
}

/** Points of all outlines of a pattern together. */
const MOST_POINTS_OF_OUTLINES = 30_000;

function checkOutlines({ parts }: Pattern): PatternProblem[] {
  const points = parts.reduce(
    (sum, { shape }) => sum + (shape.kind === 'flat-outline' ? outlinePointCount(shape.path) : 0),
    0,
  );
  return points > MOST_POINTS_OF_OUTLINES
    ? [{ code: 'outlines_too_fine', pointer: '/parts', points, mostPoints: MOST_POINTS_OF_OUTLINES }]
    : [];
}

function checkAll(pattern: Pattern): PatternProblem[] {
  const partIds = new Set(pattern.parts.map((part) => part.id));
  return [
    ...checkTitle(pattern),
    ...checkLengths(pattern.finishedHeight, '/finishedHeight', false),
    ...pattern.parts.flatMap((part, index) => checkPart(part, `/parts/${index}`)),
    ...pattern.parts.flatMap((part, index) => strayNames(part, pattern, `/parts/${index}`)),
    ...checkLengths(pattern.stance, '/stance', false),
    ...strayPart(pattern.stance?.hangAt?.partId ?? null, partIds, '/stance/hangAt/partId'),
    ...pattern.proportions.flatMap(({ a, b }, index) => [
      ...strayPart(a.of === 'part' ? a.partId : null, partIds, `/proportions/${index}/a/partId`),
      ...strayPart(b.of === 'part' ? b.partId : null, partIds, `/proportions/${index}/b/partId`),
    ]),
    ...checkLengths(pattern.enclosures, '/enclosures', false),
    ...checkLengths(pattern.poses, '/poses', false),
    ...checkJoins(pattern),
    ...pattern.cuts.flatMap((cut, index) => [
      ...checkLengths(cut, `/cuts/${index}`, true),
      ...strayPart(cut.seat?.partId ?? null, partIds, `/cuts/${index}/seat/partId`),
      ...(cut.kind === 'wire'
        ? cut.segments.flatMap(({ partId }, at) =>
            strayPart(partId, partIds, `/cuts/${index}/segments/${at}/partId`),
          )
        : []),
    ]),
    ...pattern.findings.flatMap(({ partId, count }, index) => [
      ...strayPart(partId, partIds, `/findings/${index}/partId`),
      ...checkCount(count, `/findings/${index}/count`),
    ]),
    ...checkSteps(pattern),
    ...checkOptions(pattern),
    ...doubledIds(pattern.parts, '/parts'),
    ...doubledIds(pattern.steps, '/steps'),
    ...doubledIds(pattern.joins, '/joins'),
    ...doubledIds(pattern.cuts, '/cuts'),
    ...doubledIds(pattern.poses, '/poses'),
    ...doubledIds(pattern.proportions, '/proportions'),
    ...doubledIds(pattern.enclosures, '/enclosures'),
    ...doubledIds(pattern.shared, '/shared'),
    ...doubledIds(pattern.findings, '/findings'),
    ...doubledIds(pattern.links, '/links'),
    ...doubledIds(pattern.sessions, '/sessions'),
    ...doubledIds(pattern.options, '/options'),
    ...doubledIds(pattern.slots, '/slots'),
    ...doubledIds(pattern.colourways, '/colourways'),
    ...doubledIds(pattern.swaps, '/swaps'),
    ...doubledIds(pattern.pictures, '/pictures'),
    ...doubledUses(pattern),
  ];
}

function checkTitle(pattern: Pattern): PatternProblem[] {
  return pattern.title.trim() === '' ? [{ code: 'title_empty', pointer: '/title' }] : [];
}

/** Every length within bounds. @param allowZero nought is an allowance somebody does not want */
function checkLengths(value: unknown, pointer: string, allowZero: boolean): PatternProblem[] {
  return lengthsIn(value, pointer).flatMap(({ pointer: at, length }) => {
    if (allowZero && length.value === 0) return [];
    const bounded = boundLength(length);
    if (bounded.ok || bounded.refusal.code === 'length_not_read') return [];
    return [{ ...bounded.refusal, pointer: at }];
  });
}

/** Why one part may not be stored. @param pointer JSON pointer of the part */
export function checkPart(part: Part, pointer: string): PatternProblem[] {
  const cores = part.uses.filter(({ role }) => role === 'core');
  return [
    ...(part.name.trim() === '' ? [{ code: 'title_empty', pointer: `${pointer}/name` } as const] : []),
    ...checkCount(part.count, `${pointer}/count`),
    ...checkShape(part.shape, `${pointer}/shape`),
    ...part.uses.flatMap((use, index) => checkUse(use, `${pointer}/uses/${index}`)),
    ...checkLengths(part.sample, `${pointer}/sample`, false),
    ...(cores.length > 1 ? [{ code: 'core_twice', pointer: `${pointer}/uses` } as const] : []),
  ];
}

const checkUse = (use: Use, pointer: string): PatternProblem[] => [
  ...checkLengths(use, pointer, false),
  ...(use.role === 'patch' || use.role === 'line' || use.role === 'dot'
    ? checkCount(use.count, `${pointer}/count`)
    : []),
];

/** Names of things that are no longer in the pattern. */
function strayNames(part: Part, pattern: Pattern, pointer: string): PatternProblem[] {
  const partIds = new Set(pattern.parts.map(({ id }) => id));
  const on = part.shape.kind === 'patch' ? part.shape.onPartId : null;
  return [
    ...strayPart(on, partIds, `${pointer}/shape/onPartId`),
    ...part.derived.flatMap((size, index) =>
      size.from === 'part' ? strayPart(size.partId, partIds, `${pointer}/derived/${index}/partId`) : [],
    ),
    ...part.uses.flatMap((use, index) => strayAmount(use, pattern, `${pointer}/uses/${index}/amount`)),
  ];
}

function strayAmount(use: Use, pattern: Pattern, pointer: string): PatternProblem[] {
  const amount = isWool(use) ? use.amount : null;
  if (amount?.form === 'shared' || amount?.form === 'rest') {
    const { sharedId } = amount;
    const isThere = sharedId === null || pattern.shared.some(({ id }) => id === sharedId);
    return isThere ? [] : [{ code: 'shared_not_found', pointer: `${pointer}/sharedId`, sharedId }];
  }
  if (amount?.form === 'relative' || amount?.form === 'trimmings') {
    const { ofUseId } = amount;
    const isThere =
      ofUseId === null || pattern.parts.some(({ uses }) => uses.some(({ id }) => id === ofUseId));
    return isThere ? [] : [{ code: 'use_not_found', pointer: `${pointer}/ofUseId`, useId: ofUseId }];
  }
  return [];
}

const strayPart = (partId: string | null, partIds: ReadonlySet<string>, pointer: string): PatternProblem[] =>
  partId === null || partIds.has(partId) ? [] : [{ code: 'part_not_found', pointer, partId }];

/** Amounts name one another over the whole pattern. */
function doubledUses({ parts }: Pattern): PatternProblem[] {
  const seen = new Set<string>();
  return parts.flatMap((part, at) =>
    part.uses.flatMap(({ id }, index): PatternProblem[] => {
      const isTwice = seen.has(id);
      seen.add(id);
      return isTwice ? [{ code: 'id_twice', pointer: `/parts/${at}/uses/${index}/id`, id }] : [];
    }),
  );
}

function doubledIds(items: readonly { id: string }[], pointer: string): PatternProblem[] {
  const seen = new Set<string>();
  return items.flatMap(({ id }, index): PatternProblem[] => {
    const isTwice = seen.has(id);
    seen.add(id);
    return isTwice ? [{ code: 'id_twice', pointer: `${pointer}/${index}/id`, id }] : [];
  });
}

/** Millimetres of a size that may be unknown. */
export const mmOrNull = (length: Parameters<typeof toMm>[0] | null): number | null =>
  length === null ? null : toMm(length);
