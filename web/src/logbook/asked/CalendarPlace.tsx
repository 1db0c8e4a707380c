import type { CommissionPage } from '@lanakit/core/api';
import { problemWords } from '@lanakit/core/words';
import { calendarDays, checkCommission, type CalendarDay, type Standing } from '@lanakit/core/commissions';
import { Button } from 'antd';
import { DayField } from '../../ui/fields/DayField.tsx';
import { placeWords } from '../../words/commissionWords.ts';
import { showDay } from '../../words/show.ts';
import making from '../making/Making.module.css';
import styles from './Asked.module.css';
import type { CommissionDraft } from './useCommissionDraft.ts';

interface CalendarPlaceProps {
  page: CommissionPage;
  draft: CommissionDraft;
  standing: Standing;
}

/** The days ahead: what takes them, and where this has its place. */
export function CalendarPlace({ page, draft: { input, change }, standing: { place } }: CalendarPlaceProps) {
  const { taken, today, terms } = page;
  const days = calendarDays({ taken, today, terms }, place, input.byDay);
  const problem = checkCommission(input).find(({ pointer }) => pointer === '/beginsOn');
  const begin = (day: string | null) =>
    change('the day it begins', (commission) => void (commission.beginsOn = day));
  return (
    <section aria-label="A place in the calendar">
      <h3>A place in the calendar</h3>
      {place ? (
        <p className={place.isTooLate || place.lateOn !== null ? 'amber' : undefined}>
          {placeWords(place, input.byDay)}
        </p>
      ) : (
        <p className="quiet">How many days it takes is told once every step of its pattern is timed.</p>
      )}
      <ol className={styles.days}>
        {days.map((day, at) => (
          <Day
            key={day.day}
            day={day}
            isMonthTold={at === 0 || day.day.endsWith('-01')}
            onBegin={() => begin(day.day)}
          />
        ))}
      </ol>
      <div className={making.facts}>
        <DayField
          label="Begins on"
          day={input.beginsOn}
          allowEmpty
          problem={problem ? problemWords(problem) : null}
          onDay={begin}
        />
        {place?.beginBy != null && input.beginsOn !== place.beginBy && !place.isTooLate && (
          <Button className={styles.latest ?? ''} onClick={() => begin(place.beginBy)}>
            Begin on {showDay(place.beginBy)}, the latest
          </Button>
        )}
      </div>
    </section>
  );
}

const IS_WORDS: Readonly<Record<CalendarDay['is'], string>> = {
  free: '',
  rest: 'no work',
  taken: '',
  this: 'this',
};

interface DayProps {
  day: CalendarDay;
  /** The first shown, and the first of each month. */
  isMonthTold: boolean;
  onBegin: () => void;
}

function Day({ day: { day, is, names, isWanted }, isMonthTold, onBegin }: DayProps) {
  const date = new Date(`${day}T12:00:00`);
  const words = names.length > 0 ? names.join(', ') : IS_WORDS[is];
  return (
    <li className={`${styles.day} ${styles[is] ?? ''} ${isWanted ? styles.wanted : ''}`}>
      <button
        type="button"
        disabled={is === 'rest' || is === 'taken'}
        aria-label={`${showDay(day)}: ${words === '' ? 'free' : words}${isWanted ? ', wanted by then' : ''}. Begin on it`}
        onClick={onBegin}
      >
        <span className={styles.weekday}>{date.toLocaleDateString('en-GB', { weekday: 'short' })}</span>
        <b>{date.toLocaleDateString('en-GB', { day: 'numeric', ...(isMonthTold && { month: 'short' }) })}</b>
        <span className={styles.takes1}>{isWanted ? 'wanted' : words}</span>
      </button>
    </li>
  );
}
