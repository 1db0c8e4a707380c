import type { ActKind, Part, PartState, Pattern, Step } from '../pattern/index.ts';

/** One step’s work on one part. */
export interface PartWork {
  readonly stepId: string;
  readonly at: number;
  readonly act: ActKind;
  /** What the part is afterwards; null where the step leaves it as it was. */
  readonly state: PartState | null;
  /** Another part is set onto this one: it is worked on, not joined itself. */
  readonly isHost: boolean;
}

const STATE_OF_ACT: Readonly<Partial<Record<ActKind, PartState>>> = {
  tack: 'tacked',
  join: 'joined',
  sew: 'joined',
  glue: 'joined',
  wrap: 'covered',
  cut: 'trimmed',
};

/** Which parts a step joins on: of the joins it names, or of any that lie wholly within its parts. */
export function joinedBy(step: Step, { joins }: Pick<Pattern, 'joins'>): Set<string> {
  const doing =
    step.joinIds.length > 0 ? joins.filter(({ id }) => step.joinIds.includes(id)) : within(step, joins);
  return new Set(doing.map(({ partId }) => partId));
}

const within = ({ partIds }: Step, joins: Pattern['joins']): Pattern['joins'] =>
  joins.filter(({ partId, ontoId }) => partIds.includes(partId) && partIds.includes(ontoId));

export const JOINING: ReadonlySet<ActKind> = new Set<ActKind>(['join', 'sew', 'glue', 'tack']);

/** What each step does to each part, in the order of the steps; parts no step acts on have an empty list. */
export function workOnParts(pattern: Pattern): Map<string, PartWork[]> {
  const work = new Map<string, PartWork[]>(pattern.parts.map(({ id }) => [id, []]));
  const lastMake = lastMakes(pattern);
  pattern.steps.forEach((step, at) => {
    const set = JOINING.has(step.act.kind) ? joinedBy(step, pattern) : null;
    for (const partId of step.partIds) {
      const isHost = set !== null && set.size > 0 && !set.has(partId);
      const state = isHost ? null : stateAfter(step, at === lastMake.get(partId));
      work.get(partId)?.push({ stepId: step.id, at, act: step.act.kind, state, isHost });
    }
  });
  return work;
}

/**
 * The last step that shapes each part before anything is done with it; details that are felted on later do not make it
 * less felted.
 */
function lastMakes({ steps }: Pattern): Map<string, number> {
  const last = new Map<string, number>();
  const closed = new Set<string>();
  steps.forEach(({ act, partIds, stage }, at) => {
    for (const partId of partIds) {
      if (isShaping(act.kind) && stage !== 'finish') {
        if (!closed.has(partId)) last.set(partId, at);
      } else if (act.kind !== 'check' && last.has(partId)) closed.add(partId);
    }
  });
  return last;
}

const isShaping = (act: ActKind): boolean => act === 'make' || act === 'felt';

function stateAfter(step: Step, isLast: boolean): PartState | null {
  if (step.leaves !== null) return step.leaves;
  const { kind } = step.act;
  if (kind === 'make' || kind === 'felt') {
    if (step.stage === 'finish') return null;
    // Rolled without a needle is not felted, however often it comes back.
    if (step.needle.by === 'none') return 'rolled';
    return isLast ? 'felted' : 'half-firm';
  }
  return STATE_OF_ACT[kind] ?? null;
}

/** A patch or a handful of dots is laid straight onto another part: nobody joins it. */
export const isLaidOn = ({ shape }: Part): boolean => shape.kind === 'patch' || shape.kind === 'by-count';
