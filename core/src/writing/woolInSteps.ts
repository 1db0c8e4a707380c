import type { UseEstimate, WoolRole } from '../engine/index.ts';
import { type Pattern, type Stage, STAGES, type Step } from '../pattern/index.ts';
import { isLaidOn, joinedBy, JOINING } from './partWork.ts';

/** Which wool is asked about: what it is for, and on what. */
export type WoolPlace = Pick<UseEstimate, 'owner' | 'role'>;

/** The stage in which wool of a role is laid on. */
const STAGE_OF_ROLE: Readonly<Record<WoolRole, Stage>> = {
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

/** A fringe is hair, and a patch or what is only counted a detail, whichever layer of it the wool is. */
export function stageOfWool({ parts }: Pick<Pattern, 'parts'>, { owner, role }: WoolPlace): Stage {
  const part = owner.kind === 'part' ? parts.find(({ id }) => id === owner.id) : undefined;
  if (part?.shape.kind === 'fringe') return 'hair';
  if (part && isLaidOn(part) && role !== 'hair') return 'detail';
  return STAGE_OF_ROLE[role];
}

type Acts = Pick<Pattern, 'parts' | 'joins' | 'steps'>;

/** A join is worked on by the steps that name it, and by one that joins its two parts and names none. */
function actsOn(step: Step, { kind, id }: UseEstimate['owner'], { joins }: Acts): boolean {
  if (kind === 'part') return step.partIds.includes(id);
  if (step.joinIds.includes(id)) return true;
  const join = joins.find((candidate) => candidate.id === id);
  return (
    join !== undefined &&
    step.joinIds.length === 0 &&
    JOINING.has(step.act.kind) &&
    step.partIds.includes(join.ontoId) &&
    joinedBy(step, { joins }).has(join.partId)
  );
}

/** Where wool is first taken up: a step of its stage on its part, else any on it. @returns its place, from 0; null: none */
export function stepOfWool(pattern: Acts, place: WoolPlace): number | null {
  const stage = stageOfWool(pattern, place);
  const ownSteps = pattern.steps.filter((step) => actsOn(step, place.owner, pattern));
  const step = ownSteps.find((candidate) => candidate.stage === stage) ?? ownSteps[0];
  return step ? pattern.steps.indexOf(step) : null;
}

/** In which session wool is used, from 0; what no step takes up lies there from the first. */
export function sessionOfWool(pattern: Acts & Pick<Pattern, 'sessions'>, place: WoolPlace): number {
  const at = stepOfWool(pattern, place);
  if (at === null) return 0;
  const starts = pattern.sessions.map(({ firstStepId }) =>
    pattern.steps.findIndex(({ id }) => id === firstStepId),
  );
  return starts.filter((start, index) => index > 0 && start >= 0 && start <= at).length;
}

/** The wool that is on the piece after a step: what the steps so far have come to, stage by stage. */
export function woolUpTo(pattern: Acts, stepId: string, uses: readonly UseEstimate[]): UseEstimate[] {
  const at = pattern.steps.findIndex(({ id }) => id === stepId);
  const done = pattern.steps.slice(0, at + 1);
  const stageAt = (stage: Stage) => STAGES.indexOf(stage);
  return uses.filter(
    (use) =>
      !use.isIfNeeded &&
      done.some(
        (step) =>
          actsOn(step, use.owner, pattern) && stageAt(step.stage) >= stageAt(stageOfWool(pattern, use)),
      ),
  );
}
