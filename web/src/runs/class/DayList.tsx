import type { ShowLine } from '@lanakit/core/classDay';
import { clockWords, lengthOfTime } from '@lanakit/core/words';
import { Button } from 'antd';
import { entryName } from '../../words/classWords.ts';
import { counted } from '../../words/show.ts';
import styles from './Class.module.css';
import { useEntryActs } from './NowCard.tsx';
import type { Teaching } from './teaching.ts';

const LOOKS = { ahead: undefined, on: styles.lineOn, over: styles.lineOver } as const;
const STATUS_WORDS = { ahead: '', on: 'on', over: 'over' } as const;

/** The whole run of show, as planned and as it goes. */
export function DayList({ teaching }: { teaching: Teaching }) {
  const { show, here } = teaching;
  const acts = useEntryActs(teaching);
  if (!show) return null;
  const isGoing = show.beganAt !== null && show.endedAt === null;
  return (
    <section className={`sheet ${styles.side}`} aria-label="The day">
      <table className={styles.day}>
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
                <b>{clockWords(line.from)}</b>–{clockWords(line.to)}
              </td>
              <td>
                {entryName(line.entry)}
                <Marks line={line} />
              </td>
              <td className="quiet">
                {clockWords(line.entry.from)}, {lengthOfTime(line.entry.to - line.entry.from)}
              </td>
              <td className={styles.does}>
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
              <b>{clockWords(show.sitting.workTo)}</b>
            </td>
            <td>Hands stop: clear up, count needles in</td>
            <td className="quiet">the room is left at {clockWords(show.sitting.to)}</td>
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

const Marks = ({ line: { status, extraMinutes, beganAt, endedAt, entry } }: { line: ShowLine }) => {
  const marks = [
    STATUS_WORDS[status],
    status === 'over' && endedAt === null && beganAt === null ? 'not marked' : '',
    extraMinutes > 0 ? `${extraMinutes} min more` : '',
    entry.waitMinutes > 0 ? `then ${lengthOfTime(entry.waitMinutes)} by itself` : '',
  ].filter((words) => words !== '');
  return marks.length === 0 ? null : <small className="quiet"> · {marks.join(' · ')}</small>;
};
