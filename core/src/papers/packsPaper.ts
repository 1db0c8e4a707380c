import * as cells from './cell.ts';
import {
  avoidedBy,
  findingsOfPack,
  type GroupNeed,
  isEasilyLost,
  leftHandedSteps,
  needlesOfBox,
  type OtherStep,
  type Pack,
  type PackGroup,
  personalNeeds,
  preparedSteps,
  swappedSteps,
} from '../run/index.ts';
import { needleName } from '../shelf/index.ts';
import {
  bagWords,
  counted,
  FIBRE_FLAG_WORDS,
  joinWords,
  keepBackWords,
  mergedWords,
  needName,
  ownerWords,
  packWords,
  pieceNames,
  piecesLine,
  stepTitle,
  wantedName,
} from '../words/index.ts';
import { type LotNotes, lotNotesOf } from './lotNotes.ts';
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
import { pairsOfGroup } from './pairsOfGroup.ts';
import {
  amountOf,
  amountWords,
  creditsOfGroup,
  fibreName,
  fibreTitle,
  makesLine,
  portionGrams,
  ranges,
  sizeLines,
  swatchOf,
  UNKNOWN_AMOUNT,
  unknownLines,
} from './shown.ts';

/** What goes into every pack: by seat, or, where boxes are alike, once for all of them. */
export function packsPaper(source: PaperSource): Pick<Paper, 'title' | 'sections'> {
  const { packs, toPack, input } = source;
  const groupOf = new Map(toPack.groups.map((group) => [group.key, group]));
  const lotNotes = lotNotesOf(source);
  if (input.kind === 'kits') {
    return {
      title: 'Boxes, sort by sort',
      sections: toPack.groups.map((group) => boxSection(group, source, lotNotes)),
    };
  }
  return {
    title: 'Packs, seat by seat',
    sections: packs.flatMap((pack) => {
      const group = groupOf.get(pack.groupKey);
      return group ? [packSection(pack, group, source, lotNotes)] : [];
    }),
  };
}

function boxSection(group: PackGroup, source: PaperSource, lotNotes: LotNotes): PaperSection {
  const packIds = packIdsOf(group, source);
  const numbers = ranges(group.seats);
  return section(
    `${group.recipe?.name ?? 'Box'}: ${counted(group.seats.length, 'box', 'boxes')} ${numbers}`,
    {
      aside: group.spares > 0 ? `and ${counted(group.spares, 'spare')}` : '',
      notes: [makesLine(group, source), ...otherStepLines(changedSteps(group)), ...creditsOfGroup(group)],
      columns: [left('Bag'), wide('What'), right('In one box')],
      rows: contentRows(group, source, (bag, fibreId) => lotNotes(packIds, bag, fibreId)),
    },
  );
}

function packSection(pack: Pack, group: PackGroup, source: PaperSource, lotNotes: LotNotes): PaperSection {
  const seat = pack.seat;
  const avoided = seat ? avoidedBy(seat, group.build, source.wool) : [];
  const leftSteps = seat?.isLeftHanded ? leftHandedSteps(group.build) : [];
  return section(packWords(pack), {
    aside: '',
    notes: [
      makesLine(group, source),
      ...sizeLines(group),
      seat?.isLeftHanded ? 'Left-handed.' : '',
      seat?.note ?? '',
      ...avoided.map(
        ({ fibreId, flags }) =>
          `Not to be touched: ${fibreName(source, fibreId)} (${flags.map((flag) => FIBRE_FLAG_WORDS[flag]).join(', ')}).`,
      ),
      ...otherStepLines([...changedSteps(group), ...leftSteps]),
      ...preparedLines(group, source),
      ...creditsOfGroup(group),
    ].filter((line) => line !== ''),
    columns: [left('Bag'), wide('What'), right('How much')],
    rows: contentRows(group, source, (bag, fibreId) => lotNotes([pack.id], bag, fibreId)),
  });
}

/** The wool of a step that was done beforehand lies in the pack as the piece it has become. */
function preparedLines(group: PackGroup, { input }: PaperSource): string[] {
  const steps = preparedSteps([group], input.plan.elsewhere);
  const isHome = input.plan.elsewhere.some(({ where }) => where === 'home');
  return [
    ...(steps.length === 0
      ? []
      : [
          `Made up beforehand, its wool with it: ${joinWords(
            steps.map(({ pattern, step }) => `${pattern.steps.indexOf(step) + 1} ${stepTitle(step)}`),
          )}.`,
        ]),
    ...(isHome ? ['With it the homework sheet: what is left is finished at home.'] : []),
  ];
}

export const changedSteps = ({ makes }: PackGroup): OtherStep[] =>
  makes.flatMap(({ pattern, build }) => swappedSteps(pattern, build));

export const otherStepLines = (steps: readonly OtherStep[]): string[] =>
  steps.map(
    ({ number, text, why }) =>
      `Step ${number}${why === 'swap' ? ' now reads' : ' for the left hand'}: ${text}`,
  );

/** Packs of a group, by their id. */
export const packIdsOf = (group: PackGroup, { packs }: PaperSource): string[] =>
  packs.flatMap(({ id, groupKey }) => (groupKey === group.key ? [id] : []));

/** Everything in one pack, bag by bag: wool, findings, small ones in an inner bag, needles, tools, packaging. */
function contentRows(group: PackGroup, source: PaperSource, notesOf: NotesOfBag): PaperRow[] {
  return [
    ...woolRows(group, source, notesOf),
    ...findingRows(group, source),
    ...(group.recipe?.form === 'refill' || group.recipe?.form === 'pattern-only' || group.sample
      ? []
      : toolRows(group, source)),
    ...(group.recipe ? [row(['box', 'the pattern, printed', cells.count(1)], { ticks: 1 })] : []),
  ];
}

/** What the lots of a fibre in a bag say. */
type NotesOfBag = (bag: string, fibreId: string) => string[];

function woolRows(group: PackGroup, source: PaperSource, notesOf: NotesOfBag): PaperRow[] {
  const { plan, wool, input } = source;
  const portionPlan = plan.groups.find(({ key }) => key === group.key)?.plan;
  const bags = new Map(portionPlan?.bags.map((bag) => [bag.key, bag]));
  const known = (portionPlan?.fibres ?? []).map((portion) => {
    const bag = bags.get(portion.bag);
    const parts = [
      ...new Set(
        portion.lines.map(({ owner, makeAt }) => {
          const make = group.makes[makeAt];
          return make ? ownerWords(owner, make.build) : '';
        }),
      ),
    ];
    const notes = [parts.join(', ')];
    // “Only if needed” is the name of its bag already.
    if (bag && bag.holds.kind !== 'if-needed') notes.push(keepBackWords(bag).toLowerCase());
    const isFirstOfBag = portionPlan?.fibres.find(({ bag: key }) => key === portion.bag) === portion;
    if (isFirstOfBag && bag) notes.push(...mergedWords(bag, group, (id) => fibreName(source, id)));
    notes.push(...notesOf(portion.bag, portion.fibreId));
    return row(
      [
        (bag && bagWords(bag, group, (id) => fibreName(source, id))) || 'figure',
        fibreTitle(source, portion.fibreId),
        portionGrams(portion, input),
      ],
      {
        swatch: swatchOf(wool.fibres.get(portion.fibreId)),
        ticks: 1,
        note: notes.filter((line) => line !== '').join('; '),
      },
    );
  });
  const unknown = unknownLines(group, source).map(({ bag: key, name, fibre, isIfNeeded }) => {
    const bag = bags.get(key);
    return row(
      [
        (bag && bagWords(bag, group, (id) => fibreName(source, id))) || 'figure',
        fibre,
        isIfNeeded ? `${UNKNOWN_AMOUNT}, only if needed` : UNKNOWN_AMOUNT,
      ],
      { ticks: 1, note: name },
    );
  });
  return [...known, ...unknown];
}

function findingRows(group: PackGroup, { toPack, wool, input }: PaperSource): PaperRow[] {
  const pairs = pairsOfGroup(group, wool);
  const pairsOf = (id: string): string[] =>
    pairs.filter((pair) => pair.findingId === id).map(({ words }) => words);
  return findingsOfPack(group, toPack, wool.findings, input).map(
    ({ findingId, amount, spare, isPackaging, pieces }) => {
      const finding = wool.findings.get(findingId);
      const bag = isPackaging ? 'packaging' : finding && isEasilyLost(finding) ? 'inner bag' : 'findings';
      return row(
        [
          bag,
          finding?.name ?? 'a finding no longer on the shelf',
          pieces.length > 0
            ? piecesLine(pieces)
            : spare > 0
              ? `${amountWords(finding, amount)} + ${amountWords(finding, spare)} spare`
              : amountOf(finding, amount),
        ],
        {
          ticks: 1,
          note: [...(pieces.length > 0 ? [pieceNames(pieces)] : []), ...pairsOf(findingId)].join('; '),
        },
      );
    },
  );
}

/** Needles and tools that lie at each seat; a box gives needles away, its tools are the opener’s own. */
function toolRows(group: PackGroup, { needles }: PaperSource): PaperRow[] {
  if (group.recipe) {
    return needlesOfBox(group, needles).map(({ wanted, needle, count }) =>
      row(['needles', needle ? needleName(needle) : wantedName(wanted), cells.count(count)], { ticks: 1 }),
    );
  }
  return personalNeeds(group).map((need) =>
    row([need.wanted ? 'needles' : 'tools', needName(need), cells.count(atSeat(need))], { ticks: 1 }),
  );
}

/** Of a needle what lies at the seat, without what is in holders that are shared; of a tool all who makes it alone takes. */
export const atSeat = ({ wanted, perPerson, alone }: GroupNeed): number => (wanted ? perPerson : alone);
