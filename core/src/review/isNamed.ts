/** Whether words name a thing: as a word of its own, or several of it; an ear is not named by “early”. */
export const isNamed = (words: string, name: string): boolean =>
  name.trim() !== '' &&
  new RegExp(`(?<!\\p{L})${name.trim().replaceAll(/[^\p{L}\p{N} ]/gu, '.')}(?:s|es)?(?!\\p{L})`, 'iu').test(
    words,
  );
