import type { Pattern } from './pattern.ts';

const LONGEST_TITLE = 110;

/** The same pattern once more: its origin, credit and permissions go with it. */
export const copyOf = (pattern: Pattern): Pattern => ({
  ...pattern,
  title: `${pattern.title.slice(0, LONGEST_TITLE)} (copy)`,
});

/**
 * A pattern that begins as another. From one’s own it stays one’s own; from another’s it is derived, and leave to change
 * it is only what was given for the first. The credit stays in both.
 */
export function derivedFrom(pattern: Pattern): Pattern {
  const { rights, title } = pattern;
  const isOwn = rights.origin === 'own';
  return {
    ...pattern,
    title: `${title.slice(0, LONGEST_TITLE)}, another`,
    rights: isOwn
      ? rights
      : {
          ...rights,
          origin: 'derived',
          from: rights.from === '' ? title : `${title}, ${rights.from}`.slice(0, 200),
        },
  };
}
