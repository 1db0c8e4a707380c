import { sizesOf } from '../../shapes/index.ts';
import type { Amount } from '../document/amount.ts';
import type { Join } from '../document/join.ts';
import type { Part, Pattern } from '../document/pattern.ts';
import type { PatternProblem } from '../document/problem.ts';
import { isWool, type Use } from '../document/use.ts';
import { openSwaps } from './taken.ts';

/**
 * What is still unknown in a pattern that is otherwise possible: each of these would leave somebody's pack
 * without a weight, so a revision is not published while one is left.
 */
export function missingForPublishing(pattern: Pattern): PatternProblem[] {
  if (pattern.parts.length === 0) return [{ code: 'no_parts', pointer: '/parts' }];
  return [
    ...(takesWool(pattern) ? [] : [{ code: 'no_wool', pointer: '/parts' } as const]),
    ...pattern.parts.flatMap((part, index) => missingInPart(part, `/parts/${index}`)),
    ...pattern.joins.flatMap((join, index): PatternProblem[] => [
      ...(join.cover?.fibreId === null
        ? [{ code: 'fibre_missing', pointer: `/joins/${index}/cover`, role: 'join' } as const]
        : []),
      ...(isEndUnknown(join, pattern.parts)
        ? [{ code: 'loose_end_unknown', pointer: `/joins/${index}/looseEnd` } as const]
        : []),
    ]),
    ...pattern.shared.flatMap(({ massG }, index): PatternProblem[] =>
      massG === null ? [{ code: 'weight_missing', pointer: `/shared/${index}/massG` }] : [],
    ),
    ...pattern.findings.flatMap(({ findingId, count }, index): PatternProblem[] => [
      ...(findingId === null
        ? [{ code: 'finding_missing', pointer: `/findings/${index}/findingId` } as const]
        : []),
      ...(count === null ? [{ code: 'count_missing', pointer: `/findings/${index}/count` } as const] : []),
    ]),
    ...openSwaps(pattern),
  ];
}

/** Something of it is of wool: a layer, or a cover of a join. */
const takesWool = ({ parts, joins }: Pattern): boolean =>
  parts.some(({ uses }) => uses.some(isWool)) || joins.some(({ cover }) => cover !== null);

/** Shapes that tell nothing of what a loose end of them is like. */
const SHAPELESS = new Set<Part['shape']['kind']>(['by-count', 'by-grams', 'patch', 'fringe']);

/** A loose end beside an amount (not in it) whose part's shape tells nothing of it, and of which too little is said. */
function isEndUnknown({ looseEnd }: Join, parts: readonly Part[]): boolean {
  const part = looseEnd && parts.find(({ id }) => id === looseEnd.partId);
  if (!looseEnd || !part || !SHAPELESS.has(part.shape.kind)) return false;
  const core = part.uses.find(({ role }) => role === 'core');
  const isStated = part.shape.kind === 'by-grams' || (core && isWool(core) && core.amount !== null);
  if (isStated && !part.endsApart) return false;
  const { amount, length } = looseEnd;
  return amount?.by === 'grams' ? amount.massG === null : amount === null || length === null;
}

/** What is unknown of one part. @param pointer JSON pointer of the part */
function missingInPart(part: Part, pointer: string): PatternProblem[] {
  const { shape } = part;
  const derived = new Set(part.derived.map(({ size }) => size));
  const missing = [...sizesOf(shape)]
    .filter(([name, size]) => size === null && !derived.has(name))
    .map(([name]) => name);
  return [
    ...(missing.length > 0 ? [{ code: 'sizes_missing', pointer: `${pointer}/shape`, missing } as const] : []),
    ...(shape.kind === 'flat-outline' && shape.path === ''
      ? [{ code: 'outline_missing', pointer: `${pointer}/shape/path` } as const]
      : []),
    ...(shape.kind === 'by-grams' && shape.massG === null
      ? [{ code: 'weight_missing', pointer: `${pointer}/shape/massG` } as const]
      : []),
    ...(part.count === null ? [{ code: 'count_missing', pointer: `${pointer}/count` } as const] : []),
    ...part.uses.flatMap((use, index) => missingInUse(use, part, `${pointer}/uses/${index}`)),
  ];
}

function missingInUse(use: Use, { shape }: Part, pointer: string): PatternProblem[] {
  if (use.role === 'needled') return [];
  if (!isWool(use)) {
    return use.findingId === null ? [{ code: 'finding_missing', pointer: `${pointer}/findingId` }] : [];
  }
  const needsAmount = use.role === 'added' || shape.kind === 'by-count';
  const amount: PatternProblem[] =
    use.amount === null
      ? needsAmount
        ? [{ code: 'amount_missing', pointer: `${pointer}/amount` }]
        : []
      : isIncomplete(use.amount)
        ? [{ code: 'amount_incomplete', pointer: `${pointer}/amount`, form: use.amount.form }]
        : [];
  return [
    ...(use.fibreId === null
      ? [{ code: 'fibre_missing', pointer: `${pointer}/fibreId`, role: use.role } as const]
      : []),
    ...(use.amount === null ? missingSizes(use, pointer) : []),
    ...(use.amount === null && 'count' in use && use.count === null
      ? [{ code: 'count_missing', pointer: `${pointer}/count` } as const]
      : []),
    ...amount,
  ];
}

/** Sizes of a detail or of hair, which its wool is calculated from. */
function missingSizes(use: Use, pointer: string): PatternProblem[] {
  const sizes: readonly (readonly [
    name: 'length' | 'width' | 'diameter' | 'line' | 'drop',
    size: unknown,
  ])[] =
    use.role === 'line'
      ? [['length', use.length]]
      : use.role === 'dot'
        ? [['diameter', use.diameter]]
        : use.role === 'patch'
          ? [
              ['length', use.length],
              ['width', use.width],
            ]
          : use.role === 'hair'
            ? [
                ['line', use.line],
                ['drop', use.drop],
              ]
            : use.role === 'coat' && use.cover.kind === 'patch'
              ? [
                  ['length', use.cover.length],
                  ['width', use.cover.width],
                ]
              : [];
  const missing = sizes.filter(([, size]) => size === null).map(([name]) => name);
  return missing.length > 0 ? [{ code: 'sizes_missing', pointer, missing }] : [];
}

/** What an author may leave out and still have said how much. */
const MAY_BE_UNSAID = new Set(['highG', 'highLength', 'highWidth', 'girth', 'depth']);

/** An amount of which something is not said yet. Without its depth a strip is unknown: its loft would be guessed. */
export const isIncomplete = (amount: Amount): boolean =>
  Object.entries(amount).some(([key, value]) => value === null && !MAY_BE_UNSAID.has(key)) ||
  (amount.form === 'strip' && amount.depth === null) ||
  (amount.form === 'locks' && amount.grades.some(({ count, eachG }) => count === null || eachG === null));
