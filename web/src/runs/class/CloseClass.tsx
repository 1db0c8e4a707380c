import { RUN_STATE_WORDS } from '@lanakit/core/words';
import { Button } from 'antd';
import { useState } from 'react';
import { Link } from 'react-router';
import { perform } from '../../api/mutations/mutation.ts';
import { moveRun } from '../../api/mutations/runs.ts';
import { useSession } from '../../api/queries.ts';
import { useAttempt } from '../../shell/useAttempt.ts';
import styles from './Class.module.css';
import type { Teaching } from './teaching.ts';

/** The run is done: what it took stands beside what was planned, for the makes to come. */
export function CloseClass({ teaching: { run } }: { teaching: Teaching }) {
  const attempt = useAttempt();
  const { data: session } = useSession();
  const [missing, setMissing] = useState<readonly string[] | null>(null);
  const close = (anyway: boolean) =>
    attempt(
      async () => {
        await perform(moveRun(run.id, run.version, 'done', anyway), () => setMissing(null));
        return { text: `${run.name} is closed.` };
      },
      ({ problem }) => {
        if (problem.code !== 'content_invalid' || anyway) return false;
        setMissing((problem.errors ?? []).map(({ message }) => message));
        return true;
      },
    );
  if (session?.role === 'helper')
    return <p className="sheet quiet">The owner of the studio closes the class.</p>;
  return (
    <section className={`sheet ${styles.side}`} aria-label="Close the class">
      {run.state === 'done' ? (
        <p>This class is closed. What it took, its minutes and what was noted stay with it.</p>
      ) : run.state === 'packed' ? (
        <Button size="large" type="primary" onClick={() => void close(false)}>
          Close the class
        </Button>
      ) : (
        <p>
          It is {RUN_STATE_WORDS[run.state]}. A class is closed when it is packed:{' '}
          <Link to={`/runs/${run.id}`}>say so on its page</Link>.
        </p>
      )}
      {missing && (
        <div role="alert">
          <b>Before it is closed:</b>
          <ul>
            {missing.map((words) => (
              <li key={words}>{words}</li>
            ))}
          </ul>
          <Button size="large" onClick={() => void close(true)}>
            Close it anyway
          </Button>
        </div>
      )}
    </section>
  );
}
