import { LIST_COLUMNS, type ListPreview, type ListSettings } from '@lanakit/core/files';
import {
  type Delimiter,
  DELIMITERS,
  type Encoding,
  ENCODINGS,
  LIST_KINDS,
  type ListKind,
} from '@lanakit/core/tables';
import { csvRefusalWords } from '@lanakit/core/words';
import { Button, Progress, Select, Upload } from 'antd';
import { useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { useImports } from '../api/queries.ts';
import { Field } from '../ui/fields/Field.tsx';
import styles from './ImportPage.module.css';
import { usePreview } from './usePreview.ts';
import { ImportRows } from './ImportRows.tsx';
import { perform } from '../api/mutations/mutation.ts';
import { takeBackList } from '../api/mutations/shelf.ts';
import { useAttempt } from '../shell/useAttempt.ts';
import { SHELF_OF } from './useBringIn.ts';

const KIND_WORDS: Readonly<Record<ListKind, string>> = {
  fibres: 'fibres',
  findings: 'findings',
  needles: 'needles',
  prices: 'suppliers’ prices',
  counts: 'stock counts',
};
const GUESS: ListSettings = { encoding: null, delimiter: null, decimal: null };

/** A list read in: every row as it will be read, then all of what is ticked or nothing. */
export function ImportPage() {
  const [params, setParams] = useSearchParams();
  const kind = LIST_KINDS.find((listKind) => listKind === params.get('kind')) ?? 'fibres';
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
                className="control-l"
                options={LIST_KINDS.map((listKind) => ({ value: listKind, label: KIND_WORDS[listKind] }))}
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
              <ImportRows
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
          .filter((column) => column.isNeeded)
          .map(({ header }) => `“${header}”`)
          .join(', ')}
        .
      </p>
      <p className="quiet">
        Read too where they are there:{' '}
        {columns
          .filter((column) => !column.isNeeded)
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
            className="control-l"
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
            className="control-m"
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
            className="control-s"
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

/** What was read in before, each to be taken back while nothing has been built on it. */
function EarlierImports() {
  const { data } = useImports();
  const attempt = useAttempt();
  const undo = (id: string) =>
    void attempt(async () => {
      await perform(takeBackList(id));
      return { text: 'Taken back: the shelf is as it was before.' };
    });
  return (
    <aside className={`sheet ${styles.earlier}`} aria-label="Read in before">
      <h2>Read in before</h2>
      {(data?.items.length ?? 0) === 0 && <p className="quiet">Nothing yet.</p>}
      <ul>
        {data?.items.map((importRecord) => (
          <li key={importRecord.id}>
            <b>{importRecord.fileName}</b>
            <br />
            <span className="quiet small">
              {importRecord.at.slice(0, 16).replace('T', ' ')} · {importRecord.created} new,{' '}
              {importRecord.updated} changed, {importRecord.counted} counted
            </span>
            <br />
            {importRecord.undoneAt === null ? (
              <Button size="small" onClick={() => undo(importRecord.id)}>
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
