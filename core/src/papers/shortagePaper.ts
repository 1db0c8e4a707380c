import { findingsOfRun, needlesOfBoxes, whoIsHit } from '../run/index.ts';
import { shortOfPlan, takingsOfPlan, uncountedOfPlan } from '../portions/index.ts';
import { needleName } from '../needles/index.ts';
import { wantedName } from '../words/index.ts';
import { packNames } from './weighOutPaper.ts';
import { left, right, row, section, wide, type Paper, type PaperSource } from './paper.ts';
import { amountOf, fibreTitle, swatchOf, weighed } from './shown.ts';

/** What is wanting, and whose packs go without it. */
export function shortagePaper(source: PaperSource): Pick<Paper, 'title' | 'sections'> {
  const sections = [woolShort(source), uncounted(source), thingsShort(source), needlesShort(source)].filter(
    ({ rows }) => rows.length > 0,
  );
  return {
    title: 'What is short',
    sections:
      sections.length > 0
        ? sections
        : [section('Nothing is short', { notes: ['The shelf has enough of everything this run takes.'] })],
  };
}

function woolShort(source: PaperSource) {
  const { plan, packs, wool, input } = source;
  const takings = takingsOfPlan(plan);
  return section('Wool', {
    columns: [wide('Fibre'), right('Wanted'), right('Free'), right('Short'), left('Goes without')],
    rows: shortOfPlan(plan).map(({ fibreId, shortG }) => {
      const wantedG = takings.get(fibreId) ?? 0;
      const freeG = wantedG - shortG;
      const hit = whoIsHit(plan, packs, fibreId, freeG).map(({ pack }) => pack);
      return row(
        [
          fibreTitle(source, fibreId),
          weighed(wantedG, input),
          weighed(freeG, input),
          weighed(shortG, input),
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
      const wantedG = takingsOfPlan(source.plan).get(fibreId) ?? 0;
      return row([fibreTitle(source, fibreId), weighed(wantedG, source.input)], { ticks: 1 });
    }),
  });

const thingsShort = ({ toPack, wool }: PaperSource) =>
  section('Findings and packaging', {
    columns: [wide('What'), right('Wanted'), right('On hand'), right('Short'), right('Packs to buy')],
    rows: findingsOfRun(toPack, wool.findings)
      .filter(({ short }) => short === null || short > 0)
      .map(({ findingId, total, onHand, short, putUps }) => {
        const finding = wool.findings.get(findingId);
        return row(
          [
            finding?.name ?? 'a finding no longer on the shelf',
            amountOf(finding, total),
            onHand === null ? 'not counted' : amountOf(finding, onHand),
            short === null ? '?' : amountOf(finding, short),
            putUps === null ? '?' : String(putUps),
          ],
          { ticks: 1 },
        );
      }),
  });

const needlesShort = ({ kit, toPack, needles }: PaperSource) =>
  section('Needles', {
    columns: [wide('Needle'), right('Wanted'), right('On hand'), right('To buy')],
    rows: [
      ...needlesOfBoxes(toPack, needles)
        .filter(({ short }) => short === null || short > 0)
        .map(({ wanted, needle, total, short }) =>
          row(
            [
              needle ? needleName(needle) : wantedName(wanted),
              String(total),
              needle === null ? 'none' : needle.onHand === null ? 'not counted' : String(needle.onHand),
              short === null ? (needle === null ? String(total) : '?') : String(short),
            ],
            { ticks: 1 },
          ),
        ),
      ...(kit?.lines ?? [])
        .filter(({ toBuy }) => toBuy === null || toBuy > 0)
        .map(({ needle, isNearest, wanted, total, onHand, toBuy }) =>
          row(
            [
              needle && !isNearest ? needleName(needle) : wantedName(wanted),
              String(total),
              onHand === null ? 'not counted' : String(onHand),
              toBuy === null ? '?' : String(toBuy),
            ],
            { ticks: 1 },
          ),
        ),
    ],
  });
