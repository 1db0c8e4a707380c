import {
  DELIMITERS,
  type Delimiter,
  ENCODINGS,
  headerKey,
  type Encoding,
  LIST_COLUMNS,
  LIST_KINDS,
  type ListKind,
  type ListPreview,
  type ListSettings,
  type PlannedRow,
  type ShelfView,
  toImport,
} from '@lanakit/core';
import { csvRefusalWords, problemWords } from '@lanakit/core/words';
import { useVirtualizer } from '@tanstack/react-virtual';
import { Button, Progress, Select, Upload } from 'antd';
import { useMemo, useRef, useState } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { ApiProblem, send } from '../api/client.ts';
import { refresh, refreshShelf, useImports } from '../api/resources.ts';
import { Field } from '../fields/Field.tsx';
import { useNotice } from '../shell/Notice.tsx';
import { counted } from '../words/show.ts';
import styles from './ImportPage.module.css';
import { usePreview } from './usePreview.ts';

const KIND_WORDS: Readonly<Record<ListKind, string>> = {
  fibres: 'fibres',
  findings: 'findings',
  needles: 'needles',
  prices: 'suppliers’ prices',
  counts: 'stock counts',
};
const SHELF_OF: Readonly<Record<ListKind, string>> = {
  fibres: '/shelf',
  findings: '/shelf/findings',
  needles: '/shelf/tools',
  prices: '/shelf/suppliers',
  counts: '/shelf',
};
const GUESS: ListSettings = { encoding: null, delimiter: null, decimal: null };

/** A list read in: every row as it will be read, then all of what is ticked or nothing. */
export function ImportPage() {
  const [params, setParams] = useSearchParams();
  const kind = LIST_KINDS.find((one) => one === params.get('kind')) ?? 'fibres';
  const [file, setFile] = useState<File | null>(null);
  const [settings, setSettings] = useState<ListSettings>(GUESS);
  const preview = usePreview(file, kind, settings);
  return (
    <main className={styles.page}>
      <section className={`sheet ${styles.sheet}`} aria-label="Read in a list">
        <header className={styles.header}>
          <div>
            <h1>Read in a list</h1>
            <p className="quiet small">
              <Link to={SHELF_OF[kind]}>Back to the shelf</Link>
            </p>
          </div>
          <Field label="A list of">
            {(control) => (
              <Select<ListKind>
                {...control}
                value={kind}
                style={{ width: 180 }}
                options={LIST_KINDS.map((one) => ({ value: one, label: KIND_WORDS[one] }))}
                onChange={(next) => setParams({ kind: next }, { replace: true })}
              />
            )}
          </Field>
        </header>
        <Upload.Dragger
          className={file ? (styles.dropSmall ?? '') : (styles.drop ?? '')}
          accept=".csv,.txt,.tsv,text/csv"
          maxCount={1}
          showUploadList={false}
          beforeUpload={(chosen) => {
            setFile(chosen);
            setSettings(GUESS);
            return false;
          }}
        >
          <p>
            {file ? (
              <>
                <b>{file.name}</b> <span className="quiet">drop or choose another</span>
              </>
            ) : (
              'Drop a CSV file here, or choose one'
            )}
          </p>
        </Upload.Dragger>
        {!file && <WhatIsRead kind={kind} />}
        {preview.kind === 'reading' && (
          <Progress percent={Math.round(preview.fraction * 100)} aria-label="Reading" />
        )}
        {preview.kind === 'failed' && <p className={`red ${styles.words}`}>{preview.message}</p>}
        {preview.kind === 'read' &&
          (preview.result.ok ? (
            <>
              <Settings
                preview={preview.result.preview}
                onChange={(change) => setSettings((before) => ({ ...before, ...change }))}
              />
              <Rows
                key={`${file?.name} ${preview.result.preview.encoding} ${preview.result.preview.delimiter} ${preview.result.preview.decimal} ${kind}`}
                fileName={file?.name ?? 'list'}
                kind={kind}
                preview={preview.result.preview}
                shelf={preview.shelf}
              />
            </>
          ) : (
            <p className={`red ${styles.words}`} role="alert">
              {csvRefusalWords(preview.result.refusal)}
            </p>
          ))}
      </section>
      <EarlierImports />
    </main>
  );
}

function WhatIsRead({ kind }: { kind: ListKind }) {
  const columns = LIST_COLUMNS[kind];
  return (
    <div className={styles.words}>
      <p>
        The first line names the columns. Needed:{' '}
        {columns
          .filter((one) => one.isNeeded)
          .map(({ header }) => `“${header}”`)
          .join(', ')}
        .
      </p>
      <p className="quiet">
        Read too where they are there:{' '}
        {columns
          .filter((one) => !one.isNeeded)
          .map(({ header }) => header)
          .join(', ')}
        . A column that is not there leaves the shelf as it is.
      </p>
    </div>
  );
}

const ENCODING_WORDS: Readonly<Record<Encoding, string>> = {
  'utf-8': 'UTF-8',
  'utf-16le': 'UTF-16',
  'utf-16be': 'UTF-16, big end first',
  'windows-1252': 'Windows-1252',
};
const DELIMITER_WORDS: Readonly<Record<Delimiter, string>> = {
  ',': 'comma',
  ';': 'semicolon',
  '\t': 'tab',
  '|': 'bar',
};

interface SettingsProps {
  preview: ListPreview;
  onChange: (change: Partial<ListSettings>) => void;
}

function Settings({ preview, onChange }: SettingsProps) {
  return (
    <div className={styles.settings}>
      <Field label="Letters as">
        {(control) => (
          <Select<Encoding>
            {...control}
            value={preview.encoding}
            style={{ width: 170 }}
            options={ENCODINGS.map((value) => ({ value, label: ENCODING_WORDS[value] }))}
            onChange={(encoding) => onChange({ encoding })}
          />
        )}
      </Field>
      <Field label="Cells parted by">
        {(control) => (
          <Select<Delimiter>
            {...control}
            value={preview.delimiter}
            style={{ width: 120 }}
            options={DELIMITERS.map((value) => ({ value, label: DELIMITER_WORDS[value] }))}
            onChange={(delimiter) => onChange({ delimiter })}
          />
        )}
      </Field>
      <Field label="Decimals as">
        {(control) => (
          <Select<'.' | ','>
            {...control}
            value={preview.decimal}
            style={{ width: 100 }}
            options={[
              { value: '.', label: '1.5' },
              { value: ',', label: '1,5' },
            ]}
            onChange={(decimal) => onChange({ decimal })}
          />
        )}
      </Field>
      {preview.unread.length > 0 && <p className="amber small">Not read: {preview.unread.join(', ')}</p>}
    </div>
  );
}

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

interface RowsProps {
  fileName: string;
  kind: ListKind;
  preview: ListPreview;
  shelf: ShelfView;
}

function Rows({ fileName, kind, preview, shelf }: RowsProps) {
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

/** Sends the ticked rows, says what happened, and offers to take it back. */
function useBringIn(kind: ListKind) {
  const [isBusy, setBusy] = useState(false);
  const navigate = useNavigate();
  const say = useNotice();
  const fail = (error: unknown) => {
    const first = error instanceof ApiProblem ? error.problem.errors?.[0]?.message : undefined;
    const message = error instanceof Error ? error.message : String(error);
    say({ text: first === undefined ? message : `${message} ${first}`, isProblem: true });
  };
  const run = async (fileName: string, rows: readonly PlannedRow[], shelf: ShelfView) => {
    setBusy(true);
    try {
      const { id } = await send<{ id: string }>('POST', '/imports', {
        body: toImport(fileName.slice(0, 200), rows, shelf),
      });
      await Promise.all([refreshShelf(), refresh('/imports')]);
      say({
        text: `${counted(rows.length, 'row')} read in from ${fileName}.`,
        undo: () => void takeBack(id).catch(fail),
      });
      void navigate(SHELF_OF[kind]);
    } catch (error) {
      fail(error);
    } finally {
      setBusy(false);
    }
  };
  return { isBusy, run };
}

async function takeBack(id: string): Promise<void> {
  await send('POST', `/imports/${id}/undo`);
  await Promise.all([refreshShelf(), refresh('/imports')]);
}

/** What was read in before, each to be taken back while nothing has been built on it. */
function EarlierImports() {
  const { data } = useImports();
  const say = useNotice();
  const undo = (id: string) =>
    void takeBack(id)
      .then(() => say({ text: 'Taken back: the shelf is as it was before.' }))
      .catch((error: unknown) =>
        say({ text: error instanceof Error ? error.message : String(error), isProblem: true }),
      );
  return (
    <aside className={`sheet ${styles.earlier}`} aria-label="Read in before">
      <h2>Read in before</h2>
      {(data?.items.length ?? 0) === 0 && <p className="quiet">Nothing yet.</p>}
      <ul>
        {data?.items.map((one) => (
          <li key={one.id}>
            <b>{one.fileName}</b>
            <br />
            <span className="quiet small">
              {one.at.slice(0, 16).replace('T', ' ')} · {one.created} new, {one.updated} changed,{' '}
              {one.counted} counted
            </span>
            <br />
            {one.undoneAt === null ? (
              <Button size="small" onClick={() => undo(one.id)}>
                Take it back
              </Button>
            ) : (
              <span className="quiet small">taken back</span>
            )}
          </li>
        ))}
      </ul>
    </aside>
  );
}
