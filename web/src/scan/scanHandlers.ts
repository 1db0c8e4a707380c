import { useEffect, useRef } from 'react';

/** @returns false: not for this place */
type Handler = (code: string) => boolean;

const handlers: Handler[] = [];

/** The place that was opened last takes a code first. @returns false: no place takes it */
export const handScan = (code: string): boolean => handlers.toReversed().some((handle) => handle(code));

/** While it is shown, this place takes codes that are scanned. */
export function useScanHandler(handle: Handler): void {
  const last = useRef(handle);
  useEffect(() => {
    last.current = handle;
  });
  useEffect(() => {
    const take: Handler = (code) => last.current(code);
    handlers.push(take);
    return () => {
      handlers.splice(handlers.indexOf(take), 1);
    };
  }, []);
}
