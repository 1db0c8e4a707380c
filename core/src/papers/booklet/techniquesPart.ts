import type { Pattern } from '../../pattern/index.ts';
import { markdownBlocks } from './markdownBlocks.ts';
import { type Block, type BookletPart, plain, quiet, type TextRun } from './model.ts';
import { part } from './part.ts';
import { stepAnchor } from './parts.ts';
import type { BookletSource } from './source.ts';

const techniqueAnchor = (techniqueId: string): string => `technique-${techniqueId}`;

/** What a step is part of, leading to where the technique is printed whole; null: of none. */
export function techniqueOfStep({ technique }: Pattern['steps'][number], { techniques }: Pick<Pattern, 'techniques'>): TextRun | null {
  const use = techniques.find(({ id }) => id === technique?.useId);
  return use ? { text: use.name, to: techniqueAnchor(use.techniqueId) } : null;
} // prettier-ignore

/** Each technique once, whole, with where it is used; null: there is none. */
export function techniquesPart({ build }: BookletSource): BookletPart | null {
  const ids = [...new Set(build.techniques.map(({ techniqueId }) => techniqueId))];
  const blocks = ids.flatMap((id) => techniqueBlocks(id, build));
  return blocks.length === 0 ? null : part('techniques', 'Techniques', blocks);
}

function techniqueBlocks(techniqueId: string, { techniques, steps }: Pattern): Block[] {
  const uses = techniques.filter((use) => use.techniqueId === techniqueId);
  const numbersOf = (useId: string) =>
    steps.flatMap(({ technique }, at) => (technique?.useId === useId ? [at + 1] : []));
  const [first] = uses.filter(({ id }) => numbersOf(id).length > 0);
  if (!first) return [];
  const where = uses.map(({ id }) => numbersOf(id)).filter((numbers) => numbers.length > 0);
  const links = where.flatMap((numbers, at): TextRun[] => [
    { text: at === 0 ? 'In ' : '; ' },
    ...numbers.map((number): TextRun => ({ text: `step ${number}`, to: stepAnchor(number) })).flatMap((run, nth) =>
      nth === 0 ? [run] : [{ text: ', ' }, run],
    ),
  ]);
  const whole = numbersOf(first.id).flatMap((number) => {
    const text = steps[number - 1]?.text ?? '';
    return text.trim() === '' ? [] : [markdownBlocks(text).flatMap((block) => (block.is === 'words' ? block.words : []))];
  });
  return [
    { is: 'heading', text: first.name, anchor: techniqueAnchor(techniqueId) },
    { is: 'list', isNumbered: true, items: whole.map((words) => (words.length > 0 ? words : plain('–'))) },
    { is: 'words', words: links, tone: 'quiet' },
    ...(first.rights.credit.trim() === '' ? [] : [quiet(first.rights.credit)]),
  ];
} // prettier-ignore
