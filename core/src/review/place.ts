import type { Pattern } from '../pattern/index.ts';
import type { Remark } from './remark.ts';
import { subjectOf } from './subject.ts';

/** Where in the making a remark is met. */
export interface RemarkPlace {
  /** The step in which a maker comes to it, from 0; null: before any, for it is of the whole, or no step has it. */
  readonly stepAt: number | null;
  readonly partIds: readonly string[];
  /** The session of that step; null: no session. */
  readonly sessionId: string | null;
}

/** @param remark of this pattern */
export function placeInMaking(remark: Remark, pattern: Pattern): RemarkPlace {
  const subject = subjectOf(remark);
  const { parts, steps, joins, findings, cuts, sessions } = pattern;
  const at = (partIds: readonly string[], stepAt: number) => ({
    partIds,
    stepAt: stepAt < 0 ? null : stepAt,
    sessionId: sessionAt(pattern, stepAt),
  });
  const firstOn = (partIds: readonly string[]) =>
    at(partIds, steps.findIndex((step) => step.partIds.some((id) => partIds.includes(id)))); // prettier-ignore
  const nowhere = at([], -1);
  if (!('id' in subject)) return nowhere;
  const { kind, id } = subject;
  switch (kind) {
    case 'step':
    case 'order': {
      const stepAt = steps.findIndex((step) => step.id === id);
      return at(steps[stepAt]?.partIds ?? [], stepAt);
    }
    case 'part':
      return parts.some((part) => part.id === id) ? firstOn([id]) : nowhere;
    case 'join': {
      const join = joins.find((each) => each.id === id);
      const stepAt = steps.findIndex(({ joinIds }) => joinIds.includes(id));
      if (!join) return nowhere;
      return stepAt >= 0 ? at([join.partId, join.ontoId], stepAt) : firstOn([join.partId]);
    }
    case 'finding': {
      const partId = findings.find((use) => use.id === id)?.partId;
      return partId == null ? nowhere : firstOn([partId]);
    }
    case 'cut': {
      const partId = cuts.find((cut) => cut.id === id)?.seat?.partId;
      return partId === undefined ? nowhere : firstOn([partId]);
    }
    case 'picture':
      return at(
        [],
        steps.findIndex(({ pictures }) => pictures.some(({ pictureId }) => pictureId === id)),
      );
    case 'technique':
      return at(
        [],
        steps.findIndex(({ technique }) => technique?.useId === id),
      );
    case 'session': {
      const first = sessions.find((session) => session.id === id)?.firstStepId ?? null;
      return {
        ...at(
          [],
          steps.findIndex((step) => step.id === first),
        ),
        sessionId: id,
      };
    }
  }
}

/** The session a step falls into; null: there are none, or it comes before the first. */
export function sessionAt({ sessions, steps }: Pattern, stepAt: number): string | null {
  if (stepAt < 0) return null;
  const begun = sessions
    .map(({ id, firstStepId }) => ({ id, from: steps.findIndex((step) => step.id === firstStepId) }))
    .filter(({ from }) => from >= 0 && from <= stepAt)
    .toSorted((a, b) => a.from - b.from);
  return begun.at(-1)?.id ?? null;
}

/**
 * In the order in which somebody making it comes to them: what is of the whole first, then step by step; at one step
 * as the rules ask, which is the order in which its author would mend them.
 */
export const inReadingOrder = <R extends Remark>(remarks: readonly R[], pattern: Pattern): R[] =>
  remarks
    .map((remark, rank) => ({ remark, rank, stepAt: placeInMaking(remark, pattern).stepAt ?? -1 }))
    .toSorted((a, b) => a.stepAt - b.stepAt || a.rank - b.rank)
    .map(({ remark }) => remark);
