import { ApiProblem } from '../../api/client.ts';
import { useMakingPage, useWool } from '../../api/queries.ts';
import { StillLoading } from '../../shell/Loading.tsx';
import { NotFound } from '../../shell/NotFound.tsx';
import { MakingSheet } from './MakingSheet.tsx';

/** One page of the book, once it and the shelf are here. */
export function OpenMaking({ id }: { id: string }) {
  const { data, error } = useMakingPage(id);
  const { wool, isReady, error: shelfError } = useWool();
  if (error instanceof ApiProblem && error.problem.status === 404) return <NotFound />;
  if (!data || !isReady) return <StillLoading error={error ?? shelfError} />;
  return <MakingSheet page={data} wool={wool} />;
}
