import type { ReactNode } from 'react';
import { useLogbook, useMakings } from '../api/queries.ts';
import { Loading } from '../shell/Loading.tsx';
import { BookList, type BookPage, pagesOf } from './BookList.tsx';
import styles from './Logbook.module.css';

interface BookFrameProps {
  /** The page that is open, of all pages; null: none of them. */
  shownOf?: (pages: readonly BookPage[]) => string | null;
  /** What of the page itself is still on its way, or could not be had. */
  isWaiting?: boolean;
  error?: Error | undefined;
  children: ReactNode | ((pages: readonly BookPage[]) => ReactNode);
}

/** The logbook with its list of pages, and beside it whatever is open. */
export function BookFrame({ shownOf = () => null, isWaiting = false, error, children }: BookFrameProps) {
  const { data: classes, error: classesError } = useLogbook();
  const { data: makings, error: makingsError } = useMakings();
  if (!classes || !makings || isWaiting) return <Loading error={error ?? classesError ?? makingsError} />;
  const pages = pagesOf(classes.items, makings.items);
  return (
    <main className={styles.page}>
      <BookList pages={pages} shownId={shownOf(pages)} />
      {typeof children === 'function' ? children(pages) : children}
    </main>
  );
}
