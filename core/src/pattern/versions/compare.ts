import { isEqual } from '../../base/index.ts';
import type { Join } from '../document/join.ts';
import type { Pattern } from '../document/pattern.ts';

/** How one part, join or step of two versions of a pattern differs. */
export interface PatternDifference {
  readonly kind: 'part' | 'join' | 'material' | 'step' | 'heading';
  readonly name: string;
  readonly change: 'only-mine' | 'only-theirs' | 'changed' | 'order';
}

/** What differs between two versions of one pattern, for a person to decide between them. */
export function comparePatterns(mine: Pattern, theirs: Pattern): PatternDifference[] {
  return [
    ...compareHeading(mine, theirs),
    ...compareItems('part', [mine.parts, theirs.parts], (part) => part.name),
    ...compareItems('join', [mine.joins, theirs.joins], (join) => joinName(join, [mine, theirs])),
    ...compareItems('material', [mine.cuts, theirs.cuts], (cut) => cut.name || cut.kind),
    ...compareItems('material', [mine.findings, theirs.findings], () => 'a finding'),
    ...compareItems('material', [mine.shared, theirs.shared], (shared) => shared.name),
    ...compareItems('step', [mine.steps, theirs.steps], (step) => step.text),
  ];
}

function joinName({ partId, ontoId }: Join, patterns: readonly Pattern[]): string {
  const parts = patterns.flatMap((pattern) => pattern.parts);
  return [partId, ontoId].map((id) => parts.find((part) => part.id === id)?.name ?? '').join(' to ');
}

const HEADING_FIELDS = [
  'title',
  'finishedHeight',
  'level',
  'lengthUnit',
  'showsBothUnits',
  'joinsApart',
  'stance',
  'poses',
  'proportions',
  'enclosures',
  'drawnStepIds',
] as const;

function compareHeading(mine: Pattern, theirs: Pattern): PatternDifference[] {
  return HEADING_FIELDS.filter((field) => !isEqual(mine[field], theirs[field])).map((field) => ({
    kind: 'heading',
    name: field,
    change: 'changed',
  }));
}

function compareItems<T extends { id: string }>(
  kind: PatternDifference['kind'],
  [mine, theirs]: readonly [readonly T[], readonly T[]],
  nameOf: (item: T) => string,
): PatternDifference[] {
  const theirsById = new Map(theirs.map((item) => [item.id, item]));
  const mineIds = new Set(mine.map((item) => item.id));
  const differences: PatternDifference[] = [];
  for (const item of mine) {
    const other = theirsById.get(item.id);
    if (!other) differences.push({ kind, name: nameOf(item), change: 'only-mine' });
    else if (!isEqual(item, other)) differences.push({ kind, name: nameOf(item), change: 'changed' });
  }
  for (const item of theirs) {
    if (!mineIds.has(item.id)) differences.push({ kind, name: nameOf(item), change: 'only-theirs' });
  }
  const orderOf = (items: readonly T[], others: ReadonlySet<string>) =>
    items.map(({ id }) => id).filter((id) => others.has(id));
  const theirIds = new Set(theirsById.keys());
  if (!isEqual(orderOf(mine, theirIds), orderOf(theirs, mineIds)))
    differences.push({ kind, name: '', change: 'order' });
  return differences;
}
