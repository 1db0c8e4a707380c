import {
  AMOUNT_BOUNDS,
  countDifferenceMilli,
  type CountInput,
  fromMilli,
  type StockUnit,
} from '@lanakit/core/shelf';
import { UNIT_WORDS } from '@lanakit/core/words';
import { useVirtualizer } from '@tanstack/react-virtual';
import { Button, Input } from 'antd';
import { type KeyboardEvent, useMemo, useRef, useState } from 'react';
import { FibreSwatch } from '../ui/look/FibreSwatch.tsx';
import { counted } from '../words/show.ts';
import { showAmount, showSigned } from '../words/shelfWords.ts';
import type { Entry, Group } from './entries.ts';
import styles from './Stocktake.module.css';
import { perform } from '../api/mutations/mutation.ts';
import { enterCounts } from '../api/mutations/shelf.ts';
import { useAttempt } from '../shell/useAttempt.ts';

/** One thing to be counted: a lot, or what is kept without lots. */
interface Line {
  readonly key: string;
  readonly entry: Entry;
  readonly itemId: string;
  readonly lotId: string | null;
  readonly lotName: string;
  readonly place: string;
  readonly unit: StockUnit;
  readonly onHand: number | null;
}

const ROW_HEIGHT = 48;

/** Goes along the shelf with the scale: type what is there, Enter goes on. Only what was typed is entered, all of it at once. */
export function Stocktake({ groups }: { groups: readonly Group[] }) {
  const lines = useMemo(() => groups.flatMap(({ entries }) => entries.flatMap(linesOf)), [groups]);
  const [typed, setTyped] = useState<ReadonlyMap<string, string>>(new Map());
  const scroller = useRef<HTMLDivElement>(null);
  const virtual = useVirtualizer({
    count: lines.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => ROW_HEIGHT,
    overscan: 6,
  });
  const attempt = useAttempt();
  const counts = lines.flatMap((line): CountInput[] => {
    const amount = readCount(typed.get(line.key));
    return typeof amount === 'number' ? [{ itemId: line.itemId, lotId: line.lotId, amount }] : [];
  });
  const unread = lines.filter((line) => readCount(typed.get(line.key)) === 'unread').length;
  const enter = async () => {
    const before = lines
      .filter((line) => typeof readCount(typed.get(line.key)) === 'number' && line.onHand !== null)
      .map(({ itemId, lotId, onHand }): CountInput => ({ itemId, lotId, amount: onHand ?? 0 }));
    await attempt(async () => {
      await perform(enterCounts(counts), () => setTyped((now) => typedSince(typed, now)));
      return {
        text: `${counted(counts.length, 'count')} entered; the ledger has the differences.`,
        ...(before.length === counts.length && { undo: () => perform(enterCounts(before)) }),
      };
    });
  };
  const onKeyDown = (event: KeyboardEvent<HTMLInputElement>, index: number) => {
    const step = event.key === 'Enter' || event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0;
    if (step === 0) return;
    event.preventDefault();
    virtual.scrollToIndex(index + step);
    scroller.current?.querySelector<HTMLInputElement>(`[data-line="${index + step}"]`)?.focus();
  };
  return (
    <>
      <div className={styles.head} aria-hidden>
        <span />
        <span>Lot or thing</span>
        <span>Place</span>
        <span className={styles.right}>The ledger says</span>
        <span>What is there</span>
        <span className={styles.right}>Difference</span>
      </div>
      <div ref={scroller} className={styles.scroller} role="group" aria-label="To count">
        <div style={{ height: virtual.getTotalSize(), position: 'relative' }}>
          {virtual.getVirtualItems().map(({ index, start }) => {
            const line = lines[index];
            if (!line) return null;
            const text = typed.get(line.key) ?? '';
            return (
              <div
                key={line.key}
                className={styles.line}
                style={{ height: ROW_HEIGHT, transform: `translateY(${start}px)` }}
              >
                {line.entry.wool ? <FibreSwatch fibre={line.entry.wool} width={48} height={26} /> : <span />}
                <span className={styles.name}>
                  <b>{line.entry.name}</b>{' '}
                  <span className="quiet">
                    {[line.entry.sub, line.lotName].filter((word) => word !== '').join(' · ')}
                  </span>
                </span>
                <span className="quiet">{line.place}</span>
                <span className={`num ${styles.right}`}>
                  {line.onHand === null ? 'not counted' : showAmount(line.onHand, line.unit)}
                </span>
                <Input
                  size="large"
                  data-line={index}
                  value={text}
                  inputMode="decimal"
                  autoComplete="off"
                  suffix={UNIT_WORDS[line.unit]}
                  status={readCount(text) === 'unread' ? 'error' : ''}
                  aria-invalid={readCount(text) === 'unread'}
                  aria-label={`${line.entry.name} ${line.entry.sub} ${line.lotName}, what is there`}
                  onChange={(event) => setTyped((all) => new Map(all).set(line.key, event.target.value))}
                  onKeyDown={(event) => onKeyDown(event, index)}
                />
                <span className={`num ${styles.right}`}>{differenceWords(line, text)}</span>
              </div>
            );
          })}
        </div>
      </div>
      <footer className={styles.footer}>
        <span className={unread > 0 ? 'red' : 'quiet'}>
          {unread > 0
            ? `${counted(unread, 'count')} cannot be read: give a number from 0 to 1 000 000.`
            : 'Enter goes to the next. What you leave empty is left as it is.'}
        </span>
        <Button type="primary" disabled={counts.length === 0 || unread > 0} onClick={() => void enter()}>
          {counts.length === 0 ? 'Enter the counts' : `Enter ${counted(counts.length, 'count')}`}
        </Button>
      </footer>
    </>
  );
}

function linesOf(entry: Entry): Line[] {
  const { item, unit } = entry;
  if (unit === null) return [];
  if (item.kind === 'fibre' || item.kind === 'blend') {
    return item.thing.lots.map((lot) => ({
      key: lot.id,
      entry,
      itemId: entry.id,
      lotId: lot.id,
      lotName: lot.name,
      place: lot.place,
      unit,
      onHand: lot.onHandG,
    }));
  }
  return [
    {
      key: entry.id,
      entry,
      itemId: entry.id,
      lotId: null,
      lotName: '',
      place: entry.place,
      unit,
      onHand: entry.onHand,
    },
  ];
}

/** What was typed while the counts before it were on their way. */
const typedSince = (
  sent: ReadonlyMap<string, string>,
  now: ReadonlyMap<string, string>,
): ReadonlyMap<string, string> => new Map([...now].filter(([key, text]) => sent.get(key) !== text));

/** A number, nothing typed, or something that is none. */
function readCount(text: string | undefined): number | null | 'unread' {
  const trimmed = (text ?? '').trim().replace(',', '.');
  if (trimmed === '') return null;
  if (!/^\d*\.?\d+$/.test(trimmed)) return 'unread';
  const value = Number(trimmed);
  return value <= AMOUNT_BOUNDS.max ? value : 'unread';
}

function differenceWords(line: Line, text: string): string {
  const amount = readCount(text);
  if (typeof amount !== 'number') return '';
  const milli = countDifferenceMilli(line.onHand, amount);
  return milli === null || milli === 0 ? 'as it says' : showSigned(fromMilli(milli), line.unit);
}
