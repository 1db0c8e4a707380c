import type { Booklet } from './model.ts';

/** Never words of its own: keys, colours, drawings. */
const NOT_WORDS: ReadonlySet<string> = new Set([
  'anchor',
  'to',
  'key',
  'is',
  'tone',
  'swatch',
  'sheets',
  'page',
  'within',
  'figureKey',
  'language',
]);

/** Words of a booklet with others in their place. @param say what a stretch of words becomes */
export function withWords(booklet: Booklet, say: (words: string) => string): Booklet {
  const { pictures, ...told } = booklet;
  return { ...(visit(told, say) as Omit<Booklet, 'pictures'>), pictures };
} // prettier-ignore

function visit(value: unknown, say: (words: string) => string): unknown {
  if (typeof value === 'string') return say(value);
  if (Array.isArray(value)) return value.map((each) => visit(each, say));
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(
    Object.entries(value).map(([field, inner]) => [field, NOT_WORDS.has(field) ? inner : visit(inner, say)]),
  );
}

/**
 * What a booklet says besides the pattern’s own texts and names, each once: headings, labels, cautions, remedies. What has a number in it
 * is made up anew for each pattern and is not among them.
 * @param texts the pattern’s own
 */
export function bookletWords(booklet: Booklet, texts: ReadonlySet<string>): string[] {
  const found = new Set<string>();
  withWords(booklet, (words) => {
    const bare = bareWords(words);
    if (/\p{L}/u.test(bare) && !/\d/.test(bare) && !texts.has(bare)) found.add(bare);
    return words;
  });
  return [...found];
}

/** As it is looked up: without what binds a number to its unit and what stands around it. */
export const bareWords = (words: string): string => words.replaceAll('\u00A0', ' ').trim();
