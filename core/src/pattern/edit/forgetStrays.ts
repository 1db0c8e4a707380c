import type { Pattern } from '../document/pattern.ts';
import type { Act, Step } from '../document/step.ts';
import { knownIds, type KnownIds } from '../document/things.ts';
import { placedThing } from './setPlacement.ts';

/** The items that stay; the very same list when all do, so that nobody takes it for a change. */
const keep = <T>(items: T[], stays: (item: T) => boolean): T[] =>
  items.every(stays) ? items : items.filter(stays);

/** Each item as `change` gives it; the very same list when none is another. */
const each = <T>(items: T[], change: (item: T) => T): T[] => {
  const changed = items.map(change);
  return changed.every((item, index) => item === items[index]) ? items : changed;
};

const withLists = <T extends object>(item: T, lists: Partial<T>): T => {
  const isSame = Object.entries(lists).every(([key, value]) => item[key as keyof T] === value);
  return isSame ? item : { ...item, ...lists };
};

/**
 * The pattern without any mention, in its writing, of parts, joins, findings and steps that are not in it: what has to
 * be done after something is taken out. Shapes, joins and amounts are not looked at (see `withoutPart`).
 */
export function forgetStrays(pattern: Pattern): Pattern {
  const known = knownIds(pattern);
  const orNull = (stepId: string | null) => (stepId !== null && known.step.has(stepId) ? stepId : null);
  const steps = each(pattern.steps, (step) => tidyStep(step, pattern, known));
  const usesOfTechniques = new Set(steps.flatMap(({ technique }) => technique?.useId ?? []));
  const slotIds = new Set(pattern.slots.map(({ id }) => id));
  return {
    ...pattern,
    steps,
    poses: each(pattern.poses, (pose) =>
      withLists(pose, { places: keep(pose.places, ({ of }) => placedThing(pattern, of) !== undefined) }),
    ),
    drawnStepIds: keep(pattern.drawnStepIds, (id) => known.step.has(id)),
    links: keep(
      pattern.links,
      ({ beforeId, afterId }) => known.step.has(beforeId) && known.step.has(afterId),
    ),
    sessions: each(pattern.sessions, (session) =>
      withLists(session, { firstStepId: orNull(session.firstStepId) }),
    ),
    techniques: keep(pattern.techniques, ({ id }) => usesOfTechniques.has(id)),
    options: each(pattern.options, (option) =>
      withLists(option, {
        values: each(option.values, (value) =>
          withLists(value, { things: keep(value.things, ({ kind, id }) => known[kind].has(id)) }),
        ),
      }),
    ),
    slots: each(pattern.slots, (slot) =>
      withLists(slot, {
        places: keep(slot.places, ({ kind, id }) => known[kind].has(id)),
        rule: slot.rule && slotIds.has(slot.rule.thanSlotId) ? slot.rule : null,
      }),
    ),
    swaps: each(
      keep(pattern.swaps, ({ of }) => known[of.kind].has(of.id)),
      (swap) => withLists(swap, { steps: keep(swap.steps, ({ stepId }) => known.step.has(stepId)) }),
    ),
  };
}

function tidyStep(step: Step, pattern: Pattern, known: KnownIds): Step {
  const isStep = (id: string | null) => id === null || known.step.has(id);
  return withLists(step, {
    partIds: keep(step.partIds, (id) => known.part.has(id)),
    joinIds: keep(step.joinIds, (id) => known.join.has(id)),
    act: tidyAct(step.act, known),
    recallsStepId: isStep(step.recallsStepId) ? step.recallsStepId : null,
    checks: each(step.checks, (check) =>
      isStep(check.returnToStepId) ? check : { ...check, returnToStepId: null },
    ),
    technique:
      step.technique && pattern.techniques.some(({ id }) => id === step.technique?.useId)
        ? step.technique
        : null,
  });
}

function tidyAct(act: Act, known: KnownIds): Act {
  if (act.kind === 'choose') {
    return withLists(act, { findingUseIds: keep(act.findingUseIds, (id) => known.finding.has(id)) });
  }
  if (act.kind === 'stand-in' && act.untilStepId !== null && !known.step.has(act.untilStepId)) {
    return { ...act, untilStepId: null };
  }
  return act;
}
