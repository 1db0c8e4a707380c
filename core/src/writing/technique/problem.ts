import type { At, BaseProblem } from '../../base/index.ts';

/** What a technique may not hold. */
export type TechniqueProblem =
  | BaseProblem
  | (At &
      ({ readonly code: 'technique_act' } | { readonly code: 'parameter_not_found'; readonly key: string }));
