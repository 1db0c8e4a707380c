import type { BroughtIn, StudioThatCame, ThingOfShelf } from '@lanakit/core/api';
import { countsWords } from './keepingWords.ts';
import { counted } from './show.ts';

export const THING_WORDS: Readonly<Record<ThingOfShelf['kind'], string>> = {
  fibre: 'fibre',
  blend: 'blend',
  finding: 'finding',
  needle: 'needle',
  tool: 'tool',
  supplier: 'supplier',
};

const lines = (movements: number): string => counted(movements, 'line of the ledger', 'lines of the ledger');

export const cameWords = (came: StudioThatCame): string => `${countsWords(came)}, ${lines(came.movements)}`;

/** What of it is here already, and what becomes of that. */
export function hereWords({ counts, here }: StudioThatCame): string[] {
  const isAllHere = counts.pattern === here.pattern && counts.run === here.run && counts.item === here.item;
  if (isAllHere) return ['All of it is here already. What is here stays as it is.'];
  const parts = [
    ...(here.pattern > 0 ? [counted(here.pattern, 'pattern')] : []),
    ...(here.run > 0 ? [counted(here.run, 'run')] : []),
    ...(here.technique > 0 ? [counted(here.technique, 'technique')] : []),
  ];
  return [
    ...(parts.length > 0 ? [`Here already, and left as they are: ${parts.join(', ')}.`] : []),
    'A pattern that was written on since comes as a second one. Wool and things come with the ledger that says how much there is.',
  ];
}

export function broughtInWords({ counts, movements, backToPlanned }: BroughtIn): string {
  const planned =
    backToPlanned === 0
      ? ''
      : ` ${counted(backToPlanned, 'run')} had taken wool that your ledger does not know of, and ${backToPlanned === 1 ? 'is' : 'are'} planned again.`;
  return `Brought in: ${countsWords({ counts })}, ${lines(movements)}.${planned}`;
}

/** More is not mended in one go. */
const SHOWN = 8;

/** What was told of a studio that could not be read. */
interface RefusedStudio {
  readonly title: string;
  readonly file?: unknown;
  readonly reason?: unknown;
  readonly errors?: readonly { readonly pointer: string; readonly message: string }[];
}

/** What is wrong with a studio, and in which of its files. */
export function refusedStudioWords({ title, file, reason, errors = [] }: RefusedStudio): string[] {
  const place = typeof file === 'string' && file !== '' ? `${file} ` : 'The file ';
  return [
    title,
    ...(errors.length === 0 && typeof reason === 'string' ? [`${place}${reason}.`] : []),
    ...errors.slice(0, SHOWN).map(({ pointer, message }) => `${place}at ${pointer || '/'}: ${message}`),
  ];
}
