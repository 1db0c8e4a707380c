import type { CommissionLine } from '@lanakit/core/api';
import { blankCommission, isAhead } from '@lanakit/core/commissions';
import { Button } from 'antd';
import { Link, useNavigate } from 'react-router';
import { createCommission } from '../../api/mutations/commissions.ts';
import { perform } from '../../api/mutations/mutation.ts';
import { useCommissions } from '../../api/queries.ts';
import { apiPath } from '../../api/studio.ts';
import { useAttempt } from '../../shell/useAttempt.ts';
import { COMMISSION_STATE_WORDS } from '../../words/commissionWords.ts';
import { todayPlus } from '../../words/days.ts';
import { showDay, showMoney } from '../../words/show.ts';
import { BookFrame } from '../BookFrame.tsx';
import book from '../Logbook.module.css';
import styles from './Asked.module.css';

/** Who asked for what: what is ahead, and what became of the rest. */
export function AskedPage() {
  const { data, error } = useCommissions();
  const ahead = data?.items.filter(isAhead) ?? [];
  const rest = data?.items.filter((line) => !isAhead(line)).toReversed() ?? [];
  return (
    <BookFrame isWaiting={!data} error={error}>
      <article className={`sheet ${book.notebook}`} aria-label="Asked for">
        <header className={styles.head}>
          <h2>Asked for</h2>
          <WriteDown />
        </header>
        {ahead.length === 0 && rest.length === 0 && (
          <p>
            Nobody has asked for anything yet. Write down who wants what and by when; a pattern that answers
            it makes a quote of it, with its wool, your hours and a place in the calendar.
          </p>
        )}
        {ahead.length > 0 && <Lines label="Ahead" lines={ahead} />}
        {rest.length > 0 && <Lines label="Done with" lines={rest} />}
        {ahead.some(({ beginsOn, byDay }) => beginsOn !== null || byDay !== null) && (
          <p>
            <a href={apiPath('/commissions/calendar')} download>
              As a calendar (iCalendar)
            </a>
          </p>
        )}
      </article>
    </BookFrame>
  );
}

function WriteDown() {
  const attempt = useAttempt();
  const navigate = useNavigate();
  const begin = () =>
    void attempt(async () => {
      const blank = blankCommission('Something asked for', todayPlus(0));
      await perform(createCommission(blank), ({ id }) => void navigate(`/logbook/asked/${id}`));
      return undefined;
    });
  return (
    <Button type="primary" onClick={begin}>
      Somebody asks for something
    </Button>
  );
}

function Lines({ label, lines }: { label: string; lines: readonly CommissionLine[] }) {
  return (
    <section aria-label={label}>
      <h3>{label}</h3>
      <ul className={styles.lines}>
        {lines.map((line) => (
          <li key={line.id}>
            <Link to={`/logbook/asked/${line.id}`}>
              <span>
                <b>{line.title}</b>
                <span className="quiet small">
                  {[line.askedBy, line.patternTitle ?? 'no pattern yet'].filter((word) => word !== '').join(' · ')}
                </span>
              </span>
              <span>
                {line.byDay === null ? <span className="quiet">whenever</span> : `by ${showDay(line.byDay)}`}
                <WhenToBegin line={line} />
              </span>
              <span>{line.agreedMinor === null ? <span className="quiet">no price</span> : showMoney(line.agreedMinor)}</span>
              <span className="quiet">{COMMISSION_STATE_WORDS[line.state]}</span>
            </Link>
          </li>
        ))}
      </ul>
    </section>
  ); // prettier-ignore
}

function WhenToBegin({ line: { place, beginsOn, state } }: { line: CommissionLine }) {
  if (!isAhead({ state }) || !place) return null;
  if (place.lateOn !== null) return <span className="small red">done {showDay(place.lateOn)}: too late</span>;
  if (place.isTooLate) return <span className="small red">too late to begin</span>;
  if (beginsOn !== null) return <span className="quiet small">begins {showDay(beginsOn)}</span>;
  return place.beginBy === null ? null : (
    <span className="quiet small">begin by {showDay(place.beginBy)}</span>
  );
}
