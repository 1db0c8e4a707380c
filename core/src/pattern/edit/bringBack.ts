import { isEqual } from '../../base/index.ts';
import type { Pattern } from '../document/pattern.ts';
import { knownIds } from '../document/things.ts';
import { withoutPart, withoutUse } from './arrange.ts';
import { forgetStrays } from './forgetStrays.ts';

/** Something that is taken out of a pattern and may be brought back. */
export interface Removable {
  readonly kind: 'part' | 'join' | 'step';
  readonly id: string;
}

/** The pattern without it, and without any mention of it. */
export function withoutThing(pattern: Pattern, { kind, id }: Removable): Pattern {
  switch (kind) {
    case 'part':
      return withoutPart(pattern, id);
    case 'join':
      return forgetStrays({ ...pattern, joins: pattern.joins.filter((join) => join.id !== id) });
    case 'step':
      return forgetStrays({ ...pattern, steps: pattern.steps.filter((step) => step.id !== id) });
  }
}

/**
 * The pattern with something that was taken out of `before`: where it was, and mentioned wherever it was mentioned, as
 * far as what mentioned it is still there. What was written meanwhile stays.
 */
export function withThingBack(pattern: Pattern, before: Pattern, thing: Removable): Pattern {
  const isIn = (ownPattern: Pattern) => knownIds(ownPattern)[thing.kind].has(thing.id);
  if (!isIn(before) || isIn(pattern)) return pattern;
  const back = reinstated(pattern, withoutThing(before, thing), before) as Pattern;
  return withoutWhatWent(back, before);
}

/** What it mentions may itself have been taken out meanwhile: that stays out. */
function withoutWhatWent(back: Pattern, before: Pattern): Pattern {
  const [now, then] = [knownIds(back), knownIds(before)];
  const parts = [...then.part].filter((id) => !now.part.has(id));
  const uses = [...then.use].filter((id) => !now.use.has(id));
  return forgetStrays(uses.reduce(withoutUse, parts.reduce(withoutPart, back)));
}

type Plain = Readonly<Record<string, unknown>>;

const isObject = (value: unknown): value is Plain =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** By what an item of a list is the same item; null: only by its place. */
function keyOf(item: unknown): string | null {
  if (typeof item === 'string') return item;
  if (!isObject(item)) return null;
  const { kind, id, stepId, ...more } = item;
  if (typeof id !== 'string') return typeof stepId === 'string' ? stepId : null;
  // A mention of a thing is its sort and its id, and no more.
  return Object.keys(more).length === 0 ? `${String(kind)} ${id}` : id;
}

/**
 * Three states of one value: now, as the taking out left it, and then, before it. Where nothing was written since it is
 * as it was then; where something was, that stays, and only what the taking out took comes back.
 */
function reinstated(now: unknown, bare: unknown, then: unknown): unknown {
  if (isEqual(bare, then)) return now;
  if (isEqual(now, bare)) return then;
  if (Array.isArray(now) && Array.isArray(bare) && Array.isArray(then)) return listBack(now, bare, then);
  if (!isObject(now) || !isObject(bare) || !isObject(then)) return now;
  return Object.fromEntries(
    Object.entries(now).map(([key, value]) => [key, reinstated(value, bare[key], then[key])]),
  );
}

/** In the order it has now; what comes back goes after what it came after. */
function listBack(now: readonly unknown[], bare: readonly unknown[], then: readonly unknown[]): unknown[] {
  const byKey = (items: readonly unknown[]) => new Map(items.map((item) => [keyOf(item), item]));
  const [current, left, old] = [byKey(now), byKey(bare), byKey(then)];
  if ([current, left, old].some((items) => items.has(null))) {
    const isAlike = now.length === bare.length && now.length === then.length;
    return isAlike ? now.map((item, at) => reinstated(item, bare[at], then[at])) : [...now];
  }
  const list = now.map((item) => {
    const key = keyOf(item);
    return old.has(key) ? reinstated(item, left.get(key), old.get(key)) : item;
  });
  const keys = now.map(keyOf);
  then.forEach((item, at) => {
    const key = keyOf(item);
    if (current.has(key) || left.has(key)) return;
    const before = then.slice(0, at).findLast((other) => keys.includes(keyOf(other)));
    const place = before === undefined ? 0 : keys.indexOf(keyOf(before)) + 1;
    list.splice(place, 0, item);
    keys.splice(place, 0, key);
  });
  return list;
}

/** Both are plain data. */
