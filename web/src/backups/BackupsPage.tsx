import { apiPath } from '../api/studio.ts';
import type { BackupName, Keeping } from '@lanakit/core/api';
import { Button } from 'antd';
import { useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { backUpNow } from '../api/mutations/keeping.ts';
import { perform } from '../api/mutations/mutation.ts';
import { useKeeping } from '../api/queries.ts';
import { Loading } from '../shell/Loading.tsx';
import { useAttempt } from '../shell/useAttempt.ts';
import { keepingLines, REASONS, showMoment, showSize } from '../words/keepingWords.ts';
import styles from './BackupsPage.module.css';
import { InsideBackup } from './InsideBackup.tsx';
import { SecondPlace } from './SecondPlace.tsx';

/** What there is to go back to, and what going back would do. */
export function BackupsPage() {
  const { data, error } = useKeeping();
  const [params, setParams] = useSearchParams();
  if (!data) return <Loading error={error} />;
  const chosen = data.backups.find(({ name }) => name === params.get('in')) ?? null;
  return (
    <main className={styles.page}>
      <section className={`sheet ${styles.list}`} aria-label="Backups">
        <Heading keeping={data} />
        <ul className={styles.backups}>
          {data.backups.map((backup) => (
            <BackupLine
              key={backup.name}
              backup={backup}
              isChosen={backup === chosen}
              onChoose={() => setParams({ in: backup.name }, { replace: true })}
            />
          ))}
        </ul>
        <div className={styles.foot}>
          <p>
            Only deleted something? It lies in the <Link to="/bin">bin</Link>.
          </p>
          <SecondPlace keeping={data} />
          <p className="quiet small">
            They lie in {data.folder}. One is made each day on which something changed, and before everything
            that replaces much; of old ones a day’s, a week’s, a month’s last is kept.
          </p>
          <OpenFiles />
        </div>
      </section>
      {chosen ? (
        <InsideBackup key={chosen.name} backup={chosen} />
      ) : (
        <aside className={`sheet ${styles.inside} ${styles.none}`}>
          <p className="quiet">
            {data.backups.length === 0
              ? 'There is nothing to go back to yet.'
              : 'Choose one to see what is in it, and what would be lost by going back to it.'}
          </p>
        </aside>
      )}
    </main>
  );
}

/** What outlives Lanakit, and goes to another machine. */
function OpenFiles() {
  return (
    <section aria-label="Open files">
      <h2 className={styles.footTitle}>Open files</h2>
      <p className="quiet small">
        Everything as JSON, CSV and pictures in one ZIP: to keep where no Lanakit is, or to go on with on
        another machine. Names of learners and prices are in it.
      </p>
      <p className={`${styles.openFiles} above-2`}>
        <Button size="small" href={apiPath('/studio-file')} download>
          Save the whole studio as open files
        </Button>
        <Link to="/backups/bring-in">Bring a studio in</Link>
      </p>
    </section>
  );
}

function Heading({ keeping }: { keeping: Keeping }) {
  const attempt = useAttempt();
  const [isMaking, setMaking] = useState(false);
  const backUp = async () => {
    setMaking(true);
    await attempt(async () => {
      await perform(backUpNow());
      return { text: 'Backed up, and found whole.' };
    });
    setMaking(false);
  };
  return (
    <header className={styles.header}>
      <div>
        <h1>Backups</h1>
        {keepingLines(keeping).map(({ tone, words }) => (
          <p key={words} className={tone}>
            {words}
          </p>
        ))}
      </div>
      <Button type="primary" loading={isMaking} onClick={() => void backUp()}>
        Back up now
      </Button>
    </header>
  );
}

interface BackupLineProps {
  backup: BackupName;
  isChosen: boolean;
  onChoose: () => void;
}

function BackupLine({ backup, isChosen, onChoose }: BackupLineProps) {
  return (
    <li>
      <button
        type="button"
        className={`plain-button ${styles.line} ${isChosen ? styles.chosen : ''}`}
        aria-pressed={isChosen}
        onClick={onChoose}
      >
        <b>{showMoment(backup.at)}</b>
        <span className="quiet">{REASONS[backup.reason]}</span>
        <span className="quiet num">{showSize(backup.sizeBytes)}</span>
      </button>
    </li>
  );
}
