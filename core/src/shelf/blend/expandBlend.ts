import type { BlendPart } from './blend.ts';

type Parts = readonly BlendPart[];

/** The parts of a blend by id; undefined for what is no blend. */
export type BlendLookup = (itemId: string) => Parts | undefined;

export type Expansion =
  | {
      readonly ok: true;
      /** By fibre id, adding up to 1. */
      readonly fractions: ReadonlyMap<string, number>;
    }
  /** The ids on the way round, from the one met again to itself. */
  | { readonly ok: false; readonly circle: readonly string[] }
  | { readonly ok: false; readonly circle: null };

/**
 * A blend down to its fibres: parts become fractions, and blends in it are taken apart in turn. No parts at all, or
 * only parts of nought, is no blend (`circle: null`).
 */
export function expandBlend(parts: Parts, blends: BlendLookup, within: readonly string[] = []): Expansion {
  return expand(parts, blends, within, new Map());
}

/** @param known blends taken apart already: one that stands in many others is taken apart once */
function expand(
  parts: Parts,
  blends: BlendLookup,
  within: readonly string[],
  known: Map<string, Expansion>,
): Expansion {
  const total = parts.reduce((sum, part) => sum + part.parts, 0);
  if (!(total > 0)) return { ok: false, circle: null };
  const fractions = new Map<string, number>();
  const add = (fibreId: string, fraction: number) =>
    fractions.set(fibreId, (fractions.get(fibreId) ?? 0) + fraction);
  for (const { itemId, parts: part } of parts) {
    const inner = blends(itemId);
    if (inner === undefined) {
      add(itemId, part / total);
      continue;
    }
    if (within.includes(itemId)) {
      return { ok: false, circle: [...within.slice(within.indexOf(itemId)), itemId] };
    }
    const expanded = known.get(itemId) ?? expand(inner, blends, [...within, itemId], known);
    known.set(itemId, expanded);
    if (!expanded.ok) return expanded;
    for (const [fibreId, fraction] of expanded.fractions) add(fibreId, (fraction * part) / total);
  }
  return { ok: true, fractions };
}

/** Blends as their fibres, each with its shares; one that goes round in a circle has none. */
export function recipesOf(
  blends: readonly { readonly id: string; readonly parts: Parts }[],
): ReadonlyMap<string, ReadonlyMap<string, number>> {
  const parts = new Map(blends.map((blend) => [blend.id, blend.parts]));
  return new Map(
    blends.flatMap(({ id, parts: blendParts }) => {
      const expanded = expandBlend(blendParts, (itemId) => parts.get(itemId));
      return expanded.ok ? [[id, expanded.fractions] as const] : [];
    }),
  );
}
