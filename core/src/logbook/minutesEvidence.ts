import { MINUTES_SIGMA } from '../learning/index.ts';
import { type Pattern, workMinutes } from '../pattern/index.ts';
import { PACE } from '../timetable/index.ts';
import type { Evidence } from './evidence.ts';
import type { Making } from './making.ts';

/** Minutes of steps as they were against those in the pattern: of who made it, and of the kind of act. */
export function minutesEvidence(making: Making, build: Pattern): Evidence[] {
  const isOwnMaker = making.madeBy === '';
  return making.steps.flatMap(({ id, stepId, minutes }): Evidence[] => {
    const step = build.steps.find((candidate) => candidate.id === stepId);
    const minutesSaid = step ? (workMinutes(step, build)?.likely ?? null) : null;
    // The pattern’s minutes are the studio’s own maker’s; another takes what is usual for their practice.
    const expected = minutesSaid === null || isOwnMaker ? minutesSaid : minutesSaid * PACE[making.skill];
    if (!step || expected === null || expected <= 0 || minutes === null || minutes <= 0) return [];
    return [
      {
        id: `${making.id}:${id}`,
        source: { kind: 'making', makingId: making.id },
        kind: 'minutes',
        date: making.date,
        who: making.madeBy,
        fibreId: null,
        partId: null,
        stepId: step.id,
        expected,
        found: minutes,
        ln: Math.log(minutes / expected),
        sigma: MINUTES_SIGMA.step,
        of: [
          { factor: { kind: 'pace', who: making.madeBy }, share: 1 },
          { factor: { kind: 'act', act: step.act.kind }, share: 1 },
          ...(isOwnMaker ? [] : [{ factor: { kind: 'skill', skill: making.skill }, share: 1 } as const]),
        ],
      },
    ];
  });
}
