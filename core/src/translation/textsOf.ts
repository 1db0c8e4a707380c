import type { Pattern } from '../pattern/index.ts';

/** One text of a pattern and where it stands: `steps/s1/checks/c1/remedy`; lists go by the ids of what is in them. */
export interface PatternText {
  readonly key: string;
  readonly source: string;
}

/** Fields that hold words for people, wherever in a pattern they stand. */
export const TEXT_FIELDS: ReadonlySet<string> = new Set([
  'title', 'prerequisites', 'name', 'hides', 'words', 'text', 'kit', 'pattern', 'notes', 'cue', 'look', 'how', 'pass', 'remedy', 'caption', 'alt',
  'question', 'answers', 'standsFor', 'startState', 'safeStop', 'homework', 'reason',
]); // prettier-ignore

/** Words for its makers, of somebody who has to be named as they are, or of another pattern: its title is said as any word of the booklet. */
const NOT_FOR_READERS: ReadonlySet<string> = new Set([
  'rights',
  'outlineRights',
  'meantSo',
  'links',
  'related',
  'series',
]);

/** Every text of a pattern that its reader may come upon, in the order they stand in it; empty ones are left out. */
export function textsOf(pattern: Pattern): PatternText[] {
  const texts: PatternText[] = [];
  visit(pattern, [], (key, source) => {
    texts.push({ key, source });
    return source;
  });
  return texts;
}

/** The same pattern with other texts. @param say what a text becomes */
export const withTexts = (pattern: Pattern, say: (key: string, source: string) => string): Pattern =>
  visit(pattern, [], say) as Pattern;

type Say = (key: string, source: string) => string;

function visit(value: unknown, path: readonly string[], say: Say): unknown {
  if (Array.isArray(value)) return value.map((each, at) => visitIn(each, path, at, say));
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(
    Object.entries(value).map(([field, inner]) => {
      if (NOT_FOR_READERS.has(field)) return [field, inner];
      const at = [...path, field];
      if (typeof inner === 'string' && isWords(field, inner) && !isOfFile(at))
        return [field, say(at.join('/'), inner)];
      return [field, visit(inner, at, say)];
    }),
  );
}

function visitIn(each: unknown, path: readonly string[], at: number, say: Say): unknown {
  const id = (each as { id?: unknown } | null)?.id;
  const place = typeof id === 'string' ? id : String(at);
  const field = path.at(-1) ?? '';
  return typeof each === 'string' && isWords(field, each)
    ? say([...path, place].join('/'), each)
    : visit(each, [...path, place], say);
}

/** What a picture’s file is called nobody reads. */
const isOfFile = (path: readonly string[]): boolean => path[0] === 'pictures' && path.at(-1) === 'name';

const isWords = (field: string, text: string): boolean => TEXT_FIELDS.has(field) && /\p{L}/u.test(text);
