import { normalQuantile } from '../base/index.ts';
import type { EntryTook } from '../classDay/index.ts';
import { type Factor, type FactorShare, MINUTES_SIGMA } from '../learning/index.ts';
import type { Skill } from '../needles/index.ts';
import { type Pattern, workMinutes } from '../pattern/index.ts';
import { PACE, PERSON_SIGMA } from '../timetable/index.ts';
import { LEARNERS } from './classEvidence.ts';
import type { Evidence } from './evidence.ts';

export interface ClassTimed {
  readonly runId: string;
  /** YYYY-MM-DD */
  readonly date: string;
  /** How practised each seat is. */
  readonly skills: readonly Skill[];
  /** What all of them made; a class of several designs is timed by none of them. */
  readonly build: Pattern;
  /** What was marked in it. */
  readonly entries: readonly EntryTook[];
}

/** One learner’s minutes of one step, σ of ln. */
const ONE_SIGMA = Math.hypot(PERSON_SIGMA, MINUTES_SIGMA.step);

/** How far the slowest of so many is behind the middle, in σ: Blom, Statistical Estimates and Transformed Beta-Variables, 1958. */
export const slowestOf = (people: number): number => normalQuantile((people - 0.375) / (people + 0.25));

/**
 * What a class tells of how long learners take: a step is over when everybody has it, so its minutes are those of the slowest of
 * them, who is expected so much behind the middle.
 */
export function classMinutes({ runId, date, skills, build, entries }: ClassTimed): Evidence[] {
  const people = skills.length;
  if (people === 0) return [];
  const pace = skills.reduce((sum, skill) => sum + PACE[skill], 0) / people;
  const behind = Math.exp(ONE_SIGMA * slowestOf(people));
  return entries.flatMap(({ entry: { stepId, id }, tookMinutes }): Evidence[] => {
    const step = build.steps.find((candidate) => candidate.id === stepId);
    const minutes = step ? (workMinutes(step, build)?.likely ?? null) : null;
    if (!step || minutes === null || minutes <= 0 || tookMinutes === null || tookMinutes <= 0) return [];
    const expected = minutes * pace * behind;
    return [
      {
        id: `${runId}:${id}`,
        source: { kind: 'run', runId },
        kind: 'minutes',
        date,
        who: LEARNERS,
        fibreId: null,
        partId: null,
        stepId: step.id,
        expected,
        found: tookMinutes,
        ln: Math.log(tookMinutes / expected),
        sigma: slowestSigma(people),
        of: [{ factor: { kind: 'act', act: step.act.kind }, share: 1 }, ...skillShares(skills)],
      },
    ];
  });
}

/** How far the slowest of so many strays from class to class: Gumbel’s spread of a largest value, and of one or two that of one. */
const slowestSigma = (people: number): number =>
  ONE_SIGMA * Math.min(1, Math.PI / Math.sqrt(12 * Math.log(Math.max(2, people))));

/** Each degree of practice as often as there are seats of it. */
function skillShares(skills: readonly Skill[]): FactorShare[] {
  const kinds = [...new Set(skills)];
  return kinds.map((skill) => ({
    factor: { kind: 'skill', skill } satisfies Factor,
    share: skills.filter((each) => each === skill).length / skills.length,
  }));
}
