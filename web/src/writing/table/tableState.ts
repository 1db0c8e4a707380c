import { resolveBuild } from '@lanakit/core/build';
import {
  ESTIMATED_FROM,
  estimatePattern,
  type FibreLookup,
  type PatternEstimate,
  type Wool,
} from '@lanakit/core/engine';
import {
  type Caution,
  checkPattern,
  type Choices,
  type Pattern,
  stepTotals,
  type StepTotals,
  strangeFibres,
  strangeFindings,
} from '@lanakit/core/pattern';
import type { Problem } from '@lanakit/core/problems';
import type { Fibre } from '@lanakit/core/shelf';
import { cautionsOf } from '@lanakit/core/writing';

/** What everything on the work table follows from. */
export interface TableSources {
  readonly document: Pattern;
  readonly choices: Choices;
  readonly fibres: readonly Fibre[];
  readonly wool: Wool;
}

/** What follows from it; each part is the very same object as long as what it follows from is. */
export interface TableView extends TableSources {
  readonly shelf: FibreLookup;
  /** What is made with the choices that are looked at. */
  readonly build: Pattern;
  /** That build, and the very same object as long as nothing is changed that is seen of it: words move no piece. */
  readonly figure: Pattern;
  /** Of that build. */
  readonly estimate: PatternEstimate;
  /** Of everything that is written, whatever the options leave out; the same where they leave out nothing. */
  readonly whole: PatternEstimate;
  /** Minutes, waits and needles of the build. */
  readonly totals: StepTotals;
  readonly cautions: ReadonlyMap<string, readonly Caution[]>;
  readonly problems: readonly Problem[];
}

const FIGURE_KEYS = [
  'parts',
  'joins',
  'cuts',
  'findings',
  'stance',
  'poses',
  'proportions',
  'enclosures',
  'options',
  'finishedHeight',
  'lengthUnit',
] as const;
const STEP_KEYS = ['steps', 'parts', 'joins', 'links', 'stageNeedles', 'school'] as const;

const alike = (a: Pattern, b: Pattern, keys: readonly (keyof Pattern)[]): boolean =>
  keys.every((key) => a[key] === b[key]);

/** @param before what was seen last; null: nothing yet */
export function tableView(sources: TableSources, before: TableView | null): TableView {
  const { document, choices, wool } = sources;
  const kept = before?.wool === wool ? before : null;
  const isSameDocument = before?.document === document;
  const build =
    before && isSameDocument && before.choices === choices ? before.build : resolveBuild(document, choices);
  const estimate =
    kept && alike(kept.build, build, ESTIMATED_FROM) ? kept.estimate : estimatePattern(build, wool);
  return {
    ...sources,
    shelf: wool.fibres,
    build,
    figure: before && alike(before.figure, build, FIGURE_KEYS) ? before.figure : build,
    estimate,
    whole: wholeOf(document, wool, kept, build === document ? estimate : null),
    totals: before && alike(before.build, build, STEP_KEYS) ? before.totals : stepTotals(build),
    cautions: kept && isSameDocument ? kept.cautions : cautionsOf(document, wool),
    problems: kept && isSameDocument ? kept.problems : problemsOf(document, wool),
  };
}

/** @param ofBuild the build’s, where everything that is written is made */
function wholeOf(
  document: Pattern,
  wool: Wool,
  kept: TableView | null,
  ofBuild: PatternEstimate | null,
): PatternEstimate {
  if (ofBuild) return ofBuild;
  return kept && alike(kept.document, document, ESTIMATED_FROM)
    ? kept.whole
    : estimatePattern(document, wool);
}

const problemsOf = (document: Pattern, wool: Wool): Problem[] => [
  ...checkPattern(document),
  ...strangeFibres(document, (id) => wool.fibres.has(id)),
  ...strangeFindings(document, (id) => wool.findings.has(id)),
];
