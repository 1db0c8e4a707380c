import type { NamedRun } from '@lanakit/core/api';
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
import { Button, Segmented } from 'antd';
import { nanoid } from 'nanoid';
import { useMemo, useState } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { useRevisions, useRevisionsById, useRuns, type RevisionName } from '../api/queries.ts';
import { firstUnread } from '../ui/fields/firstUnread.ts';
import { Loading } from '../shell/Loading.tsx';
import { counted, showDay, showDaysOff } from '../words/show.ts';
import { RightsNote } from './RightsNote.tsx';
import { RunFields, runProblems } from './RunFields.tsx';
import styles from './RunsPage.module.css';
import { perform } from '../api/mutations/mutation.ts';
import { planRun } from '../api/mutations/runs.ts';
import { useAttempt } from '../shell/useAttempt.ts';

/** Classes ahead and behind, and planning the next. */
export function RunsPage() {
  const { data, error } = useRuns();
  const { data: revisions, error: revisionsError } = useRevisions();
  const [params, setParams] = useSearchParams();
  if (!data || !revisions) return <Loading error={error ?? revisionsError} />;
  const ahead = data.items.filter((run) => run.date >= data.today);
  const past = data.items.filter((run) => run.date < data.today).reverse();
  const isPlanning = params.has('plan') || data.items.length === 0;
  return (
    <main className={styles.page}>
      <section className={`sheet ${styles.list}`} aria-label="Runs">
        <header className={styles.header}>
          <div>
            <h1>Runs</h1>
            <p className="quiet">{counted(ahead.length, 'run')} ahead</p>
          </div>
          {!isPlanning && (
            <Button type="primary" onClick={() => setParams({ plan: '' }, { replace: true })}>
              Plan a class or kits
            </Button>
          )}
        </header>
        {data.items.length === 0 && (
          <p className={styles.empty}>
            A class or a batch of kits is planned from published patterns: who comes or what goes into a box,
            what to weigh for each, what is short.
          </p>
        )}
        <RunList runs={ahead} today={data.today} />
        {past.length > 0 && <h2 className={styles.past}>Been</h2>}
        <RunList runs={past} today={data.today} />
      </section>
      {isPlanning && (
        <aside className={`sheet ${styles.plan}`} aria-label="Plan a run">
          <PlanClass revisions={revisions.items} />
        </aside>
      )}
    </main>
  );
}

function RunList({ runs, today }: { runs: readonly NamedRun[]; today: string }) {
  return (
    <ul className={styles.runs}>
      {runs.map((run) => (
        <li key={run.id}>
          <Link to={`/runs/${run.id}`} className={styles.line}>
            <span className={styles.day}>
              <b>{showDay(run.date)}</b>
              <span className="quiet small">{showDaysOff(run.date, today)}</span>
            </span>
            <span className={styles.main}>
              <span className={styles.name}>{run.name}</span>
              <span className="quiet">
                {run.designs.length > 1
                  ? run.designs.map(({ title }) => title).join(', ')
                  : `${run.patternTitle}, revision ${run.revisionNumber}`}
              </span>
            </span>
            <span className={styles.seats}>
              <b>{sizeWords(run)}</b>
              <span className="quiet small">{RUN_STATE_WORDS[run.state]}</span>
            </span>
          </Link>
        </li>
      ))}
    </ul>
  );
}

const sizeWords = ({ kind, seats }: NamedRun): string =>
  kind === 'kits' ? counted(seats, 'box', 'boxes') : counted(seats, 'seat');

function PlanClass({ revisions }: { revisions: readonly RevisionName[] }) {
  const navigate = useNavigate();
  const attempt = useAttempt();
  const [params] = useSearchParams();
  const [input, setInput] = useState<RunInput>({
    ...RUN_DEFAULTS,
    ...usualTerms('class'),
    name: '',
    date: '',
    revisionId: params.get('revision') ?? revisions[0]?.id ?? '',
  });
  const [isAsked, setAsked] = useState(false);
  const { data: chosen } = useRevisionsById([input.revisionId]);
  const designs = useMemo(() => new Map((chosen ?? []).map(({ id, document }) => [id, document])), [chosen]);
  const isRightsOpen = checkRights(input, designs).length > 0;
  const problemAt = runProblems(withBoxesCounted(input), isAsked);
  if (revisions.length === 0) {
    return (
      <>
        <h2>Plan a class</h2>
        <p className="quiet above-2">
          A class needs a published pattern, so that nothing changes under it.{' '}
          <Link to="/patterns">Publish one first</Link>.
        </p>
      </>
    );
  }
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
          It begins with six boxes of{' '}
          {revisions.find(({ id }) => id === input.revisionId)?.title ?? 'one design'}; what goes into each is
          said on the next page.
        </p>
      )}
      <RightsNote
        input={input}
        designs={designs}
        onChange={(change) => setInput((before) => ({ ...before, ...change }))}
      />
      <RunFields
        input={input}
        revisions={revisions}
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
