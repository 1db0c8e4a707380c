import type { OpenedRun } from '@lanakit/core/api';
import {
  type ClassPlan,
  checkRun,
  type Designs,
  planMoved,
  revisionsOfRun,
  type RunInput,
} from '@lanakit/core/run';
import type { Learnt } from '@lanakit/core/learning';
import { type NoRoom, pacesOf, roomOf, untimedSteps, withSessions } from '@lanakit/core/timetable';
import { Button } from 'antd';
import { nanoid } from 'nanoid';
import { useMemo, useState } from 'react';
import { Link, useParams } from 'react-router';
import { ApiProblem } from '../../api/client.ts';
import { useLearnt, useRevisionsById, useRun } from '../../api/queries.ts';
import { apiPath } from '../../api/studio.ts';
import { SaveMark } from '../../draft/SaveMark.tsx';
import { useUndoKeys } from '../../draft/useUndoKeys.ts';
import { Loading } from '../../shell/Loading.tsx';
import { NotFound } from '../../shell/NotFound.tsx';
import { InTopBar } from '../../shell/TopSlot.tsx';
import { counted, showDay } from '../../words/show.ts';
import { RunConflict } from '../RunConflict.tsx';
import { runProblems } from '../RunFields.tsx';
import { SheetLink } from '../RunPapers.tsx';
import { type RunDraft, useRunDraft } from '../useRunDraft.ts';
import { designsOf } from '../useRunPlan.ts';
import { DayStrips } from './DayStrips.tsx';
import { Finish } from './Finish.tsx';
import styles from './Day.module.css';
import { Levers } from './Levers.tsx';
import { PlanFields } from './PlanFields.tsx';
import { RowsList } from './RowsList.tsx';
import { SharedList } from './SharedList.tsx';
import { StepsTable } from './StepsTable.tsx';
import { useDay } from './useDay.ts';

/** The day of a class: will it finish, and what would help. */
export function DayPage() {
  const { id = '' } = useParams();
  const { data, error } = useRun(id);
  if (error instanceof ApiProblem && error.problem.status === 404) return <NotFound />;
  if (!data) return <Loading error={error} />;
  return data.kind === 'kits' ? <NotFound /> : <OpenDay key={id} run={data} />;
}

function OpenDay({ run }: { run: OpenedRun }) {
  const draft = useRunDraft(run);
  const ids = useMemo(() => revisionsOfRun(draft.input), [draft.input]);
  const { data, error } = useRevisionsById(ids);
  const designs = useMemo(
    () => (data ? designsOf(new Map(data.map((revision) => [revision.id, revision]))) : null),
    [data],
  );
  useUndoKeys(draft);
  if (!designs || !designs.has(draft.input.revisionId)) return <Loading error={error} />;
  return (
    <main className={styles.page}>
      <InTopBar>
        {draft.undoLabel !== null && (
          <span className="quiet small">Ctrl Z takes back: {draft.undoLabel}</span>
        )}
        <SaveMark state={draft.saveState} />
      </InTopBar>
      <header className={`sheet ${styles.header}`}>
        <h1>
          <Link to={`/runs/${run.id}`}>{draft.input.name || 'Unnamed class'}</Link>
        </h1>
        <div className={styles.headFact}>
          <b>{draft.input.date ? showDay(draft.input.date) : 'No day yet'}</b>
          <span className="quiet small">{counted(draft.input.seats, 'seat')}</span>
        </div>
        <div className={styles.actions}>
          <Button href={apiPath(`/runs/${run.id}/calendar`)} download>
            Calendar
          </Button>
          <SheetLink runId={run.id} draft={draft} sheet="papers/homework">
            Homework sheet
          </SheetLink>
          <SheetLink runId={run.id} draft={draft} sheet="papers/run-sheet" isPrimary>
            Run sheet
          </SheetLink>
        </div>
      </header>
      <Planned
        draft={draft}
        designs={designs}
        patternId={run.patternId}
        kept={run.frozen?.wool.learnt ?? null}
        isKept={run.frozen !== null}
      />
      <RunConflict draft={draft} />
    </main>
  );
}

interface PlannedProps {
  draft: RunDraft;
  designs: Designs;
  patternId: string;
  /** What was learnt when its numbers were written down. */
  kept: Learnt | null;
  /** They are. */
  isKept: boolean;
}

/** Nobody has said when it is: that comes first, as it would be proposed. */
function Planned({ draft, designs, ...rest }: PlannedProps) {
  const { input } = draft;
  const pattern = designs.get(input.revisionId);
  if (input.plan.sessions.length === 0 && pattern) {
    const begin = () => draft.change({ plan: withSessions(input, pattern, () => nanoid(8)).plan });
    return (
      <section className={`sheet ${styles.nothing}`}>
        <h2>When is it, and how long?</h2>
        <p>
          Say when the class begins and when the room has to be left. From the minutes of the pattern’s steps,
          from who comes and how practised they are, the day is then gone through two thousand times: who is
          where when, who waits for what, whether everybody finishes, and what would help.
        </p>
        <Button type="primary" onClick={begin}>
          Begin with {counted(Math.max(1, pattern.sessions.length), 'sitting')}
        </Button>
      </section>
    );
  }
  return <Timed draft={draft} designs={designs} {...rest} />;
}

const NO_ROOM_WORDS: Readonly<Record<NoRoom, string>> = {
  'no-sessions': 'No day and time of a sitting can be read. Mend what is marked below.',
  'no-people': 'Nobody comes. Say how many seats there are.',
  'no-minutes':
    'No step of what they make says how long it takes: nobody can tell how the day goes. Say minutes at your pace in the pattern, publish it, and take that revision here.',
  'no-steps': 'Nothing is left to do in the class: no step of it is done here, or the pattern has none.',
};

function Timed({ draft, designs, patternId, kept, isKept }: PlannedProps) {
  const { input } = draft;
  // While a hand drags, the day is gone through with what is under the hand and not with what is kept.
  const [dragged, setDragged] = useState<ClassPlan | null>(null);
  const shown = useMemo((): RunInput => (dragged ? { ...input, plan: dragged } : input), [input, dragged]);
  const isWrong = checkRun({ ...input, name: input.name || '-' }).length > 0;
  const { data: learnt } = useLearnt();
  const paces = useMemo(() => pacesOf(isKept ? kept : (learnt?.learnt ?? null)), [learnt, kept, isKept]);
  const room = useMemo(
    () => (isWrong ? null : roomOf(designs, shown, paces)),
    [designs, shown, paces, isWrong],
  );
  const { told, stop } = useDay(shown, designs, paces, dragged !== null);
  const { at } = runProblems(input, true);
  const setPlan = (change: Partial<ClassPlan>) => draft.change({ plan: { ...input.plan, ...change } });
  return (
    <>
      {room === null || typeof room === 'string' ? (
        <section className={`sheet ${styles.nothing}`}>
          <p className="red">
            {room === null ? 'Mend what is marked below; the day follows.' : NO_ROOM_WORDS[room]}
          </p>
          {room === 'no-minutes' && <Link to={`/patterns/${patternId}`}>Say minutes in the pattern</Link>}
        </section>
      ) : (
        <>
          <DayStrips
            room={room}
            designs={designs}
            plan={shown.plan}
            bagging={input.bagging}
            told={told}
            onDrag={setDragged}
            onDrop={(plan) => {
              setDragged(null);
              draft.change({ plan });
            }}
          />
          <div className={styles.pair}>
            <Finish
              room={room}
              told={told}
              plan={input.plan}
              onStop={stop}
              onWant={(wantedChance) => setPlan({ wantedChance })}
            />
            <Levers
              input={input}
              designs={designs}
              told={told}
              isAtBest={untimedSteps(room) > 0}
              onTake={draft.change}
            />
          </div>
        </>
      )}
      <div className={styles.pair}>
        <div className={styles.column}>
          <PlanFields
            input={input}
            room={typeof room === 'string' ? null : room}
            onPlan={setPlan}
            onDate={(date) => draft.change({ date, plan: planMoved(input.plan, input.date, date) })}
            problemAt={at}
          />
          <SharedList
            input={input}
            designs={designs}
            room={typeof room === 'string' ? null : room}
            onPlan={setPlan}
            problemAt={at}
          />
        </div>
        <RowsList input={input} designs={designs} told={told} onPlan={setPlan} problemAt={at} />
      </div>
      {room !== null && typeof room !== 'string' && (
        <StepsTable room={room} told={told} input={input} designs={designs} onPlan={setPlan} />
      )}
    </>
  );
}
