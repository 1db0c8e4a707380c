import { isEqual } from '../../base/index.ts';
import type { Pattern } from '../document/pattern.ts';

/** One value that differs between two things of the same kind. */
export interface FieldChange {
  /** Keys on the way to it: `shape`, `diameter`. Places in lists are left out where their items have ids. */
  readonly path: readonly string[];
  readonly before: unknown;
  readonly after: unknown;
}

/** One thing of a pattern that two versions do not agree on. */
export interface PatternChange {
  readonly kind:
    'part' | 'join' | 'material' | 'step' | 'option' | 'colourway' | 'swap' | 'session' | 'heading';
  /** Its name in the later version, or in the earlier where it is gone. */
  readonly name: string;
  readonly change: 'added' | 'removed' | 'changed' | 'moved';
  readonly fields: readonly FieldChange[];
}

const LISTS = [
  ['part', 'parts'],
  ['join', 'joins'],
  ['material', 'cuts'],
  ['material', 'findings'],
  ['material', 'shared'],
  ['step', 'steps'],
  ['option', 'options'],
  ['colourway', 'colourways'],
  ['swap', 'swaps'],
  ['session', 'sessions'],
] as const satisfies readonly (readonly [PatternChange['kind'], keyof Pattern])[];

const HEADING = [
  'title',
  'finishedHeight',
  'level',
  'levelReason',
  'joinsApart',
  'stance',
  'poses',
  'proportions',
  'enclosures',
  'drawnStepIds',
  'sidesSeen',
  'prerequisites',
  'series',
  'related',
  'rights',
  'school',
  'stageNeedles',
] as const satisfies readonly (keyof Pattern)[];

/** Everything that is different in `after`, value by value, in the order of the pattern. */
export function patternChanges(before: Pattern, after: Pattern): PatternChange[] {
  const heading = HEADING.flatMap((key) => fieldChanges(before[key], after[key], [key]));
  return [
    ...(heading.length > 0
      ? [{ kind: 'heading', name: '', change: 'changed', fields: heading } as const]
      : []),
    ...LISTS.flatMap(([kind, list]) => listChanges(kind, before[list], after[list], [before, after])),
  ];
}

type Item = { readonly id: string };

function listChanges(
  kind: PatternChange['kind'],
  before: readonly Item[],
  after: readonly Item[],
  patterns: readonly [Pattern, Pattern],
): PatternChange[] {
  const earlier = new Map(before.map((item) => [item.id, item]));
  const later = new Set(after.map(({ id }) => id));
  const gone = before.filter(({ id }) => !later.has(id));
  const changed = after.flatMap((item): PatternChange[] => {
    const name = nameOf(item, patterns[1]);
    const was = earlier.get(item.id);
    if (!was) return [{ kind, name, change: 'added', fields: [] }];
    const fields = fieldChanges(was, item, []);
    return fields.length > 0 ? [{ kind, name, change: 'changed', fields }] : [];
  });
  return [
    ...changed,
    ...movedItems(before, after).map((item): PatternChange => ({
      kind,
      name: nameOf(item, patterns[1]),
      change: 'moved',
      fields: [],
    })),
    ...gone.map((item): PatternChange => ({
      kind,
      name: nameOf(item, patterns[0]),
      change: 'removed',
      fields: [],
    })),
  ];
}

/** The fewest items whose moving explains the new order: all but the longest run that kept it. */
export function movedItems<T extends Item>(before: readonly Item[], after: readonly T[]): T[] {
  const place = new Map(before.map(({ id }, at) => [id, at]));
  const both = after.filter(({ id }) => place.has(id));
  const places = both.map(({ id }) => place.get(id) ?? 0);
  const kept = new Set(longestRising(places));
  return both.filter((_, index) => !kept.has(index));
}

/** Indexes of a longest rising run of the values, by patience sorting. */
function longestRising(values: readonly number[]): number[] {
  const ends: number[] = [];
  const previous: (number | undefined)[] = [];
  values.forEach((value, index) => {
    let pile = ends.findIndex((end) => (values[end] ?? 0) >= value);
    if (pile < 0) pile = ends.length;
    previous[index] = ends[pile - 1];
    ends[pile] = index;
  });
  const run: number[] = [];
  for (let at = ends.at(-1); at !== undefined; at = previous[at]) run.unshift(at);
  return run;
}

/** What a person calls it: its name, its words, or the parts it connects. */
function nameOf(item: Item, { parts, steps }: Pattern): string {
  if ('name' in item && typeof item.name === 'string' && item.name !== '') return item.name;
  if ('ontoId' in item && 'partId' in item) {
    return [item.partId, item.ontoId]
      .map((id) => parts.find((part) => part.id === id)?.name ?? '')
      .join(' to ');
  }
  if ('text' in item && typeof item.text === 'string') {
    return `${steps.findIndex(({ id }) => id === item.id) + 1}`;
  }
  return '';
}

/** Values that are read as one: a length is not a number and a unit. */
const isLeaf = (value: unknown): boolean =>
  value === null ||
  typeof value !== 'object' ||
  ('value' in value && 'unit' in value) ||
  (Array.isArray(value) && value.every((item) => typeof item !== 'object' || item === null));

/** Every value that differs, with the way to it. */
export function fieldChanges(before: unknown, after: unknown, path: readonly string[]): FieldChange[] {
  if (isLeaf(before) || isLeaf(after)) {
    return isEqual(before, after) ? [] : [{ path, before, after }];
  }
  const [a, b] = [entriesOf(before), entriesOf(after)];
  return [...new Set([...a.keys(), ...b.keys()])].flatMap((key) =>
    key === 'id' ? [] : fieldChanges(a.get(key) ?? null, b.get(key) ?? null, [...path, key]),
  );
}

/** Items of a list go by their id where they have one, so that an inserted one does not shift the rest. */
function entriesOf(value: unknown): Map<string, unknown> {
  if (!Array.isArray(value)) return new Map(Object.entries(value as object));
  return new Map(
    value.map((item: unknown, index) => {
      const hasId = typeof item === 'object' && item !== null && 'id' in item && typeof item.id === 'string';
      return [hasId ? String(item.id) : String(index), item];
    }),
  );
}
