import { useParams } from 'react-router';
import { ApiProblem } from '../../api/client.ts';
import { useCommissionPage, useWool } from '../../api/queries.ts';
import { StillLoading } from '../../shell/Loading.tsx';
import { NotFound } from '../../shell/NotFound.tsx';
import { BookFrame } from '../BookFrame.tsx';
import { CommissionSheet } from './CommissionSheet.tsx';

/** One thing that was asked for, once it and the shelf are here. */
export function OpenCommission() {
  const { id = '' } = useParams();
  return (
    <BookFrame>
      <Opened key={id} id={id} />
    </BookFrame>
  );
}

function Opened({ id }: { id: string }) {
  const { data, error } = useCommissionPage(id);
  const { wool, isReady, error: shelfError } = useWool();
  if (error instanceof ApiProblem && error.problem.status === 404) return <NotFound />;
  if (!data || !isReady) return <StillLoading error={error ?? shelfError} />;
  return <CommissionSheet page={data} wool={wool} />;
}
