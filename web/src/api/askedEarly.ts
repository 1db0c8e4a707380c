/** What was asked before anything shows it, by path. */
const asked = new Map<string, Promise<unknown>>();

/** Later it may no longer be so. */
const FRESH_MS = 10_000;

/** Asks already; whoever wants it next is given what comes. A failure is left to whoever asks then. */
export function askEarly(path: string, ask: (path: string) => Promise<unknown>): void {
  const answer = ask(path);
  asked.set(path, answer);
  answer.catch(() => asked.delete(path));
  setTimeout(() => asked.delete(path), FRESH_MS);
}

/** What was asked early, once; null: nothing was. */
export function takeEarly<T>(path: string): Promise<T> | null {
  const answer = asked.get(path) as Promise<T> | undefined;
  asked.delete(path);
  return answer ?? null;
}

/** What was written since makes it untrue. */
export function forgetEarly(isTouched: (path: string) => boolean): void {
  for (const path of asked.keys()) if (isTouched(path)) asked.delete(path);
}
