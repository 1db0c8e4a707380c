import { RUN_STATE_WORDS } from '@lanakit/core/words';
import { Button } from 'antd';
import { Link } from 'react-router';
import { useSession } from '../../api/queries.ts';
import { MissingList } from '../MissingList.tsx';
import { useMoveRun } from '../useMoveRun.ts';
import styles from './Class.module.css';
import type { Teaching } from './teaching.ts';

/** The run is done: what it took stands beside what was planned, for the makes to come. */
export function CloseClass({ teaching: { run } }: { teaching: Teaching }) {
  const { data: session } = useSession();
  const { missing, go } = useMoveRun(run, {
    version: () => run.version,
    words: () => `${run.name} is closed.`,
  });
  if (session?.role === 'helper')
    return <p className="sheet quiet">The owner of the studio closes the class.</p>;
  return (
    <section className={`sheet ${styles.side}`} aria-label="Close the class">
      {run.state === 'done' ? (
        <p>This class is closed. What it took, its minutes and what was noted stay with it.</p>
      ) : run.state === 'packed' ? (
        <Button size="large" type="primary" onClick={() => void go('done', false)}>
          Close the class
        </Button>
      ) : (
        <p>
          It is {RUN_STATE_WORDS[run.state]}. A class is closed when it is packed:{' '}
          <Link to={`/runs/${run.id}`}>say so on its page</Link>.
        </p>
      )}
      {missing && (
        <MissingList heading="Before it is closed:" missing={missing}>
          <Button size="large" onClick={() => void go('done', true)}>
            Close it anyway
          </Button>
        </MissingList>
      )}
    </section>
  );
}
