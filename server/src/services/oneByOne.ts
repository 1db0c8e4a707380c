import type { PageOf, RevisionLine } from '@lanakit/core/api';
import { byCodePoint, hasWords } from '@lanakit/core/base';
import { isWoolOnly, missingForPublishing } from '@lanakit/core/pattern';
import { isDamage, type PageAsked, type PatternsAsked, type Store } from '../db/index.ts';

/** Where an index cannot be read, what it is of may be: then it is looked through, which takes longer. */
export function unlessDamaged<T>(work: () => T, slowly: () => T): T {
  try {
    return work();
  } catch (error) {
    if (!isDamage(error)) throw error;
    return slowly();
  }
}

const pageOf = <T>(all: readonly T[], { offset, limit }: PageAsked): PageOf<T> => ({
  total: all.length,
  items: all.slice(offset, offset + limit),
});

const ALL = 1_000_000;

export function patternsOneByOne(store: Store, asked: PatternsAsked): PageOf<string> {
  const found = store.patterns
    .page(null, ALL, asked.isArchive)
    .filter(({ document }) => hasWords(document.title, asked.search))
    .filter(({ document }) => !asked.isUnknownOnly || missingForPublishing(document).length > 0);
  const sorted =
    asked.order === 'title' ? found.sort((a, b) => byCodePoint(a.document.title, b.document.title)) : found;
  return pageOf(
    sorted.map(({ id }) => id),
    asked,
  );
}

export function runsOneByOne(
  store: Store,
  when: 'ahead' | 'behind',
  today: string,
  page: PageAsked,
): PageOf<string> {
  const runs = store.runs
    .all()
    .filter(({ date, name }) => date >= today === (when === 'ahead') && hasWords(name, page.search));
  return pageOf(
    (when === 'ahead' ? runs : runs.reverse()).map(({ id }) => id),
    page,
  );
}

export function revisionsOneByOne(
  store: Store,
  page: PageAsked,
  ids: readonly string[] | null,
): PageOf<RevisionLine> {
  const lines = store.patterns.published().map(({ document, ...revision }): RevisionLine => ({
    ...revision,
    title: document.title,
    isWoolOnly: isWoolOnly(document),
  }));
  if (ids)
    return pageOf(
      lines.filter(({ id }) => ids.includes(id)),
      { ...page, offset: 0 },
    );
  return pageOf(
    lines.filter(({ title, number }) => hasWords(`${title}, revision ${number}`, page.search)),
    page,
  );
}

export function unknownOneByOne(store: Store, limit: number): PageOf<string> {
  const asked = {
    isArchive: false,
    isUnknownOnly: true,
    order: 'changed',
    search: '',
    offset: 0,
    limit,
  } as const;
  return patternsOneByOne(store, asked);
}
