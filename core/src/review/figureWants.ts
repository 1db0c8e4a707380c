import { enclosureFit, isGoingIn, proportionsOf } from '../figure/index.ts';
import type { ReviewContext } from './context.ts';

/** Something its author wants of a figure that it does not come to. */
export type FigureWantFault =
  | { readonly code: 'proportion_off'; readonly proportionId: string }
  | { readonly code: 'enclosure_too_small'; readonly enclosureId: string };

/** Of the usual build: proportions that are broken, and what it does not go into. What is unknown is no fault. */
export function figureWantFaults(context: ReviewContext): FigureWantFault[] {
  const { pattern, wool } = context;
  if (pattern.proportions.length === 0 && pattern.enclosures.length === 0) return [];
  const {
    build,
    estimate,
    together: { figure },
  } = context.usual;
  return [
    ...proportionsOf(figure, build, estimate).flatMap((told): FigureWantFault[] =>
      told.kind === 'told' && told.isBroken
        ? [{ code: 'proportion_off', proportionId: told.proportion.id }]
        : [],
    ),
    ...build.enclosures
      .map((enclosure) => enclosureFit(figure, enclosure, wool.findings))
      .flatMap((fit): FigureWantFault[] =>
        fit.kind === 'told' && !isGoingIn(fit)
          ? [{ code: 'enclosure_too_small', enclosureId: fit.enclosure.id }]
          : [],
      ),
  ];
}
