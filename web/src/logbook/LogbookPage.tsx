import { useParams } from 'react-router';
import { ApiProblem } from '../api/client.ts';
import { useLogbookPage } from '../api/queries.ts';
import { StillLoading } from '../shell/Loading.tsx';
import { NotFound } from '../shell/NotFound.tsx';
import { BookFrame } from './BookFrame.tsx';
import type { BookPage } from './BookList.tsx';
import { ClassPageOfBook } from './ClassPageOfBook.tsx';
import { EmptyBook } from './EmptyBook.tsx';
import { OpenMaking } from './making/OpenMaking.tsx';

/** A maker’s notebook: a page for each figure that was made and each class that was taught. */
export function LogbookPage() {
  const { id, makingId } = useParams();
  const shownOf = (pages: readonly BookPage[]): Pick<BookPage, 'kind' | 'id'> | undefined =>
    makingId !== undefined
      ? { kind: 'making', id: makingId }
      : id !== undefined
        ? { kind: 'class', id }
        : pages[0];
  return (
    <BookFrame shownOf={(pages) => shownOf(pages)?.id ?? null}>
      {(pages) => {
        const shown = shownOf(pages);
        if (!shown) return <EmptyBook />;
        return shown.kind === 'class' ? (
          <ClassPage key={shown.id} runId={shown.id} />
        ) : (
          <OpenMaking key={shown.id} id={shown.id} />
        );
      }}
    </BookFrame>
  );
}

function ClassPage({ runId }: { runId: string }) {
  const { data, error } = useLogbookPage(runId);
  if (error instanceof ApiProblem && error.problem.status === 404) return <NotFound />;
  return data ? <ClassPageOfBook page={data} /> : <StillLoading error={error} />;
}
