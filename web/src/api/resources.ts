import type { Bench, Fibre, FibreUse, NamedRun, Revision, StoredPattern } from '@lanakit/core';
import useSWR, { mutate, type SWRResponse } from 'swr';
import { useMemo, useState } from 'react';
import { nanoid } from 'nanoid';
import { get } from './client.ts';

export interface RevisionName extends Omit<Revision, 'document'> {
  readonly title: string;
}

interface Items<T> {
  readonly items: readonly T[];
}

export type Resource<T> = SWRResponse<T, Error>;

const NO_FIBRES: readonly Fibre[] = [];

/** The shelf, and the same by id as the core looks fibres up. */
export function useShelf() {
  const response = useSWR<Items<Fibre>, Error>('/fibres', get);
  const fibres = response.data?.items ?? NO_FIBRES;
  const byId = useMemo(() => new Map(fibres.map((fibre) => [fibre.id, fibre])), [fibres]);
  return { fibres, byId, isReady: response.data !== undefined, error: response.error };
}

export const useFibreUses = (id: string | null): Resource<Items<FibreUse>> =>
  useSWR(id === null ? null : `/fibres/${id}/uses`, get<Items<FibreUse>>);

type PatternPage = Items<StoredPattern> & { readonly next: string | null };

const PATTERNS_A_PAGE = 50;

/** Patterns, the last changed first; `showMore` adds a page to them. */
export function usePatterns() {
  const [pages, setPages] = useState(1);
  const { data, error } = useSWR<PatternPage, Error>(`/patterns#${pages}`, () => firstPatterns(pages), {
    keepPreviousData: true,
  });
  return {
    patterns: data?.items,
    error,
    hasMore: data?.next != null,
    showMore: () => setPages((shown) => shown + 1),
  };
}

/** The first pages as one: each is asked for from where the one before ended. */
async function firstPatterns(pages: number): Promise<PatternPage> {
  let all: PatternPage = { items: [], next: '' };
  for (let page = 0; page < pages && all.next !== null; page++) {
    const after = all.next && `&after=${all.next}`;
    const { items, next } = await get<PatternPage>(`/patterns?limit=${PATTERNS_A_PAGE}${after}`);
    all = { items: [...all.items, ...items], next };
  }
  return all;
}

export const useRevisions = (): Resource<Items<RevisionName>> =>
  useSWR('/revisions', get<Items<RevisionName>>);

export const useRevision = (id: string | null): Resource<Revision> =>
  useSWR(id === null ? null : `/revisions/${id}`, get<Revision>);

export const useRuns = (): Resource<Items<NamedRun> & { today: string }> =>
  useSWR('/runs', get<Items<NamedRun> & { today: string }>);

export const useRun = (id: string): Resource<NamedRun> => useFresh(`/runs/${id}`);

/** A draft to be written on. */
export const usePattern = (id: string): Resource<StoredPattern> => useFresh(`/patterns/${id}`);

/**
 * Asked anew each time a page opens, never shown from an earlier visit: writing must go on from the stored version,
 * or it would run into itself as a conflict. What is asked again while the page stays is the page's to take or leave.
 */
function useFresh<T>(path: string): Resource<T> {
  const [visit] = useState(() => nanoid(6));
  return useSWR<T, Error>(`${path}#${visit}`, () => get<T>(path), { revalidateOnFocus: false });
}

export const usePromised = (id: string): Resource<Items<{ fibreId: string; massG: number }>> =>
  useSWR(`/runs/${id}/promised`, get<Items<{ fibreId: string; massG: number }>>);

export const useBench = (): Resource<Bench> => useSWR('/bench', get<Bench>);

/** Asks again for everything under these paths: one write moves numbers in many places. */
export function refresh(...prefixes: string[]): Promise<unknown> {
  return mutate((key) => typeof key === 'string' && prefixes.some((prefix) => key.startsWith(prefix)));
}
