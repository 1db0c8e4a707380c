import type { ToolKey, ToolSort } from './tool.ts';
import { wordsOfName } from './toolName.ts';

/** Words of a name that tell what a tool is; the first that fits, so the narrower stands before the wider. */
const TELLING: readonly (readonly [ToolKey, readonly string[]])[] = [
  ['finger-guards', ['guard']],
  ['glue-drops', ['glue', 'drop']],
  ['glue', ['glue']],
  ['wire-cutters', ['cutter']],
  ['wire-cutters', ['nipper']],
  ['pliers', ['plier']],
  ['sewing-needle', ['sewing', 'needle']],
  ['scissors', ['scissor']],
  ['pins', ['pin']],
  ['scale', ['scale']],
  ['ruler', ['ruler']],
  ['pencil', ['pencil']],
  ['iron', ['iron']],
  ['tape', ['tape']],
  ['guide', ['guide']],
  ['guide', ['template']],
  ['water', ['water']],
];

/** What a tool of the shelf most likely is, by its sort and its name; null: it is nothing that patterns call for. */
export function proposeStandsFor({ name, sort }: { readonly name: string; readonly sort: ToolSort }) {
  if (sort === 'surface') return 'surface' satisfies ToolKey;
  if (sort === 'holder') return 'holder' satisfies ToolKey;
  const nameWords = wordsOfName(name);
  return TELLING.find(([, words]) => words.every((word) => nameWords.includes(word)))?.[0] ?? null;
}
