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
      <p className="quiet">
        {isSearched
          ? 'Nobody is called so here.'
          : 'Nobody is named in any class or on any page of the logbook.'}
      </p>
    );
  return (
    <>
      <table className={styles.persons}>
        <thead>
          <tr>
            <th scope="col">Name</th>
            <th scope="col">Where</th>
            <th scope="col">What is noted</th>
            <th scope="col">
              <span className="visually-hidden">What can be done</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {items.map((line) => (
            <PersonRow key={keyOf(line)} line={line} />
          ))}
        </tbody>
      </table>
      {more > 0 && <p className={`quiet small ${styles.more}`}>and {more} more: say more of the name.</p>}
    </>
  );
}

const keyOf = (line: PersonLine): string =>
  line.of === 'seat' ? `${line.runId} ${line.seat} ${line.name}` : `${line.of} ${line.id}`;

function notedOf(line: PersonLine): string {
  if (line.of !== 'seat') return line.note;
  const { note, avoids, isLeftHanded } = line;
  return [
    note,
    avoids.length > 0 ? `not: ${avoids.map((flag) => FIBRE_FLAG_WORDS[flag]).join(', ')}` : '',
    isLeftHanded ? 'left-handed' : '',
  ]
    .filter((word) => word !== '')
    .join('; ');
}

const NAMELESS = { making: 'Somebody', commission: 'Somebody' } as const;
const nameShown = (line: PersonLine): string =>
  line.name !== '' ? line.name : line.of === 'seat' ? `Seat ${line.seat}` : NAMELESS[line.of];

/** Where they are named, and as what. */
function Where({ line }: { line: PersonLine }) {
  const isSeat = line.of === 'seat';
  const name = isSeat ? line.runName : line.title;
  const path = isSeat
    ? `/runs/${line.runId}?seat=${line.seat}`
    : line.of === 'making'
      ? `/logbook/making/${line.id}`
      : `/logbook/asked/${line.id}`;
  const as = isSeat ? `seat ${line.seat}` : line.of === 'making' ? 'made it' : 'asked for it';
  return (
    <>
      {line.isBinned ? <span className="quiet">{name}, in the bin</span> : <Link to={path}>{name}</Link>}{' '}
      <span className="quiet small">
        {showDay(line.date)}, {as}
      </span>
    </>
  );
}

function PersonRow({ line }: { line: PersonLine }) {
  const { name } = line;
  const attempt = useAttempt();
  const forget = () =>
    attempt(async () => {
      const { seats, pages } = await perform(forgetPerson(name));
      const where = [
        ...(seats > 0 ? [`at ${counted(seats, 'seat')}`] : []),
        ...(pages > 0 ? [`on ${counted(pages, 'page')} of the logbook`] : []),
      ];
      return {
        text: `“${name}” is forgotten, ${where.join(' and ')}. Backups made before still have them.`,
      };
    });
  return (
    <tr>
      <td>
        <b>{nameShown(line)}</b>
      </td>
      <td>
        <Where line={line} />
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
              description="Everywhere: in every class, in what was written down of it, the history of those classes, and on pages of the logbook. It cannot be taken back."
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
