import type { TextTable } from '../logbook/index.ts';
import type { Known, Work } from './work.ts';

const MINOR_UNITS = 100;
const rounded = (value: number, digits: number): number => Number(value.toFixed(digits));

/** “at least” is told beside a sum, so that nobody adds it up as if it were all. */
const atLeast = (...sums: readonly Known[]): string =>
  sums.some(({ unknownCount }) => unknownCount > 0) ? 'yes' : 'no';

/** A year’s works as a list, units in its headings. @param kindWords what each kind is called */
export const yearTable = (
  works: readonly Work[],
  kindWords: Readonly<Record<Work['kind'], string>>,
): TextTable => ({
  headings: [
    'date',
    'kind',
    'name',
    'pattern',
    'figures or kits',
    'wool (g)',
    'hours (h)',
    'came in',
    'material',
    'something of wool, hours or material is unknown',
  ],
  rows: works.map(({ date, kind, name, made, woolG, minutes, takingsMinor, materialMinor }) => [
    date,
    kindWords[kind],
    name,
    made.map(({ title }) => title).join(', '),
    made.reduce((sum, { count }) => sum + count, 0),
    rounded(woolG.known, 1),
    rounded(minutes.known / 60, 2),
    takingsMinor === null ? 'unknown' : rounded(takingsMinor / MINOR_UNITS, 2),
    rounded(materialMinor.known / MINOR_UNITS, 2),
    atLeast(woolG, minutes, materialMinor),
  ]),
});
