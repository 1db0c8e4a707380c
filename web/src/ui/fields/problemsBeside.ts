import type { Problem } from '@lanakit/core/problems';
import type { ApiProblem } from '../../api/client.ts';

/** Takes what the server found wrong to the fields of a form; a refusal with no places is not theirs. */
export const problemsBeside =
  (show: (problems: readonly Problem[]) => void) =>
  ({ problem }: ApiProblem): boolean => {
    if (!problem.errors) return false;
    show(problem.errors);
    return true;
  };
