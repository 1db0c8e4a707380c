import { estimatePattern, type Wool } from '../engine/index.ts';
import {
  type BreakageEvidence,
  factsOfSteps,
  needlePath,
  riskFactor,
  risksOf,
  SKILL_FACTOR,
} from '../needles/index.ts';
import type { Pattern } from '../pattern/index.ts';
import { finenessOf } from '../shelf/index.ts';
import type { Making } from './making.ts';

/**
 * What a making tells of how often needles break: minutes that were timed, each times its risk and the hands’ own, against what
 * broke in them, by gauge. What broke in a step that nobody timed tells nothing: of how long is not known.
 */
export function brokenInMaking(making: Making, build: Pattern, wool: Wool): BreakageEvidence[] {
  const facts = factsOfSteps(build, estimatePattern(build, wool), wool);
  const timed = new Map(making.steps.map((step) => [step.stepId, step]));
  return brokenTogether(
    needlePath(build).stretches.flatMap(({ step, wanted }): BreakageEvidence[] => {
      const [made, fact] = [timed.get(step.id), facts.get(step.id)];
      if (!made || !fact || wanted === null || made.minutes === null || made.minutes <= 0) return [];
      const exposureMinutes =
        made.minutes * riskFactor(risksOf(fact, step.stroke)) * SKILL_FACTOR[making.skill];
      return [{ gauge: finenessOf(wanted), broken: made.broken, exposureMinutes }];
    }),
  );
}

/** By gauge: poissons add up. */
export function brokenTogether(all: readonly BreakageEvidence[]): BreakageEvidence[] {
  const byGauge = new Map<number | null, BreakageEvidence>();
  for (const { gauge, broken, exposureMinutes } of all) {
    const before = byGauge.get(gauge);
    byGauge.set(gauge, {
      gauge,
      broken: (before?.broken ?? 0) + broken,
      exposureMinutes: (before?.exposureMinutes ?? 0) + exposureMinutes,
    });
  }
  return [...byGauge.values()];
}
