import type { ShowLine, ShowNow } from '@lanakit/core/classDay';
import { Button } from 'antd';
import { nanoid } from 'nanoid';
import { useHotkeys } from 'react-hotkeys-hook';
import { clockAt, endWords, entryName, lateWords, timerWords } from '../../words/classWords.ts';
import { showDay } from '../../words/show.ts';
import { Link } from 'react-router';
import styles from './NowCard.module.css';
import type { Teaching } from './teaching.ts';
import { useStudioClock } from './useClassDay.ts';

const MORE_MINUTES = 5;

/** What is done to an entry: told to all devices; what runs by itself after it is timed at once. */
export function useEntryActs({ here: { act } }: Teaching) {
  return {
    begin: ({ entry }: ShowLine) => act({ act: 'entry', entryId: entry.id, does: 'begin' }),
    more: ({ entry }: ShowLine) => act({ act: 'more', entryId: entry.id, minutes: MORE_MINUTES }),
    hasIt: ({ entry }: ShowLine) => {
      act({ act: 'entry', entryId: entry.id, does: 'has-it' });
      if (entry.waitMinutes > 0)
        act({
          act: 'timer',
          timerId: nanoid(12),
          name: entryName(entry).slice(0, 80),
          minutes: entry.waitMinutes,
        });
    },
  };
}

/** The clock, what is on, how late it is, and what comes next: read from two metres. */
export function NowCard({ teaching }: { teaching: Teaching }) {
  const { show, run, here } = teaching;
  if (!show)
    return (
      <section className={`sheet ${styles.now}`} aria-label="Now">
        <Hands clock={teaching.clock} />
        <p>Nobody has said when this class is, or no step of it has minutes: there is no run of show.</p>
        <Link to={`/runs/${run.id}/day`}>Plan its day</Link>
      </section>
    );
  const does = (what: 'begin' | 'end') =>
    here.act({ act: 'sitting', sessionId: show.sitting.id, does: what });
  return (
    <section className={`sheet ${styles.now}`} aria-label="Now">
      <Hands clock={teaching.clock} />
      {show.endedAt !== null ? (
        <p className={styles.lead}>Over since {clockAt(show.endedAt)}.</p>
      ) : show.beganAt === null ? (
        <NotBegun show={show} teaching={teaching} onBegin={() => does('begin')} />
      ) : (
        <Going show={show} teaching={teaching} onEnd={() => does('end')} />
      )}
    </section>
  );
}

function Hands({ clock }: Pick<Teaching, 'clock'>) {
  const nowMs = useStudioClock(1000);
  return <time className={styles.clock}>{clockAt(clock(new Date(nowMs).toISOString()))}</time>;
}

function NotBegun({ show, teaching, onBegin }: { show: ShowNow; teaching: Teaching; onBegin: () => void }) {
  const { now, run } = teaching;
  const minutes = show.sitting.from - now;
  const isAnotherDay = Math.abs(minutes) > 12 * 60;
  return (
    <>
      <p className={styles.lead}>
        {isAnotherDay
          ? `Planned for ${showDay(run.date)}, ${clockAt(show.sitting.from)}.`
          : `Begins at ${clockAt(show.sitting.from)}${show.lateMinutes >= 1 ? `: ${lateWords(show.lateMinutes)}` : ''}.`}
      </p>
      {show.lines[0] && <p>First: {entryName(show.lines[0].entry)}</p>}
      <Button size="large" type="primary" block onClick={onBegin}>
        {isAnotherDay ? 'Begin now all the same' : 'Begin the class'}
      </Button>
    </>
  );
}

function Going({ show, teaching, onEnd }: { show: ShowNow; teaching: Teaching; onEnd: () => void }) {
  const acts = useEntryActs(teaching);
  const [main, ...also] = inHand(show);
  const { next } = show;
  useHotkeys('h', () => main && acts.hasIt(main), [main]);
  useHotkeys('m', () => main && acts.more(main), [main]);
  useHotkeys('n', () => next && acts.begin(next), [next]);
  return (
    <>
      <p className={`${styles.late} ${Math.round(show.lateMinutes) > 0 ? 'amber' : ''}`} role="status">
        {lateWords(show.lateMinutes)}
      </p>
      {main ? (
        <>
          <h2 className={styles.on}>{entryName(main.entry)}</h2>
          <Left line={main} teaching={teaching} />
          {main.entry.watchFor && <p className={styles.watch}>Watch: {main.entry.watchFor}</p>}
          {main.entry.handOut && <p className={styles.watch}>Hand out: {main.entry.handOut}</p>}
          <div className={styles.buttons}>
            <Button size="large" type="primary" onClick={() => acts.hasIt(main)}>
              Everybody has it
            </Button>
            <Button size="large" onClick={() => acts.more(main)}>
              5 more minutes
            </Button>
          </div>
          {also.length > 0 && (
            <p className="quiet">Also on: {also.map(({ entry }) => entryName(entry)).join('; ')}</p>
          )}
        </>
      ) : (
        <h2 className={styles.on}>Nothing is on</h2>
      )}
      {next && (
        <div className={styles.next}>
          <span>
            <b>{clockAt(next.from)}</b> {entryName(next.entry)}
          </span>
          <Button size="large" onClick={() => acts.begin(next)}>
            Begin
          </Button>
        </div>
      )}
      <p className={show.overMinutes >= 1 ? 'amber' : 'quiet'}>{endWords(show)}</p>
      {!show.areStepsMarked && (
        <p className="quiet small">
          No step is marked yet: late is told by what you talk, show and break for.
        </p>
      )}
      {!next && (
        <Button size="large" block onClick={onEnd}>
          The class is over
        </Button>
      )}
    </>
  );
}

/** How long it still has, counted down. */
function Left({ line: { to }, teaching }: { line: ShowLine; teaching: Teaching }) {
  const nowMs = useStudioClock(1000);
  const leftMs = (to - teaching.clock(new Date(nowMs).toISOString())) * 60_000;
  return (
    <p className={styles.left_}>
      {leftMs >= 0 ? `${timerWords(leftMs)} left, to ${clockAt(to)}` : `until ${clockAt(to)}`}
    </p>
  );
}

/** What was begun by word, the last first; where nothing was, the step the class is at. */
const inHand = ({ on }: ShowNow): readonly ShowLine[] =>
  on.toSorted((a, b) => Number(b.beganAt !== null) - Number(a.beganAt !== null) || b.from - a.from);
