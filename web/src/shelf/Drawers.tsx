import { useVirtualizer } from '@tanstack/react-virtual';
import { type KeyboardEvent, useEffect, useMemo, useRef, useState } from 'react';
import { useSize } from '../figure/useSize.ts';
import { showAmount } from '../words/shelfWords.ts';
import { DrawerPicture } from './DrawerPicture.tsx';
import type { Entry, Group } from './entries.ts';
import styles from './Drawers.module.css';

export interface ListProps {
  groups: readonly Group[];
  openId: string | null;
  chosen: ReadonlySet<string>;
  onOpen: (entry: Entry) => void;
  onChoose: (id: string) => void;
  /** On shelves by sort a drawer says where it is instead of what it is. */
  isBySort: boolean;
  /** Long names take a second line. */
  isTall: boolean;
}

/** The narrowest a drawer may be, its gap with it, px. */
const DRAWER_WIDTH = 154;
const DRAWER_HEIGHT = 138;
const TALL_DRAWER_HEIGHT = 156;
const HEADING_HEIGHT = 34;

type Row =
  | { readonly kind: 'heading'; readonly name: string; readonly count: number }
  | { readonly kind: 'drawers'; readonly entries: readonly Entry[] };

/** The shelf as shelves of drawers; only the rows in sight are drawn. Arrows go from drawer to drawer. */
export function Drawers({ groups, openId, chosen, onOpen, onChoose, isBySort, isTall }: ListProps) {
  const [scroller, size] = useSize<HTMLDivElement>();
  const columns = Math.max(1, Math.floor((size.width - 16) / DRAWER_WIDTH));
  const rows = useMemo(() => rowsOf(groups, columns), [groups, columns]);
  const virtual = useVirtualizer({
    count: rows.length,
    getScrollElement: () => scroller.current,
    estimateSize: (index) =>
      rows[index]?.kind === 'heading' ? HEADING_HEIGHT : isTall ? TALL_DRAWER_HEIGHT : DRAWER_HEIGHT,
    overscan: 3,
  });
  useEffect(() => virtual.measure(), [virtual, rows, isTall]);
  const onKeyDown = useArrows(rows, columns, (row) => virtual.scrollToIndex(row), scroller);
  return (
    <div ref={scroller} className={`${styles.scroller} ${isTall ? styles.tall : ''}`} onKeyDown={onKeyDown}>
      <div
        role="group"
        aria-label="On the shelf"
        style={{ height: virtual.getTotalSize(), position: 'relative' }}
      >
        {virtual.getVirtualItems().map(({ index, start }) => {
          const row = rows[index];
          if (!row) return null;
          return (
            <div
              key={index}
              className={styles.row}
              style={{
                transform: `translateY(${start}px)`,
                gridTemplateColumns: `repeat(${columns}, minmax(0, 1fr))`,
              }}
            >
              {row.kind === 'heading' ? (
                <h2 className={styles.heading}>
                  {row.name} <span className="quiet small">{row.count}</span>
                </h2>
              ) : (
                row.entries.map((entry) => (
                  <Drawer
                    key={entry.id}
                    entry={entry}
                    line={isBySort ? entry.place || 'no place yet' : entry.sub}
                    isOpen={entry.id === openId}
                    isChosen={chosen.has(entry.id)}
                    onOpen={() => onOpen(entry)}
                    onChoose={() => onChoose(entry.id)}
                  />
                ))
              )}
            </div>
          );
        })}
      </div>
    </div>
  );
}

function rowsOf(groups: readonly Group[], columns: number): Row[] {
  return groups.flatMap(({ name, entries }): Row[] => [
    ...(name === '' ? [] : [{ kind: 'heading', name, count: entries.length } as const]),
    ...Array.from({ length: Math.ceil(entries.length / columns) }, (_, i) => ({
      kind: 'drawers' as const,
      entries: entries.slice(i * columns, (i + 1) * columns),
    })),
  ]);
}

interface DrawerProps {
  entry: Entry;
  line: string;
  isOpen: boolean;
  isChosen: boolean;
  onOpen: () => void;
  onChoose: () => void;
}

function Drawer({ entry, line, isOpen, isChosen, onOpen, onChoose }: DrawerProps) {
  const { unit, onHand, promised, short } = entry;
  return (
    <div className={`${styles.drawer} ${isOpen ? styles.open : ''} ${isChosen ? styles.chosen : ''}`}>
      <button
        type="button"
        className={styles.front}
        data-entry={entry.id}
        aria-pressed={isOpen}
        onClick={onOpen}
      >
        <DrawerPicture entry={entry} />
        <span className={styles.plate}>
          <b className={styles.name}>{entry.name}</b>
          <span className={`quiet ${styles.sub}`}>{line}</span>
          {unit !== null && (
            <span className={styles.amount}>
              {onHand === null ? (
                <span className="red">not counted</span>
              ) : (
                <b className="num">{showAmount(onHand, unit)}</b>
              )}
              {short > 0 ? (
                <span className="red num small">{showAmount(short, unit)} short</span>
              ) : (
                promised > 0 && <span className="quiet num small">{showAmount(promised, unit)} promised</span>
              )}
            </span>
          )}
        </span>
      </button>
      <input
        type="checkbox"
        className={styles.check}
        checked={isChosen}
        aria-label={`Choose ${entry.name} ${entry.sub}`}
        onChange={onChoose}
      />
    </div>
  );
}

/** Moves between drawers by arrows, scrolling to those not drawn yet. */
function useArrows(
  rows: readonly Row[],
  columns: number,
  scrollToRow: (row: number) => void,
  scroller: { readonly current: HTMLElement | null },
) {
  const [wanted, setWanted] = useState<string | null>(null);
  const wantedRef = useRef<string | null>(null);
  useEffect(() => {
    if (wanted === null || wantedRef.current === null) return;
    const button = scroller.current?.querySelector<HTMLElement>(`[data-entry="${CSS.escape(wanted)}"]`);
    if (!button) return;
    button.focus({ preventScroll: true });
    wantedRef.current = null;
  });
  const flat = useMemo(() => rows.flatMap((row) => (row.kind === 'drawers' ? row.entries : [])), [rows]);
  return (event: KeyboardEvent<HTMLElement>) => {
    const from = (event.target as HTMLElement).dataset['entry'];
    if (from === undefined) return;
    const next = nextEntry(event.key, from, rows, flat, columns);
    if (!next) return;
    event.preventDefault();
    scrollToRow(rows.findIndex((row) => row.kind === 'drawers' && row.entries.includes(next)));
    wantedRef.current = next.id;
    setWanted(next.id);
  };
}

function nextEntry(
  key: string,
  from: string,
  rows: readonly Row[],
  flat: readonly Entry[],
  columns: number,
): Entry | undefined {
  const index = flat.findIndex(({ id }) => id === from);
  if (key === 'ArrowRight') return flat[index + 1];
  if (key === 'ArrowLeft') return flat[index - 1];
  if (key === 'Home') return flat[0];
  if (key === 'End') return flat.at(-1);
  const step = key === 'ArrowDown' ? 1 : key === 'ArrowUp' ? -1 : 0;
  if (step === 0) return undefined;
  const shelves = rows.flatMap((row) => (row.kind === 'drawers' ? [row.entries] : []));
  const shelf = shelves.findIndex((entries) => entries.some(({ id }) => id === from));
  const column = shelves[shelf]?.findIndex(({ id }) => id === from) ?? 0;
  const target = shelves[shelf + step];
  return target?.[Math.min(column, target.length - 1, columns - 1)];
}
