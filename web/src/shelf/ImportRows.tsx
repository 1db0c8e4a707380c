import { LIST_COLUMNS, type ListPreview, type PlannedRow, type ShelfView } from '@lanakit/core/files';
import { headerKey, type ListKind } from '@lanakit/core/tables';
import { problemWords } from '@lanakit/core/words';
import { useVirtualizer } from '@tanstack/react-virtual';
import { Button } from 'antd';
import { useMemo, useRef, useState } from 'react';
import { counted } from '../words/show.ts';
import styles from './ImportPage.module.css';
import { useBringIn } from './useBringIn.ts';

const STATE_WORDS: Readonly<Record<PlannedRow['state'], string>> = {
  new: 'new',
  changed: 'changes it',
  same: 'the same',
  bad: 'cannot be read',
};
const STATE_CLASS: Readonly<Record<PlannedRow['state'], string>> = {
  new: 'leaf',
  changed: 'amber',
  same: 'quiet',
  bad: 'red',
};
const ROW_HEIGHT = 36;

interface ImportRowsProps {
  fileName: string;
  kind: ListKind;
  preview: ListPreview;
  shelf: ShelfView;
}

/** Every row as it will be read, to be ticked; the bad ones with their reasons. */
export function ImportRows({ fileName, kind, preview, shelf }: ImportRowsProps) {
  const { rows } = preview;
  const doing = useMemo(() => rows.filter(({ change }) => change !== null), [rows]);
  const [unticked, setUnticked] = useState<ReadonlySet<number>>(new Set());
  const scroller = useRef<HTMLDivElement>(null);
  const virtual = useVirtualizer({
    count: rows.length,
    getScrollElement: () => scroller.current,
    estimateSize: (index) =>
      rows[index]?.state === 'bad' ? ROW_HEIGHT + 22 * (rows[index]?.problems.length ?? 1) : ROW_HEIGHT,
    overscan: 8,
  });
  const ticked = doing.filter(({ line }) => !unticked.has(line));
  const bad = rows.filter(({ state }) => state === 'bad').length;
  const bring = useBringIn(kind);
  const shown = useMemo(() => columnsOf(kind, preview.header), [kind, preview.header]);
  const template = {
    gridTemplateColumns: `26px 44px 96px ${shown.map(() => 'minmax(70px, 1fr)').join(' ')}`,
  };
  return (
    <>
      <p className={styles.words} role="status">
        {counted(rows.length, 'row')}: {rows.filter(({ state }) => state === 'new').length} new,{' '}
        {rows.filter(({ state }) => state === 'changed').length} changed,{' '}
        {rows.filter(({ state }) => state === 'same').length} the same
        {bad > 0 && (
          <>
            , <span className="red">{bad} cannot be read</span>
          </>
        )}
        .
      </p>
      <div
        ref={scroller}
        className={styles.rows}
        role="table"
        aria-label="As it will be read"
        aria-rowcount={rows.length + 1}
        tabIndex={0}
      >
        <div className={styles.head} style={template} role="row">
          <span role="columnheader">
            <span className="visually-hidden">Read it in</span>
          </span>
          <span role="columnheader">line</span>
          <span role="columnheader">does</span>
          {shown.map(({ header }) => (
            <span key={header} role="columnheader">
              {header}
            </span>
          ))}
        </div>
        <div style={{ height: virtual.getTotalSize(), position: 'relative' }} role="rowgroup">
          {virtual.getVirtualItems().map(({ index, start }) => {
            const row = rows[index];
            if (!row) return null;
            return (
              <div
                key={row.line}
                role="row"
                className={styles.row}
                style={{ transform: `translateY(${start}px)` }}
              >
                <div className={styles.cells} style={template} role="presentation">
                  <span role="cell">
                    {row.change !== null && (
                      <input
                        type="checkbox"
                        aria-label={`Read in line ${row.line}`}
                        checked={!unticked.has(row.line)}
                        onChange={() =>
                          setUnticked((before) =>
                            before.has(row.line)
                              ? new Set([...before].filter((line) => line !== row.line))
                              : new Set(before).add(row.line),
                          )
                        }
                      />
                    )}
                  </span>
                  <span role="cell" className="quiet num">
                    {row.line}
                  </span>
                  <span role="cell" className={STATE_CLASS[row.state]}>
                    {STATE_WORDS[row.state]}
                  </span>
                  {shown.map(({ header, index: column }) => (
                    <span key={header} role="cell" className={styles.cell} title={row.values[column]}>
                      {row.values[column]}
                    </span>
                  ))}
                </div>
                {row.problems.map((problem) => (
                  <p key={problem.pointer + problem.code} className={`red small ${styles.why}`}>
                    {problemWords(problem)}
                  </p>
                ))}
              </div>
            );
          })}
        </div>
      </div>
      <footer className={styles.footer}>
        <span className="quiet">What is ticked comes in whole or not at all, and can be taken back.</span>
        <Button
          type="primary"
          disabled={ticked.length === 0 || bring.isBusy}
          onClick={() => void bring.run(fileName, ticked, shelf)}
        >
          {ticked.length === 0 ? 'Nothing to read in' : `Read in ${counted(ticked.length, 'row')}`}
        </Button>
      </footer>
    </>
  );
}

const MOST_COLUMNS = 8;

/** The columns that the file has: it says what it changes. */
const columnsOf = (kind: ListKind, header: readonly string[]) => {
  const there = new Set(header.map(headerKey));
  return LIST_COLUMNS[kind]
    .map((column, index) => ({ ...column, index }))
    .filter((column) => there.has(headerKey(column.header)))
    .slice(0, MOST_COLUMNS);
};
