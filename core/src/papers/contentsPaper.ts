import * as cells from './cell.ts';
import type { Caution } from '../pattern/index.ts';
import {
  type FibrePortion,
  findingsOfPack,
  isEasilyLost,
  isIfNeededBag,
  needlesOfBox,
  needsOfGroup,
  type PackGroup,
  personalNeeds,
  type RunInput,
} from '../run/index.ts';
import { needleName, serves } from '../shelf/index.ts';
import {
  bagWords,
  CAUTION_NAMES,
  groupWords,
  joinWords,
  needName,
  ownerWords,
  pieceNames,
  piecesLine,
  PREPARATION_WORDS,
  showLikely,
  wantedName,
} from '../words/index.ts';
import { cautionsOf } from '../writing/index.ts';
import { type LotNotes, lotNotesOf } from './lotNotes.ts';
import { atSeat, changedSteps, otherStepLines, packIdsOf } from './packsPaper.ts';
import {
  left,
  type Paper,
  type PaperRow,
  type PaperSection,
  type PaperSource,
  right,
  row,
  section,
  wide,
} from './paper.ts';
import { piecesOfCard } from './piecesOfCard.ts';
import {
  amountOf,
  amountWords,
  creditsOfGroup,
  fibreName,
  makesLine,
  portionGrams,
  sizeLines,
  swatchOf,
  UNKNOWN_AMOUNT,
  unknownLines,
  weighed,
} from './shown.ts';

/** The card in a kit: what is in it, for who opens it. Counts are the pattern’s own. */
export function contentsPaper(source: PaperSource): Pick<Paper, 'title' | 'sections'> {
  const lotNotes = lotNotesOf(source);
  return {
    title: 'What is in it',
    sections: source.toPack.groups
      .filter(({ sample }) => sample === null)
      .flatMap((group) => [contentsCard(group, source, lotNotes), ...piecesOfCard(group, source)]),
  };
}

/** One group’s, to be ticked off. @param packIds whose lots are told */
export function contentsCard(
  group: PackGroup,
  source: PaperSource,
  lotNotes: LotNotes,
  packIds: readonly string[] = packIdsOf(group, source),
): PaperSection {
  return section(groupWords(group) || 'Contents', {
    notes: [
      makesLine(group, source),
      ...sizeLines(group),
      ...otherStepLines(changedSteps(group)),
      atHandLine(group, source),
      cautionLine(group, source),
      ...creditsOfGroup(group),
    ].filter((line) => line !== ''),
    columns: [left('Bag'), wide('What'), right('How much'), left('For')],
    rows: [
      ...woolRows(group, source, lotNotes, packIds),
      ...findingRows(group, source),
      ...needleRows(group, source),
    ],
  });
}

/** Wool bag by bag; in a box of several designs, of each colour whose it is and how much. */
function woolRows(
  group: PackGroup,
  source: PaperSource,
  lotNotes: LotNotes,
  packIds: readonly string[],
): PaperRow[] {
  const { plan, wool, input } = source;
  const portionPlan = plan.groups.find(({ key }) => key === group.key)?.plan;
  const bags = new Map(portionPlan?.bags.map((bag) => [bag.key, bag]));
  const bagName = (key: string) => {
    const bag = bags.get(key);
    return (bag && bagWords(bag, group, (id) => fibreName(source, id))) || 'figure';
  };
  const known = (portionPlan?.fibres ?? []).map((portion) => {
    const fibre = wool.fibres.get(portion.fibreId);
    const isOnlyIfNeeded = isIfNeededBag(portion.bag);
    return row(
      [
        bagName(portion.bag),
        `${fibre?.name ?? 'wool'}, ${fibre ? PREPARATION_WORDS[fibre.preparation] : ''}`,
        portionGrams(portion, input),
        isOnlyIfNeeded ? '' : whose(portion, group, input),
      ],
      { swatch: swatchOf(fibre), note: lotNotes(packIds, portion.bag, portion.fibreId).join('; ') },
    );
  });
  const unknown = unknownLines(group, source).map(({ bag, name, fibre }) =>
    row([bagName(bag), fibre, UNKNOWN_AMOUNT, name]),
  );
  return [...known, ...unknown];
}

/** Of several designs each with its grams; of one its parts. */
function whose({ lines }: FibrePortion, group: PackGroup, input: RunInput): string {
  if (group.makes.length < 2) {
    const [make] = group.makes;
    return make ? joinWords([...new Set(lines.map(({ owner }) => ownerWords(owner, make.build)))]) : '';
  }
  return group.makes
    .flatMap(({ pattern }, at) => {
      const ofMake = lines.filter(({ makeAt }) => makeAt === at);
      if (ofMake.length === 0) return [];
      const isWeighed = ofMake.every(({ weighedG }) => weighedG !== null);
      const massG = ofMake.reduce((sum, { weighedG, exactG }) => sum + (weighedG ?? exactG), 0);
      return [`${pattern.title} ${isWeighed ? weighed(massG, input) : showLikely(massG)}`];
    })
    .join(', ');
}

/** The pattern’s own counts; spares are said beside them, never in them. */
function findingRows(group: PackGroup, { toPack, wool, input }: PaperSource): PaperRow[] {
  const makes = toPack.estimates.get(group.key)?.makes ?? [];
  /** In a box of several designs: which of them it is for. */
  const designsOf = (findingId: string) =>
    group.makes.length < 2
      ? ''
      : joinWords(
          group.makes.flatMap(({ pattern }, at) =>
            makes[at]?.findings.some((finding) => finding.findingId === findingId) ? [pattern.title] : [],
          ),
        );
  return findingsOfPack(group, toPack, wool.findings, input)
    .filter(({ isPackaging }) => !isPackaging)
    .map(({ findingId, amount, spare, pieces }) => {
      const finding = wool.findings.get(findingId);
      return row([
        finding && isEasilyLost(finding) ? 'inner bag' : 'findings',
        finding?.name ?? 'a finding',
        pieces.length > 0 ? piecesLine(pieces) : amountOf(finding, amount),
        [
          pieceNames(pieces),
          designsOf(findingId),
          spare > 0 ? `and ${amountWords(finding, spare)} to lose` : '',
        ]
          .filter((words) => words !== '')
          .join(', '),
      ]);
    });
}

/** A full box gives its needles; a class has its own at each seat. */
function needleRows(group: PackGroup, { needles }: PaperSource): PaperRow[] {
  if (group.recipe) {
    return needlesOfBox(group, needles).map(({ wanted, needle, count }) =>
      row(['needles', needle ? needleName(needle) : wantedName(wanted), cells.count(count), '']),
    );
  }
  return personalNeeds(group)
    .filter(({ wanted }) => wanted !== null)
    .map((need) => row(['needles', needName(need), cells.count(atSeat(need)), '']));
}

/** What is not in it and has to be at hand, every tool of it: needles too, but for those a full box gives. */
export function atHandLine(group: PackGroup, { needles }: PaperSource): string {
  const given = needlesOfBox(group, needles).map(({ wanted }) => wanted);
  const needs = needsOfGroup(group).filter(
    ({ wanted }) =>
      wanted === null || (group.recipe !== null && !given.some((candidate) => serves(candidate, wanted))),
  );
  return needs.length === 0
    ? ''
    : `You need at hand: ${needs.map((need) => (need.wanted || need.alone > 1 ? `${need.alone} × ${needName(need)}` : needName(need))).join(', ')}.`;
}

function cautionLine({ makes }: PackGroup, { wool }: PaperSource): string {
  const cautions = new Set<Caution>(
    makes.flatMap(({ build }) => [...cautionsOf(build, wool).values()].flat()),
  );
  return cautions.size === 0
    ? ''
    : `Take care: ${[...cautions].map((caution) => CAUTION_NAMES[caution].toLowerCase()).join(', ')}.`;
}
