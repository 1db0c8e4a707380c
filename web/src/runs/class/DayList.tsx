import { eventsOf, figuresOf, inOrder, type ShowLine } from '@lanakit/core/classDay';
import { lengthOfTime } from '@lanakit/core/words';
import { Button } from 'antd';
import { clockAt, entryName } from '../../words/classWords.ts';
import { counted } from '../../words/show.ts';
import styles from './Class.module.css';
import tables from './Tables.module.css';
import { useEntryActs } from './NowCard.tsx';
import type { Teaching } from './teaching.ts';

const LOOKS = { ahead: undefined, on: tables.lineOn, over: tables.lineOver } as const;
const STATUS_WORDS = { ahead: '', on: 'on', over: 'over' } as const;

/** The whole run of show, as planned and as it goes. */
export function DayList({ teaching }: { teaching: Teaching }) {
  const { show, here } = teaching;
  const acts = useEntryActs(teaching);
  if (!show) return <WithoutTimes teaching={teaching} />;
  const isGoing = show.beganAt !== null && show.endedAt === null;
  return (
    <section className={`sheet ${styles.side}`} aria-label="The day">
      <table className={tables.day}>
        <thead>
          <tr>
            <th scope="col">As it goes</th>
            <th scope="col">What</th>
            <th scope="col">Planned</th>
            <th scope="col">
              <span className="visually-hidden">Done with it</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {show.lines.map((line) => (
            <tr key={line.entry.id} className={LOOKS[line.status]}>
              <td>
                <b>{clockAt(line.from)}</b>–{clockAt(line.to)}
              </td>
              <td>
                {entryName(line.entry)}
                <Marks line={line} />
              </td>
              <td className="quiet">
                {clockAt(line.entry.from)}, {lengthOfTime(line.entry.to - line.entry.from)}
              </td>
              <td className={tables.does}>
                {isGoing && line.endedAt === null && (
                  <>
                    {line.beganAt === null && (
                      <Button size="large" onClick={() => acts.begin(line)}>
                        Begin
                      </Button>
                    )}
                    <Button size="large" onClick={() => acts.hasIt(line)}>
                      All have it
                    </Button>
                  </>
                )}
              </td>
            </tr>
          ))}
          <tr>
            <td>
              <b>{clockAt(show.sitting.workTo)}</b>
            </td>
            <td>Hands stop: clear up, count needles in</td>
            <td className="quiet">the room is left at {clockAt(show.sitting.to)}</td>
            <td />
          </tr>
        </tbody>
      </table>
      {here.day.plan.untimed > 0 && (
        <p className="quiet">
          At best: {counted(here.day.plan.untimed, 'step')} that nobody has timed count as nothing.
        </p>
      )}
    </section>
  );
}

/** Nobody can tell when: steps as they come, and that everybody has them. */
function WithoutTimes({ teaching: { here } }: { teaching: Teaching }) {
  const had = new Set(
    eventsOf(inOrder(here.events), 'entry').flatMap(({ what }) => (what.does === 'has-it' ? [what.entryId] : [])),
  );
  const steps = figuresOf(here.day.plan.makes).flatMap((figure) => figure.steps);
  return (
    <section className={`sheet ${styles.side}`} aria-label="Steps">
      <p className="quiet">Without a time, or without minutes, nobody can tell when what comes. Steps as they come:</p>
      <table className={tables.day}>
        <tbody>
          {steps.map(({ id, number, title }) => (
              <tr key={id} className={had.has(`steps:${id}`) ? tables.lineOver : undefined}>
                <td>
                  <b>{number}</b> {title}
                </td>
                <td className={tables.does}>
                  {had.has(`steps:${id}`) ? (
                    'everybody has it'
                  ) : (
                    <Button size="large" onClick={() => here.act({ act: 'entry', entryId: `steps:${id}`, does: 'has-it' })}>
                      All have it
                    </Button>
                  )}
                </td>
              </tr>
            ))}
        </tbody>
      </table>
    </section>
  );
} // prettier-ignore

const Marks = ({ line: { status, extraMinutes, beganAt, endedAt, entry } }: { line: ShowLine }) => {
  const marks = [
    STATUS_WORDS[status],
    status === 'over' && endedAt === null && beganAt === null ? 'not marked' : '',
    extraMinutes > 0 ? `${extraMinutes} min more` : '',
    entry.waitMinutes > 0 ? `then ${lengthOfTime(entry.waitMinutes)} by itself` : '',
  ].filter((words) => words !== '');
  return marks.length === 0 ? null : <small className="quiet"> · {marks.join(' · ')}</small>;
};
