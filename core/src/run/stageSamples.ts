import { STAGES, type Pattern, type Stage, type Step } from '../pattern/index.ts';
import type { UseEstimate, WoolRole } from '../wool/index.ts';

/** A place where a class cannot go on from what it has in hand, and wants a piece that is so far already. */
export interface StageSample {
  readonly stepId: string;
  /** From 1. */
  readonly stepNumber: number;
  readonly why: 'waiting' | 'session';
}

/** The stage in which wool of a role is laid on. */
export const STAGE_OF_ROLE: Readonly<Record<WoolRole, Stage>> = {
  core: 'core',
  'loose-end': 'core',
  coat: 'coat',
  patch: 'coat',
  'join-cover': 'join',
  line: 'detail',
  dot: 'detail',
  added: 'detail',
  hair: 'hair',
};

/** Where the pattern jumps: before a wait is over, and before a later session begins. */
export function stageSamples({ steps, sessions }: Pattern): StageSample[] {
  const starts = new Set(sessions.slice(1).map(({ firstStepId }) => firstStepId));
  return steps.flatMap((step, at): StageSample[] => {
    const next = steps[at + 1];
    if (step.waiting !== null) return [{ stepId: step.id, stepNumber: at + 1, why: 'waiting' }];
    if (next && starts.has(next.id)) return [{ stepId: step.id, stepNumber: at + 1, why: 'session' }];
    return [];
  });
}

const actsOn = ({ partIds, joinIds }: Step, { kind, id }: UseEstimate['owner']): boolean =>
  (kind === 'part' ? partIds : joinIds).includes(id);

/** The wool that is on the piece after a step: what the steps so far have come to, stage by stage. */
export function woolUpTo(build: Pattern, stepId: string, uses: readonly UseEstimate[]): UseEstimate[] {
  const at = build.steps.findIndex(({ id }) => id === stepId);
  const done = build.steps.slice(0, at + 1);
  const stageAt = (stage: Stage) => STAGES.indexOf(stage);
  return uses.filter(
    ({ owner, role, isIfNeeded }) =>
      !isIfNeeded &&
      done.some((step) => actsOn(step, owner) && stageAt(step.stage) >= stageAt(STAGE_OF_ROLE[role])),
  );
}

/** In which session wool is used, from 0: where a step of its stage first takes up its part, else where any does. */
export function sessionOfUse({ steps, sessions }: Pattern, { owner, role }: UseEstimate): number {
  const own = steps.filter((step) => actsOn(step, owner));
  const step = own.find(({ stage }) => stage === STAGE_OF_ROLE[role]) ?? own[0];
  if (!step) return 0;
  const at = steps.indexOf(step);
  const starts = sessions.map(({ firstStepId }) => steps.findIndex(({ id }) => id === firstStepId));
  return Math.max(0, starts.filter((start, index) => index > 0 && start >= 0 && start <= at).length);
}
