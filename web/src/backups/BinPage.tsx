import type { BinnedThing } from '@lanakit/core/api';
import { Button } from 'antd';
import { useState } from 'react';
import { Link } from 'react-router';
import { bringBack } from '../api/mutations/keeping.ts';
import { perform } from '../api/mutations/mutation.ts';
import { useBin } from '../api/queries.ts';
import { Loading } from '../shell/Loading.tsx';
import { useAttempt } from '../shell/useAttempt.ts';
import { kindWords, showMoment } from '../words/keepingWords.ts';
import styles from './BackupsPage.module.css';

/** What was deleted, and can be had back at a press. */
export function BinPage() {
  const { data, error } = useBin();
  if (!data) return <Loading error={error} />;
  return (
    <main className={styles.page}>
      <section className={`sheet ${styles.list}`} aria-label="Bin">
        <header className={styles.header}>
          <div>
            <h1>Bin</h1>
            <p className="quiet">
              What was deleted in the last ninety days. What is older, or was changed since, is in{' '}
              <Link to="/backups">backups</Link>.
            </p>
          </div>
        </header>
        {data.items.length === 0 && <p className={`quiet ${styles.foot}`}>Nothing was deleted.</p>}
        <ul className={styles.backups}>
          {data.items.map((thing) => (
            <BinLine key={`${thing.kind} ${thing.id}`} thing={thing} />
          ))}
        </ul>
      </section>
    </main>
  );
}

function BinLine({ thing }: { thing: BinnedThing }) {
  const attempt = useAttempt();
  const [isBusy, setBusy] = useState(false);
  const name = thing.name || 'without a name';
  const bring = async () => {
    setBusy(true);
    await attempt(async () => {
      await perform(bringBack(thing));
      return { text: `${name} is back.` };
    });
    setBusy(false);
  };
  return (
    <li className={styles.binned}>
      <span className="quiet">{showMoment(thing.deletedAt)}</span>
      <b>{name}</b>
      <span className="quiet small">{kindWords(thing.kind)}</span>
      <Button
        size="small"
        loading={isBusy}
        aria-label={`Bring it back: ${name}`}
        onClick={() => void bring()}
      >
        Bring it back
      </Button>
    </li>
  );
}
