import type { Pattern } from '../pattern/index.ts';
import { needsOf } from '../needles/index.ts';
import type { ClassPlan } from '../run/index.ts';
import type { ToolKey } from '../shelf/index.ts';

/** Something shared: so many of it, for the room or for each table. */
export interface RoomThing {
  readonly key: string;
  readonly name: string;
  readonly count: number;
  readonly isPerTable: boolean;
  /** The instructor’s hands are not free while they talk or show. */
  readonly isInstructor: boolean;
}

/** A step’s use of something shared. */
export interface SharedUse {
  readonly key: string;
  /** At the author’s pace; null: all of the step. */
  readonly minutes: number | null;
}

/** The instructor’s own hands, where they are asked for. */
export const INSTRUCTOR_KEY = 'you';

/** Who has no holder goes on with one needle: nobody stands in line for it. */
const NEVER_WAITED_FOR: ReadonlySet<string> = new Set<ToolKey>(['holder', 'water', 'surface']);
/** What an author lists beside that, for each table: taken up, and put down again. */
const MINUTES_AT_OWN = 2;

/**
 * How long a tool is in the hand in a step that calls for it, minutes at the author’s pace; what is not here is held for all
 * of it. Ours: a ruler is laid on and passed, a snip is a moment.
 */
const MINUTES_AT: Readonly<Partial<Record<ToolKey, number>>> = {
  ruler: 1,
  scissors: 1,
  'wire-cutters': 1,
  glue: 3,
  guide: 1,
  pencil: 1,
  pins: 1,
  tape: 1,
  scale: 1,
};

/** What a class shares in one build, and which steps take it: what its steps call for, as the plan says otherwise. */
export function sharedUses(
  build: Pattern,
  plan: Pick<ClassPlan, 'shared'>,
): { readonly things: readonly RoomThing[]; readonly ofStep: (stepId: string) => SharedUse[] } {
  const uses = new Map<string, SharedUse[]>();
  const things: RoomThing[] = [];
  const give = (key: string, stepIds: readonly string[], minutes: number | null) => {
    for (const id of stepIds) uses.set(id, [...(uses.get(id) ?? []), { key, minutes }]);
  };
  const derived = derivedShared(build);
  for (const thing of derived) {
    const asSaid = plan.shared.find(({ key }) => key === thing.key);
    things.push(
      asSaid ? { ...thing, name: asSaid.name || thing.name, count: asSaid.count, isPerTable: false } : thing,
    );
    give(thing.key, asSaid?.stepIds ?? thing.stepIds, asSaid ? asSaid.minutesAtIt : thing.minutes);
  }
  for (const { key, name, count, minutesAtIt, stepIds } of plan.shared) {
    if (derived.some((thing) => thing.key === key)) continue;
    things.push({ key, name, count, isPerTable: false, isInstructor: key === INSTRUCTOR_KEY });
    give(key, stepIds ?? [], minutesAtIt);
  }
  return { things, ofStep: (stepId) => uses.get(stepId) ?? [] };
}

interface DerivedThing extends RoomThing {
  readonly stepIds: readonly string[];
  readonly minutes: number | null;
}

/** Tools that a room or a table has, and not each person. */
function derivedShared(build: Pattern): DerivedThing[] {
  return needsOf(build).listed.flatMap(({ key, what, per, count, isUsedUp, stepIds }) => {
    const isShared = per === 'room' || per === 'table';
    if (!isShared || isUsedUp || what.is === 'needle' || stepIds.length === 0) return [];
    if (NEVER_WAITED_FOR.has(key)) return [];
    return [
      {
        key,
        name: what.is === 'own' ? what.name : what.tool,
        count,
        isPerTable: per === 'table',
        isInstructor: false,
        stepIds,
        minutes:
          what.is === 'tool' ? (MINUTES_AT[what.tool] ?? null) : per === 'table' ? MINUTES_AT_OWN : null,
      },
    ];
  });
}
