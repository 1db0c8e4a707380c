import type { PersonLine } from '@lanakit/core/api';
import type { Store } from '../db/index.ts';

/** Whose name was forgotten: still another’s hands than the studio’s own. */
const SOMEBODY = 'somebody';

/** Who is named outside classes: who made a figure of the logbook, who asked for one. Those in the bin too. */
export const namedElsewhere = (store: Store): PersonLine[] => [
  ...store.makings
    .every()
    .filter(({ madeBy }) => isName(madeBy))
    .map(({ id, title, date, madeBy, isBinned }): PersonLine => ({
      of: 'making',
      id,
      title,
      date,
      name: madeBy.trim(),
      note: '',
      isBinned,
    })),
  ...store.commissions
    .every()
    .filter(({ askedBy, reach }) => isName(askedBy) || reach.trim() !== '')
    .map(({ id, title, askedOn, askedBy, reach, isBinned }): PersonLine => ({
      of: 'commission',
      id,
      title,
      date: askedOn,
      name: isName(askedBy) ? askedBy.trim() : '',
      note: reach,
      isBinned,
    })),
];

const isName = (name: string): boolean => name.trim() !== '' && name !== SOMEBODY;

/** All that is kept of somebody there, whole. */
export const filesElsewhere = (store: Store, isTheirs: (name: string) => boolean) => ({
  makings: store.makings.every().filter(({ madeBy }) => isName(madeBy) && isTheirs(madeBy)),
  commissions: store.commissions.every().filter(({ askedBy }) => isName(askedBy) && isTheirs(askedBy)),
});

/** Their name, and how to reach them, out of all of it. @returns of how many pages */
export function forgetElsewhere(store: Store, isTheirs: (name: string) => boolean, at: string): number {
  const { makings, commissions } = filesElsewhere(store, isTheirs);
  for (const { id, version: _version, isBinned: _isBinned, ...making } of makings)
    store.makings.rewrite(id, { ...making, madeBy: SOMEBODY }, at);
  for (const { id, version: _version, isBinned: _isBinned, ...commission } of commissions)
    store.commissions.rewrite(id, { ...commission, askedBy: SOMEBODY, reach: '' }, at);
  if (makings.length + commissions.length > 0) store.answeredKeys.forgetNamed();
  return makings.length + commissions.length;
}
