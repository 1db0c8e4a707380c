import * as cells from './cell.ts';
import {
  findingsOfRun,
  isElsewhere,
  shortOfPlan,
  withdrawalsOfPlan,
  thingsShort,
  toolsOfRun,
  uncountedOfPlan,
  whoIsHit,
} from '../run/index.ts';
import { needleName } from '../shelf/index.ts';
import { counted, joinWords, needName, piecesLine, tooLargeWords, wantedName } from '../words/index.ts';
import { packNames } from './packNames.ts';
import { left, type Paper, type PaperSource, right, row, section, wide } from './paper.ts';
import { amountOf, fibreTitle, swatchOf, weighedCell } from './shown.ts';

/** What is wanting, and whose packs go without it. */
export function shortagePaper(source: PaperSource): Pick<Paper, 'title' | 'sections'> {
  if (source.isPacked) {
    const notes = ['What it takes has left the shelf with it.'];
    return { title: 'What is short', sections: [section('Packed', { notes })] };
  }
  const sections = [
    woolShort(source),
    uncounted(source),
    findingsShort(source),
    needlesShort(source),
    toolsShort(source),
  ].filter(({ rows }) => rows.length > 0);
  return {
    title: 'What is short',
    sections:
      sections.length > 0 ? sections : [section('Nothing is short', { notes: [nothingShort(source)] })],
  };
}

function woolShort(source: PaperSource) {
  const { plan, packs, wool, input } = source;
  const withdrawals = withdrawalsOfPlan(plan);
  return section('Wool', {
    columns: [wide('Fibre'), right('Wanted'), right('Free'), right('Short'), left('Goes without')],
    rows: shortOfPlan(plan).map(({ fibreId, shortG }) => {
      const wantedG = withdrawals.get(fibreId) ?? 0;
      const freeG = wantedG - shortG;
      const hit = whoIsHit(plan, packs, fibreId, freeG).map(({ pack }) => pack);
      return row(
        [
          fibreTitle(source, fibreId),
          weighedCell(wantedG, input),
          weighedCell(freeG, input),
          weighedCell(shortG, input),
          packNames(hit),
        ],
        { ticks: 1, swatch: swatchOf(wool.fibres.get(fibreId)) },
      );
    }),
  });
}

const uncounted = (source: PaperSource) =>
  section('Never counted', {
    columns: [wide('Fibre'), right('Wanted')],
    rows: uncountedOfPlan(source.plan).map((fibreId) => {
      const wantedG = withdrawalsOfPlan(source.plan).get(fibreId) ?? 0;
      return row([fibreTitle(source, fibreId), weighedCell(wantedG, source.input)], { ticks: 1 });
    }),
  });

const findingsShort = ({ toPack, wool, input, promised }: PaperSource) =>
  section('Findings and packaging', {
    columns: [
      wide('What'),
      right('Wanted'),
      right('On hand'),
      right('Promised'),
      right('Short'),
      right('Packs to buy'),
    ],
    rows: findingsOfRun(toPack, wool.findings, input, promised)
      .filter(({ short }) => short !== 0)
      .map(({ findingId, total, pieces, onHand, promised: before, short, putUps, tooLarge }) => {
        const finding = wool.findings.get(findingId);
        return row(
          [
            finding?.name ?? 'a finding no longer on the shelf',
            pieces.length > 0 ? piecesLine(pieces) : amountOf(finding, total),
            onHand === null ? 'not counted' : amountOf(finding, onHand),
            before > 0 ? amountOf(finding, before) : '–',
            short === null ? '?' : amountOf(finding, short),
            putUps === null ? '?' : cells.count(putUps),
          ],
          { ticks: 1, ...(tooLarge && { note: tooLargeWords(tooLarge) }) },
        );
      }),
  });

/** Enough of what can be told: tools that the shelf does not keep are named, and amounts that nobody knows are counted. */
function nothingShort({ toPack, input, tools, promised, plan }: PaperSource): string {
  const elsewhere = toolsOfRun(toPack, input, tools, promised).filter(isElsewhere);
  if (plan.unknownCount === 0 && elsewhere.length === 0) {
    return 'The shelf has enough of everything this run takes.';
  }
  return [
    plan.unknownCount === 0
      ? 'The shelf has enough of all it keeps.'
      : `The shelf has enough of all that is known; ${counted(plan.unknownCount, 'amount')} unknown.`,
    elsewhere.length === 0 ? '' : `Not kept on it: ${joinWords(elsewhere.map(needName))}.`,
  ]
    .filter((words) => words !== '')
    .join(' ');
}

const toolsShort = ({ toPack, input, tools, promised }: PaperSource) =>
  section('Tools', {
    columns: [wide('What'), right('Wanted'), right('On hand'), right('Short')],
    rows: toolsOfRun(toPack, input, tools, promised)
      .filter(({ tools: ownTools, short }) => ownTools.length > 0 && short !== 0)
      .map((tool) =>
        row(
          [
            needName(tool),
            cells.count(tool.total),
            tool.onHand === null ? 'not counted' : cells.count(tool.onHand),
            tool.short === null ? '?' : cells.count(tool.short),
          ],
          { ticks: 1, ...(tool.promised > 0 && { note: `${tool.promised} are promised to runs before` }) },
        ),
      ),
  });

const needleOnHand = (needle: { readonly onHand: number | null } | null) =>
  needle === null ? 'none' : needle.onHand === null ? 'not counted' : cells.count(needle.onHand);

const needlesShort = (source: PaperSource) => {
  const { kit, toPack, needles, tools, input, promised, wool } = source;
  const sources = { findings: wool.findings, needles, tools, kit, promised };
  return section('Needles', {
    columns: [wide('Needle'), right('Wanted'), right('On hand'), right('To buy')],
    rows: thingsShort(toPack, input, sources).flatMap((thing) =>
      thing.kind === 'needle'
        ? [
            row(
              [
                thing.needle ? needleName(thing.needle) : wantedName(thing.wanted),
                cells.count(thing.count),
                needleOnHand(thing.needle),
                thing.short === null ? '?' : cells.count(thing.short),
              ],
              { ticks: 1 },
            ),
          ]
        : [],
    ),
  });
};
