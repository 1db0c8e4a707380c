import type { JudgedEvidence } from './learning.ts';
import type { Foretold } from './howGood.ts';

/** A table as texts, units in its headings. */
export interface TextTable {
  readonly headings: readonly string[];
  readonly rows: readonly (readonly (string | number)[])[];
}

/** A number, so that a spreadsheet adds it up. */
const plain = (value: number): number => Math.round(value * 10_000) / 10_000;

/** Everything that was weighed, as a list: grams, or minutes of steps; of what was rolled, times as much room. */
export const evidenceTable = (
  evidence: readonly (JudgedEvidence & { readonly title: string; readonly what: string | null })[],
  fibreName: (id: string) => string,
): TextTable => ({
  headings: [
    'date',
    'page',
    'kind',
    'made by',
    'fibre',
    'of',
    'expected (g, min or times)',
    'found (g, min or times)',
    'off (σ)',
    'counts',
  ],
  rows: evidence.map(({ date, title, kind, who, fibreId, what, expected, found, z, counts }) => [
    date,
    title,
    kind,
    who,
    fibreId === null ? '' : fibreName(fibreId),
    what ?? '',
    plain(expected),
    plain(found),
    plain(z),
    counts ? 'yes' : 'no',
  ]),
});

/** Every estimate of the day before beside what was found. */
export const foretoldTable = (all: readonly Foretold[], fibreName: (id: string) => string): TextTable => ({
  headings: [
    'date',
    'kind',
    'fibre',
    'estimated (g, min or times)',
    'low, 10 % (g, min or times)',
    'high, 90 % (g, min or times)',
    'found (g, min or times)',
    'in the range',
  ],
  rows: all.map(({ date, kind, fibreId, estimated, low, high, found, isInside }) => [
    date,
    kind,
    fibreId === null ? '' : fibreName(fibreId),
    plain(estimated),
    plain(low),
    plain(high),
    plain(found),
    isInside ? 'yes' : 'no',
  ]),
});
