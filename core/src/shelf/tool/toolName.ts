/** Words of a name as they are compared: small letters, whole, whether one or several are meant. */
export const wordsOfName = (name: string): string[] =>
  (name.toLowerCase().match(/\p{L}+/gu) ?? []).map((word) => word.replace(/s$/, ''));

/** Whether two names mean the same tool: the same words in whatever order. */
export const isSameToolName = (a: string, b: string): boolean => {
  const [words, other] = [wordsOfName(a).sort(), wordsOfName(b).sort()];
  return words.length > 0 && words.length === other.length && words.every((word, at) => word === other[at]);
};
