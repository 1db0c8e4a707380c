import { bookletSources, type BookletSources } from '@lanakit/core/papers';
import type { Pattern } from '@lanakit/core/pattern';
import type { Store } from '../db/index.ts';

/** Where what a build names comes from: who sells it, what its blends are carded from. */
export function sourcesIn({ shelf }: Store, build: Pattern): BookletSources {
  const fibres = shelf.fibres();
  return bookletSources(build, { fibres, blends: shelf.blends(fibres), suppliers: shelf.suppliers() });
}
