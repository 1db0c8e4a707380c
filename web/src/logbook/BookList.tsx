import type { CommissionLine, LogbookLine, MakingLineOfBook } from '@lanakit/core/api';
import { byCodePoint } from '@lanakit/core/base';
import { Button } from 'antd';
import { Link, useLocation, useNavigate } from 'react-router';
import { isAhead } from '@lanakit/core/commissions';
import { useClassQuestions, useCommissions, useFreshWeighings } from '../api/queries.ts';
import { counted, showDay, showGrams } from '../words/show.ts';
import styles from './Logbook.module.css';

/** A page of the book as its list has it. */
export interface BookPage {
  readonly kind: 'class' | 'making';
  readonly id: string;
  readonly date: string;
  readonly name: string;
  readonly about: string;
  /** Grams it took, as far as they are known; empty: not known. */
  readonly took: string;
}

/** Classes and makings together, the last first. */
export const pagesOf = (classes: readonly LogbookLine[], makings: readonly MakingLineOfBook[]): BookPage[] =>
  [
    ...classes.map(({ runId: id, date, name, seats, isClosed, wool }): BookPage => ({
      kind: 'class',
      id,
      date,
      name,
      about: `class · ${counted(seats, 'seat')}${isClosed ? '' : ' · not closed yet'}`,
      took: wool.tookG === null ? '' : showGrams(wool.tookG),
    })),
    ...makings.map(({ id, date, title: name, madeBy, isDone, tookG, unknownCount }): BookPage => ({
      kind: 'making',
      id,
      date,
      name,
      about: `made${madeBy === '' ? '' : ` by ${madeBy}`}${isDone ? '' : ' · being written'}`,
      took: tookG > 0 ? `${unknownCount > 0 ? 'at least ' : ''}${showGrams(tookG)}` : '',
    })),
  ].sort((a, b) => byCodePoint(b.date, a.date));

/** The month a page is of, in words. */
export const monthWords = (date: string): string =>
  new Date(`${date}T12:00:00`).toLocaleDateString('en-GB', { month: 'long', year: 'numeric' });

export function BookList({ pages, shownId }: { pages: readonly BookPage[]; shownId: string | null }) {
  const navigate = useNavigate();
  const months = [...new Set(pages.map(({ date }) => monthWords(date)))];
  return (
    <nav className={`sheet ${styles.list}`} aria-label="Pages">
      <h1>Logbook</h1>
      <Button type="primary" block onClick={() => void navigate('/logbook/new')}>
        Write down a making
      </Button>
      <BookTabs />
      {pages.length === 0 && <p className="quiet">No page yet.</p>}
      {months.map((month) => (
        <section key={month} aria-label={month}>
          <h2 className={styles.month}>{month}</h2>
          <ul>
            {pages
              .filter(({ date }) => monthWords(date) === month)
              .map((page) => (
                <PageLine key={page.id} page={page} isShown={page.id === shownId} />
              ))}
          </ul>
        </section>
      ))}
    </nav>
  );
}

const STUDIO_PAGES = [
  ['/logbook/gallery', 'Finished figures'],
  ['/logbook/seasons', 'Seasons'],
  ['/logbook/year', 'The year'],
] as const;

/** What is most pressing of what was asked for. */
function askedWords(commissions: readonly CommissionLine[]): string {
  const ahead = commissions.filter(isAhead);
  const late = ahead.filter(({ place }) => place?.isTooLate || place?.lateOn != null).length;
  if (late > 0) return `${late} late`;
  return ahead.length > 0 ? `${ahead.length} ahead` : '';
}

/** What all pages together say. */
function BookTabs() {
  const { pathname } = useLocation();
  const { data } = useFreshWeighings();
  const { data: questions } = useClassQuestions();
  const { data: commissions } = useCommissions();
  const asked = askedWords(commissions?.items ?? []);
  const open = questions?.items.filter(({ isDone }) => !isDone).length ?? 0;
  return (
    <ul className={styles.tabs} aria-label="What the pages say together">
      <li>
        <Link to="/logbook/learnt" aria-current={pathname.endsWith('/learnt') ? 'page' : undefined}>
          <b>What was learnt</b>
          {data !== undefined && data.fresh > 0 && (
            <span className={styles.fresh}>{counted(data.fresh, 'weighing')} to take</span>
          )}
        </Link>
      </li>
      <li>
        <Link to="/logbook/good" aria-current={pathname.endsWith('/good') ? 'page' : undefined}>
          <b>How good are we?</b>
        </Link>
      </li>
      <li>
        <Link to="/logbook/questions" aria-current={pathname.endsWith('/questions') ? 'page' : undefined}>
          <b>Asked in classes</b>
          {open > 0 && <span className={styles.fresh}>{counted(open, 'to answer', 'to answer')}</span>}
        </Link>
      </li>
      <li>
        <Link to="/logbook/asked" aria-current={pathname.includes('/logbook/asked') ? 'page' : undefined}>
          <b>Asked for</b>
          {asked !== '' && <span className={styles.fresh}>{asked}</span>}
        </Link>
      </li>
      {STUDIO_PAGES.map(([path, name]) => (
        <li key={path}>
          <Link to={path} aria-current={pathname === path ? 'page' : undefined}>
            <b>{name}</b>
          </Link>
        </li>
      ))}
    </ul>
  );
}

function PageLine({ page, isShown }: { page: BookPage; isShown: boolean }) {
  const path = page.kind === 'class' ? `/logbook/${page.id}` : `/logbook/making/${page.id}`;
  return (
    <li>
      <Link to={path} aria-current={isShown ? 'page' : undefined}>
        <span>
          <b>{page.name}</b>
          <span className="quiet small">
            {showDay(page.date)} · {page.about}
          </span>
        </span>
        <span className={styles.tookG}>{page.took}</span>
      </Link>
    </li>
  );
}
