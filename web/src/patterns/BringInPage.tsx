import type { Mapping } from '@lanakit/core/files';
import { Button, Select, Upload } from 'antd';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { ApiProblem, errorWords } from '../api/client.ts';
import { useFindings, useNeedles, useShelf } from '../api/queries.ts';
import { counted } from '../words/show.ts';
import styles from './BringIn.module.css';
import { perform } from '../api/mutations/mutation.ts';
import { readPatternFile, takePatternFile, type ReadPatternFile } from '../api/mutations/patterns.ts';

const MATCH_WORDS = {
  same: 'the same here',
  nearest: 'the nearest here',
  none: 'nothing like it here',
} as const;
const ADD = ' ';

/** A pattern out of a file: what is in it, and what becomes of each thing it relies on. */
export function BringInPage() {
  const navigate = useNavigate();
  const [read, setRead] = useState<ReadPatternFile | null>(null);
  const [chosen, setChosen] = useState<ReadonlyMap<string, string | null>>(new Map());
  const [problem, setProblem] = useState<{ title: string; lines: readonly string[] } | null>(null);
  const [isBusy, setBusy] = useState(false);

  const attempt = async (work: () => Promise<void>) => {
    setProblem(null);
    setBusy(true);
    try {
      await work();
    } catch (error) {
      setProblem(
        error instanceof ApiProblem
          ? {
              title: error.problem.title,
              lines: (error.problem.errors ?? [])
                .slice(0, 8)
                .map(({ pointer, message }) => `${pointer}: ${message}`),
            }
          : { title: errorWords(error), lines: [] },
      );
    } finally {
      setBusy(false);
    }
  };
  const open = (file: File) =>
    attempt(async () => {
      const found = await perform(readPatternFile(file));
      setRead(found);
      setChosen(new Map(found.mapping.map(({ id, itemId }) => [id, itemId])));
    });
  const take = () =>
    attempt(async () => {
      if (!read) return;
      const mapping = read.mapping.map(({ kind, id }) => ({ kind, id, itemId: chosen.get(id) ?? null }));
      const made = await perform(takePatternFile(read.file, mapping));
      await navigate(`/patterns/${made.id}`);
    });
  return (
    <main className={`sheet ${styles.page}`}>
      <h1>Bring in a pattern</h1>
      <p className="quiet">
        JSON or ZIP from a Lanakit, or a Markdown text with numbered steps. Nothing is changed until you take
        it in.
      </p>
      <Upload.Dragger
        accept=".json,.zip,.md,.markdown,.txt,application/json,application/zip,text/markdown"
        showUploadList={false}
        beforeUpload={(file) => {
          void open(file);
          return false;
        }}
      >
        <p>Drop a file here, or choose one</p>
      </Upload.Dragger>
      {problem && (
        <div role="alert" className="red">
          <p>{problem.title}</p>
          <ul>
            {problem.lines.map((line) => (
              <li key={line}>{line}</li>
            ))}
          </ul>
        </div>
      )}
      {read && (
        <section aria-label="What is in it">
          <h2>{read.file.pattern.title}</h2>
          <p>
            {counted(read.file.pattern.parts.length, 'part')},{' '}
            {counted(read.file.pattern.steps.length, 'step')},{' '}
            {counted(read.file.pattern.pictures.length, 'picture')}
            {read.file.pattern.rights.credit !== '' && ` · ${read.file.pattern.rights.credit}`}
          </p>
          {read.lostPictures > 0 && (
            <p className="amber">
              {counted(read.lostPictures, 'picture')} did not come along: bring the ZIP for those.
            </p>
          )}
          {read.mapping.length > 0 && (
            <>
              <h3>What it relies on, and what you have</h3>
              <ul className={styles.mapping}>
                {read.mapping.map((line) => (
                  <MappingLine
                    key={`${line.kind} ${line.id}`}
                    line={line}
                    itemId={chosen.get(line.id) ?? null}
                    onChoose={(itemId) => setChosen(new Map(chosen).set(line.id, itemId))}
                  />
                ))}
              </ul>
            </>
          )}
          <Button type="primary" loading={isBusy} onClick={() => void take()}>
            Take it in
          </Button>
        </section>
      )}
    </main>
  );
}

interface MappingLineProps {
  line: Mapping;
  itemId: string | null;
  onChoose: (itemId: string | null) => void;
}

function MappingLine({ line, itemId, onChoose }: MappingLineProps) {
  const { fibres } = useShelf();
  const findings = useFindings().data?.items ?? [];
  const needles = useNeedles().data?.items ?? [];
  const choices =
    line.kind === 'fibre'
      ? fibres.map(({ id, name }) => ({ value: id, label: name }))
      : line.kind === 'finding'
        ? findings.map(({ id, name }) => ({ value: id, label: name }))
        : needles.map(({ id, gauge, sizeWord, mark }) => ({
            value: id,
            label: [gauge ?? sizeWord, mark?.word].filter((word) => word).join(', '),
          }));
  return (
    <li>
      <span>
        <b>{line.name}</b> <span className="quiet small">{line.kind}</span>
      </span>
      <span className={line.match === 'none' ? 'amber small' : 'quiet small'}>{MATCH_WORDS[line.match]}</span>
      <Select<string>
        aria-label={`For ${line.name}`}
        value={itemId ?? ADD}
        showSearch={{ optionFilterProp: 'label' }}
        options={[{ value: ADD, label: 'put it on my shelf' }, ...choices]}
        onChange={(id) => onChoose(id === ADD ? null : id)}
      />
    </li>
  );
}
