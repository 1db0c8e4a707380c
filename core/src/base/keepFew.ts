/**
 * A function that remembers what it worked out last, for so many subjects; of more the oldest is worked out again.
 * Only for what follows from its text alone.
 */
export function keepFew<T>(most: number, work: (key: string) => T): (key: string) => T {
  const kept = new Map<string, { readonly value: T }>();
  return (key) => {
    const known = kept.get(key);
    if (known) return known.value;
    const value = work(key);
    if (kept.size >= most) kept.delete(kept.keys().next().value ?? '');
    kept.set(key, { value });
    return value;
  };
}
