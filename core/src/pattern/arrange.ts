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
