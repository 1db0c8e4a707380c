import { fitsOf, isFitting, whatItTells } from '../../figure/index.ts';
import { figureWantFaults } from '../figureWants.ts';
import { figureHeightFault } from '../heightOfFigure.ts';
import { heightFault } from '../heightOfParts.ts';
import type { ReviewContext } from '../context.ts';
import type { Remark } from '../remark.ts';
import { rule } from '../rule.ts';

/** A hanging figure that leans by less is called straight. */
const CROOKED_DEG = 6;

type Fault<C extends Remark['code']> = Extract<Remark, { readonly code: C }>;
const only = <C extends Remark['code']>(faults: readonly Remark[], code: C): Fault<C>[] =>
  faults.filter((fault): fault is Fault<C> => fault.code === code);

/** A height that its parts cannot come to is told first, and what the figure comes to only then. */
const heights = (context: ReviewContext): Remark[] => {
  const fault = heightFault(context.pattern) ?? figureHeightFault(context);
  return fault ? [fault] : [];
};

/** All places are the author’s, and all that weighs is known: what is only proposed is nobody’s fault. */
function tellsSurely({ usual, pattern, wool }: ReviewContext) {
  const { build, estimate, together } = usual;
  const isProposed =
    pattern.stance === null ||
    build.joins.some(({ placement }) => placement === null) ||
    together.figure.notPlaced.length > 0;
  if (isProposed || together.figure.pieces.length < 2) return null;
  const tells = whatItTells(together, build, estimate, wool.findings);
  return tells.masses.notWeighed.length > 0 ? null : tells;
}

/** The figure together. */
export const FIGURE_RULES = [
  rule('height_under_part', 'figure', 'stumble', (context) => only(heights(context), 'height_under_part')),
  rule('height_over_parts', 'figure', 'stumble', (context) => only(heights(context), 'height_over_parts')),
  rule('height_off_figure', 'figure', 'stumble', (context) => only(heights(context), 'height_off_figure')),
  rule('proportion_off', 'figure', 'look', (context) => only(figureWantFaults(context), 'proportion_off')),
  rule('enclosure_too_small', 'figure', 'stumble', (context) =>
    only(figureWantFaults(context), 'enclosure_too_small'),
  ),
  rule('feature_does_not_fit', 'figure', 'stumble', ({ usual }) =>
    fitsOf(usual.together.details).flatMap((fit) =>
      isFitting(fit) || fit.detail.isProposed
        ? []
        : [
            {
              detailKey: fit.detail.key,
              name: fit.detail.of.kind === 'finding' ? fit.detail.of.finding.name : '',
            },
          ],
    ),
  ),
  rule('figure_falls', 'figure', 'stumble', (context) => {
    const rests = context.pattern.stance?.rests;
    if (rests !== 'stands' && rests !== 'sits') return [];
    const tells = tellsSurely(context);
    return tells?.standing.kind === 'falls' || tells?.standing.kind === 'no-flat' ? [{}] : [];
  }),
  rule('figure_hangs_crooked', 'figure', 'look', (context) => {
    if (context.pattern.stance?.rests !== 'hangs') return [];
    const hangs = tellsSurely(context)?.hanging?.hangs;
    return hangs && Math.abs(hangs.tiltDeg) > CROOKED_DEG ? [{ tiltDeg: hangs.tiltDeg }] : [];
  }),
];
