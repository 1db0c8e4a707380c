import { useWindowVirtualizer } from '@tanstack/react-virtual';
import { type ReactNode, useLayoutEffect, useRef, useState } from 'react';

interface LongListProps {
  /** Rows there are. */
  total: number;
  rowsAPage: number;
  /** What a row likely takes, px; pages are measured once they are there. */
  rowPx: number;
  /** A page of it, from 0. */
  children: (page: number) => ReactNode;
}

/** A list as long as may be, page by page: only the pages in sight, and the next, are there. */
export function LongList({ total, rowsAPage, rowPx, children }: LongListProps) {
  const list = useRef<HTMLDivElement>(null);
  const [top, setTop] = useState(0);
  // What stands above it may have grown since.
  useLayoutEffect(() => setTop(list.current?.offsetTop ?? 0), [total]);
  const rowsOf = (page: number) => Math.min(rowsAPage, total - page * rowsAPage);
  const virtual = useWindowVirtualizer({
    count: Math.ceil(total / rowsAPage),
    estimateSize: (page) => rowsOf(page) * rowPx,
    scrollMargin: top,
    overscan: 0,
  });
  return (
    <div ref={list} style={{ position: 'relative', height: virtual.getTotalSize() }}>
      {virtual.getVirtualItems().map(({ index, start, key }) => (
        <div
          key={key}
          ref={virtual.measureElement}
          data-index={index}
          style={{
            position: 'absolute',
            insetInline: 0,
            minHeight: rowsOf(index) * rowPx,
            transform: `translateY(${start - top}px)`,
          }}
        >
          {children(index)}
        </div>
      ))}
    </div>
  );
}
