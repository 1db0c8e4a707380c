import type { YearState } from '@lanakit/core/api';
import type { Commission, CommissionInput } from '@lanakit/core/commissions';
import type { Mutation } from './mutation.ts';

/** All that tells of what was asked for. */
export const COMMISSION_TOUCHES = ['/commissions', '/year', '/seasons', '/gallery'] as const;

export const createCommission = (input: CommissionInput): Mutation<Commission> => ({
  method: 'POST',
  path: '/commissions',
  body: input,
  touches: COMMISSION_TOUCHES,
});

export const deleteCommission = (id: string): Mutation<void> => ({
  method: 'DELETE',
  path: `/commissions/${id}`,
  touches: COMMISSION_TOUCHES,
});

/** @param minor null: nobody knows */
export const setTakings = (runId: string, minor: number | null): Mutation<YearState> => ({
  method: 'PUT',
  path: `/runs/${runId}/takings`,
  body: { minor },
  touches: ['/year'],
});
