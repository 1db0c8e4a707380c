import useSWR from 'swr';
import { useParams } from 'react-router';
import { get } from '../api/client.ts';
import { useShelf, type StoredPattern } from '../api/resources.ts';
import { Loading } from '../shell/Loading.tsx';
import { NotFound } from '../shell/NotFound.tsx';
import { ApiProblem } from '../api/client.ts';
import { WorkTable } from './WorkTable.tsx';

/** Fetches the draft once; from then on the work table holds the newest version itself. */
export function PatternPage() {
  const { id = '' } = useParams();
  const { data, error } = useSWR<StoredPattern, Error>(
    `/draft/${id}`,
    () => get<StoredPattern>(`/patterns/${id}`),
    {
      revalidateOnFocus: false,
      revalidateIfStale: true,
      revalidateOnReconnect: false,
      dedupingInterval: 0,
    },
  );
  const shelf = useShelf();
  if (error instanceof ApiProblem && error.problem.status === 404) return <NotFound />;
  if (!data || !shelf.isReady) return <Loading error={error ?? shelf.error} />;
  return <WorkTable key={id} stored={data} fibres={shelf.fibres} shelf={shelf.byId} />;
}
