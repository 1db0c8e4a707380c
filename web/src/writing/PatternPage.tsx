import { useLocation, useParams } from 'react-router';
import { ApiProblem } from '../api/client.ts';
import { usePattern, useWool } from '../api/queries.ts';
import { Loading } from '../shell/Loading.tsx';
import { NotFound } from '../shell/NotFound.tsx';
import { WorkTable } from './WorkTable.tsx';

export function PatternPage() {
  const { id = '' } = useParams();
  const { search } = useLocation();
  // What was looked for opens there, also where the pattern was open already.
  return <OpenPattern key={`${id} ${search}`} id={id} />;
}

/** Fetches the draft once; from then on the work table holds the newest version itself. */
function OpenPattern({ id }: { id: string }) {
  const { data, error } = usePattern(id);
  const shelf = useWool();
  if (error instanceof ApiProblem && error.problem.status === 404) return <NotFound />;
  if (!data || !shelf.isReady) return <Loading error={error ?? shelf.error} />;
  return <WorkTable stored={data} fibres={shelf.fibres} wool={shelf.wool} />;
}
