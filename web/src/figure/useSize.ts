import { useEffect, useRef, useState, type RefObject } from 'react';

interface Size {
  readonly width: number;
  readonly height: number;
}

/** The inner size of an element, followed as it changes. */
export function useSize<T extends HTMLElement = HTMLDivElement>(): [RefObject<T | null>, Size] {
  const ref = useRef<T>(null);
  const [size, setSize] = useState<Size>({ width: 0, height: 0 });
  useEffect(() => {
    const element = ref.current;
    if (!element) return undefined;
    const observer = new ResizeObserver(() =>
      setSize({ width: element.clientWidth, height: element.clientHeight }),
    );
    observer.observe(element);
    return () => observer.disconnect();
  }, []);
  return [ref, size];
}
