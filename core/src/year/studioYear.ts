import { isFigures, type Known, knownOf, NOTHING_KNOWN, plus, type Work } from './work.ts';

/** What several things the studio did come to. */
export interface WorkSum {
  readonly works: number;
  readonly figures: number;
  readonly kits: number;
  readonly woolG: Known;
  readonly minutes: Known;
  readonly takingsMinor: Known;
  readonly materialMinor: Known;
  /** What is left of an hour’s work: of what money, material and time are known of. Null: of nothing they are. */
  readonly hourMinor: number | null;
  /** Of how many of them that is. */
  readonly hourOf: number;
  /** Of how many anything was to come in. */
  readonly sold: number;
}

interface PatternOfYear extends WorkSum {
  readonly patternId: string | null;
  readonly title: string;
}

export interface StudioYear {
  readonly year: string;
  readonly all: WorkSum;
  /** 1 to 12, each there. */
  readonly months: readonly (WorkSum & { readonly month: number })[];
  /** The most figures and kits first. */
  readonly patterns: readonly PatternOfYear[];
  /** The first first. */
  readonly works: readonly Work[];
}

const MONTHS = Array.from({ length: 12 }, (_each, at) => at + 1);

/** What was only made earns nothing, and is not held against what did. */
const isSold = ({ kind }: Work): boolean => kind !== 'making';

export function studioYear(all: readonly Work[], year: string): StudioYear {
  const works = all
    .filter(({ date }) => date.startsWith(`${year}-`))
    .toSorted((a, b) => (a.date < b.date ? -1 : a.date > b.date ? 1 : 0));
  return {
    year,
    all: sumOf(works),
    months: MONTHS.map((month) => ({ month, ...sumOf(works.filter(({ date }) => monthOf(date) === month)) })),
    patterns: byPattern(works),
    works,
  };
}

/** Years in which something was done, the last first. */
export const yearsOf = (works: readonly Work[]): string[] =>
  [...new Set(works.map(({ date }) => date.slice(0, 4)))].toSorted().toReversed();

export const monthOf = (date: string): number => Number(date.slice(5, 7));

function sumOf(works: readonly Work[]): WorkSum {
  const total = (of: (work: Work) => Known): Known => works.map(of).reduce(plus, NOTHING_KNOWN);
  const count = (wanted: (work: Work) => boolean) =>
    works.filter(wanted).reduce((sum, { made }) => sum + made.reduce((of, { count: each }) => of + each, 0), 0);
  const sold = works.filter(isSold);
  const isWhole = ({ takingsMinor, materialMinor, minutes }: Work): boolean =>
    takingsMinor !== null && materialMinor.unknownCount === 0 && minutes.unknownCount === 0 && minutes.known > 0;
  const whole = sold.filter(isWhole);
  const hours = whole.reduce((sum, { minutes }) => sum + minutes.known / 60, 0);
  const left = whole.reduce((sum, { takingsMinor, materialMinor }) => sum + (takingsMinor ?? 0) - materialMinor.known, 0);
  return {
    works: works.length,
    figures: count(isFigures),
    kits: count((work) => !isFigures(work)),
    woolG: total(({ woolG }) => woolG),
    minutes: total(({ minutes }) => minutes),
    takingsMinor: sold.map(({ takingsMinor }) => knownOf(takingsMinor)).reduce(plus, NOTHING_KNOWN),
    materialMinor: total(({ materialMinor }) => materialMinor),
    hourMinor: hours > 0 ? left / hours : null,
    hourOf: whole.length,
    sold: sold.length,
  };
} // prettier-ignore

/** Each pattern with its share of what it was done in: by how many of the figures are of it. */
function byPattern(works: readonly Work[]): PatternOfYear[] {
  const shares = new Map<string, { patternId: string | null; title: string; works: Work[] }>();
  for (const work of works)
    for (const { patternId, title, count } of work.made) {
      const key = patternId ?? `untold ${title}`;
      const entry = shares.get(key) ?? { patternId, title, works: [] };
      shares.set(key, entry);
      entry.title = title;
      entry.works.push(shareOf(work, patternId, title, count));
    }
  return [...shares.values()]
    .map(({ patternId, title, works: shared }) => ({ patternId, title, ...sumOf(shared) }))
    .toSorted((a, b) => b.figures + b.kits - (a.figures + a.kits) || (a.title < b.title ? -1 : 1));
}

function shareOf(work: Work, patternId: string | null, title: string, count: number): Work {
  const all = work.made.reduce((sum, { count: each }) => sum + each, 0);
  // Nobody finished one: each design was there alike.
  const fraction = all > 0 ? count / all : 1 / work.made.length;
  const share = ({ known, unknownCount }: Known): Known => ({ known: known * fraction, unknownCount });
  return {
    ...work,
    made: [{ patternId, title, count }],
    woolG: share(work.woolG),
    minutes: share(work.minutes),
    takingsMinor: work.takingsMinor === null ? null : work.takingsMinor * fraction,
    materialMinor: share(work.materialMinor),
  };
}
