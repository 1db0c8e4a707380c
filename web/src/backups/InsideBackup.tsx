import type { BackupContents, BackupDifference, BackupName, KeptKind } from '@lanakit/core/api';
import { Button, Popconfirm } from 'antd';
import { useState } from 'react';
import { errorWords } from '../api/client.ts';
import { putBack } from '../api/mutations/keeping.ts';
import { perform } from '../api/mutations/mutation.ts';
import { useBackup } from '../api/queries.ts';
import { useAttempt } from '../shell/useAttempt.ts';
import { countsWords, kindWords, showMoment } from '../words/keepingWords.ts';
import { counted } from '../words/show.ts';
import styles from './BackupsPage.module.css';

/** What a backup holds, and what is not the same now, thing by thing. */
export function InsideBackup({ backup }: { backup: BackupName }) {
  const { data, error } = useBackup(backup.name);
  return (
    <aside className={`sheet ${styles.inside}`} aria-label={`Backup of ${showMoment(backup.at)}`}>
      <h2>{showMoment(backup.at)}</h2>
      {error && <p className="red">{errorWords(error)}</p>}
      {!data && !error && <p className="quiet">It is being looked into…</p>}
      {data && <Contents contents={data} />}
    </aside>
  );
}

function Contents({ contents }: { contents: BackupContents }) {
  const of = (is: BackupDifference['is']) =>
    contents.differences.filter((difference) => difference.is === is);
  const isSame = contents.differences.length + contents.movementsLost + contents.ticksLost === 0;
  return (
    <>
      <p className="quiet">It holds {countsWords(contents)}.</p>
      {isSame ? (
        <p>Nothing is different from what is there now.</p>
      ) : (
        <>
          <Things
            title="Gone since: would be there again"
            tone="leaf"
            things={of('back')}
            name={contents.name}
            verb="Bring it back"
          />
          <Things
            title="Changed since: would be as they were then"
            tone="amber"
            things={of('changed')}
            name={contents.name}
            verb="Bring that state back"
          />
          <Things
            title="Made since: would be lost"
            tone="red"
            things={of('lost')}
            name={contents.name}
            verb={null}
          />
          <Entries contents={contents} />
        </>
      )}
      <WholeBack contents={contents} isSame={isSame} />
    </>
  );
}

function Entries({ contents: { movementsLost, ticksLost } }: { contents: BackupContents }) {
  if (movementsLost + ticksLost === 0) return null;
  const entered = [
    ...(movementsLost > 0 ? [counted(movementsLost, 'line of the ledger', 'lines of the ledger')] : []),
    ...(ticksLost > 0 ? [counted(ticksLost, 'tick')] : []),
  ];
  return <p className="red">Entered since, and would be lost: {entered.join(' and ')}.</p>;
}

interface ThingsProps {
  title: string;
  tone: string;
  things: readonly BackupDifference[];
  /** Of the backup. */
  name: string;
  /** What is on the button; null: it cannot be brought back, for it is there. */
  verb: string | null;
}

/** More are counted. */
const SHOWN = 60;

function Things({ title, tone, things, name, verb }: ThingsProps) {
  if (things.length === 0) return null;
  return (
    <section className={styles.things} aria-label={title}>
      <h3 className={tone}>{title}</h3>
      <ul>
        {things.slice(0, SHOWN).map((thing) => (
          <li key={`${thing.kind} ${thing.id}`}>
            <b>{thing.name || 'without a name'}</b>
            <span className="quiet small">{kindWords(thing.kind)}</span>
            {verb !== null && isKept(thing) && <BringBack thing={thing} name={name} verb={verb} />}
          </li>
        ))}
      </ul>
      {things.length > SHOWN && <p className="quiet small">and {things.length - SHOWN} more</p>}
    </section>
  );
}

/** What can be brought back by itself; a technique only with all the rest. */
const isKept = (thing: BackupDifference): thing is BackupDifference & { readonly kind: KeptKind } =>
  thing.kind !== 'technique';

interface BringBackProps {
  thing: BackupDifference & { readonly kind: KeptKind };
  name: string;
  verb: string;
}

function BringBack({ thing, name, verb }: BringBackProps) {
  const attempt = useAttempt();
  const [isBusy, setBusy] = useState(false);
  const bring = async () => {
    setBusy(true);
    await attempt(async () => {
      await perform(putBack(name, { kind: thing.kind, id: thing.id }));
      return { text: `${thing.name} is as it was then. What was there before is in a backup of its own.` };
    });
    setBusy(false);
  };
  return (
    <Button size="small" loading={isBusy} aria-label={`${verb}: ${thing.name}`} onClick={() => void bring()}>
      {verb}
    </Button>
  );
}

function WholeBack({ contents, isSame }: { contents: BackupContents; isSame: boolean }) {
  const attempt = useAttempt();
  const [isBusy, setBusy] = useState(false);
  const all = async () => {
    setBusy(true);
    await attempt(async () => {
      await perform(putBack(contents.name, null));
      return { text: 'The whole studio is as it was then. What was there before is in a backup of its own.' };
    });
    setBusy(false);
  };
  const lost = contents.differences.filter(({ is }) => is === 'lost').length;
  return (
    <footer className={styles.whole}>
      <Popconfirm
        title="Put the whole studio back to this?"
        description={
          lost > 0
            ? `${counted(lost, 'thing')} made since will be gone from the studio. What is there now is backed up first.`
            : 'What is there now is backed up first.'
        }
        okText="Put all of it back"
        cancelText="Leave it"
        onConfirm={() => void all()}
      >
        <Button danger={lost > 0} disabled={isSame} loading={isBusy}>
          Put the whole studio back to this…
        </Button>
      </Popconfirm>
    </footer>
  );
}
