import type { StoredPattern } from '@lanakit/core/api';
import { showTypedLength } from '@lanakit/core/base';
import { defaultBuild } from '@lanakit/core/build';
import { estimatePattern, type Wool } from '@lanakit/core/engine';
import { stepTotals, blankPattern, isWoolOnly, missingForPublishing } from '@lanakit/core/pattern';
import { proposeLevel } from '@lanakit/core/writing';
import { Button, Input } from 'antd';
import { useMemo, useState } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { errorWords } from '../api/client.ts';
import { usePatterns, useWool } from '../api/queries.ts';
import { Field } from '../ui/fields/Field.tsx';
import { FigureStrip } from '../figure/FigureStrip.tsx';
import { piecesOf } from '../figure/pieces.ts';
import { Loading } from '../shell/Loading.tsx';
import { counted, LEVEL_WORDS, showGrams, showKnownMinutes, showRange } from '../words/show.ts';
import styles from './PatternsPage.module.css';
import { perform } from '../api/mutations/mutation.ts';
import { createPattern } from '../api/mutations/patterns.ts';

/** Every figure, to know by its pieces. */
export function PatternsPage() {
  const [isArchive, setArchive] = useState(false);
  const { patterns, error, hasMore, showMore } = usePatterns(isArchive);
  const shelf = useWool();
  const [params] = useSearchParams();
  if (!patterns || !shelf.isReady) return <Loading error={error ?? shelf.error} />;
  return (
    <main className={`sheet ${styles.page}`}>
      <header className={styles.header}>
        <div>
          <h1>Patterns</h1>
          <p className="quiet">
            {countWords(patterns.length, hasMore)}
            {isArchive && ', put away'}
          </p>
          <p className={styles.ways}>
            <button type="button" className="plain-button" onClick={() => setArchive(!isArchive)}>
              {isArchive ? 'Show those in use' : 'Show those put away'}
            </button>
            <Link to="/techniques">Techniques</Link>
            <Link to="/bring-in">Bring in a pattern</Link>
          </p>
        </div>
        <BeginPattern isAsked={params.has('begin') || patterns.length === 0} />
      </header>
      {patterns.length === 0 ? (
        <p className={styles.empty}>
          A pattern is a figure taken apart: its parts with their shapes, sizes and wool, and the steps that
          make it. Name one above to begin; the wool is worked out as you write.
        </p>
      ) : (
        <ul className={styles.list}>
          {patterns.map((pattern) => (
            <PatternLine key={pattern.id} pattern={pattern} wool={shelf.wool} />
          ))}
        </ul>
      )}
      {hasMore && (
        <div className={styles.more}>
          <Button onClick={showMore}>Show older figures</Button>
        </div>
      )}
    </main>
  );
}

function countWords(count: number, hasMore: boolean): string {
  if (count === 0) return 'none yet';
  const figures = hasMore ? `the newest ${count}` : counted(count, 'figure');
  return count === 1 ? figures : `${figures}, the last changed first`;
}

function PatternLine({ pattern: { id, document, revision }, wool }: { pattern: StoredPattern; wool: Wool }) {
  const build = useMemo(() => defaultBuild(document), [document]);
  const estimate = useMemo(() => estimatePattern(build, wool), [build, wool]);
  const pieces = useMemo(
    () => piecesOf(build, estimate, wool.fibres, 'front', document),
    [build, document, estimate, wool],
  );
  const missing = missingForPublishing(document);
  return (
    <li>
      <Link to={`/patterns/${id}`} className={styles.line}>
        <FigureStrip pieces={pieces} width={300} height={88} />
        <span className={styles.main}>
          <span className={styles.title}>{document.title}</span>
          <span className="quiet">
            {LEVEL_WORDS[document.level ?? proposeLevel(build, estimate).level]}
            {document.finishedHeight && ` · ${showTypedLength(document.finishedHeight)} high`} ·{' '}
            {counted(document.parts.length, 'part')}, {counted(document.steps.length, 'step')}
          </span>
        </span>
        <span className={styles.fact}>
          <b>
            {estimate.uses.length === 0
              ? 'no wool yet'
              : `${estimate.total.unknownCount > 0 ? 'at least' : '≈'} ${showGrams(estimate.total.likelyG)}`}
          </b>
          <span className="quiet small">
            {estimate.total.unknownCount > 0 || estimate.uses.length === 0
              ? 'one make'
              : showRange(estimate.total)}
          </span>
        </span>
        <span className={styles.fact}>
          <b>{isWoolOnly(document) ? 'no steps' : showKnownMinutes(stepTotals(document).minutes)}</b>
          <span className="quiet small">
            {isWoolOnly(document) ? (estimate.uses.length > 0 ? 'wool only' : 'yet') : 'at your pace'}
          </span>
        </span>
        <span className={styles.fact}>
          <b>{revision ? `revision ${revision.number}` : 'draft'}</b>
          {missing.length > 0 ? (
            <span className="red small">{counted(missing.length, 'thing')} unknown</span>
          ) : (
            <span className="quiet small">{isWoolOnly(document) ? 'wool only' : 'complete'}</span>
          )}
        </span>
      </Link>
    </li>
  );
}

function BeginPattern({ isAsked }: { isAsked: boolean }) {
  const navigate = useNavigate();
  const [title, setTitle] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  const begin = async () => {
    if (title.trim() === '') {
      setProblem('Name the figure first.');
      return;
    }
    try {
      const made = await perform(createPattern(blankPattern(title.trim())));
      await navigate(`/patterns/${made.id}`);
    } catch (error) {
      setProblem(errorWords(error));
    }
  };
  return (
    <form
      className={styles.begin}
      onSubmit={(event) => {
        event.preventDefault();
        void begin();
      }}
    >
      <Field label="A new figure" problem={problem}>
        {(control) => (
          <Input
            {...control}
            autoFocus={isAsked}
            value={title}
            maxLength={120}
            placeholder="Pear with two leaves"
            onChange={(event) => {
              setTitle(event.target.value);
              setProblem(null);
            }}
          />
        )}
      </Field>
      <Button type="primary" htmlType="submit">
        Begin
      </Button>
    </form>
  );
}
