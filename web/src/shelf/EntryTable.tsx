import { useVirtualizer } from '@tanstack/react-virtual';
import { type KeyboardEvent, type ReactNode, useEffect, useMemo, useRef } from 'react';
import { FibreSwatch } from '../ui/look/FibreSwatch.tsx';
import { showMoney } from '../words/show.ts';
import { showAmount } from '../words/shelfWords.ts';
import type { ListProps } from './Drawers.tsx';
import type { Entry, Looking, SortBy } from './entries.ts';
import styles from './EntryTable.module.css';
import type { Section } from './useEntries.ts';

interface EntryTableProps extends ListProps {
  section: Section;
  looking: Looking;
  onSort: (sortBy: SortBy) => void;
  onChooseAll: () => void;
}

const ROW_HEIGHT = 40;

interface TableColumn {
  readonly name: string;
  readonly sortBy: SortBy | null;
  readonly width: string;
  readonly isRight?: true;
  readonly cell: (entry: Entry) => ReactNode;
}

const ON_HAND: TableColumn = {
  name: 'On hand',
  sortBy: 'onHand',
  width: '104px',
  isRight: true,
  cell: ({ onHand, unit }) =>
    unit === null ? null : onHand === null ? (
      <span className="red">not counted</span>
    ) : (
      <b>{showAmount(onHand, unit)}</b>
    ),
};
const PRICE: TableColumn = {
  name: 'Price',
  sortBy: 'price',
  width: '84px',
  isRight: true,
  cell: ({ priceMinor }) =>
    priceMinor === null ? <span className="quiet">none</span> : showMoney(priceMinor),
};
const PLACE: TableColumn = {
  name: 'Place',
  sortBy: 'place',
  width: 'minmax(90px, 1fr)',
  cell: ({ place }) => place,
};
const SUB: TableColumn = {
  name: 'What',
  sortBy: 'sort',
  width: 'minmax(110px, 1.4fr)',
  cell: ({ sub }) => sub,
};

const PROMISED: TableColumn = {
  name: 'Promised',
  sortBy: 'promised',
  width: '92px',
  isRight: true,
  cell: ({ promised, short, unit }) =>
    promised === 0 ? (
      ''
    ) : (
      <span className={short > 0 ? 'red' : ''}>{showAmount(promised, unit ?? 'piece')}</span>
    ),
};

const COLUMNS: Readonly<Record<Section, readonly TableColumn[]>> = {
  wool: [
    { ...SUB, name: 'Prepared as' },
    PLACE,
    {
      name: 'g per m',
      sortBy: null,
      width: '66px',
      isRight: true,
      cell: ({ item }) => (item.kind === 'fibre' ? (item.thing.linearGPerM ?? '') : ''),
    },
    { ...PRICE, name: 'per 100 g' },
    PROMISED,
    ON_HAND,
  ],
  findings: [SUB, PLACE, PRICE, PROMISED, ON_HAND],
  tools: [SUB, PLACE, PRICE, PROMISED, ON_HAND],
  suppliers: [SUB],
};

/** The same as the drawers, for who would rather read a table. Only the rows in sight are drawn. */
export function EntryTable(props: EntryTableProps) {
  const { groups, section, looking, openId, chosen, onOpen, onChoose, onSort, onChooseAll } = props;
  const entries = useMemo(() => groups.flatMap((group) => group.entries), [groups]);
  const scroller = useRef<HTMLDivElement>(null);
  const virtual = useVirtualizer({
    count: entries.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => ROW_HEIGHT,
    overscan: 6,
  });
  useEffect(() => virtual.measure(), [virtual, entries]);
  const columns = COLUMNS[section];
  const template = {
    gridTemplateColumns: `30px minmax(170px, 2fr) ${columns.map(({ width }) => width).join(' ')}`,
  };
  const isAllChosen = entries.length > 0 && entries.every(({ id }) => chosen.has(id));
  return (
    <div
      ref={scroller}
      className={styles.scroller}
      role="table"
      aria-label="On the shelf"
      aria-rowcount={entries.length + 1}
    >
      <div className={styles.head} style={template} role="row">
        <span role="columnheader">
          <input type="checkbox" aria-label="Choose all shown" checked={isAllChosen} onChange={onChooseAll} />
        </span>
        <Heading name="Name" sortBy="name" looking={looking} onSort={onSort} />
        {columns.map(({ name, sortBy, isRight }) => (
          <Heading
            key={name}
            name={name}
            sortBy={sortBy}
            looking={looking}
            isRight={isRight ?? false}
            onSort={onSort}
          />
        ))}
      </div>
      <div
        style={{ height: virtual.getTotalSize(), position: 'relative' }}
        role="rowgroup"
        onKeyDown={moveBetweenRows}
      >
        {virtual.getVirtualItems().map(({ index, start }) => {
          const entry = entries[index];
          if (!entry) return null;
          return (
            <div
              key={entry.id}
              role="row"
              aria-rowindex={index + 2}
              className={`${styles.row} ${entry.id === openId ? styles.open : ''} ${chosen.has(entry.id) ? styles.chosen : ''}`}
              style={{ ...template, height: ROW_HEIGHT, transform: `translateY(${start}px)` }}
              onClick={() => onOpen(entry)}
            >
              <span role="cell" onClick={(event) => event.stopPropagation()}>
                <input
                  type="checkbox"
                  aria-label={`Choose ${entry.name} ${entry.sub}`}
                  checked={chosen.has(entry.id)}
                  onChange={() => onChoose(entry.id)}
                />
              </span>
              <span role="cell" className={styles.name}>
                {entry.wool && <FibreSwatch fibre={entry.wool} width={48} height={22} />}
                <button type="button" className="plain-button" aria-pressed={entry.id === openId}>
                  {entry.name}
                </button>
              </span>
              {columns.map(({ name, cell, isRight }) => (
                <span key={name} role="cell" className={isRight ? styles.right : styles.text}>
                  {cell(entry)}
                </span>
              ))}
            </div>
          );
        })}
      </div>
    </div>
  );
}

interface HeadingProps {
  name: string;
  sortBy: SortBy | null;
  looking: Looking;
  isRight?: boolean;
  onSort: (sortBy: SortBy) => void;
}

function Heading({ name, sortBy, looking, isRight = false, onSort }: HeadingProps) {
  const isSorted = sortBy !== null && looking.sortBy === sortBy;
  const direction = looking.isDescending ? 'descending' : 'ascending';
  return (
    <span
      role="columnheader"
      className={isRight ? styles.right : ''}
      {...(isSorted && ({ 'aria-sort': direction } as const))}
    >
      {sortBy === null ? (
        name
      ) : (
        <button type="button" className="plain-button" onClick={() => onSort(sortBy)}>
          {name}
          {isSorted && (looking.isDescending ? ' ↓' : ' ↑')}
        </button>
      )}
    </span>
  );
}

function moveBetweenRows(event: KeyboardEvent<HTMLElement>) {
  const step = event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0;
  if (step === 0) return;
  const buttons = [...event.currentTarget.querySelectorAll('button')];
  const next = buttons[buttons.indexOf(event.target as HTMLButtonElement) + step];
  if (!next) return;
  event.preventDefault();
  next.focus();
}
