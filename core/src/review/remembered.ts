/** So many answers are kept: more texts than a pattern has steps. */
const MOST = 2000;

/** What is asked of the same words again and again, step by step and build by build, is worked out once. */
export function remembered<T>(ask: (words: string) => T): (words: string) => T {
  const known = new Map<string, T>();
  return (words) => {
    const before = known.get(words);
    if (before !== undefined) return before;
    const answer = ask(words);
    if (known.size >= MOST) known.clear();
    known.set(words, answer);
    return answer;
  };
}
