import type { PageOf, PatternLine } from '@lanakit/core/api';
import { showTypedLength } from '@lanakit/core/base';
import { blankPattern } from '@lanakit/core/pattern';
import { seriesWords } from '@lanakit/core/words';
import { Button, Input, Select } from 'antd';
import { useDeferredValue, useState } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { errorWords } from '../api/client.ts';
import { perform } from '../api/mutations/mutation.ts';
import { createPattern } from '../api/mutations/patterns.ts';
import { type PatternsShown, ROWS_A_PAGE, usePatternsPage } from '../api/queries.ts';
import { FigureStrip } from '../figure/FigureStrip.tsx';
import { LaterWays } from '../ways/LaterWays.tsx';
import { Loading } from '../shell/Loading.tsx';
import { Field } from '../ui/fields/Field.tsx';
import { LongList } from '../ui/LongList.tsx';
import { Meant } from '../ui/Meant.tsx';
import { counted, LEVEL_WORDS, showGrams, showKnownMinutes, showRange } from '../words/show.ts';
import styles from './PatternsPage.module.css';

const ORDER_WORDS: Readonly<Record<PatternsShown['order'], string>> = {
  changed: 'the last changed first',
  title: 'by title',
};

/** Every figure, to know by its pieces. */
export function PatternsPage() {
  const [params] = useSearchParams();
  const [shown, setShown] = useState<PatternsShown>({
    search: '',
    order: 'changed',
    isArchive: false,
    isUnknownOnly: params.has('unknown'),
  });
  // What is typed is shown at once; what is found of it a moment later.
  const asked = useDeferredValue(shown);
  const { data: first, error } = usePatternsPage(asked, 0);
  if (!first) return <Loading error={error} />;
  const isAll = shown.search === '' && !shown.isUnknownOnly && !shown.isArchive;
  const isEmpty = first.total === 0 && isAll;
  return (
    <main className={`sheet ${styles.page}`}>
      <header className={styles.header}>
        <div>
          <h1>Patterns</h1>
          <p className="quiet">{countWords(first.total, shown)}</p>
          <p className={styles.ways}>
            <button
              type="button"
              className="plain-button"
              onClick={() => setShown({ ...shown, isArchive: !shown.isArchive })}
            >
              {shown.isArchive ? 'Show those in use' : 'Show those put away'}
            </button>
            <Link to="/techniques">Techniques</Link>
            <Link to="/begin">Begin from a body</Link>
            <Link to="/bring-in">Bring in a pattern</Link>
          </p>
        </div>
        <BeginPattern isAsked={params.has('begin') || isEmpty} />
      </header>
      {(first.total > FEW || !isAll) && (
        <Narrow shown={shown} onShow={(more) => setShown({ ...shown, ...more })} />
      )}
      {isEmpty && (
        <div className={styles.empty}>
          <p>
            A pattern is a figure taken apart: its parts with their shapes, sizes and wool, and the steps that
            make it. Name one above to begin; the wool is worked out as you write. Or begin from a body of
            ours:
          </p>
          <LaterWays ways={['bodies', 'paste', 'tour', 'demo']} />
        </div>
      )}
      {first.total === 0 && !isEmpty && (
        <p className={styles.empty}>
          No figure is called so here.
          <Meant search={asked.search} onMeant={(search) => setShown({ ...shown, search })} />
        </p>
      )}
      <LongList total={first.total} rowsAPage={ROWS_A_PAGE} rowPx={ROW_PX}>
        {(page) => <PatternsOfPage shown={asked} page={page} />}
      </LongList>
    </main>
  );
}

/** Of a line with its figure. */
const ROW_PX = 109;
/** Fewer are all in sight: there is nothing to find. */
const FEW = 8;

function countWords(count: number, { order, isArchive, isUnknownOnly, search }: PatternsShown): string {
  const figures = count === 0 ? 'none' : counted(count, 'figure');
  const which = [
    ...(search === '' ? [] : ['called so']),
    ...(isUnknownOnly ? ['with something unknown'] : []),
    ...(isArchive ? ['put away'] : []),
  ].join(', ');
  if (count === 0 && which === '') return 'none yet';
  return [`${figures}${which && ` ${which}`}`, ...(count > 1 ? [ORDER_WORDS[order]] : [])].join(', ');
}

interface NarrowProps {
  shown: PatternsShown;
  onShow: (more: Partial<PatternsShown>) => void;
}

/** Which of them, and in what order. */
function Narrow({ shown, onShow }: NarrowProps) {
  return (
    <div className={styles.narrow} role="search" aria-label="Patterns">
      <Input
        aria-label="Find a figure"
        placeholder="Find a figure"
        allowClear
        value={shown.search}
        maxLength={120}
        onChange={(event) => onShow({ search: event.target.value })}
      />
      <Select<PatternsShown['order']>
        aria-label="In what order"
        value={shown.order}
        options={[
          { value: 'changed', label: 'the last changed first' },
          { value: 'title', label: 'by title' },
        ]}
        onChange={(order) => onShow({ order })}
      />
      <Select<'all' | 'unknown'>
        aria-label="Which of them"
        value={shown.isUnknownOnly ? 'unknown' : 'all'}
        options={[
          { value: 'all', label: 'all of them' },
          { value: 'unknown', label: 'with something unknown' },
        ]}
        onChange={(which) => onShow({ isUnknownOnly: which === 'unknown' })}
      />
    </div>
  );
}

function PatternsOfPage({ shown, page }: { shown: PatternsShown; page: number }) {
  const { data, error } = usePatternsPage(shown, page);
  if (error) return <p className={`red ${styles.empty}`}>{errorWords(error)}</p>;
  return <ul className={styles.list}>{data && <Lines lines={data} />}</ul>;
}

function Lines({ lines }: { lines: PageOf<PatternLine> }) {
  return lines.items.map((line) => <Line key={line.id} line={line} />);
}

function Line({ line }: { line: PatternLine }) {
  const { total, unknownCount } = line;
  const isPartly = total.unknownCount > 0;
  return (
    <li>
      <Link to={`/patterns/${line.id}`} className={styles.line}>
        <FigureStrip figure={line.figure} width={216} height={88} />
        <span className={styles.main}>
          <span className={styles.title}>{line.title}</span>
          <span className="quiet">
            {line.series && `${seriesWords(line.series)} · `}
            {LEVEL_WORDS[line.level]}
            {line.finishedHeight && ` · ${showTypedLength(line.finishedHeight)} high`} ·{' '}
            {counted(line.parts, 'part')}, {counted(line.steps, 'step')}
          </span>
        </span>
        <span className={styles.fact}>
          <b>
            {line.takesWool ? `${isPartly ? 'at least' : '≈'} ${showGrams(total.likelyG)}` : 'no wool yet'}
          </b>
          <span className="quiet small">{isPartly || !line.takesWool ? 'one make' : showRange(total)}</span>
        </span>
        <span className={styles.fact}>
          <b>{line.isWoolOnly ? 'no steps' : showKnownMinutes(line.minutes)}</b>
          <span className="quiet small">
            {line.isWoolOnly ? (line.takesWool ? 'wool only' : 'yet') : 'at your pace'}
          </span>
        </span>
        <span className={styles.fact}>
          <b>{line.revisionNumber === null ? 'draft' : `revision ${line.revisionNumber}`}</b>
          {unknownCount > 0 ? (
            <span className="red small">{counted(unknownCount, 'thing')} unknown</span>
          ) : (
            <span className="quiet small">{line.isWoolOnly ? 'wool only' : 'complete'}</span>
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
