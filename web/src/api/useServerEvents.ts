import { useEffect, useRef } from 'react';
import { apiPath } from './studio.ts';

interface Heard<T> {
  readonly onEvent: (event: T) => void;
  /** The line was cut; it is taken up again by itself. */
  readonly onLost?: () => void;
}

/**
 * Listens to what the studio tells as it happens. A page nobody looks at holds no line: a browser has only so many to one studio; when
 * it is looked at again the line is taken up anew, and begins with how things are.
 * @param path below /api; null: nothing is listened to
 */
export function useServerEvents<T>(path: string | null, heard: Heard<T>): void {
  const last = useRef(heard);
  useEffect(() => {
    last.current = heard;
  });
  useEffect(() => {
    if (path === null) return undefined;
    let source: EventSource | null = null;
    const leave = () => {
      source?.close();
      source = null;
    };
    const listen = () => {
      if (document.hidden) return leave();
      if (source) return;
      source = new EventSource(apiPath(path));
      source.onmessage = ({ data }) => last.current.onEvent(JSON.parse(String(data)) as T);
      source.onerror = () => last.current.onLost?.();
    };
    listen();
    document.addEventListener('visibilitychange', listen);
    return () => {
      document.removeEventListener('visibilitychange', listen);
      leave();
    };
  }, [path]);
}
