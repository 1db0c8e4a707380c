import { useEffect, useRef, useState } from 'react';
import { ApiProblem } from '../api/client.ts';

/** A PDF that is being made, is there, was stopped, or could not be. */
export type PdfState =
  | { readonly kind: 'making' }
  | { readonly kind: 'made'; readonly bytes: ArrayBuffer }
  | { readonly kind: 'stopped' }
  | { readonly kind: 'failed'; readonly error: Error };

const WAIT_MS = 400;

/** What stands under an address, made anew a moment after it changes; the one before it is let go. */
export function usePdf(url: string) {
  const [told, setTold] = useState<{ readonly url: string; readonly state: PdfState } | null>(null);
  const [tries, setTries] = useState(0);
  const stop = useRef<() => void>(() => undefined);
  useEffect(() => {
    const control = new AbortController();
    const tell = (state: PdfState) => setTold({ url, state });
    stop.current = () => {
      control.abort();
      tell({ kind: 'stopped' });
    };
    const timer = setTimeout(() => {
      fetchPdf(url, control.signal)
        .then((bytes) => tell({ kind: 'made', bytes }))
        .catch((error: unknown) => {
          if (!control.signal.aborted)
            tell({ kind: 'failed', error: error instanceof Error ? error : new Error(String(error)) });
        });
    }, WAIT_MS);
    return () => {
      clearTimeout(timer);
      control.abort();
    };
  }, [url, tries]);
  const state: PdfState = told?.url === url ? told.state : { kind: 'making' };
  return {
    state,
    stop: () => stop.current(),
    again: () => {
      setTold(null);
      setTries(tries + 1);
    },
  };
}

/** @throws ApiProblem what the studio says of it */
export async function fetchPdf(url: string, signal: AbortSignal): Promise<ArrayBuffer> {
  const answer = await fetch(url, { signal });
  if (answer.ok) return answer.arrayBuffer();
  throw new ApiProblem((await answer.json()) as ApiProblem['problem']);
}
