import { nanoid } from 'nanoid';
import { useEffect, useRef, useState } from 'react';
import { apiPath } from '../api/studio.ts';
import { fetchPdf } from './usePdf.ts';

/** A file of many booklets: asked for, under way, there, stopped, or not to be had. */
export type LongPdfState =
  | { readonly kind: 'none' }
  | { readonly kind: 'making'; readonly done: number; readonly of: number | null }
  | { readonly kind: 'made'; readonly href: string; readonly bytes: number }
  | { readonly kind: 'stopped'; readonly done: number; readonly of: number | null }
  | { readonly kind: 'failed'; readonly error: Error };

/** Makes what takes long, tells how far it has come, and stops when told to or left. What was made of another address is let go. */
export function useLongPdf(url: string) {
  const [told, setTold] = useState<{ readonly url: string; readonly state: LongPdfState } | null>(null);
  const under = useRef<AbortController | null>(null);
  const made = useRef<string | null>(null);
  useEffect(
    () => () => {
      under.current?.abort();
      if (made.current !== null) URL.revokeObjectURL(made.current);
    },
    [url],
  );
  const begin = () => {
    const control = new AbortController();
    under.current?.abort();
    under.current = control;
    const tell = (state: LongPdfState) => setTold({ url, state });
    let far: { done: number; of: number | null } = { done: 0, of: null };
    tell({ kind: 'making', ...far });
    const job = nanoid(12);
    const events = new EventSource(apiPath(`/paper-progress/${job}`));
    events.onmessage = ({ data }: MessageEvent<string>) => {
      if (control.signal.aborted) return;
      far = JSON.parse(data) as { done: number; of: number };
      tell({ kind: 'making', ...far });
    };
    control.signal.addEventListener('abort', () => {
      events.close();
      tell({ kind: 'stopped', ...far });
    });
    fetchPdf(`${url}&job=${job}`, control.signal)
      .then((bytes) => {
        events.close();
        if (control.signal.aborted) return;
        made.current = URL.createObjectURL(new Blob([bytes], { type: 'application/pdf' }));
        tell({ kind: 'made', href: made.current, bytes: bytes.byteLength });
      })
      .catch((error: unknown) => {
        events.close();
        if (control.signal.aborted) return;
        tell({ kind: 'failed', error: error instanceof Error ? error : new Error(String(error)) });
      });
  };
  const state: LongPdfState = told?.url === url ? told.state : { kind: 'none' };
  return { state, begin, stop: () => under.current?.abort() };
}
