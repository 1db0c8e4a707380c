import * as cells from './cell.ts';
import { wholeUp } from '../base/index.ts';
import { type Minutes, minutesRange, workMinutes } from '../pattern/index.ts';
import {
  MINUTES_A_BLEND,
  MINUTES_A_CUT,
  shortOfPlan,
  withdrawalsOfPlan,
  uncountedOfPlan,
} from '../run/index.ts';
import { planBlendLot } from '../shelf/index.ts';
import { counted, cutSizeWords } from '../words/index.ts';
import { preparedPieces } from './runSheetPaper.ts';
import { packNames } from './packNames.ts';
import { left, type Paper, type PaperSource, right, row, section, wide } from './paper.ts';
import { fibreTitle, swatchOf, weighedCell } from './shown.ts';

/** What is cut, blended and half made beforehand, and how long that takes; who does it is written in by hand. */
export function preparationPaper(source: PaperSource): Pick<Paper, 'title' | 'sections'> {
  const sections = [
    cuts(source),
    blends(source),
    samples(source),
    preparedPieces(source),
    beforehand(source),
  ].filter(({ rows }) => rows.length > 0);
  return {
    title: 'To prepare beforehand',
    sections:
      sections.length > 0
        ? sections
        : [section('Nothing', { notes: ['Nothing of this run is cut, blended or made beforehand.'] })],
  };
}

const WHO = left('Who');

const longest = (minutes: Minutes | null): number => (minutes === null ? 0 : minutesRange(minutes).high);

/** Alike cuts of one pattern in one line, whoever they are for. */
function cuts({ toPack, wool }: PaperSource) {
  const alike = new Map<string, { name: string; size: string; pieces: number; title: string }>();
  for (const group of toPack.groups) {
    if (group.sample || group.recipe?.form === 'pattern-only') continue;
    for (const [at, make] of group.makes.entries()) {
      for (const cutEstimate of toPack.estimates.get(group.key)?.makes[at]?.cuts ?? []) {
        const cut = make.build.cuts.find(({ id }) => id === cutEstimate.cutId)?.name ?? '';
        const finding = wool.findings.get(cutEstimate.findingId ?? '');
        const [name, size] = [`${cut}${finding ? `: ${finding.name}` : ''}`, cutSizeWords(cutEstimate.sizes)];
        const key = [make.revisionId, cutEstimate.cutId, name, size].join('|');
        const pieces = (alike.get(key)?.pieces ?? 0) + cutEstimate.count * make.copies * group.packs;
        alike.set(key, { name, size, pieces, title: make.pattern.title });
      }
    }
  }
  return section('Cut to length', {
    columns: [wide('What'), right('Size'), right('Pieces'), right('Minutes'), WHO],
    rows: [...alike.values()].map(({ name, size, pieces, title }) =>
      row([name, size, cells.count(pieces), cells.count(wholeUp(pieces * MINUTES_A_CUT)), ''], {
        ticks: 1,
        note: title,
      }),
    ),
  });
}

/** What is still to be blended is what is wanting of it once runs before have taken theirs. */
function blends(source: PaperSource) {
  const { plan, recipes, wool, input } = source;
  const short = new Map(shortOfPlan(plan).map(({ fibreId, shortG }) => [fibreId, shortG]));
  const uncounted = new Set(uncountedOfPlan(plan));
  return section('Blend', {
    columns: [wide('Blend'), right('Grams'), right('Free'), right('Minutes'), WHO],
    rows: [...withdrawalsOfPlan(plan)]
      .filter(([fibreId]) => recipes.has(fibreId))
      .flatMap(([fibreId, massG]) => {
        const toMakeG = uncounted.has(fibreId) ? massG : (short.get(fibreId) ?? 0);
        const stock = plan.fibres.find((fibre) => fibre.fibreId === fibreId)?.stock;
        const freeG = stock?.onHandG == null ? null : Math.max(0, stock.onHandG - stock.promisedG);
        return [
          row(
            [
              fibreTitle(source, fibreId),
              weighedCell(massG, input),
              freeG === null ? 'not counted' : weighedCell(freeG, input),
              toMakeG > 0 ? cells.count(MINUTES_A_BLEND) : '–',
              '',
            ],
            { ticks: toMakeG > 0 ? 1 : 0, swatch: swatchOf(wool.fibres.get(fibreId)) },
          ),
          ...(toMakeG > 0 ? componentRows(source, recipes.get(fibreId) ?? new Map(), toMakeG) : []),
        ];
      }),
  });
}

/** Grams of each fibre for what is still to be blended, in a lot that keeps its recipe. */
function componentRows(source: PaperSource, fractions: ReadonlyMap<string, number>, toMakeG: number) {
  const { shelf, input } = source;
  const lot = planBlendLot(fractions, toMakeG, 0, input.scaleStepG);
  return lot.components.map(({ fibreId, weighedG }) => {
    const fibre = shelf.get(fibreId);
    const onHand = fibre?.onHandG == null ? 'not counted' : weighedCell(fibre.onHandG, input);
    return row(
      [
        `of ${fibreTitle({ wool: { fibres: shelf } }, fibreId)}`,
        weighedCell(weighedG, input),
        onHand,
        '',
        '',
      ],
      {
        ticks: 1,
        swatch: swatchOf(fibre),
      },
    );
  });
}

/** Half-made pieces for where a class would stand still: the steps before take as long as they take. */
function samples({ toPack, packs }: PaperSource) {
  return section('Make beforehand', {
    columns: [wide('What'), left('Why'), right('Minutes'), WHO],
    rows: toPack.groups.flatMap(({ key, sample, build, demonstrations }) => {
      if (sample) {
        const done = build.steps.slice(0, sample.stepNumber);
        const work = done.map((step) => workMinutes(step, build));
        const minutes = work.reduce((sum, minutesRange) => sum + (minutesRange?.high ?? 0), 0);
        const unknown = work.filter((minutesRange) => minutesRange === null).length;
        const words = unknown > 0 ? `≥ ${Math.round(minutes)}` : cells.count(Math.round(minutes));
        return [
          row([`Sample up to step ${sample.stepNumber}`, 'the class need not wait', words, ''], { ticks: 1 }),
        ];
      }
      if (demonstrations === 0) return [];
      const ownPacks = packs.filter(({ groupKey, kind }) => groupKey === key && kind === 'demonstration');
      return [row([packNames(ownPacks), 'to show each step on', '–', ''], { ticks: 1 })];
    }),
  });
}

/** Steps that are sewn or glued and set before anybody comes could be done beforehand: listed, with their waits. */
function beforehand({ toPack, input }: PaperSource) {
  const seen = new Set<string>();
  const rows = toPack.groups.flatMap(({ makes }) =>
    makes.flatMap(({ build, revisionId, pattern }) => {
      if (seen.has(revisionId)) return [];
      seen.add(revisionId);
      return build.steps.flatMap((step, at) => {
        if (step.waiting === null && step.act.kind !== 'sew') return [];
        const wait = longest(step.waiting);
        const work = workMinutes(step, build)?.high ?? null;
        return [
          row(
            [
              `Step ${at + 1}: ${step.text.replaceAll(/[*_#>`]/g, '').slice(0, 90)}`,
              wait > 0 ? counted(Math.round(wait), 'minute') : '–',
              work === null ? '?' : cells.count(Math.round(work)),
              '',
            ],
            { ticks: 1, note: pattern.title },
          ),
        ];
      });
    }),
  );
  return section(
    input.kind === 'kits' ? 'Waits to tell of on the card' : 'Sewn, or waited for: could be done before',
    {
      columns: [wide('Step'), right('Waits'), right('Minutes each'), WHO],
      rows,
    },
  );
}
