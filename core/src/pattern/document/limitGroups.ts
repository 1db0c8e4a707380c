import type { Option, OptionLimit } from './option.ts';

/** Options that limits tie to one another, and those limits. Options that no limit names are in no group. */
export interface LimitGroup {
  readonly options: readonly Option[];
  readonly limits: readonly OptionLimit[];
}

/** What is still open to each option, by its id. */
type Open = ReadonlyMap<string, readonly string[]>;

/**
 * The limits of a pattern, parted where nothing ties them together: what one group leaves open has nothing to do with
 * another, and options without limits have nothing to do with any of it.
 */
export function limitGroups({
  options,
  limits,
}: {
  readonly options: readonly Option[];
  readonly limits: readonly OptionLimit[];
}): LimitGroup[] {
  const isThere = new Set(options.filter(({ values }) => values.length > 0).map(({ id }) => id));
  const groups: { ids: Set<string>; limits: OptionLimit[] }[] = [];
  for (const limit of limits) {
    const ids = [limit.a.optionId, limit.b.optionId];
    // A limit on what has no value says nothing.
    if (!ids.every((id) => isThere.has(id))) continue;
    const meeting = groups.filter((group) => ids.some((id) => group.ids.has(id)));
    const merged = {
      ids: new Set([...meeting.flatMap((group) => [...group.ids]), ...ids]),
      limits: [...meeting.flatMap((group) => group.limits), limit],
    };
    for (const group of meeting) groups.splice(groups.indexOf(group), 1);
    groups.push(merged);
  }
  return groups.map((group) => ({
    options: options.filter(({ id }) => group.ids.has(id)),
    limits: group.limits,
  }));
}

/** Whether a group has any choice that breaks no limit. @param fixed values already chosen, by option id */
export function canBeChosen(
  { options, limits }: LimitGroup,
  fixed: Readonly<Record<string, string>>,
): boolean {
  const open = new Map(
    options.map(({ id, values }) => [
      id,
      values.map((value) => value.id).filter((valueId) => (fixed[id] ?? valueId) === valueId),
    ]),
  );
  return solve(open, limits);
}

/** Takes the option with the least choice first, and of it each value that is left. */
function solve(open: Open, limits: readonly OptionLimit[]): boolean {
  const left = narrowed(open, limits);
  if (!left) return false;
  const [next] = [...left]
    .filter(([, values]) => values.length > 1)
    .sort((a, b) => a[1].length - b[1].length);
  if (!next) return true;
  const [optionId, values] = next;
  return values.some((valueId) => solve(new Map([...left, [optionId, [valueId]]]), limits));
}

/** What is left open once every value that something settled rules out is gone; null: an option has none left. */
function narrowed(open: Open, limits: readonly OptionLimit[]): Open | null {
  let left = open;
  for (let isGoing = true; isGoing;) {
    isGoing = false;
    for (const limit of limits) {
      for (const [optionId, ruledOut] of ruledOutBy(limit, left)) {
        const before = left.get(optionId) ?? [];
        const after = before.filter((valueId) => !ruledOut(valueId));
        if (after.length === 0) return null;
        if (after.length === before.length) continue;
        left = new Map([...left, [optionId, after]]);
        isGoing = true;
      }
    }
  }
  return left;
}

/** What a limit takes away: from the other option where one of its two is settled. */
function ruledOutBy({ kind, a, b }: OptionLimit, left: Open): [string, (valueId: string) => boolean][] {
  const isSettled = (optionId: string, valueId: string) => {
    const values = left.get(optionId) ?? [];
    return values.length === 1 && values[0] === valueId;
  };
  const canHave = (optionId: string, valueId: string) => (left.get(optionId) ?? []).includes(valueId);
  const out: [string, (valueId: string) => boolean][] = [];
  if (kind === 'needs') {
    if (isSettled(a.optionId, a.valueId)) out.push([b.optionId, (valueId) => valueId !== b.valueId]);
    if (!canHave(b.optionId, b.valueId)) out.push([a.optionId, (valueId) => valueId === a.valueId]);
  } else {
    if (isSettled(a.optionId, a.valueId)) out.push([b.optionId, (valueId) => valueId === b.valueId]);
    if (isSettled(b.optionId, b.valueId)) out.push([a.optionId, (valueId) => valueId === a.valueId]);
  }
  return out;
}
