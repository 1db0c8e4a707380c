import { defaultBuild } from '@lanakit/core/build';
import { estimatePattern, type Wool } from '@lanakit/core/engine';
import { ladderOf } from '@lanakit/core/needles';
import { stepTotals, type Pattern } from '@lanakit/core/pattern';
import type { Needle } from '@lanakit/core/shelf';
import { SCHOOL_WORDS } from '@lanakit/core/words';
import { Button } from 'antd';
import { useMemo } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { ApiProblem } from '../../api/client.ts';
import { useDocumentOf, useNeedles, useWool } from '../../api/queries.ts';
import sheets from '../../ui/Sheets.module.css';
import { Loading } from '../../shell/Loading.tsx';
import { NotFound } from '../../shell/NotFound.tsx';
import { counted, showPace } from '../../words/show.ts';
import { LadderChart } from './LadderChart.tsx';
import { LadderNotes } from './LadderNotes.tsx';
import styles from './NeedlesPaper.module.css';
import { NeedleCard } from './NeedleCard.tsx';

/** The ladder and the card as they lie on paper: of the draft, or of a revision (`?revision=ID`). */
export function NeedlesPaper() {
  const { id = '' } = useParams();
  const [params] = useSearchParams();
  const found = useDocumentOf(id, params.get('revision'));
  const shelf = useWool();
  const needles = useNeedles();
  const error = found.error ?? shelf.error ?? needles.error;
  if (error instanceof ApiProblem && error.problem.status === 404) return <NotFound />;
  const { document } = found;
  if (!document || !shelf.isReady || !needles.data) return <Loading error={error} />;
  return <Paper id={id} document={document} wool={shelf.wool} needles={needles.data.items} />;
}

interface PaperProps {
  id: string;
  document: Pattern;
  wool: Wool;
  needles: readonly Needle[];
}

function Paper({ id, document, wool, needles }: PaperProps) {
  const build = useMemo(() => defaultBuild(document), [document]);
  const estimate = useMemo(() => estimatePattern(build, wool), [build, wool]);
  const ladder = useMemo(() => ladderOf(build, estimate, wool, needles), [build, estimate, wool, needles]);
  return (
    <main className={sheets.desk}>
      <div className={`${sheets.tools} ${styles.wide} no-print`}>
        <Link to={`/patterns/${id}`}>← back to writing</Link>
        <span className="quiet small">A4 or Letter, across; black and white will do</span>
        <Button type="primary" onClick={() => window.print()}>
          Print
        </Button>
      </div>
      <article className={`${sheets.paper} ${styles.wide} ${styles.paper}`}>
        <header className={sheets.paperHead}>
          <h1>{build.title}: needles</h1>
          <p>
            {SCHOOL_WORDS[build.school.kind]} · {counted(ladder.path.changes.length, 'change')} ·{' '}
            {showPace(build, stepTotals(build).minutes)}
          </p>
        </header>
        <section className={styles.ladder} aria-label="Ladder">
          {ladder.rungs.length > 0 && (
            <LadderChart ladder={ladder} numbered={build} currentId={null} onRead={NOTHING} />
          )}
        </section>
        <NeedleCard ladder={ladder} />
        <LadderNotes ladder={ladder} build={build} numbered={build} />
        <footer className={sheets.paperFoot}>
          Change by the feel of the wool, not by the clock. Out by the same line as in: a bent needle snaps.
          Barbed needles are sharp and break: look at the work, pad beneath it, fingers curled. A needle in
          skin, or a tip left in: medical help.
        </footer>
      </article>
    </main>
  );
}

const NOTHING = () => undefined;
