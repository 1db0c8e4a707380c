import { type Bounds, checkRange, checkWhole } from '../../base/index.ts';
import { type Minutes, minutesRange } from '../document/minutes.ts';
import type { Pattern } from '../document/pattern.ts';
import type { PatternProblem } from '../document/problem.ts';
import { rungsOfSchool } from '../document/school.ts';
import type { Step } from '../document/step.ts';
import { knownIds, type KnownIds } from '../document/things.ts';
import { linkCircle } from './linkCircle.ts';

const MINUTES: Bounds = { min: 0, max: 1440 };
/** A felted piece may lie for a week before it is dry. */
const WAITING: Bounds = { min: 0, max: 20_160 };
export const GAUGE_BOUNDS: Bounds = { min: 32, max: 42 };

/** Everything about the steps, their order and the sessions that may not be stored. */
export function checkSteps(pattern: Pattern): PatternProblem[] {
  const known = knownIds(pattern);
  return [
    ...pattern.steps.flatMap((step, index) => checkStep(step, pattern, known, `/steps/${index}`)),
    ...pattern.links.flatMap(({ beforeId, afterId }, index) => [
      ...strayStep(beforeId, known, `/links/${index}/beforeId`),
      ...strayStep(afterId, known, `/links/${index}/afterId`),
    ]),
    ...checkCircle(pattern),
    ...pattern.stageNeedles.flatMap(({ needle }, index) =>
      checkWanted(needle, `/stageNeedles/${index}/needle`),
    ),
    ...rungsOfSchool(pattern.school).flatMap(({ name, wanted }) => checkWanted(wanted, `/school/${name}`)),
    ...pattern.drawnStepIds.flatMap((stepId, index) => strayStep(stepId, known, `/drawnStepIds/${index}`)),
    ...pattern.sessions.flatMap(({ firstStepId }, index) =>
      strayStep(firstStepId, known, `/sessions/${index}/firstStepId`),
    ),
  ];
}

const checkWanted = (needle: Step['needle'], pointer: string): PatternProblem[] =>
  needle.by === 'gauge' ? checkWhole(needle.gauge, GAUGE_BOUNDS, `${pointer}/gauge`) : [];

function checkCircle(pattern: Pattern): PatternProblem[] {
  const circle = linkCircle(pattern.links);
  if (!circle) return [];
  const numbers = circle.map((id) => pattern.steps.findIndex((step) => step.id === id) + 1);
  return [{ code: 'order_circular', pointer: '/links', numbers }];
}

const strayStep = (stepId: string | null, known: KnownIds, pointer: string): PatternProblem[] =>
  stepId === null || known.step.has(stepId) ? [] : [{ code: 'step_not_found', pointer, stepId }];

function checkStep(step: Step, pattern: Pattern, known: KnownIds, pointer: string): PatternProblem[] {
  const pictureIds = new Set(pattern.pictures.map(({ id }) => id));
  const { act } = step;
  return [
    ...step.partIds.flatMap((partId, index): PatternProblem[] =>
      known.part.has(partId)
        ? []
        : [{ code: 'part_not_found', pointer: `${pointer}/partIds/${index}`, partId }],
    ),
    ...step.joinIds.flatMap((id, index): PatternProblem[] =>
      known.join.has(id)
        ? []
        : [{ code: 'thing_not_found', pointer: `${pointer}/joinIds/${index}`, kind: 'join', id }],
    ),
    ...checkWanted(step.needle, `${pointer}/needle`),
    ...checkMinutes(step.minutes, MINUTES, `${pointer}/minutes`),
    ...checkMinutes(step.waiting, WAITING, `${pointer}/waiting`),
    ...step.checks.flatMap(({ returnToStepId }, index) =>
      strayStep(returnToStepId, known, `${pointer}/checks/${index}/returnToStepId`),
    ),
    ...strayStep(step.recallsStepId, known, `${pointer}/recallsStepId`),
    ...(act.kind === 'stand-in' ? strayStep(act.untilStepId, known, `${pointer}/act/untilStepId`) : []),
    ...(act.kind === 'choose'
      ? act.findingUseIds.flatMap((id, index): PatternProblem[] =>
          known.finding.has(id)
            ? []
            : [
                {
                  code: 'thing_not_found',
                  pointer: `${pointer}/act/findingUseIds/${index}`,
                  kind: 'finding',
                  id,
                },
              ],
        )
      : []),
    ...step.pictures.flatMap(({ pictureId }, index): PatternProblem[] =>
      pictureIds.has(pictureId)
        ? []
        : [{ code: 'picture_not_found', pointer: `${pointer}/pictures/${index}/pictureId`, pictureId }],
    ),
  ];
}

function checkMinutes(minutes: Minutes | null, bounds: Bounds, pointer: string): PatternProblem[] {
  if (minutes === null) return [];
  const { low, high } = minutesRange(minutes);
  const ends = [
    ...checkRange(low, bounds, pointer),
    ...(high === low ? [] : checkRange(high, bounds, pointer)),
  ];
  return ends.length === 0 && low > high ? [{ code: 'minutes_reversed', pointer, low, high }] : ends;
}
