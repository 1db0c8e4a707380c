import type { NamedRun } from '@lanakit/core/api';
import { fractionOf, percentBounds, percentOf } from '@lanakit/core/base';
import { type Skill, SKILLS } from '@lanakit/core/needles';
import { RUN_BOUNDS } from '@lanakit/core/run';
import { SKILL_WORDS } from '@lanakit/core/words';
import { Button } from 'antd';
import { Link, useParams } from 'react-router';
import { ApiProblem } from '../api/client.ts';
import { useRun } from '../api/queries.ts';
import { SaveMark } from '../draft/SaveMark.tsx';
import { Choice } from '../ui/fields/Choice.tsx';
import { NumberField } from '../ui/fields/NumberField.tsx';
import { Loading } from '../shell/Loading.tsx';
import { NotFound } from '../shell/NotFound.tsx';
import { InTopBar } from '../shell/TopSlot.tsx';
import { counted, showDay } from '../words/show.ts';
import { KitSheet } from './KitSheet.tsx';
import styles from './Needles.module.css';
import { RunConflict } from './RunConflict.tsx';
import { runProblems } from './RunFields.tsx';
import sheets from '../ui/Sheets.module.css';
import { useRunDraft } from './useRunDraft.ts';
import { useRunKit } from './useRunKit.ts';

const RISK_PERCENT = percentBounds(RUN_BOUNDS.needleRiskFraction);

/** Needles of a class: what lies at each seat, on each table and in the room, and what is to buy. */
export function NeedlesPage() {
  const { id = '' } = useParams();
  const { data, error } = useRun(id);
  if (error instanceof ApiProblem && error.problem.status === 404) return <NotFound />;
  if (!data) return <Loading error={error} />;
  return <NeedlesOfRun key={id} run={data} />;
}

function NeedlesOfRun({ run }: { run: NamedRun }) {
  const draft = useRunDraft(run);
  const { input } = draft;
  const { kitOfRun: classKit, error } = useRunKit(run.id, input);
  const { at } = runProblems(input, true);
  if (!classKit) return <Loading error={error} />;
  return (
    <main className={sheets.desk}>
      <InTopBar>
        <SaveMark state={draft.saveState} />
      </InTopBar>
      <div className={`${sheets.tools} ${styles.settings} no-print`}>
        <Link to={`/runs/${run.id}`}>← {input.name}</Link>
        <NumberField
          label="Seats at a table"
          value={input.seatsPerTable}
          bounds={RUN_BOUNDS.seatsPerTable}
          isWhole
          problem={at('/seatsPerTable')}
          onValue={(seatsPerTable) => draft.change({ seatsPerTable })}
        />
        <Choice<Skill>
          label="Who comes"
          value={input.skill}
          words={SKILL_WORDS}
          among={SKILLS}
          onChoose={(skill) => skill && draft.change({ skill })}
        />
        <NumberField
          label="Chance of running out"
          value={percentOf(input.needleRiskFraction)}
          bounds={RISK_PERCENT}
          suffix="%"
          problem={at('/needleRiskFraction')}
          onValue={(percent) => draft.change({ needleRiskFraction: fractionOf(percent) })}
        />
        <Link to={`/runs/${run.id}/tray`} className={styles.toTray}>
          Count them out and in
        </Link>
        <Button type="primary" onClick={() => window.print()}>
          Print
        </Button>
      </div>
      <article className={sheets.paper}>
        <header className={sheets.paperHead}>
          <h1>Needles</h1>
          <p>
            <b>{input.name}</b>, {showDay(input.date)}: {counted(classKit.kit.people, 'seat')} at{' '}
            {counted(classKit.kit.tables, 'table')}
            <br />
            {classKit.builds[0]?.build.title}; {SKILL_WORDS[input.skill]}
          </p>
        </header>
        <KitSheet {...classKit} input={input} />
        <footer className={sheets.paperFoot}>
          Barbed needles are sharp and break: look at the work, pad beneath it. Count them out, and count them
          back in. A needle in skin, or a tip left in: medical help.
        </footer>
      </article>
      <RunConflict draft={draft} />
    </main>
  );
}
