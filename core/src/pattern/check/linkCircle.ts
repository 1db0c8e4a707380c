/** One thing that has to come before another. */
export interface Precedence {
  readonly beforeId: string;
  readonly afterId: string;
}

/** The ids on the way round, the first and the last the same; null when nothing goes in a circle. */
export function linkCircle(links: readonly Precedence[]): string[] | null {
  const next = new Map<string, string[]>();
  for (const { beforeId, afterId } of links) next.set(beforeId, [...(next.get(beforeId) ?? []), afterId]);
  const done = new Set<string>();
  for (const start of next.keys()) {
    const circle = walk(start, next, done);
    if (circle) return circle;
  }
  return null;
}

/** Depth first with a stack of its own: a chain of 500 links must not meet the engine's limit. */
function walk(
  start: string,
  next: ReadonlyMap<string, readonly string[]>,
  done: Set<string>,
): string[] | null {
  if (done.has(start)) return null;
  const path: { readonly id: string; at: number }[] = [{ id: start, at: 0 }];
  const onPath = new Set([start]);
  for (let top = path.at(-1); top; top = path.at(-1)) {
    const to = next.get(top.id)?.[top.at];
    top.at += 1;
    if (to === undefined) {
      done.add(top.id);
      onPath.delete(top.id);
      path.pop();
    } else if (onPath.has(to)) {
      const ids = path.map(({ id }) => id);
      return [...ids.slice(ids.indexOf(to)), to];
    } else if (!done.has(to)) {
      path.push({ id: to, at: 0 });
      onPath.add(to);
    }
  }
  return null;
}
