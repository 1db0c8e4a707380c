import type { Cut } from '../document/cut.ts';
import type { Part, Pattern } from '../document/pattern.ts';
import { isWool } from '../document/use.ts';
import { forgetStrays } from './forgetStrays.ts';

/** The list with the item `id` moved to `toIndex` (clamped). The same list when there is nothing to do. */
export function moveItem<T extends { id: string }>(items: readonly T[], id: string, toIndex: number): T[] {
  const from = items.findIndex((item) => item.id === id);
  const item = items[from];
  if (!item) return [...items];
  const rest = items.filter((other) => other.id !== id);
  rest.splice(Math.min(Math.max(0, toIndex), rest.length), 0, item);
  return rest;
}

/** The list with a copy of the item `id`, under `newId`, right after it. */
export function duplicateItem<T extends { id: string }>(items: readonly T[], id: string, newId: string): T[] {
  return items.flatMap((item) => (item.id === id ? [item, { ...structuredClone(item), id: newId }] : [item]));
}

/**
 * The parts with a copy of one right after it. Its uses get ids of their own, and what its amounts say of one another
 * is said of the copies.
 */
export function duplicatePart(parts: readonly Part[], id: string, newId: string): Part[] {
  return parts.flatMap((part) => (part.id === id ? [part, copyOf(part, newId)] : [part]));
}

function copyOf(part: Part, newId: string): Part {
  const copy = structuredClone({ ...part, id: newId });
  const newIds = new Map(part.uses.map(({ id }, index) => [id, `${newId.slice(0, 36)}-${index + 1}`]));
  const uses = copy.uses.map((use) => {
    const copiedUse = { ...use, id: newIds.get(use.id) ?? use.id };
    if (!isWool(copiedUse) || !copiedUse.amount || !('ofUseId' in copiedUse.amount)) return copiedUse;
    const { ofUseId } = copiedUse.amount;
    return {
      ...copiedUse,
      amount: { ...copiedUse.amount, ofUseId: ofUseId && (newIds.get(ofUseId) ?? ofUseId) },
    };
  });
  return { ...copy, uses };
}

/** The pattern without a part: out of its steps, joins, wires and everything else that names it. */
export function withoutPart(pattern: Pattern, id: string): Pattern {
  const gone = new Set(pattern.parts.find((part) => part.id === id)?.uses.map((use) => use.id));
  const orNull = (partId: string | null) => (partId === id ? null : partId);
  return forgetStrays({
    ...pattern,
    parts: pattern.parts.filter((part) => part.id !== id).map((part) => forgetting(part, id, gone)),
    joins: pattern.joins.filter((join) => join.partId !== id && join.ontoId !== id),
    stance: pattern.stance?.hangAt?.partId === id ? { ...pattern.stance, hangAt: null } : pattern.stance,
    proportions: pattern.proportions.filter(
      ({ a, b }) => ![a, b].some((size) => size.of === 'part' && size.partId === id),
    ),
    poses: pattern.poses.map((pose) =>
      pose.stance?.hangAt?.partId === id ? { ...pose, stance: { ...pose.stance, hangAt: null } } : pose,
    ),
    cuts: pattern.cuts.map((cut) => cutWithout(cut, id)),
    findings: pattern.findings.map((finding) => ({ ...finding, partId: orNull(finding.partId) })),
  });
}

/** Something cut once a part is gone: it runs through it no more, and is set on nothing. */
function cutWithout(cut: Cut, partId: string): Cut {
  const seat = cut.seat?.partId === partId ? null : cut.seat;
  if (cut.kind !== 'wire') return { ...cut, seat };
  const segments = cut.segments.map((segment) =>
    segment.partId === partId ? { ...segment, partId: null } : segment,
  );
  return { ...cut, seat, segments };
}

/** The pattern without one layer, and without what names it. */
export function withoutUse(pattern: Pattern, useId: string): Pattern {
  const gone = new Set([useId]);
  return forgetStrays({
    ...pattern,
    parts: pattern.parts.map((part) =>
      forgetting({ ...part, uses: part.uses.filter(({ id }) => id !== useId) }, null, gone),
    ),
  });
}

function forgetting(part: Part, id: string | null, gone: ReadonlySet<string>): Part {
  const { shape } = part;
  return {
    ...part,
    shape:
      shape.kind === 'patch' && id !== null && shape.onPartId === id ? { ...shape, onPartId: null } : shape,
    derived: part.derived.map((size) =>
      size.from === 'part' && id !== null && size.partId === id ? { ...size, partId: null } : size,
    ),
    uses: part.uses.map((use) =>
      isWool(use) && use.amount && 'ofUseId' in use.amount && gone.has(use.amount.ofUseId ?? '')
        ? { ...use, amount: { ...use.amount, ofUseId: null } }
        : use,
    ),
  };
}
