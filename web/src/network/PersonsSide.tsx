import type { PersonLine, Persons } from '@lanakit/core/api';
import { FIBRE_FLAG_WORDS } from '@lanakit/core/words';
import { Button, Input, Popconfirm } from 'antd';
import { useDeferredValue, useState } from 'react';
import { Link } from 'react-router';
import { forgetPerson, setForgetting } from '../api/mutations/network.ts';
import { perform } from '../api/mutations/mutation.ts';
import { usePersons } from '../api/queries.ts';
import { apiPath } from '../api/studio.ts';
import { StillLoading } from '../shell/Loading.tsx';
import { useAttempt } from '../shell/useAttempt.ts';
import { Choice } from '../ui/fields/Choice.tsx';
import { Field } from '../ui/fields/Field.tsx';
import { counted, showDay } from '../words/show.ts';
import styles from './Network.module.css';

/** Who is named in classes: given theirs, forgotten by hand, or after a time by itself. */
export function PersonsSide() {
  const [search, setSearch] = useState('');
  const { data, error } = usePersons(useDeferredValue(search));
  if (!data) return <StillLoading error={error} />;
  return (
    <div className={styles.columns}>
      <section className={`sheet ${styles.main}`} aria-label="Persons">
        <div className={styles.fields}>
          <Field label="Who">
            {(control) => (
              <Input
                {...control}
                allowClear
                placeholder="a name, or words of a note"
                value={search}
                maxLength={60}
                onChange={(event) => setSearch(event.target.value)}
              />
            )}
          </Field>
        </div>
        <Named persons={data} isSearched={search.trim() !== ''} />
      </section>
      <aside className={`sheet ${styles.aside}`} aria-label="What is kept, and for how long">
        <Forgetting persons={data} />
      </aside>
    </div>
  );
}

function Named({ persons: { items, more }, isSearched }: { persons: Persons; isSearched: boolean }) {
  if (items.length === 0)
    return (
      <p className="quiet">{isSearched ? 'Nobody is called so here.' : 'Nobody is named in any class.'}</p>
    );
  return (
    <>
      <table className={styles.persons}>
        <thead>
          <tr>
            <th scope="col">Name</th>
            <th scope="col">Class</th>
            <th scope="col">What is noted</th>
            <th scope="col">
              <span className="visually-hidden">What can be done</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {items.map((line) => (
            <PersonRow key={`${line.runId} ${line.seat} ${line.name}`} line={line} />
          ))}
        </tbody>
      </table>
      {more > 0 && <p className={`quiet small ${styles.more}`}>and {more} more: say more of the name.</p>}
    </>
  );
}

const notedOf = ({ note, avoids, isLeftHanded }: PersonLine): string =>
  [
    note,
    avoids.length > 0 ? `not: ${avoids.map((flag) => FIBRE_FLAG_WORDS[flag]).join(', ')}` : '',
    isLeftHanded ? 'left-handed' : '',
  ]
    .filter((word) => word !== '')
    .join('; ');

function PersonRow({ line }: { line: PersonLine }) {
  const { runId, runName, date, seat, name, isBinned } = line;
  const attempt = useAttempt();
  const forget = () =>
    attempt(async () => {
      const { seats } = await perform(forgetPerson(name));
      return {
        text: `“${name}” is forgotten, at ${counted(seats, 'seat')}. Backups made before still have them.`,
      };
    });
  return (
    <tr>
      <td>
        <b>{name === '' ? `Seat ${seat}` : name}</b>
      </td>
      <td>
        {isBinned ? (
          <span className="quiet">{runName}, in the bin</span>
        ) : (
          <Link to={`/runs/${runId}?seat=${seat}`}>{runName}</Link>
        )}{' '}
        <span className="quiet small">
          {showDay(date)}, seat {seat}
        </span>
      </td>
      <td>{notedOf(line)}</td>
      <td>
        {name !== '' && (
          <>
            <a href={apiPath(`/persons/file?${new URLSearchParams({ name }).toString()}`)} download>
              Give them theirs
            </a>{' '}
            <Popconfirm
              title={`Forget “${name}”?`}
              description="Everywhere: in every class, in what was written down of it, and the history of those classes. It cannot be taken back."
              okText="Forget"
              cancelText="Keep"
              onConfirm={() => void forget()}
            >
              <Button size="small" aria-label={`Forget ${name}`}>
                Forget…
              </Button>
            </Popconfirm>
          </>
        )}
      </td>
    </tr>
  );
}

const DAYS = ['0', '14', '30', '90', '365'] as const;
const DAY_WORDS: Readonly<Record<(typeof DAYS)[number], string>> = {
  '0': 'when its last day is over',
  '14': '14 days after',
  '30': '30 days after',
  '90': '90 days after',
  '365': 'a year after',
};

function Forgetting({ persons: { rule, classes } }: { persons: Persons }) {
  const attempt = useAttempt();
  const value = rule.afterDays === null ? null : String(rule.afterDays);
  return (
    <>
      <h2>What is kept, and for how long</h2>
      <p>
        {classes === 0
          ? 'No class names anybody.'
          : classes === 1
            ? 'One class names somebody.'
            : `${classes} classes name somebody.`}{' '}
        Names, notes, what somebody may not touch and left hands are kept in the class until they are
        forgotten.
      </p>
      <Choice
        label="Forget who came to a class"
        value={value as (typeof DAYS)[number] | null}
        words={
          value !== null && !(value in DAY_WORDS)
            ? { ...DAY_WORDS, [value]: `${value} days after` }
            : DAY_WORDS
        }
        none="never by itself"
        hint="What each seat made stays. Looked at once a day, and at every start."
        onChoose={(days) =>
          void attempt(async () => {
            await perform(setForgetting(days === null ? null : Number(days)));
            return undefined;
          })
        }
      />
      <p className="quiet small">
        Backups made before still have who was forgotten: they are thinned by themselves, but the last of each
        month stays. To be rid of them delete those files; they lie where <Link to="/backups">Backups</Link>{' '}
        says. Which of it may be kept, how long, and what has to be told to whom is for local law.
      </p>
    </>
  );
}
