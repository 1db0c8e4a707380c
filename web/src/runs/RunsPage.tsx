import type { RunLine } from '@lanakit/core/api';
import {
  blankRecipe,
  checkRights,
  RUN_DEFAULTS,
  type RunInput,
  type RunKind,
  usualTerms,
  withBoxesCounted,
} from '@lanakit/core/run';
import { RUN_STATE_WORDS } from '@lanakit/core/words';
import { Button, Input, Segmented } from 'antd';
import { nanoid } from 'nanoid';
import { useDeferredValue, useMemo, useState } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { errorWords } from '../api/client.ts';
import { ROWS_A_PAGE, useRevisions, useRevisionsById, useRunsPage } from '../api/queries.ts';
import { LongList } from '../ui/LongList.tsx';
import { Meant } from '../ui/Meant.tsx';
import { firstUnread } from '../ui/fields/firstUnread.ts';
import { LaterWays } from '../ways/LaterWays.tsx';
import { useRole } from '../shell/useRole.ts';
import { Loading, StillLoading } from '../shell/Loading.tsx';
import { counted, showDay, showDaysOff } from '../words/show.ts';
import { RightsNote } from './RightsNote.tsx';
import { RunFields, runProblems } from './RunFields.tsx';
import styles from './RunsPage.module.css';
import { perform } from '../api/mutations/mutation.ts';
import { planRun } from '../api/mutations/runs.ts';
import { useAttempt } from '../shell/useAttempt.ts';

/** Classes ahead and behind, and planning the next. */
export function RunsPage() {
  const [search, setSearch] = useState('');
  // What is typed is shown at once; what is found of it a moment later.
  const asked = useDeferredValue(search);
  const ahead = useRunsPage('ahead', asked, 0);
  const behind = useRunsPage('behind', asked, 0);
  const [params, setParams] = useSearchParams();
  const isOwner = useRole().role === 'owner';
  if (!ahead.data || !behind.data) return <Loading error={ahead.error ?? behind.error} />;
  const { today } = ahead.data;
  const isEmpty = ahead.data.total + behind.data.total === 0 && search === '';
  const isPlanning = isOwner && (params.has('plan') || isEmpty);
  return (
    <main className={styles.page}>
      <section className={`sheet ${styles.list}`} aria-label="Runs">
        <header className={styles.header}>
          <div>
            <h1>Runs</h1>
            <p className="quiet">{counted(ahead.data.total, 'run')} ahead</p>
          </div>
          {(ahead.data.total + behind.data.total > FEW || search !== '') && (
            <Input
              className={styles.find ?? ''}
              aria-label="Find a run"
              placeholder="Find a run"
              allowClear
              value={search}
              maxLength={120}
              onChange={(event) => setSearch(event.target.value)}
            />
          )}
          {!isPlanning && isOwner && (
            <Button type="primary" onClick={() => setParams({ plan: '' }, { replace: true })}>
              Plan a class or kits
            </Button>
          )}
        </header>
        {isEmpty && !isOwner && <p className={styles.empty}>No run is planned yet.</p>}
        {isEmpty && isOwner && (
          <div className={styles.empty}>
            <p>
              A class or a batch of kits is planned from published patterns: who comes or what goes into a
              box, what to weigh for each, what is short.
            </p>
            <LaterWays ways={['short', 'name-it', 'tour', 'demo']} />
          </div>
        )}
        {!isEmpty && ahead.data.total + behind.data.total === 0 && (
          <p className={styles.empty}>
            No run is called so.
            <Meant search={asked} onMeant={setSearch} />
          </p>
        )}
        <Runs when="ahead" search={asked} total={ahead.data.total} today={today} />
        {behind.data.total > 0 && (
          <h2 className={styles.past}>
            Been <span className="quiet small">{behind.data.total}</span>
          </h2>
        )}
        <Runs when="behind" search={asked} total={behind.data.total} today={today} />
      </section>
      {isPlanning && (
        <aside className={`sheet ${styles.plan}`} aria-label="Plan a run">
          <PlanClass />
        </aside>
      )}
    </main>
  );
}

/** Of a line with its day. */
const ROW_PX = 70;
/** Fewer are all in sight: there is nothing to find. */
const FEW = 8;

interface RunsProps {
  when: 'ahead' | 'behind';
  search: string;
  total: number;
  today: string;
}

function Runs({ when, search, total, today }: RunsProps) {
  return (
    <LongList total={total} rowsAPage={ROWS_A_PAGE} rowPx={ROW_PX}>
      {(page) => <RunsOfPage when={when} search={search} page={page} today={today} />}
    </LongList>
  );
}

function RunsOfPage({ when, search, page, today }: Omit<RunsProps, 'total'> & { page: number }) {
  const { data, error } = useRunsPage(when, search, page);
  if (error) return <p className={`red ${styles.empty}`}>{errorWords(error)}</p>;
  return (
    <ul className={styles.runs}>
      {data?.items.map((run) => (
        <RunLineItem key={run.id} run={run} today={today} />
      ))}
    </ul>
  );
}

function RunLineItem({ run, today }: { run: RunLine; today: string }) {
  return (
    <li>
      <Link to={`/runs/${run.id}`} className={styles.line}>
        <span className={styles.day}>
          <b>{showDay(run.date)}</b>
          <span className="quiet small">{showDaysOff(run.date, today)}</span>
        </span>
        <span className={styles.main}>
          <span className={styles.name}>{run.name}</span>
          <span className="quiet">
            {run.titles.length > 1
              ? run.titles.join(', ')
              : `${run.titles[0] ?? ''}, revision ${run.revisionNumber}`}
          </span>
        </span>
        <span className={styles.seats}>
          <b>{sizeWords(run)}</b>
          <span className="quiet small">{RUN_STATE_WORDS[run.state]}</span>
        </span>
      </Link>
    </li>
  );
}

const sizeWords = ({ kind, seats }: RunLine): string =>
  kind === 'kits' ? counted(seats, 'box', 'boxes') : counted(seats, 'seat');

/** Asked for what can be planned first: with nothing published there is nothing to fill in. */
function PlanClass() {
  const { data, error } = useRevisions();
  if (!data) return <StillLoading error={error} />;
  const [first] = data.items;
  if (!first)
    return (
      <>
        <h2>Plan a class</h2>
        <p className="quiet above-2">
          A class needs a published pattern, so that nothing changes under it.{' '}
          <Link to="/patterns">Publish one first</Link>.
        </p>
      </>
    );
  return <PlanForm first={first.id} />;
}

function PlanForm({ first }: { first: string }) {
  const navigate = useNavigate();
  const attempt = useAttempt();
  const [params] = useSearchParams();
  const [input, setInput] = useState<RunInput>({
    ...RUN_DEFAULTS,
    ...usualTerms('class'),
    name: '',
    date: '',
    revisionId: params.get('revision') ?? first,
  });
  const [isAsked, setAsked] = useState(false);
  const { data: chosen } = useRevisionsById([input.revisionId]);
  const designs = useMemo(() => new Map((chosen ?? []).map(({ id, document }) => [id, document])), [chosen]);
  const isRightsOpen = checkRights(input, designs).length > 0;
  const problemAt = runProblems(withBoxesCounted(input), isAsked);
  const plan = async () => {
    if (problemAt.hasAny || isRightsOpen) return;
    await attempt(async () => {
      const run = await perform(planRun(withBoxesCounted(input)));
      await navigate(`/runs/${run.id}`);
      return undefined;
    });
  };
  return (
    <form
      className={styles.form}
      onSubmit={(event) => {
        event.preventDefault();
        const unread = firstUnread(event.currentTarget);
        unread?.focus();
        setAsked(true);
        if (!unread) void plan();
      }}
    >
      <h2>{input.kind === 'kits' ? 'Plan a batch of kits' : 'Plan a class'}</h2>
      <Segmented<RunKind>
        aria-label="What kind of run"
        value={input.kind}
        options={[
          { value: 'class', label: 'A class' },
          { value: 'kits', label: 'Kits' },
        ]}
        onChange={(kind) =>
          setInput((before) => ({
            ...before,
            kind,
            ...usualTerms(kind),
            recipes: kind === 'kits' ? [{ ...blankRecipe(nanoid(8), before.revisionId), name: 'Box' }] : [],
          }))
        }
      />
      {input.kind === 'kits' && (
        <p className="quiet small">
          It begins with six boxes of {designs.get(input.revisionId)?.title ?? 'one design'}; what goes into
          each is said on the next page.
        </p>
      )}
      <RightsNote
        input={input}
        designs={designs}
        onChange={(change) => setInput((before) => ({ ...before, ...change }))}
      />
      <RunFields
        input={input}
        problemAt={problemAt.at}
        autoFocus
        onChange={(change) => setInput((before) => ({ ...before, ...change }))}
      />
      <Button type="primary" htmlType="submit">
        Plan it
      </Button>
    </form>
  );
}
