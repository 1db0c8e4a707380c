import type { CuttingInput, CuttingPlan, CuttingTerms } from '@lanakit/core/cutting';
import type { Mutation } from './mutation.ts';

/** What is cut tells what there is to cut from, and so what has to be bought. */
const CUT = ['/cutting', '/findings', '/buying', '/bench', '/promised', '/stock', '/runs'] as const;

export const saveCuttingTerms = (terms: CuttingTerms): Mutation<CuttingTerms> => ({
  method: 'PUT',
  path: '/cutting/terms',
  body: terms,
  touches: CUT,
});

export const takeCutPlan = (plan: CuttingInput): Mutation<CuttingPlan> => ({
  method: 'POST',
  path: '/cutting/plans',
  body: plan,
  touches: CUT,
});

export const tickCut = (
  { id, version }: CuttingPlan,
  stock: number,
  isDone: boolean,
): Mutation<CuttingPlan> => ({
  method: 'POST',
  path: `/cutting/plans/${id}/ticks`,
  body: { stock, isDone },
  version,
  touches: CUT,
});

export const putCutPlanAway = ({ id, version }: CuttingPlan): Mutation<undefined> => ({
  method: 'DELETE',
  path: `/cutting/plans/${id}`,
  version,
  touches: CUT,
});
