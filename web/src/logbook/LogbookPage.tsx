import { useParams } from 'react-router';
import { ApiProblem } from '../api/client.ts';
import { useLogbook, useLogbookPage, useMakings } from '../api/queries.ts';
import { Loading, StillLoading } from '../shell/Loading.tsx';
import { NotFound } from '../shell/NotFound.tsx';
import { BookList, pagesOf } from './BookList.tsx';
import { ClassPageOfBook } from './ClassPageOfBook.tsx';
import { EmptyBook } from './EmptyBook.tsx';
import styles from './Logbook.module.css';
import { OpenMaking } from './making/OpenMaking.tsx';

/** A maker’s notebook: a page for each figure that was made and each class that was taught. */
export function LogbookPage() {
  const { id, makingId } = useParams();
  const { data: classes, error: classesError } = useLogbook();
  const { data: makings, error: makingsError } = useMakings();
  if (!classes || !makings) return <Loading error={classesError ?? makingsError} />;
  const pages = pagesOf(classes.items, makings.items);
  const shown =
    makingId !== undefined
      ? ({ kind: 'making', id: makingId } as const)
      : id !== undefined
        ? ({ kind: 'class', id } as const)
        : pages[0];
  return (
    <main className={styles.page}>
      <BookList pages={pages} shownId={shown?.id ?? null} />
      {!shown && <EmptyBook />}
      {shown?.kind === 'class' && <ClassPage key={shown.id} runId={shown.id} />}
      {shown?.kind === 'making' && <OpenMaking key={shown.id} id={shown.id} />}
    </main>
  );
}

function ClassPage({ runId }: { runId: string }) {
  const { data, error } = useLogbookPage(runId);
  if (error instanceof ApiProblem && error.problem.status === 404) return <NotFound />;
  return data ? <ClassPageOfBook page={data} /> : <StillLoading error={error} />;
}
