import { workDaysBefore } from '@lanakit/core/buying';
import { type Calendar, isAhead, standingOf, type TakenDay } from '@lanakit/core/commissions';
import type { Store } from '../db/index.ts';
import { shelfOf } from './runSources.ts';
import { buyingTerms, wantsAhead } from './wantsAhead.ts';

/**
 * Days that something takes: those of classes, those on which runs ahead are weighed and packed, and those of what was asked for
 * and has a place.
 * @param exceptId a commission whose own days do not stand in its way
 */
export function calendarOfStudio(store: Store, today: string, exceptId: string | null): Calendar {
  const terms = buyingTerms(store);
  const taken: TakenDay[] = [...runDays(store, today)];
  const wool = shelfOf(store);
  const placed = store.commissions
    .all()
    .filter((commission) => isAhead(commission) && commission.beginsOn !== null && commission.id !== exceptId)
    .toSorted((a, b) => ((a.beginsOn ?? '') < (b.beginsOn ?? '') ? -1 : 1));
  for (const commission of placed) {
    const pattern = commission.patternId === null ? null : store.patterns.find(commission.patternId);
    const { place } = standingOf(commission, pattern?.document ?? null, wool, { taken, today, terms });
    for (const day of place?.days ?? [])
      taken.push({ day, name: commission.title, ofId: commission.id, of: 'commission' });
  }
  return { taken, today, terms };
}

/** Classes, and the days before a run on which it is weighed and packed. */
function runDays(store: Store, today: string): TakenDay[] {
  const terms = buyingTerms(store);
  const classes = store.runs
    .all()
    .filter(({ kind, state }) => kind === 'class' && state !== 'done')
    .flatMap(({ id, name, date, plan }): TakenDay[] =>
      [...new Set([date, ...plan.sessions.flatMap((session) => session.date ?? [])])]
        .filter((day) => day >= today)
        .map((day) => ({ day, name, ofId: id, of: 'class' })),
    );
  const work = wantsAhead(store, today).runs.flatMap(({ id, kind, name, date, minutes }): TakenDay[] =>
    workDaysBefore({ date, isPosted: kind === 'kits' }, minutes.total, terms)
      .filter((day) => day >= today)
      .map((day) => ({ day, name, ofId: id, of: 'packing' })),
  );
  return [...classes, ...work];
}
