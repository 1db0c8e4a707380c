import type { LearningState } from '@lanakit/core/api';
import type { Making, MakingInput } from '@lanakit/core/logbook';
import type { Mutation } from './mutation.ts';

/** All that tells of makings. */
export const MAKING_TOUCHES = ['/makings', '/learning'] as const;
/** All that is worked out with what was learnt. */
const LEARNT_TOUCHES = ['/learnt', '/learning', '/makings', '/runs', '/bench', '/buying', '/makes'] as const;

export const createMaking = (input: MakingInput): Mutation<Making> => ({
  method: 'POST',
  path: '/makings',
  body: input,
  touches: MAKING_TOUCHES,
});

export const deleteMaking = (id: string): Mutation<void> => ({
  method: 'DELETE',
  path: `/makings/${id}`,
  touches: MAKING_TOUCHES,
});

/** From now on in every pattern. */
export const takeLearnt = (): Mutation<LearningState> => ({
  method: 'POST',
  path: '/learning/take',
  touches: LEARNT_TOUCHES,
});

/** @param choice null: as usual */
export const chooseEvidence = (id: string, choice: 'left-out' | 'meant' | null): Mutation<LearningState> => ({
  method: 'PUT',
  path: `/learning/evidence/${encodeURIComponent(id)}`,
  body: { choice },
  touches: MAKING_TOUCHES,
});

export const setHalfLife = (halfLifeMonths: number | null): Mutation<LearningState> => ({
  method: 'PUT',
  path: '/learning/terms',
  body: { halfLifeMonths },
  touches: MAKING_TOUCHES,
});

/** Worked off into the pattern, or to be asked again. */
export const setQuestionDone = (id: string, isDone: boolean): Mutation<unknown> => ({
  method: 'PUT',
  path: `/class-questions/${encodeURIComponent(id)}`,
  body: { isDone },
  touches: ['/class-questions'],
});
