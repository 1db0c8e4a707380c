import type { ThingKind, ThingRef } from './option.ts';
import type { Pattern } from './pattern.ts';

/** The ids of everything in a pattern that something else may name. */
export type KnownIds = Readonly<Record<ThingKind, ReadonlySet<string>>>;

const idsOf = (items: readonly { id: string }[]): Set<string> => new Set(items.map(({ id }) => id));

export const knownIds = (pattern: Pattern): KnownIds => ({
  part: idsOf(pattern.parts),
  use: idsOf(pattern.parts.flatMap(({ uses }) => uses)),
  join: idsOf(pattern.joins),
  cut: idsOf(pattern.cuts),
  finding: idsOf(pattern.findings),
  step: idsOf(pattern.steps),
  picture: idsOf(pattern.steps.flatMap(({ pictures }) => pictures)),
  pose: idsOf(pattern.poses),
});

export const isSameThing = (a: ThingRef, b: ThingRef): boolean => a.kind === b.kind && a.id === b.id;
