import type { LearningState } from '@lanakit/core/api';

/** What was learnt, and what fibres are called. */
export interface ToldState {
  state: LearningState;
  fibreName: (id: string) => string;
}
