import { PART_STATES, type PartState, type Pattern } from '../pattern/index.ts';
import { workOnParts } from './partWork.ts';

interface LifeMark {
  readonly stepId: string;
  /** Place among the steps, from 0. */
  readonly at: number;
  /** What it is from here on. */
  readonly state: PartState;
  /** Whether that is news, or another step of the same kind. */
  readonly isChange: boolean;
}

/** Where a part is made, joined, hidden and finished. */
export interface LifeLine {
  readonly partId: string;
  readonly marks: readonly LifeMark[];
  readonly madeAt: number | null;
  readonly joinedAt: number | null;
  readonly coveredAt: number | null;
  /** The last step that has anything to do with it. */
  readonly finishedAt: number | null;
}

/** A state never falls back by itself: a body that is felted again after its coat is still covered. */
const rank = (state: PartState): number => PART_STATES.indexOf(state);

/** One line for each part, in the order of the parts. */
export function lifeLines(pattern: Pattern): LifeLine[] {
  const work = workOnParts(pattern);
  return pattern.parts.map(({ id }) => {
    const marks: LifeMark[] = [];
    let now: PartState | null = null;
    for (const { stepId, at, state } of work.get(id) ?? []) {
      const next: PartState | null =
        state !== null && (now === null || rank(state) > rank(now)) ? state : now;
      if (next === null) continue;
      marks.push({ stepId, at, state: next, isChange: next !== now });
      now = next;
    }
    const first = (...states: PartState[]) =>
      marks.find(({ state, isChange }) => isChange && states.includes(state))?.at ?? null;
    return {
      partId: id,
      marks,
      madeAt: marks[0]?.at ?? null,
      joinedAt: first('joined'),
      coveredAt: first('covered'),
      finishedAt: work.get(id)?.at(-1)?.at ?? null,
    };
  });
}
