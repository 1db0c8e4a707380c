import { monthOf } from './studioYear.ts';
import type { Work, WorkKind } from './work.ts';

/** Something taught or sold that is planned and not done yet. */
export interface PlannedWork {
  readonly kind: WorkKind;
  readonly id: string;
  readonly name: string;
  readonly date: string;
  readonly made: readonly {
    readonly patternId: string | null;
    readonly title: string;
    readonly count: number;
  }[];
}

/** How much of a pattern was taught and sold in each month of the year, over all years. */
export interface SeasonLine {
  readonly patternId: string | null;
  readonly title: string;
  /** January to December: figures and kits. */
  readonly months: readonly number[];
  readonly total: number;
  /** The most in one month. */
  readonly peak: number;
}

/** A pattern that was wanted in this month before, against what is planned of it now. */
export interface ToPrepare {
  readonly patternId: string | null;
  readonly title: string;
  readonly month: number;
  /** The year it would be in. */
  readonly year: number;
  /** In earlier years, the last first. */
  readonly before: readonly { readonly year: number; readonly count: number }[];
  readonly planned: number;
  /** So many fewer are planned than there were the last time; 0: as many, or more. */
  readonly fewer: number;
}

const keyOf = (patternId: string | null, title: string): string => patternId ?? `untold ${title}`;

/** Nothing of what is only made for oneself has a season. */
const hasSeason = ({ kind }: Pick<Work, 'kind'>): boolean => kind !== 'making';

export function seasonsOf(works: readonly Work[]): SeasonLine[] {
  const lines = new Map<string, { patternId: string | null; title: string; months: number[] }>();
  for (const work of works.filter(hasSeason))
    for (const { patternId, title, count } of work.made) {
      const key = keyOf(patternId, title);
      const line = lines.get(key) ?? { patternId, title, months: Array.from({ length: 12 }, () => 0) };
      lines.set(key, line);
      line.title = title;
      line.months[monthOf(work.date) - 1] = (line.months[monthOf(work.date) - 1] ?? 0) + count;
    }
  return [...lines.values()]
    .map((line) => ({
      ...line,
      total: line.months.reduce((sum, each) => sum + each, 0),
      peak: Math.max(...line.months),
    }))
    .filter(({ total }) => total > 0)
    .toSorted((a, b) => b.total - a.total || (a.title < b.title ? -1 : 1));
}

/**
 * What was taught or sold in this month and the next ones of earlier years, and what of it is planned now.
 * @param today YYYY-MM-DD
 * @param months so many, this one among them
 */
export function toPrepare(
  works: readonly Work[],
  planned: readonly PlannedWork[],
  today: string,
  months = 3,
): ToPrepare[] {
  const [year, month] = [Number(today.slice(0, 4)), monthOf(today)];
  return Array.from({ length: months }, (_each, at) => ({
    month: ((month - 1 + at) % 12) + 1,
    year: year + Math.floor((month - 1 + at) / 12),
  })).flatMap((wanted) => ofMonth(works, planned, wanted));
}

function ofMonth(
  works: readonly Work[],
  planned: readonly PlannedWork[],
  { month, year }: { readonly month: number; readonly year: number },
): ToPrepare[] {
  const isIn = (date: string) => monthOf(date) === month;
  const lines = new Map<string, { patternId: string | null; title: string; before: Map<number, number> }>();
  for (const work of works.filter((each) => hasSeason(each) && isIn(each.date))) {
    const was = Number(work.date.slice(0, 4));
    if (was >= year) continue;
    for (const { patternId, title, count } of work.made) {
      const key = keyOf(patternId, title);
      const line = lines.get(key) ?? { patternId, title, before: new Map<number, number>() };
      lines.set(key, line);
      line.before.set(was, (line.before.get(was) ?? 0) + count);
    }
  }
  // What is done of this month already is planned too.
  const now = [...planned, ...works.filter(hasSeason)].filter(
    ({ date }) => isIn(date) && Number(date.slice(0, 4)) === year,
  );
  return [...lines]
    .map(([key, { patternId, title, before }]): ToPrepare => {
      const plannedCount = now
        .flatMap(({ made }) => made)
        .filter((each) => keyOf(each.patternId, each.title) === key)
        .reduce((sum, { count }) => sum + count, 0);
      const years = [...before]
        .map(([was, count]) => ({ year: was, count }))
        .toSorted((a, b) => b.year - a.year);
      return {
        patternId,
        title,
        month,
        year,
        before: years,
        planned: plannedCount,
        fewer: Math.max(0, (years[0]?.count ?? 0) - plannedCount),
      };
    })
    .filter(({ before }) => before.some(({ count }) => count > 0))
    .toSorted((a, b) => b.fewer - a.fewer || (a.title < b.title ? -1 : 1));
}
