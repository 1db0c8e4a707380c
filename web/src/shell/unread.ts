import { useEffect } from 'react';
import type { BareFetcher, Key, Middleware, SWRConfiguration, SWRHook, SWRResponse } from 'swr';
import { create } from 'zustand';
import { ApiProblem, Unreachable } from '../api/client.ts';

interface Unread {
  /** What is asked for on this page and could not be read, with how many places ask for it. */
  readonly failed: ReadonlyMap<string, { readonly error: Error; readonly places: number }>;
}

/** What the page that is open asked for and did not get: its numbers may be too small without it. */
export const useUnread = create<Unread>(() => ({ failed: new Map() }));

const change = (key: string, error: Error, by: 1 | -1): void =>
  useUnread.setState(({ failed }) => {
    const next = new Map(failed);
    const places = (next.get(key)?.places ?? 0) + by;
    if (places > 0) next.set(key, { error, places });
    else next.delete(key);
    return { failed: next };
  });

/** What is no longer there is told by who asked for it; a refusal is an answer. */
const isUnread = (error: unknown): error is Error =>
  error instanceof Unreachable || (error instanceof ApiProblem && error.problem.status >= 500);

/** For SWR: whatever a page asks for and does not get is told above it, whoever asked. Nothing missing is silently nought. */
export const tellsUnread: Middleware =
  (useNext: SWRHook) =>
  <Data, Failure>(
    key: Key,
    fetcher: BareFetcher<Data> | null,
    config: SWRConfiguration<Data, Failure>,
  ): SWRResponse<Data, Failure> => {
    // Typed by the key in the library, by the caller here.
    const answer = useNext(key, fetcher, config) as SWRResponse<Data, Failure>;
    const { error } = answer;
    useEffect(() => {
      if (typeof key !== 'string' || !isUnread(error)) return undefined;
      change(key, error, 1);
      return () => change(key, error, -1);
    }, [key, error]);
    return answer;
  };
