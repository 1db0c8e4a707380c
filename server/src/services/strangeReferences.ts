import { type Pattern, strangeFibres, strangeFindings } from '@lanakit/core/pattern';
import type { Problem } from '@lanakit/core/problems';
import type { Store } from '../db/index.ts';

/**
 * Where a pattern names as wool what is no wool of this shelf, or as a finding what is none.
 * @param known ids it may name although they are on the shelf no longer
 */
export function strangeReferences(
  { items }: Store,
  document: Pattern,
  known: ReadonlySet<string> = new Set(),
): Problem[] {
  const isOfKind = (id: string, ...kinds: readonly string[]): boolean => {
    const item = items.kindOf(id);
    return item === null ? known.has(id) : kinds.includes(item.kind);
  };
  return [
    ...strangeFibres(document, (id) => isOfKind(id, 'fibre', 'blend')),
    ...strangeFindings(document, (id) => isOfKind(id, 'finding')),
  ];
}
