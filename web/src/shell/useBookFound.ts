import { hasWords } from '@lanakit/core/base';
import { useBookLists } from '../api/queries.ts';
import { showDay } from '../words/show.ts';
import { useRole } from './useRole.ts';

/** A page of the logbook, or something that was asked for, by the words it is found by. */
interface BookFound {
  readonly key: string;
  readonly name: string;
  readonly kind: string;
  readonly path: string;
}

const FEWEST_LETTERS = 2;

/** Pages of the logbook and what was asked for that are called so; the book is the owner’s. */
export function useBookFound(text: string): BookFound[] {
  const isAsked = useRole().role === 'owner' && text.trim().length >= FEWEST_LETTERS;
  const { makings, commissions } = useBookLists(isAsked);
  if (!isAsked) return [];
  return [
    ...makings.map(({ id, title, date, madeBy }) => ({
      key: `making ${id}`,
      name: title,
      kind: `made${madeBy === '' ? '' : ` by ${madeBy}`}, ${showDay(date)}`,
      path: `/logbook/making/${id}`,
    })),
    ...commissions.map(({ id, title, askedBy }) => ({
      key: `commission ${id}`,
      name: title,
      kind: `asked for${askedBy === '' ? '' : ` by ${askedBy}`}`,
      path: `/logbook/asked/${id}`,
    })),
  ].filter(({ name, kind }) => hasWords(`${name} ${kind}`, text));
}
