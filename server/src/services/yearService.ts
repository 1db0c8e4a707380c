import type { SeasonsState, YearState } from '@lanakit/core/api';
import { daysAfter } from '@lanakit/core/base';
import { isAhead } from '@lanakit/core/commissions';
import { prepareBy } from '@lanakit/core/buying';
import { seasonsOf, studioYear, toPrepare, yearsOf } from '@lanakit/core/year';
import type { CommissionService } from './commissionService.ts';
import { todayOf, type ServiceDeps } from './deps.ts';
import { answering, foundOr, Refusal } from './refusal.ts';
import { plannedWorks, worksOfStudio } from './worksOfStudio.ts';
import { buyingTerms, wantsAhead } from './wantsAhead.ts';

export type YearService = ReturnType<typeof yearService>;

/** So many days ahead work is told that has to begin. */
const BEGIN_WITHIN_DAYS = 45;

/** What the studio did over a year, and what its seasons say of the weeks ahead. */
export function yearService({ store, now }: ServiceDeps, commissions: CommissionService) {
  const today = () => todayOf(now());
  const state = (year: string | null): YearState => {
    const works = worksOfStudio(store, now());
    const years = yearsOf(works);
    return { years, year: studioYear(works, year ?? years[0] ?? today().slice(0, 4)) };
  };
  return answering({
    /** @param year null: the last in which something was done */
    year: state,
    /** @param minor null: nobody knows */
    setTakings(runId: string, minor: number | null): YearState {
      const run = foundOr(store.runs.find(runId));
      store.takings.set(run.id, minor, now().toISOString());
      return state(run.date.slice(0, 4));
    },
    seasons(): SeasonsState {
      const works = worksOfStudio(store, now());
      const listed = commissions.list();
      if (listed instanceof Refusal) throw listed;
      const soon = daysAfter(today(), BEGIN_WITHIN_DAYS);
      const runs = wantsAhead(store, today()).runs.map(({ id, kind, name, date, minutes }) => ({
        kind,
        id,
        name,
        date,
        beginBy: prepareBy({ date, isPosted: kind === 'kits' }, minutes.total, buyingTerms(store)),
      }));
      const asked = listed.filter(isAhead).flatMap(({ id, title: name, byDay, beginsOn, place }) => {
        const beginBy = beginsOn ?? place?.beginBy ?? null;
        return byDay !== null && beginBy !== null
          ? [{ kind: 'commission' as const, id, name, date: byDay, beginBy }]
          : [];
      });
      return {
        today: today(),
        lines: seasonsOf(works),
        prepare: toPrepare(works, plannedWorks(store, today()), today()),
        years: yearsOf(works.filter(({ kind }) => kind !== 'making')),
        begin: [...runs, ...asked]
          .filter(({ beginBy }) => beginBy <= soon)
          .toSorted((a, b) => (a.beginBy < b.beginBy ? -1 : 1)),
      };
    },
  });
}
