import type { FibreTook } from '../classDay/index.ts';
import type { Wool } from '../engine/index.ts';
import type { Pattern } from '../pattern/index.ts';
import type { Skill } from '../needles/index.ts';
import { NEED_SIGMA } from '../run/index.ts';
import {
  type Evidence,
  type Gathered,
  type NotTaught,
  observed,
  otherHandsSigma,
  type Untaught,
} from './evidence.ts';
import { expectedOf, expectedSum, type ExpectedUse } from './expected.ts';

/** Learners’ hands are nobody’s own: a class is a maker of its own, the same in every class. */
export const LEARNERS = '~learners';

export interface ClassTold {
  readonly runId: string;
  /** YYYY-MM-DD */
  readonly date: string;
  readonly skill: Skill;
  /** What each seat made, and how many made it. */
  readonly makes: readonly { readonly build: Pattern; readonly seats: number }[];
  readonly seats: number;
  readonly finished: number;
  readonly wool: Wool;
  readonly took: readonly FibreTook[];
  readonly stepG: number;
}

/**
 * What a class took of each fibre, against what as many figures come to. Only where everybody finished and what was left was
 * weighed back: else nobody knows what is in the figures.
 */
export function classEvidence(told: ClassTold): Gathered {
  const { runId, makes, wool, took, seats, finished } = told;
  const uses = makes.flatMap(({ build, seats: makers }) =>
    expectedOf(build, wool, LEARNERS).uses.map((use): ExpectedUse => ({ ...use, count: use.count * makers })),
  );
  const evidence: Evidence[] = [];
  const untaught: NotTaught[] = [];
  for (const row of took) {
    const ofFibre = uses.filter(({ fibreId }) => fibreId === row.fibreId);
    const sum = expectedSum(ofFibre);
    const why = whyNot(row, sum.massG, seats, finished);
    const id = `${runId}:${row.fibreId}`;
    if (why) untaught.push({ id, why });
    else if (row.tookG !== null) {
      const hands = NEED_SIGMA[told.skill] / Math.sqrt(Math.max(1, seats));
      evidence.push({
        ...observed(
          sum.of,
          row.tookG,
          sum.massG,
          Math.hypot(sum.ownSigma, hands, otherHandsSigma(sum.of, LEARNERS)),
          told.stepG,
        ),
        id,
        source: { kind: 'run', runId },
        kind: 'class',
        date: told.date,
        who: LEARNERS,
        fibreId: row.fibreId,
        partId: null,
        stepId: null,
        expected: sum.massG,
        found: row.tookG,
      });
    }
  }
  return { evidence, untaught };
}

function whyNot({ tookG }: FibreTook, expectedG: number, seats: number, finished: number): Untaught | null {
  if (tookG === null) return { code: 'left_not_weighed' };
  if (finished < seats) return { code: 'not_all_finished', finished, seats };
  if (tookG <= 0) return tookG < 0 ? { code: 'below_nothing', tookG } : { code: 'nothing_took' };
  return expectedG > 0 ? null : { code: 'not_in_pattern' };
}
