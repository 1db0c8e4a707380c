import type { Problem } from '../problems/index.ts';
import { sizesOf } from '../shapes/index.ts';
import type { Part, Pattern } from './pattern.ts';

/**
 * What is still unknown in a pattern that is otherwise possible: each of these would leave somebody's pack
 * without a weight, so a revision is not published while one is left.
 */
export function missingForPublishing(pattern: Pattern): Problem[] {
  if (pattern.parts.length === 0) return [{ code: 'no_parts', pointer: '/parts' }];
  return pattern.parts.flatMap((part, index) => missingInPart(part, `/parts/${index}`));
}

/** What is unknown of one part. @param pointer JSON pointer of the part */
export function missingInPart(part: Part, pointer: string): Problem[] {
  const missing = [...sizesOf(part.shape)].filter(([, size]) => size === null).map(([name]) => name);
  return [
    ...(missing.length > 0 ? [{ code: 'sizes_missing', pointer: `${pointer}/shape`, missing } as const] : []),
    ...(part.core.fibreId === null
      ? [{ code: 'core_fibre_missing', pointer: `${pointer}/core` } as const]
      : []),
    ...(part.coat?.fibreId === null
      ? [{ code: 'coat_fibre_missing', pointer: `${pointer}/coat` } as const]
      : []),
  ];
}
