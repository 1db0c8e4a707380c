import { findingsOfPack, type PackGroup } from '../run/index.ts';
import type { Caution } from '../pattern/index.ts';
import {
  CAUTION_NAMES,
  groupWords,
  PREPARATION_WORDS,
  showLikely,
  pieceNames,
  piecesLine,
} from '../words/index.ts';
import { cautionsOf } from '../writing/index.ts';
import { changedSteps, otherStepLines, personalNeeds } from './packsPaper.ts';
import {
  left,
  right,
  row,
  section,
  wide,
  type Paper,
  type PaperRow,
  type PaperSection,
  type PaperSource,
} from './paper.ts';
import { amountOf, creditsOfGroup, makesLine, sizeLines, swatchOf, weighed } from './shown.ts';

/** The card in a kit: what is in it, for who opens it. Counts are the pattern’s own. */
export function contentsPaper(source: PaperSource): Pick<Paper, 'title' | 'sections'> {
  return {
    title: 'What is in it',
    sections: source.toPack.groups
      .filter(({ sample }) => sample === null)
      .map((group) => contentsCard(group, source)),
  };
}

function contentsCard(group: PackGroup, source: PaperSource): PaperSection {
  return section(groupWords(group) || 'Contents', {
    notes: [
      makesLine(group, source),
      ...sizeLines(group),
      ...otherStepLines(changedSteps(group)),
      atHandLine(group),
      cautionLine(group, source),
      ...creditsOfGroup(group),
    ].filter((line) => line !== ''),
    columns: [wide('What'), right('How much'), left('For')],
    rows: [...woolRows(group, source), ...findingRows(group, source), ...needleRows(group)],
  });
}

/** Wool over all bags: what the maker finds is by colour, not by bag. */
function woolRows(group: PackGroup, { plan, wool, input }: PaperSource): PaperRow[] {
  const totals = new Map<string, { massG: number; isExact: boolean; isOnlyIfNeeded: boolean }>();
  for (const portion of plan.groups.find(({ key }) => key === group.key)?.plan.fibres ?? []) {
    const own = totals.get(portion.fibreId) ?? { massG: 0, isExact: true, isOnlyIfNeeded: true };
    totals.set(portion.fibreId, {
      massG: own.massG + (portion.packG ?? portion.exactG),
      isExact: own.isExact && portion.packG !== null,
      isOnlyIfNeeded: own.isOnlyIfNeeded && portion.bag.endsWith('if-needed'),
    });
  }
  return [...totals].map(([fibreId, { massG, isExact, isOnlyIfNeeded }]) => {
    const fibre = wool.fibres.get(fibreId);
    return row(
      [
        `${fibre?.name ?? 'wool'}, ${fibre ? PREPARATION_WORDS[fibre.preparation] : ''}`,
        isExact ? weighed(massG, input) : showLikely(massG),
        isOnlyIfNeeded ? 'only if needed' : '',
      ],
      { swatch: swatchOf(fibre) },
    );
  });
}

/** The pattern’s own counts; spares are said beside them, never in them. */
function findingRows(group: PackGroup, { toPack, wool, input }: PaperSource): PaperRow[] {
  return findingsOfPack(group, toPack, wool.findings, input)
    .filter(({ isPackaging }) => !isPackaging)
    .map(({ findingId, amount, spare, pieces }) => {
      const finding = wool.findings.get(findingId);
      return row([
        finding?.name ?? 'a finding',
        pieces.length > 0 ? piecesLine(pieces) : amountOf(finding, amount),
        pieces.length > 0 ? pieceNames(pieces) : spare > 0 ? `and ${amountOf(finding, spare)} to lose` : '',
      ]);
    });
}

const needleRows = (group: PackGroup): PaperRow[] =>
  group.recipe && group.recipe.form !== 'full'
    ? []
    : personalNeeds(group)
        .filter(({ isNeedle }) => isNeedle)
        .map(({ name, count }) => row([name, String(count), '']));

/** What is not in it and has to be at hand: all but what a full box gives. */
function atHandLine(group: PackGroup): string {
  const isGiven = group.recipe === null || group.recipe.form === 'full';
  const needs = personalNeeds(group).filter(({ isNeedle }) => !isNeedle || !isGiven);
  return needs.length === 0 ? '' : `You need at hand: ${needs.map(({ name }) => name).join(', ')}.`;
}

function cautionLine({ makes }: PackGroup, { wool }: PaperSource): string {
  const cautions = new Set<Caution>(
    makes.flatMap(({ build }) => [...cautionsOf(build, wool).values()].flat()),
  );
  return cautions.size === 0
    ? ''
    : `Take care: ${[...cautions].map((own) => CAUTION_NAMES[own].toLowerCase()).join(', ')}.`;
}
