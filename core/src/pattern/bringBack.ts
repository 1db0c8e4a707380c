import { forgetStrays } from './forgetStrays.ts';
import type { ThingRef } from './option.ts';
import type { Pattern } from './pattern.ts';
import { isSameThing } from './things.ts';

/**
 * The pattern with a part that was taken out of `before`: where it was, and mentioned wherever it was mentioned, as far
 * as what mentioned it is still there. What was written meanwhile stays.
 */
export function withPartBack(pattern: Pattern, before: Pattern, partId: string): Pattern {
  const at = before.parts.findIndex(({ id }) => id === partId);
  const part = before.parts[at];
  if (!part || pattern.parts.some(({ id }) => id === partId)) return pattern;
  const parts = pattern.parts.toSpliced(at, 0, part);
  const there = new Set(parts.map(({ id }) => id));
  const joins = before.joins.filter(
    (join) =>
      (join.partId === partId || join.ontoId === partId) &&
      there.has(join.partId) &&
      there.has(join.ontoId) &&
      pattern.joins.every(({ id }) => id !== join.id),
  );
  const back: ThingRef[] = [
    { kind: 'part', id: partId },
    ...part.uses.map(({ id }): ThingRef => ({ kind: 'use', id })),
    ...joins.map(({ id }): ThingRef => ({ kind: 'join', id })),
  ];
  return forgetStrays(mentioning({ ...pattern, parts, joins: [...pattern.joins, ...joins] }, before, back));
}

/** The pattern with a join that was taken out of `before`, in its steps, options and slots again. */
export function withJoinBack(pattern: Pattern, before: Pattern, joinId: string): Pattern {
  const at = before.joins.findIndex(({ id }) => id === joinId);
  const join = before.joins[at];
  if (!join || pattern.joins.some(({ id }) => id === joinId)) return pattern;
  const there = new Set(pattern.parts.map(({ id }) => id));
  if (!there.has(join.partId) || !there.has(join.ontoId)) return pattern;
  const joins = pattern.joins.toSpliced(at, 0, join);
  return forgetStrays(mentioning({ ...pattern, joins }, before, [{ kind: 'join', id: joinId }]));
}

function mentioning(pattern: Pattern, before: Pattern, back: readonly ThingRef[]): Pattern {
  const isBack = (kind: ThingRef['kind'], id: string) =>
    back.some((thing) => thing.kind === kind && thing.id === id);
  const was = <T extends { id: string }>(items: readonly T[], id: string) =>
    items.find((item) => item.id === id);
  // In the order they stood in; what was added meanwhile comes after.
  const again = (now: readonly string[], then: readonly string[] = [], kind: ThingRef['kind']) => [
    ...then.filter((id) => now.includes(id) || isBack(kind, id)),
    ...now.filter((id) => !then.includes(id)),
  ];
  const thingsAgain = <T extends ThingRef>(now: readonly T[], then: readonly T[] = []): T[] => [
    ...then.filter((thing) => isBack(thing.kind, thing.id) || now.some((own) => isSameThing(own, thing))),
    ...now.filter((thing) => !then.some((own) => isSameThing(own, thing))),
  ];
  return {
    ...pattern,
    steps: pattern.steps.map((step) => ({
      ...step,
      partIds: again(step.partIds, was(before.steps, step.id)?.partIds, 'part'),
      joinIds: again(step.joinIds, was(before.steps, step.id)?.joinIds, 'join'),
    })),
    findings: pattern.findings.map((finding) => {
      const then = was(before.findings, finding.id)?.partId ?? null;
      return finding.partId === null && then !== null && isBack('part', then)
        ? { ...finding, partId: then }
        : finding;
    }),
    cuts: pattern.cuts.map((cut) => {
      const then = was(before.cuts, cut.id);
      if (cut.kind !== 'wire' || then?.kind !== 'wire') return cut;
      return {
        ...cut,
        segments: cut.segments.map((segment, index) => {
          const partId = then.segments[index]?.partId ?? null;
          return segment.partId === null && partId !== null && isBack('part', partId)
            ? { ...segment, partId }
            : segment;
        }),
      };
    }),
    options: pattern.options.map((option) => ({
      ...option,
      values: option.values.map((value) => {
        const then = was(was(before.options, option.id)?.values ?? [], value.id)?.things;
        return { ...value, things: thingsAgain(value.things, then) };
      }),
    })),
    slots: pattern.slots.map((slot) => ({
      ...slot,
      places: thingsAgain(slot.places, was(before.slots, slot.id)?.places),
    })),
    swaps: [
      ...pattern.swaps,
      ...before.swaps.filter(
        ({ id, of }) => isBack(of.kind, of.id) && pattern.swaps.every((own) => own.id !== id),
      ),
    ],
  };
}
